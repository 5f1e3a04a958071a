import { expect } from '@playwright/test'
import { steppedWav } from './audioFixtures'
import { DEMO, goOver, goTo, openDemoAt, saved } from './support'
import { test } from './test'

const SENSITIVITY = `${DEMO}/sensitivity?set=mini&step=sensitivity:2m:2m-2:high`

test('a whole receiver by the keyboard: going over, sensitivity with the coach, squelch, neighbour, findings', async ({
  page,
}) => {
  await openDemoAt(page, SENSITIVITY)
  await goOver(page)
  await expect(page.getByTestId('coach')).toContainText('Set −113.4')
  // Digits go into SINAD: the level stands there as proposed. Then below, then near the mark.
  for (const [sinad, next] of [
    ['21', 'clearly below'],
    ['5', 'tells most'],
    ['12.3', ''],
  ] as const) {
    const before = await page.locator('[data-slot^="p"]').count()
    await page.keyboard.type(sinad)
    await page.keyboard.press('Enter')
    await expect(page.locator('[data-slot^="p"]')).toHaveCount(before + 1)
    await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur())
    if (next) await expect(page.getByTestId('coach')).toContainText(next)
  }
  const mark = page.getByRole('row', { name: /^12 dB SINAD/ })
  await expect(mark).toContainText('dBm')
  await expect(mark).toContainText('the maker does not say')
  await saved(page)

  // A sign left out is refused, and put right by its offer.
  const level = page.locator('[data-slot="p4"] input').first()
  await level.fill('93')
  await level.press('Enter')
  await page.locator('[data-slot="p4"]').getByRole('button', { name: '-93' }).click()
  await expect(page.locator('[data-slot="p4"]').getByRole('alert')).toHaveCount(0)

  await goTo(page, 'q', /^Squelch/)
  for (const [slot, dbm] of [
    ['threshold-open-1', '-120.5'],
    ['threshold-close-1', '-124'],
  ] as const) {
    await page.locator(`[data-slot="${slot}"] input`).fill(dbm)
    await page.locator(`[data-slot="${slot}"] input`).press('Enter')
  }
  await expect(page.getByRole('row', { name: /^Hysteresis/ })).toContainText('3.0 dB between')

  // The pocket generator would not survive: nothing can be typed before the lock is ticked.
  await goTo(page, 'n', /^Neighbour channel/)
  const lower = page.locator('[data-slot="tia-lower"] input').last()
  await expect(lower).toBeDisabled()
  await page.getByLabel(/I make sure that the radio cannot transmit/).check()
  await expect(lower).toBeEnabled()
  await lower.fill('-59')
  await lower.press('Enter')
  await expect(page.getByRole('row', { name: /^Rejection, TIA-603/ })).toContainText('dB')

  // Back to transmitting goes over again: never a generator on a socket that is keyed.
  await goTo(page, 'p', /Going over to transmitting/)
  await goOver(page)
  await expect(page.getByRole('heading', { name: /^Carrier power/ })).toBeVisible()
  await goTo(page, 'f', 'What we can say about these radios')
  await expect(page.getByText('How little does it still hear?')).toBeVisible()
})

test(
  'audio brought in: a recording that steps from level to level becomes points of the curve',
  { tag: '@all' },
  async ({ page }) => {
    await openDemoAt(page, SENSITIVITY)
    await goOver(page)
    await page.getByTestId('audio-file').setInputFiles({
      name: 'stepped.wav',
      mimeType: 'audio/wav',
      buffer: steppedWav([22, 15, 8], 3),
    })
    const dialog = page.getByRole('dialog')
    await expect(dialog.getByTestId('stretch-sinad')).toHaveCount(3)
    const read = await dialog.getByTestId('stretch-sinad').allTextContents()
    for (const [i, wanted] of [22, 15, 8].entries())
      expect(Math.abs(Number.parseFloat(read[i]!) - wanted)).toBeLessThan(0.5)
    await dialog.getByLabel('Generator at first').fill('-114')
    await dialog.getByLabel('Then by').fill('-4')
    await dialog.getByRole('button', { name: 'Keep 3 readings' }).click()
    await expect(page.locator('[data-slot^="p"]')).toHaveCount(4)
    await expect(page.getByRole('row', { name: /^12 dB SINAD/ })).toContainText('dBm')

    // A file that is none says so, and nothing is kept.
    await page.getByTestId('audio-file').setInputFiles({
      name: 'broken.wav',
      mimeType: 'audio/wav',
      buffer: Buffer.from('not a recording'),
    })
    await expect(page.getByRole('alert').first()).toBeVisible()
    await expect(page.locator('[data-slot^="p"]')).toHaveCount(4)
  },
)

test('listening that is not allowed says what to do; typing goes on', async ({ page }) => {
  await openDemoAt(page, SENSITIVITY)
  await goOver(page)
  await page.evaluate(() => {
    navigator.mediaDevices.getUserMedia = () => Promise.reject(new DOMException('no', 'NotAllowedError'))
  })
  await page.getByRole('button', { name: 'Listen' }).click()
  await expect(page.getByRole('alert').filter({ hasText: 'not allowed to listen' })).toBeVisible()
  await page.keyboard.type('20')
  await page.keyboard.press('Enter')
  await expect(page.locator('[data-slot="p2"]')).toBeVisible()
})

test(
  'claims of a receiver on the card: both readings of a voltage, judged by the one chosen',
  { tag: '@all' },
  async ({ page }) => {
    await openDemoAt(page, `${DEMO}/card?set=trek-a`)
    await expect(page.getByText('−120.97 dBm as pd, −126.99 dBm as emf; judged by pd')).toBeVisible()
    await page.getByRole('button', { name: 'Add a claim on 2 m' }).click()
    const menu = page.locator('.v-menu')
    await menu.locator('.v-list-item', { hasText: '12 dB SINAD' }).click()
    await expect(menu).toHaveCount(0)
    const field = page.getByLabel('2 m, 12 dB SINAD')
    await field.fill('0.16 µV emf')
    await field.press('Enter')
    await expect(page.getByText('judged by emf, as the box says')).toBeVisible()
    await field.fill('rubbish')
    await field.press('Enter')
    await expect(page.getByRole('alert')).toContainText('no number')
  },
)
