import { readFile } from 'node:fs/promises'
import { expect } from '@playwright/test'
import { choose, DEMO, TREK_B_HIGH, goByFind, goTo, openDemoAt, tabTo, visit } from './support'
import { test } from './test'

test(
  'the run: what the order saves, moved by key and by drag, left out with a reason, a channel of one’s own',
  { tag: '@all' },
  async ({ page }) => {
    await openDemoAt(page, `${DEMO}/run?set=trek-a`)
    await expect(page.getByTestId('savings')).toContainText('What this order saves')
    const first = page.locator('tr.step-row').first()
    await expect(first).toContainText('144.390')
    await first.getByRole('button', { name: 'Carrier power' }).click()
    await expect(page.getByText('Set the radio:')).toBeVisible()
    await expect(first.locator('.handle')).toBeEnabled()
    await first.locator('.handle').focus()
    await page.keyboard.press('Alt+ArrowDown')
    await expect(page.locator('tr.step-row').nth(1)).toContainText('144.390')
    await expect(page.getByTestId('savings')).toContainText('Your own order')
    await page.getByRole('button', { name: 'Back to the proposed order' }).click()
    await expect(page.locator('tr.step-row').first()).toContainText('144.390')
    const from = (await page.locator('tr.step-row').first().locator('.handle').boundingBox())!
    const to = (await page.locator('tr.step-row').nth(2).boundingBox())!
    await page.mouse.move(from.x + 8, from.y + 8)
    await page.mouse.down()
    for (let i = 1; i <= 10; i++)
      await page.mouse.move(from.x + 8, from.y + 8 + ((to.y + to.height - 4 - from.y) * i) / 10)
    await page.waitForTimeout(200)
    await page.mouse.up()
    await expect(page.getByTestId('savings')).toContainText('Your own order')
    await page.keyboard.press('Control+z')
    await expect(page.getByTestId('savings')).toContainText('What this order saves')

    await page.getByLabel('Open only').check()
    const open = page.locator('tr.step-row').first()
    const count = await page.locator('tr.step-row').count()
    await open.getByRole('button', { name: 'Leave out' }).click()
    await page.getByLabel('Why is it left out?').fill('no adapter for its socket')
    await page.getByRole('button', { name: 'Leave it out' }).click()
    await expect(page.locator('tr.step-row')).toHaveCount(count - 1)
    await page.getByLabel('Open only').uncheck()
    await expect(page.getByText('left out: no adapter for its socket')).toBeVisible()
    await page.getByRole('button', { name: 'Take up' }).click()
    await expect(page.getByText('left out:')).toBeHidden()

    await page.getByLabel('MHz').fill('145.2')
    await page.getByLabel('Name').fill('Tarn')
    await page.getByRole('button', { name: 'Add it' }).click()
    await expect(page.getByText('145.200').first()).toBeVisible()
    await page.getByText('Choose', { exact: true }).click()
    await page.getByLabel('Open and short').check()
    await expect(page.getByLabel('Open and short')).toBeChecked()
  },
)

test('the main flow by keyboard: deviation, frequency and neighbours are typed, judged in their own units, and found again', async ({
  page,
}) => {
  await openDemoAt(page, `${DEMO}/deviation?set=mini&step=deviation:2m:2m-2:high`)
  await expect(page.locator('[data-slot=tone] input')).toBeEnabled()
  await page.keyboard.press('1')
  await page.keyboard.type('.42')
  await page.keyboard.press('Enter')
  await page.keyboard.type('2,9 kHz')
  await page.keyboard.press('Enter')
  await expect(page.locator('tr', { has: page.locator('[data-slot=loudest]') })).toContainText('2.900 kHz')
  await expect(page.locator('tr', { has: page.locator('[data-slot=tone]') })).toContainText('1.420 kHz')
  await page.keyboard.type('340 Hz')
  await page.keyboard.press('Enter')
  await page.keyboard.type('1040')
  await page.keyboard.press('Enter')
  await expect(page.locator('tr', { has: page.locator('[data-slot=null-tone]') })).toContainText('2.501 kHz')

  await goByFind(page, 'frequency', /Frequency error/)
  await tabTo(page, /Cold, right after/)
  await page.keyboard.type('+250 Hz')
  await page.keyboard.press('Enter')
  await page.keyboard.type('-0.5 ppm')
  await page.keyboard.press('Enter')
  await expect(page.getByText(/It moves by −\d+\sHz/)).toBeVisible()

  await goByFind(page, 'bandw', /Bandwidth and neighbours/)
  await tabTo(page, /Occupied bandwidth/)
  await page.keyboard.type('8.4')
  await page.keyboard.press('Enter')
  await page.keyboard.type('-61.5')
  await page.keyboard.press('Enter')
  await expect(page.locator('tr', { has: page.locator('[data-slot=acp-lower-1]') })).toContainText('−61.5 dB')

  await goTo(page, 'f', 'What we can say about these radios')
  await expect(page.getByText('Does its deviation stay within its channel?')).toBeVisible()
})

test(
  'power over time is typed, read from the virtual bench without hands, and brought in as a log',
  { tag: '@all' },
  async ({ page }) => {
    await page.addInitScript(() =>
      localStorage.setItem('rigorous-meter:links', JSON.stringify({ meter: { via: 'virtual' } })),
    )
    await openDemoAt(page, `${DEMO}/power-over-time?set=mini&step=power-over-time:2m:2m-2:high`)
    await page.locator('[data-slot=t0] input').fill('3.1')
    await page.keyboard.press('Enter')
    await page.keyboard.type('3.02')
    await page.keyboard.press('Enter')
    await expect(page.getByText(/Power falls by 0\.11\sdB in 10\ss/).first()).toBeVisible()
    await page.locator('h1').first().click()
    await page.keyboard.press('l')
    await expect(page.getByTestId('link')).toContainText('12 read', { timeout: 40_000 })
    await expect(page.locator('[data-slot=t300] input')).not.toHaveValue('')
    await page.getByTestId('files').setInputFiles({
      name: 'log.csv',
      mimeType: 'text/csv',
      buffer: Buffer.from(
        'time;power W\n' +
          Array.from(
            { length: 61 },
            (_unused, i) =>
              `${Math.floor(i / 12)}:${String((i * 5) % 60).padStart(2, '0')};${(3 - 0.002 * i).toFixed(3)}`,
          ).join('\n'),
      ),
    })
    await expect(page.getByTestId('notice')).toContainText('14 moments from “log.csv”')
    await expect(page.locator('[data-slot=t300] input')).toHaveValue('2.880 W')
    await page.locator('.history summary').click()
    await expect(page.locator('.history')).toContainText(/virtual bench, answered \d/)
    await expect(page.locator('.history')).toContainText('superseded')
  },
)

test(
  'key-up, ambient and spurs: a held trace with a third column fills them',
  { tag: '@all' },
  async ({ page }) => {
    await openDemoAt(page, TREK_B_HIGH)
    await page.getByRole('button', { name: 'At key-up' }).click()
    await page.locator('[data-slot="x2:key-up"] input').fill('-55')
    await page.keyboard.press('Enter')
    await expect(page.locator('tr', { has: page.locator('[data-slot="x2:key-up"]') })).toContainText(
      'Outside by',
    )
    await page.getByRole('button', { name: 'Ambient', exact: true }).click()
    await page.locator('[data-slot="x3:ambient"] input').fill('-69')
    await page.keyboard.press('Enter')
    await page.getByRole('button', { name: 'Settled' }).click()
    await expect(page.locator('tr', { has: page.locator('[data-slot=x3]') })).toContainText('<')
    const rows = ['Frequency (MHz),Live (dBm),Max hold (dBm)']
    for (let i = 1; i < 9600; i++) {
      const mhz = i * 0.1
      const near = (at: number) => Math.abs(mhz - at) < 0.06
      const level = (spur: number) => (near(311.2) ? spur : -86)
      rows.push(`${mhz.toFixed(2)},${near(146.5) ? '-13,-13' : `${level(-58)},${level(-50)}`}`)
    }
    await page
      .getByTestId('trace-file')
      .setInputFiles({ name: 'held.csv', mimeType: 'text/csv', buffer: Buffer.from(rows.join('\n')) })
    await expect(page.getByText('Other spurs, outside', { exact: false })).toBeVisible()
    const column = page.locator('.v-select', { has: page.getByLabel('Column of levels') })
    await choose(page, column, 'Max hold (dBm)')
    await expect(page.getByText('311.200 MHz, −50.0 dBm', { exact: false })).toBeVisible()
    await page.getByRole('button', { name: /Fill the table/ }).click()
    await expect(page.locator('[data-slot=s311200000] input')).toHaveValue('−50.0')
  },
)

test(
  'the key-down clock counts down, logs, and the lamps know the heat; notes and a picture stay with the step',
  { tag: '@all' },
  async ({ page }) => {
    await openDemoAt(page, `${DEMO}/carrier-power?set=mini&step=carrier-power:2m:2m-2:high`)
    await expect(page.getByTestId('clock')).toHaveText('0:00')
    await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur())
    await page.keyboard.press('Space')
    await expect(page.getByText(/keyed, 0:5\d left/)).toBeVisible()
    await page.waitForTimeout(1200)
    await page.keyboard.press('Space')
    await expect(page.getByText(/keyed 0:0\d in all/)).toBeVisible()
    await page.getByLabel('Note to this step').fill('antenna socket a little loose')
    await page.getByLabel('Note to this step').blur()
    const pixel = await page.evaluate(() => {
      const canvas = document.createElement('canvas')
      canvas.width = 2000
      canvas.height = 1000
      canvas.getContext('2d')!.fillRect(0, 0, 900, 900)
      return canvas.toDataURL('image/png').split(',')[1]!
    })
    await page
      .getByTestId('picture-file')
      .setInputFiles({ name: 'bench.png', mimeType: 'image/png', buffer: Buffer.from(pixel, 'base64') })
    await expect(page.getByRole('img', { name: 'bench.png' })).toHaveAttribute('width', '1280')
    await page
      .getByTestId('picture-file')
      .setInputFiles({ name: 'words.png', mimeType: 'image/png', buffer: Buffer.from('no picture') })
    await expect(page.getByTestId('notice')).toContainText('no picture this browser can read')
    await page.waitForTimeout(500)
    await page.reload()
    await expect(page.getByLabel('Note to this step')).toHaveValue('antenna socket a little loose')
    await expect(page.getByRole('img', { name: 'bench.png' })).toBeVisible()
    await visit(page, `${DEMO}/report`)
    const taken = page.waitForEvent('download')
    await page
      .getByRole('button', { name: /review/i })
      .first()
      .click()
    const file = JSON.parse(await readFile(await (await taken).path(), 'utf8')) as {
      pictures: unknown[]
      review: { keyDowns: { seconds: number }[] }
    }
    expect(file.pictures).toHaveLength(1)
    expect(file.review.keyDowns.at(-1)!.seconds).toBeGreaterThan(1)
  },
)

test('open and short stay shut until the owner consents', async ({ page }) => {
  await openDemoAt(page, `${DEMO}/stress?set=c1`)
  await expect(page.getByRole('button', { name: 'Record the consent' })).toBeDisabled()
  await page.getByLabel('Owner who consents').fill('the owner')
  await page.getByLabel('The owner accepts').check()
  await page.getByRole('button', { name: 'Record the consent' }).click()
  await expect(page.getByText('Consent by the owner')).toBeVisible()
  await page.locator('[data-slot=before] input').fill('5.1')
  await page.keyboard.press('Enter')
  await page.locator('[data-slot=after] input').fill('5.09')
  await page.keyboard.press('Enter')
  await page.locator('[data-slot=open] input').check()
  await expect(page.getByText('Power as before', { exact: false })).toBeVisible()
})

test(
  'two tones on SSB, and what leaves the antenna: equipment ticked, both conventions, never a verdict',
  { tag: '@all' },
  async ({ page }) => {
    await openDemoAt(page, `${DEMO}/two-tone?set=tarnwick`)
    await page.getByText(/On the bench: 0 of 7/).click()
    await page.getByLabel(/Two audio generators/).check()
    await expect(page.getByText('On the bench: 1 of 7')).toBeVisible()
    await page.locator('[data-slot=imd3] input').fill('31')
    await page.keyboard.press('Enter')
    await expect(page.getByText('31.0 dB below either tone, 37.0 dB below PEP')).toBeVisible()
    await visit(page, `${DEMO}/off-air?set=trek-b&step=off-air:2m:2m-2:high`)
    await expect(page.getByText('C1 (control) −44.6 dBc', { exact: false })).toBeVisible()
    await expect(page.locator('table.slots')).not.toContainText('Inside')
    await visit(page, `${DEMO}/frequency?set=mini`)
    await page.getByRole('button', { name: 'Simulated receiver' }).click()
    await page.getByRole('button', { name: 'Keep 1 figure' }).click()
    await expect(page.locator('[data-slot=cold] input')).toHaveValue(/MHz$/)
  },
)

test(
  'a radio switched between channel spacings is measured at each, and every step says what it answers to',
  { tag: '@all' },
  async ({ page }) => {
    await openDemoAt(page, `${DEMO}/card?set=mini`)
    await expect(page.getByLabel('Also on 2 m')).toBeEnabled()
    await page.getByLabel('Also on 2 m').focus()
    await page.keyboard.press('ArrowDown')
    await page.getByRole('option', { name: /^25\skHz$/ }).click()
    await page.keyboard.press('Escape')
    await visit(page, `${DEMO}/deviation?set=mini&step=deviation:2m:2m-2:high:25000`)
    await expect(page.getByRole('heading', { name: /Deviation · step 2 of 3 · 2 m, 25\skHz/ })).toBeVisible()
    await expect(page.getByText(/Set to channels of 25\skHz/)).toBeVisible()
    await expect(page.locator('[data-slot=tone] input')).toBeEnabled()
    await page.locator('[data-slot=tone] input').fill('2.9')
    await page.keyboard.press('Enter')
    await page.locator('[data-slot=tone] input').focus()
    await expect(page.getByText(/58 % of the 5(\.0)?\skHz that channels of 25/)).toBeVisible()
    await visit(page, `${DEMO}/run?set=mini`)
    const row = page
      .locator('tr.step-row', { hasText: /Mini 4/ })
      .filter({ hasText: /High, 25\skHz/ })
      .first()
    await row.getByRole('button', { name: 'Deviation' }).click()
    await expect(page.getByText('US amateur: no figure for deviation')).toBeVisible()
    await expect(page.getByText('open, for the record').first()).toBeVisible()
  },
)
