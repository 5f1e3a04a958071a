import { expect, type Page } from '@playwright/test'
import { DEMO, harmonicRow, openDemoAt, saved, traceCsv } from './support'
import { test } from './test'

const MINI = `${DEMO}/harmonics?set=mini&step=harmonics:2m:2m-2:low`

async function bring(page: Page, name: string, content: string | Buffer): Promise<void> {
  await page
    .getByTestId('trace-file')
    .setInputFiles({ name, mimeType: 'text/csv', buffer: Buffer.from(content) })
}

test.beforeEach(async ({ page }) => {
  await openDemoAt(page, MINI)
  await expect(page.getByTestId('set-now')).toHaveText('146.520')
})

test('a trace comes in by button, is confirmed, fills the table and is drawn', async ({ page }) => {
  await bring(page, 'sweep.csv', traceCsv())
  const dialog = page.getByRole('dialog')
  await expect(dialog).toContainText('Bring in “sweep.csv”?')
  await expect(dialog).toContainText('16000 points, columns parted by commas')
  await expect(dialog.getByLabel('Resolution bandwidth')).toHaveValue('0.1')
  await expect(dialog).toContainText('The trace runs from')
  await dialog.getByRole('button', { name: 'Fill the table with 6 peaks' }).click()
  await expect(harmonicRow(page, 2).getByRole('textbox')).toHaveValue('−58.1')
  await expect(harmonicRow(page, 2)).toContainText('Outside by')
  await expect(harmonicRow(page, 8)).toContainText('Not covered')
  await expect(page.getByText('Trace “sweep.csv”, 16000 points')).toBeVisible()
  const longestPath = () =>
    page
      .getByRole('img', { name: /^Spectrum at the radio/ })
      .locator('path')
      .evaluateAll(paths => Math.max(0, ...paths.map(path => path.getAttribute('d')?.length ?? 0)))
  await expect.poll(longestPath).toBeGreaterThan(5000)
  await saved(page)
  await page.reload()
  await expect(harmonicRow(page, 2).getByRole('textbox')).toHaveValue('−58.1')
  await page.keyboard.press('Control+z')
  await page.goto(MINI)
  await expect(page.getByText('Trace “sweep.csv”')).toBeVisible()
})

test('a trace comes in by drop, and one undo takes all its peaks out', { tag: '@all' }, async ({ page }) => {
  const transfer = await page.evaluateHandle(
    text => {
      const data = new DataTransfer()
      data.items.add(new File([text], 'dropped.csv', { type: 'text/csv' }))
      return data
    },
    traceCsv({ head: '\uFEFFMHz;dBm\r\n' }).replaceAll(',', ';'),
  )
  await page.getByRole('table').first().dispatchEvent('drop', { dataTransfer: transfer })
  await expect(page.getByRole('dialog')).toContainText('Bring in “dropped.csv”?')
  await expect(page.getByRole('dialog')).toContainText('the resolution bandwidth is not known')
  await page.getByRole('button', { name: /Take the instrument’s/ }).click()
  await page.getByRole('button', { name: /^Fill the table/ }).click()
  await expect(harmonicRow(page, 3).getByRole('textbox')).toHaveValue('−80.4')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(harmonicRow(page, 3).getByRole('textbox')).toHaveValue('')
  await page.getByRole('button', { name: 'Redo' }).click()
  await expect(harmonicRow(page, 3).getByRole('textbox')).toHaveValue('−80.4')
})

test('a coarse trace says so and cannot show that anything is clean', { tag: '@all' }, async ({ page }) => {
  await bring(page, 'coarse.csv', traceCsv({ stepHz: 600_000, levels: { 1: -13, 2: -58 } }))
  await expect(page.getByRole('dialog')).toContainText('wider than the resolution bandwidth of 100 kHz')
  await page.getByRole('button', { name: /^Fill the table/ }).click()
  await expect(harmonicRow(page, 4)).toContainText('Not covered')
  await expect(harmonicRow(page, 2)).toContainText('Outside by')
  await harmonicRow(page, 4).click()
  await expect(page.getByText('a peak can fall between two of them')).toBeVisible()
})

const BAD: [name: string, content: string, words: RegExp][] = [
  ['empty.csv', '', /it is empty/],
  ['page.csv', '<!DOCTYPE html><html><body>no</body></html>', /it is a web page/],
  ['nan.csv', 'MHz,dBm\n146.52,-13\n293.04,NaN\n', /reads “NaN”, which is no number \(line 3\)/],
  ['one-column.csv', '146.52\n293.04\n439.56', /it has one column/],
  ['line.csv', '1,2,'.repeat(750_000), /this line has 3000000 characters/],
  ['proto.csv', '{"__proto__": {"polluted": true}}', /no row in it has a number|it has one column/],
]

test('refuses bad files in plain words and loses nothing', async ({ page }) => {
  await harmonicRow(page, 1).getByRole('textbox').fill('-25')
  await harmonicRow(page, 1).getByRole('textbox').press('Enter')
  for (const [name, content, words] of BAD) {
    await test.step(name, async () => {
      await bring(page, name, content)
      await expect(page.getByTestId('notice')).toContainText(name)
      await expect(page.getByTestId('notice')).toHaveText(words)
      await expect(page.getByTestId('notice')).toContainText('Everything you had is as it was')
      await expect(page.getByRole('dialog')).toHaveCount(0)
      await expect(harmonicRow(page, 1).getByRole('textbox')).toHaveValue('-25')
    })
  }
})

test('100 000 rows are read and drawn while the page stays awake', { tag: '@all' }, async ({ page }) => {
  await page.evaluate(() => {
    const marks = { longest: 0, last: performance.now() }
    Object.assign(window, { marks })
    const tick = () => {
      marks.longest = Math.max(marks.longest, performance.now() - marks.last)
      marks.last = performance.now()
      requestAnimationFrame(tick)
    }
    requestAnimationFrame(tick)
  })
  await bring(page, 'long.csv', traceCsv({ stepHz: 9_600, toHz: 960e6 }))
  await expect(page.getByRole('dialog')).toContainText('100000 points')
  await page.getByRole('button', { name: /^Fill the table/ }).click()
  await expect(page.getByText('Trace “long.csv”, 100000 points')).toBeVisible()
  const longest = await page.evaluate(
    () => (window as unknown as { marks: { longest: number } }).marks.longest,
  )
  test.info().annotations.push({ type: 'longest pause of the page, ms', description: longest.toFixed(0) })
  console.log(`    longest pause of the page while 100 000 rows came in: ${longest.toFixed(0)} ms`)
})
