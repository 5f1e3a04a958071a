import { expect, type Page } from '@playwright/test'
import { harmonicRow, tabTo } from './support'
import { test } from './test'

/** Most inputs a newcomer may need: keys that finish a field or press a button, and clicks. */
const MOST_INPUTS = 25

/** Presses keys and counts them; walking with Tab and writing into a field do not count, finishing it does. */
function counted(page: Page) {
  let inputs = 0
  const press = async (key: string) => {
    inputs++
    await page.keyboard.press(key)
  }
  const typeAndKeep = async (text: string) => {
    await page.keyboard.type(text)
    await press('Enter')
  }
  return { press, typeAndKeep, count: () => inputs }
}

test('a newcomer by keyboard alone: from the empty shelf to the first verdict that stands up', async ({
  page,
}) => {
  const { press, typeAndKeep, count } = counted(page)
  await page.goto('/')
  await expect(page.getByTestId('empty-shelf')).toBeVisible()
  await tabTo(page, 'Start a review')
  await press('Enter')
  await expect(page.getByRole('heading', { name: 'Start a review' })).toBeVisible()

  // A dual-band handheld, where the browser's language says, and to know whether it is clean: as it stands there.
  await tabTo(page, /In-line power meter/)
  await press('Space')
  await tabTo(page, /Pocket analyser/)
  await press('Space')
  await press('Enter')

  // The first step is open; the field in hand is the carrier's.
  await expect(page.getByTestId('set-now')).toHaveText('144.390')
  await tabTo(page, /Reading on/)
  await typeAndKeep('4.6')
  await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur())
  await press('g')
  await press('h')
  await expect(harmonicRow(page, 1)).toBeVisible()
  await tabTo(page, /×1/)
  for (const dbm of ['-3.4', '-58', '-78', '-75']) await typeAndKeep(dbm)
  await expect(harmonicRow(page, 3)).toContainText(/Inside|Outside/)
  expect(count()).toBeLessThanOrEqual(MOST_INPUTS)
  console.log(`    inputs to the first verdict: ${count()}`)
})

test(
  'a newcomer by pointer: the same, every click and every Enter counted',
  { tag: '@all' },
  async ({ page }) => {
    let inputs = 0
    const click = async (what: ReturnType<Page['locator']>) => {
      inputs++
      await what.click()
    }
    await page.goto('/')
    await click(page.getByRole('button', { name: 'Start a review' }))
    await click(page.getByText('In-line power meter and load'))
    await click(page.getByText('Pocket analyser behind 40 dB'))
    await click(page.getByRole('button', { name: 'Begin' }))
    await expect(page.getByTestId('set-now')).toHaveText('144.390')
    await click(page.getByRole('link', { name: /Harmonics, spurs/ }))
    await click(harmonicRow(page, 1).getByRole('textbox'))
    for (const dbm of ['-3.4', '-58', '-78', '-75']) {
      await page.keyboard.type(dbm)
      inputs++
      await page.keyboard.press('Enter')
    }
    await expect(harmonicRow(page, 3)).toContainText(/Inside|Outside/)
    expect(inputs).toBeLessThanOrEqual(MOST_INPUTS)
  },
)
