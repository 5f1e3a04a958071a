import { readFileSync } from 'node:fs'
import { expect } from '@playwright/test'
import { choose, DEMO, openDemoAt } from './support'
import { test } from './test'

test('the shelf: marks of radios, a backup in one file, brought back, and found again', async ({ page }) => {
  await openDemoAt(page, '/')
  await expect(page.getByTestId('marks')).toContainText('Trek 2, sample B: outside')

  const [backup] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Back everything up' }).click(),
  ])
  expect(backup.suggestedFilename()).toMatch(/^rigorous-meter-backup-\d{4}-\d\d-\d\d\.zip$/)
  const zip = {
    name: 'backup.zip',
    mimeType: 'application/zip',
    buffer: readFileSync((await backup.path())!),
  }
  await expect(page.getByTestId('backup')).toContainText('taken away')

  await page.getByTestId('review-file').setInputFiles(zip)
  await expect(
    page.getByText('0 reviews are on the shelf. 1 were here already, just as they are.'),
  ).toBeVisible()

  await page.getByRole('button', { name: /More for/ }).click()
  await page.getByText('Remove from the shelf').click()
  await page.getByRole('button', { name: 'Remove', exact: true }).click()
  await expect(page.getByTestId('empty-shelf')).toBeVisible()
  await page.getByTestId('review-file').setInputFiles(zip)
  await expect(page.getByRole('heading', { name: 'Fell-race marshals’ handhelds' })).toBeVisible()

  // A file that is no zip is refused in words, and the shelf is as it was.
  await page.getByTestId('review-file').setInputFiles({ ...zip, buffer: Buffer.from('PK nothing') })
  await expect(page.getByText('it is no zip, or it was cut short')).toBeVisible()
  await expect(page.getByRole('heading', { name: 'Fell-race marshals’ handhelds' })).toBeVisible()
})

test(
  'past radios: by any figure, beside another bench, and the control radio',
  { tag: '@all' },
  async ({ page }) => {
    await openDemoAt(page, '/past')
    const radios = page.getByRole('region', { name: 'Radios' })
    await expect(radios.getByRole('row')).toHaveCount(6)
    await expect(radios).toContainText('2nd to 4th')
    await page.getByRole('textbox', { name: 'Find: maker, price, year' }).fill('osmere')
    await expect(radios.getByRole('row')).toHaveCount(3)

    await page.getByRole('button', { name: 'Control radio' }).click()
    await expect(page.getByText(/too few to speak of a drift/)).toBeVisible()

    const demo = await page.request.get('/demo-review')
    const other = (await demo.text()).replaceAll('Demo bench', 'Another bench')
    await page.getByTestId('compare-files').setInputFiles({
      name: 'another.review.json',
      mimeType: 'application/json',
      buffer: Buffer.from(other),
    })
    await page.getByRole('button', { name: 'Other benches' }).click()
    await expect(page.getByText(/E_n 0\.00: they agree/).first()).toBeVisible()
  },
)

test(
  'my bench: kept from a review, taken into another, told when it moves on',
  { tag: '@all' },
  async ({ page }) => {
    await openDemoAt(page, `${DEMO}/bench`)
    await page.getByRole('button', { name: 'Keep as my bench' }).click()
    await expect(page.getByText('This bench is yours now')).toBeVisible()
    await page.goto('/bench')
    await expect(page.getByTestId('instruments')).toContainText('Pocket analyser')
    await page.getByLabel(/Where you are reached/).fill('Reach me at the club.')
    await page.getByRole('button', { name: 'Keep', exact: true }).click()
    await page.getByRole('button', { name: 'Copy a plain one' }).click()
    await page.getByText('Plain SCPI: power meter').click()
    await expect(page.getByTestId('phrasebooks')).toContainText('My own: power meter')
    await page.goto('/')
    const [backup] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Back everything up' }).click(),
    ])
    const { unzipSync } = await import('fflate')
    const packed = Object.keys(unzipSync(new Uint8Array(readFileSync((await backup.path())!))))
    expect(packed).toContain('my-bench.bench.json')
    await page.goto('/start')
    await expect(page.getByLabel(/My bench/)).toBeChecked()
    await page.getByRole('button', { name: 'Begin' }).click()
    await expect(page).toHaveURL(/\/review\/.*\?set=/)
    const review = page.url().replace(/\/[^/]*$/, '')

    // The original moves on: in the demo, and kept again.
    await page.goto(`${DEMO}/bench`)
    await page
      .getByRole('button', { name: /In-line power meter/ })
      .first()
      .click()
    await page.getByLabel('Name', { exact: true }).first().fill('In-line power meter, mended')
    await page.keyboard.press('Enter')
    await page.getByRole('button', { name: 'Keep as my bench' }).click()
    await expect(page.getByText('This bench is yours now')).toBeVisible()
    await page.goto(`${review}/bench`)
    const line = page.getByTestId('own-bench')
    await expect(line).toContainText('In-line power meter, mended')
    await line.getByRole('button', { name: 'Take them over' }).click()
    await expect(line).not.toContainText('are not as they are here')
  },
)

test(
  'what if: another rule turns verdicts, and is taken over only when asked',
  { tag: '@all' },
  async ({ page }) => {
    await openDemoAt(page, `${DEMO}/findings`)
    const part = page.getByTestId('what-if')
    await choose(page, part.locator('.v-select', { hasText: 'Rule' }).last(), 'Shared risk')
    await part.getByRole('button', { name: 'Look' }).click()
    await expect(part.getByRole('status')).toContainText(/figures differ, \d+ verdicts among them/)
    await expect(part).toContainText('Can’t tell')
    await part.getByRole('button', { name: 'Take it over' }).click()
    await page.goto(`${DEMO}/rulebooks`)
    await expect(page.getByLabel('Shared risk')).toBeChecked()
  },
)
