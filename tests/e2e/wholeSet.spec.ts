import { readFile } from 'node:fs/promises'
import { expect, type Page } from '@playwright/test'
import { DEMO, goOver, openDemoAt, saved, tabTo } from './support'
import { test } from './test'

const row = (page: Page, slot: string) => page.locator('tr', { has: page.locator(`[data-slot="${slot}"]`) })

test('battery by keyboard: currents are typed, a discharge is brought in, the charge lasts so long', async ({
  page,
}) => {
  await openDemoAt(page, `${DEMO}/battery?set=c1`)
  await expect(page.getByText('Nothing to draw yet')).toBeVisible()
  await tabTo(page, /Waiting, saver on/)
  for (const typed of ['45 mA', '70 mA', '180 mA', '1.62 A']) {
    await page.keyboard.type(typed)
    await page.keyboard.press('Enter')
  }
  // 2.2 Ah of the label over 81 + 9 + 40.5 mA.
  await expect(row(page, 'life-5-5-90')).toContainText('16.9')
  await expect(page.getByRole('img', { name: /Battery and supply/ })).toBeVisible()

  const log = [
    'time s,V,A',
    ...Array.from({ length: 61 }, (_unused, i) => `${i * 300},${8.2 - i * 0.03},0.42`),
  ]
  await page
    .getByTestId('files')
    .setInputFiles({ name: 'pack.csv', mimeType: 'text/csv', buffer: Buffer.from(log.join('\n')) })
  // 0.42 A for five hours.
  await expect(row(page, 'capacity')).toContainText('2.10')
  await expect(row(page, 'capacity')).toContainText('Short of its label by 0.10')
  await expect(page.getByText('The discharge', { exact: true })).toBeVisible()
  await page
    .getByTestId('files')
    .setInputFiles({ name: 'bad.csv', mimeType: 'text/csv', buffer: Buffer.from('s,A\n0,1\nlater,1') })
  await expect(page.getByText('“bad.csv” was not brought in: the time reads “later”')).toBeVisible()

  // Live, by the stand-in: stopped early it says how far it went.
  await page.getByRole('button', { name: 'Simulated pack' }).click()
  await expect(page.getByTestId('pack-now')).toContainText(/0\.[1-9]\d h: .* V/)
  await page.getByRole('button', { name: 'Stop and keep' }).click()
  await expect(page.getByText('The discharge of “simulated pack.csv” is kept')).toBeVisible()

  await page.getByText('Own duty and ammeter').click()
  await page.getByLabel('Own duty: keyed').fill('50')
  await page.getByLabel('Own duty: keyed').press('Enter')
  await page.getByLabel('Receiving', { exact: true }).fill('60')
  await page.getByLabel('Receiving', { exact: true }).press('Enter')
  await expect(page.getByTestId('notice').getByText('the shares come to more than 100 %')).toBeVisible()
  await saved(page)
})

test(
  'antenna: matches are typed in any way, a sweep is brought in, another antenna stands beside it, a file goes out',
  { tag: '@all' },
  async ({ page }) => {
    await openDemoAt(page, `${DEMO}/antenna?set=pellworth`)
    await page.getByLabel('How it is held, and over what').fill('on the roof of a car')
    await page.getByLabel('How it is held, and over what').press('Enter')
    await tabTo(page, /144\.390.MHz, Fell/)
    for (const typed of ['1.5', '14 dB', '20/0.8 W']) {
      await page.keyboard.type(typed)
      await page.keyboard.press('Enter')
    }
    await expect(row(page, 'match-2m-1')).toContainText('return loss 14.0')
    await expect(row(page, 'match-2m-2')).toContainText('1.50:1')
    await expect(row(page, 'match-2m-3')).toContainText('1.50:1')

    const sweep = Array.from(
      { length: 61 },
      (_unused, i) => `${130 + i * 0.5} ${((i - 32) / 40).toFixed(4)} 0`,
    )
    await page.getByTestId('files').setInputFiles({
      name: 'roof.s1p',
      mimeType: 'text/plain',
      buffer: Buffer.from(['! on the roof', '# MHz S RI R 50', ...sweep, 'broken'].join('\n')),
    })
    await expect(page.getByTestId('notice').getByText(/1 line passed over: line 64/)).toBeVisible()
    // Γ rises by 0.025 each half MHz from nought on 146 MHz: 0.0805 on 144.39.
    await expect(row(page, 'match-2m-1')).toContainText('1.18:1')
    await expect(row(page, 'best')).toContainText('146.0')

    const [file] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Take away as .s1p' }).click(),
    ])
    const text = await readFile(await file.path(), 'utf8')
    expect(text).toContain('# Hz S MA R 50')
    expect(text).toContain('Held: on the roof of a car')

    await page.getByRole('button', { name: 'Another antenna' }).click()
    await expect(page.getByText('step 2 of 2')).toBeVisible()
    await page.getByLabel('Antenna', { exact: true }).fill('Long whip')
    await page.getByLabel('Antenna', { exact: true }).press('Enter')
    await page.getByRole('button', { name: 'Simulated analyser' }).click()
    await expect(row(page, 'match-2m-1')).toContainText(':1')
    await page.getByRole('button', { name: 'Remove this one' }).click()
    await expect(page.getByText('step 1 of 1')).toBeVisible()
    await saved(page)
  },
)

test(
  'audio: volts across the load come to watts, and a recording without a known full scale is refused in words',
  { tag: '@all' },
  async ({ page }) => {
    await openDemoAt(page, `${DEMO}/audio?set=trek-a`)
    await goOver(page)
    for (const lock of await page.getByRole('checkbox', { name: /cannot transmit/ }).all()) await lock.check()
    await tabTo(page, /Volts at 10 % distortion/)
    await page.keyboard.type('2.0')
    await page.keyboard.press('Enter')
    await expect(row(page, 'power')).toContainText('0.50')
    await page.getByTestId('files').setInputFiles({
      name: 'tone.wav',
      mimeType: 'audio/wav',
      buffer: Buffer.alloc(44),
    })
    await expect(page.getByText('Volts need a sound card whose full scale is known')).toBeVisible()
  },
)

test(
  'power over time follows the clock: the moment that is due is the field in hand',
  { tag: '@all' },
  async ({ page }) => {
    await openDemoAt(page, `${DEMO}/power-over-time?set=c1`)
    await page.getByRole('button', { name: 'Keyed' }).click()
    await expect(page.getByTestId('moment-due')).toContainText(/0:00 is (due|next)/)
    await expect(page.locator('[data-slot=t0] input')).toBeFocused()
    await page.keyboard.type('4.9')
    await page.keyboard.press('Enter')
    await expect(page.getByTestId('moment-due')).toContainText('0:10')
    await expect(page.locator('[data-slot=t10] input')).toBeFocused()
    await page.getByRole('button', { name: 'Release' }).click()
    await expect(page.getByTestId('moment-due')).toBeHidden()
  },
)

test(
  'inside a set: who may adjust it, the power read at its own station, large beside the aim',
  { tag: '@all' },
  async ({ page }) => {
    await openDemoAt(page, `${DEMO}/inside?set=pellworth`)
    await page.getByLabel('Who is licensed or competent to adjust it').fill('the club’s engineer')
    await page.getByLabel('The owner wants it adjusted, and knows what that may void').check()
    await page.getByRole('button', { name: 'Begin to adjust' }).click()
    await expect(page.getByText('Nothing was read since it was begun')).toBeVisible()
    await page.getByLabel('Aim: power').fill('24')
    await page.getByLabel('Aim: power').press('Enter')
    await saved(page)
    await page.goto(`${DEMO}/carrier-power?set=pellworth&step=carrier-power:2m:2m-1:high`)
    const field = page.locator('section.entry input').first()
    await field.fill('24.1')
    await field.press('Enter')
    await saved(page)
    await page.goto(`${DEMO}/inside?set=pellworth`)
    await expect(page.getByText('aim 24.0')).toBeVisible()
    await expect(page.locator('.inside .now').first()).toContainText(/24\.\d/)
    await page.getByRole('button', { name: 'Adjusting is done' }).click()
    await expect(page.getByRole('button', { name: 'Adjust again' })).toBeVisible()
  },
)
