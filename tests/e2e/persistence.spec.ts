import { readFileSync } from 'node:fs'
import { expect, test } from '@playwright/test'
import { DEMO, TREK_B_HIGH, harmonicRow, openDemo, saved, visit } from './support'

test('closing the tab in the middle loses at most the field being typed', async ({ page, context }) => {
  await openDemo(page, `${DEMO}/harmonics?set=mini&step=harmonics:2m:2m-2:low`)
  await harmonicRow(page, 1).getByRole('textbox').fill('-25.1')
  await page.keyboard.press('Enter')
  await page.keyboard.type('-61')
  await page.close({ runBeforeUnload: false })
  const again = await context.newPage()
  await again.goto(`${DEMO}/harmonics?set=mini&step=harmonics:2m:2m-2:low`)
  await expect(harmonicRow(again, 1).getByRole('textbox')).toHaveValue('-25.1')
})

test('a journal left by a tab that died in the middle of a write is taken up', async ({ page }) => {
  await openDemo(page, `${DEMO}/card?set=trek-b`)
  await expect(page.getByLabel('Price', { exact: true })).toHaveValue('£38')
  await page.goto('/')
  await page.evaluate(
    () =>
      new Promise<void>(resolve => {
        const open = indexedDB.open('rigorous-meter')
        open.onsuccess = () => {
          const store = open.result.transaction('reviews').objectStore('reviews')
          const head = store.get('head:demo-fell-race')
          head.onsuccess = () => {
            const { review, readingCount } = head.result
            review.sets[1].price = '£39'
            const journal = JSON.stringify({ head: review, readingCount, batches: [] })
            localStorage.setItem('rigorous-meter:journal:demo-fell-race', journal)
            open.result.close()
            resolve()
          }
        }
      }),
  )
  await visit(page, `${DEMO}/card?set=trek-b`)
  await expect(page.getByLabel('Price', { exact: true })).toHaveValue('£39')
})

test('undo and redo, by key and by button', async ({ page }) => {
  await openDemo(page, `${DEMO}/card?set=trek-b`)
  const price = page.getByLabel('Price', { exact: true })
  await price.fill('£45')
  await price.press('Enter')
  await saved(page)
  await page.keyboard.press('Control+z')
  await expect(price).toHaveValue('£38')
  await page.keyboard.press('Control+Shift+z')
  await expect(price).toHaveValue('£45')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(price).toHaveValue('£38')
  await expect(page.getByRole('button', { name: 'Undo' })).toBeDisabled()
})

test('a review goes away as a file and comes back on another browser with every figure the same', async ({
  page,
  browser,
}) => {
  await openDemo(page, TREK_B_HIGH)
  await expect(harmonicRow(page, 2)).toContainText('Outside by')
  const rows = await page.locator('table.harmonics').innerText()
  await visit(page, `${DEMO}/report`)
  const paper = await page.locator('article').innerText()
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Take the review away' }).click(),
  ])
  const path = await download.path()

  const other = await (await browser.newContext()).newPage()
  await other.goto('/')
  await other
    .getByTestId('review-file')
    .setInputFiles({ name: 'x.review.json', mimeType: 'application/json', buffer: readFileSync(path) })
  await expect(other.getByRole('heading', { name: 'Fell-race marshals’ handhelds' })).toBeVisible()
  await other.goto(TREK_B_HIGH)
  await expect(harmonicRow(other, 2)).toContainText('Outside by')
  expect(await other.locator('table.harmonics').innerText()).toBe(rows)
  await expect(other.getByText('Trace “trek2-b-146520-high.csv”')).toBeVisible()
  await other.goto(`${DEMO}/report`)
  const stripDates = (text: string) => text.replaceAll(/\d{1,2} \w+ \d{4}, \d\d:\d\d/g, '')
  expect(stripDates(await other.locator('article').innerText())).toBe(stripDates(paper))
  await other.context().close()
})

test('a review that is there already is never overwritten unasked', async ({ page }) => {
  await openDemo(page, `${DEMO}/report`)
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Take the review away' }).click(),
  ])
  const buffer = readFileSync(await download.path())
  await page.goto('/')
  await expect(page.getByRole('heading', { name: 'Fell-race marshals’ handhelds' })).toBeVisible()
  await page
    .getByTestId('review-file')
    .setInputFiles({ name: 'x.json', mimeType: 'application/json', buffer })
  await expect(page.getByRole('dialog')).toContainText('This review is on the shelf already')
  await page.getByRole('button', { name: 'Keep both' }).click()
  await expect(page.getByRole('heading', { name: 'Fell-race marshals’ handhelds (copy)' })).toBeVisible()
})

const BAD = [
  ['broken.json', '{"format":"rigorous-meter-review","schema', 'it was cut short'],
  ['foreign.json', '{"hello": "there"}', 'not a review of Rigorous Meter'],
  ['proto.json', '{"format":"rigorous-meter-review","__proto__":{"polluted":1}}', '__proto__'],
  ['empty.json', '', 'it is empty'],
  ['page.json', '<html></html>', 'not JSON'],
] as const

test('the shelf refuses bad files in plain words and stays as it was', async ({ page }) => {
  await openDemo(page)
  await page.goto('/')
  await expect(page.getByRole('heading', { name: 'Fell-race marshals’ handhelds' })).toBeVisible()
  for (const [name, content, words] of BAD) {
    await test.step(name, async () => {
      await page
        .getByTestId('review-file')
        .setInputFiles({ name, mimeType: 'application/json', buffer: Buffer.from(content) })
      await expect(page.getByTestId('notice')).toContainText(name)
      await expect(page.getByTestId('notice')).toContainText(words)
      await expect(page.getByTestId('notice')).toContainText('as it was')
      await expect(page.locator('.review')).toHaveCount(1)
    })
  }
  expect(await page.evaluate(() => (({}) as { polluted?: number }).polluted)).toBeUndefined()
})

test('two tabs: the second is read-only, follows, and can take over', async ({ page, context }) => {
  await openDemo(page, `${DEMO}/card?set=trek-b`)
  await expect(page.getByLabel('Price', { exact: true })).toBeEnabled()
  const second = await context.newPage()
  await second.goto(`${DEMO}/card?set=trek-b`)
  await expect(second.getByText('This review is open in another tab.')).toBeVisible()
  await expect(second.getByLabel('Price', { exact: true })).toBeDisabled()

  await page.getByLabel('Price', { exact: true }).fill('£41')
  await page.getByLabel('Price', { exact: true }).press('Enter')
  await expect(second.getByLabel('Price', { exact: true })).toHaveValue('£41')

  await second.getByRole('button', { name: 'Take over here' }).click()
  await expect(second.getByLabel('Price', { exact: true })).toBeEnabled()
  await expect(page.getByText('Another tab has taken this review over.')).toBeVisible()
  await expect(page.getByLabel('Price', { exact: true })).toBeDisabled()
  await second.getByLabel('Price', { exact: true }).fill('£42')
  await second.getByLabel('Price', { exact: true }).press('Enter')
  await expect(page.getByLabel('Price', { exact: true })).toHaveValue('£42')
})

test('a removed review is gone after asking, and the demo comes back when wanted', async ({ page }) => {
  await openDemo(page)
  await page.goto('/')
  await page.getByRole('button', { name: /^More for/ }).click()
  await page.getByText('Remove from the shelf').click()
  await expect(page.getByRole('dialog')).toContainText('for good')
  await page.getByRole('button', { name: 'Remove', exact: true }).click()
  await expect(page.getByTestId('empty-shelf')).toBeVisible()
})

test('a full disk is said in words, and the change stays on the screen', async ({ page }) => {
  await openDemo(page, `${DEMO}/card?set=trek-b`)
  const price = page.getByLabel('Price', { exact: true })
  await expect(price).toBeEnabled()
  await page.evaluate(() => {
    IDBObjectStore.prototype.put = () => {
      throw new DOMException('The quota has been exceeded.', 'QuotaExceededError')
    }
  })
  await price.fill('£50')
  await price.press('Enter')
  await expect(page.getByRole('alert').first()).toContainText('storage is full')
  await expect(page.getByTestId('saved')).toHaveText('Not saved')
  await expect(price).toHaveValue('£50')
})

test('a review that is not here says so', async ({ page }) => {
  await page.goto('/review/nowhere/card')
  await expect(page.getByRole('heading', { name: 'No such review on this shelf' })).toBeVisible()
})
