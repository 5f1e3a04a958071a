import { readFile } from 'node:fs/promises'
import { expect } from '@playwright/test'
import { DEMO, follow, openDemo, startEmpty, visit } from './support'
import { test } from './test'

test('no script runs without its nonce, and the report goes out as text', async ({ page }) => {
  const complaints: string[] = []
  page.on('console', message => message.type() === 'error' && complaints.push(message.text()))
  await openDemo(page)
  await visit(page, `${DEMO}/report`)
  await expect(page.getByRole('heading', { name: 'Report' }).first()).toBeVisible()
  const [text] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Text (Markdown)' }).click(),
  ])
  const markdown = await readFile(await text.path(), 'utf8')
  expect(markdown).toContain('## May I key it?')
  expect(markdown).toContain('Not without a filter or a change')
  expect(complaints).toEqual([])
  const reply = await page.request.get('/')
  const policy = reply.headers()['content-security-policy'] ?? ''
  expect(policy).toMatch(/script-src 'self' 'nonce-[^']+';/)
  expect(policy).not.toMatch(/unsafe-eval|script-src[^;]*unsafe-inline|https?:/)
  for (const source of (await reply.text()).match(/\/_nuxt\/[\w.-]+\.(?:js|css)/g) ?? []) {
    const file = await page.request.get(source)
    expect(file.headers()['content-security-policy'], source).toMatch(/script-src 'self' 'wasm-unsafe-eval';/)
    expect(file.headers()['x-content-type-options'], source).toBe('nosniff')
  }
  const inline = (await reply.text()).match(/<script(?![^>]*\bnonce=)/g)
  expect(inline).toBeNull()
})

test('day and night, keys and find', async ({ page }) => {
  await openDemo(page)
  const paper = () =>
    page.evaluate(() => getComputedStyle(document.querySelector('.v-application')!).backgroundColor)
  const day = await paper()
  await page.keyboard.press('t')
  await expect.poll(paper).not.toBe(day)
  await page.keyboard.press('?')
  await expect(page.getByRole('heading', { name: 'All keys' })).toBeVisible()
  // Pressed while the list is still coming in, Escape would be lost.
  await expect(async () => {
    await page.keyboard.press('Escape')
    await expect(page.getByRole('heading', { name: 'All keys' })).toBeHidden({ timeout: 1000 })
  }).toPass()
  await page.keyboard.press('/')
  await page.getByLabel('Find a place, a radio or a step').fill('harmonics sample b 146 high')
  await page.keyboard.press('Enter')
  await expect(page.getByTestId('set-now')).toHaveText('146.520')
  await expect(page).toHaveURL(/set=trek-b/)
})

test('data is shown as text, never as markup', async ({ page }) => {
  await page.goto('/')
  await startEmpty(page, '<img src=x onerror="window.bad=1"> & <b>bold</b>')
  await page.getByRole('button', { name: 'Add a radio' }).click()
  await page.getByLabel('Make', { exact: true }).fill('<script>window.bad=1</script>')
  await page.getByLabel('Make', { exact: true }).press('Enter')
  await follow(page, 'Outcome', /Report/)
  await expect(page.getByRole('heading', { name: '<img src=x' }).first()).toBeVisible()
  expect(await page.evaluate(() => (window as unknown as { bad?: number }).bad)).toBeUndefined()
})
