import { readFile } from 'node:fs/promises'
import { expect, type Page } from '@playwright/test'
import { DEMO, openDemoAt, visit } from './support'

import { wav, fmSamples, twoToneSamples, drop } from './recordingFixtures'
import { test } from './test'

const dialog = (page: Page) => page.getByTestId('recording')
const DEVIATION = `${DEMO}/deviation?set=mini&step=deviation:2m:2m-2:high`

test(
  'a recording comes in by drop; its deviation is judged, drawn, kept with its hash, and survives a reload',
  { tag: '@all' },
  async ({ page }) => {
    await openDemoAt(page, DEVIATION)
    await expect(page.locator('[data-slot=tone] input')).toBeEnabled()
    await drop(page, [
      {
        name: 'mini.wav',
        bytes: wav(fmSamples({ rate: 96_000, seconds: 1.5, offsetHz: 4000, deviationHz: 2000 }), {
          rate: 96_000,
          channels: 2,
        }),
      },
    ])
    await expect(dialog(page)).toContainText('WAV, 16-bit, 2 channels')
    await expect(dialog(page)).toContainText('One tone, fitted')
    await expect(dialog(page)).toContainText(/half peak to peak (2\.000|1\.99\d|2\.00\d)\skHz/)
    await page.getByRole('button', { name: 'Look closer' }).click()
    await expect(page.getByRole('button', { name: 'Whole width' })).toBeVisible()
    await page.getByRole('button', { name: 'Whole width' }).click()
    const csv = page.waitForEvent('download')
    await page.getByRole('button', { name: 'Spectrum as CSV' }).click()
    expect((await readFile(await (await csv).path(), 'utf8')).split('\r\n')[0]).toContain(
      'frequencyHz,meanDbc,highestDbc',
    )
    const annotated = page.waitForEvent('download')
    await page.getByRole('button', { name: 'SigMF annotations' }).click()
    const meta = JSON.parse(await readFile(await (await annotated).path(), 'utf8')) as {
      global: Record<string, unknown>
      annotations: { 'core:label': string }[]
    }
    expect(meta.global['core:datatype']).toBe('ci16_le')
    expect(meta.annotations.map(one => one['core:label'])).toContain('carrier')
    await page.getByRole('button', { name: 'Keep 1 figure' }).click()
    await expect(page.locator('[data-slot=tone] input')).toHaveValue(/^(2\.000|1\.99\d|2\.00\d)\skHz$/)
    await page.locator('.history summary').click()
    await expect(page.locator('.history')).toContainText('mini.wav')
    await page.waitForTimeout(500)
    await page.reload()
    await expect(page.locator('[data-slot=tone] input')).toHaveValue(/kHz$/)
    await expect(page.getByRole('img', { name: /Deviation over time/ })).toBeVisible()
    await visit(page, `${DEMO}/report`)
    await expect(page.getByText('from mini.wav (SHA-256', { exact: false })).toBeVisible()
  },
)

test(
  'SigMF is dropped as two files; the frequency is known to the hertz, the bandwidth has its neighbours',
  { tag: '@all' },
  async ({ page }) => {
    await openDemoAt(page, `${DEMO}/frequency?set=mini&step=frequency:2m:2m-2:high`)
    await expect(page.locator('[data-slot=cold] input')).toBeEnabled()
    const data = fmSamples({ rate: 96_000, seconds: 1, offsetHz: 20_000 - 123.4, deviationHz: 1500 })
    const meta = {
      global: { 'core:datatype': 'ci16_le', 'core:version': '1.0.0', 'core:sample_rate': 96_000 },
      captures: [{ 'core:sample_start': 0, 'core:frequency': 146.5e6 }],
      annotations: [],
    }
    const files = [
      { name: 'mini.sigmf-data', bytes: Buffer.from(data.buffer) },
      { name: 'mini.sigmf-meta', bytes: Buffer.from(JSON.stringify(meta)) },
    ]
    await drop(page, files)
    await expect(dialog(page)).toContainText('Carrier 146.519877 MHz')
    await page.getByRole('button', { name: 'Keep 1 figure' }).click()
    await expect(page.locator('tr', { has: page.locator('[data-slot=cold]') })).toContainText('−123 Hz')

    await visit(page, `${DEMO}/bandwidth?set=mini&step=bandwidth:2m:2m-2:high`)
    await expect(page.locator('[data-slot=obw]')).toBeVisible()
    await expect(page.locator('[data-slot=obw] input')).toBeEnabled()
    await drop(page, files)
    await page.getByRole('button', { name: 'Keep 4 figures' }).click()
    await expect(page.locator('[data-slot=obw] input')).toHaveValue(/kHz$/)
    await expect(page.locator('[data-slot=acp-upper-1] input')).toHaveValue(/dBc$/)
  },
)

test(
  'what the receiver did to a recording is said beside its figures, and a key-down is one of them',
  { tag: '@all' },
  async ({ page }) => {
    await openDemoAt(page, `${DEMO}/bandwidth?set=mini&step=bandwidth:2m:2m-2:high`)
    await expect(page.locator('[data-slot=obw] input')).toBeEnabled()
    const data = fmSamples({ rate: 96_000, seconds: 1.5, offsetHz: 6250, deviationHz: 1500 })
    // Not keyed for 0.4 s; I three per cent larger than Q, which is an image 36.6 dB down; and a spike.
    for (let n = 0; n < data.length / 2; n++) {
      const keyed = n < 0.4 * 96_000 ? 0 : 0.8
      data[2 * n] = Math.round(keyed * 1.03 * data[2 * n]! + 300)
      data[2 * n + 1] = Math.round(keyed * data[2 * n + 1]!)
    }
    await drop(page, [{ name: 'keyed.wav', bytes: wav(data, { rate: 96_000, channels: 2 }) }])
    await expect(dialog(page)).toContainText(
      /receiver’s image of the signal, 36\.\d\sdB under it, was taken off/,
    )
    await expect(dialog(page)).toContainText('own spike in the middle')
    await expect(dialog(page)).toContainText('At key-down and release up to')
    await expect(dialog(page)).toContainText(/0\.\d\d s around key-downs and without a carrier/)
    await dialog(page).getByText('How it is read').click()
    await dialog(page).getByLabel('Phase noise').fill('-120')
    await page.keyboard.press('Enter')
    await dialog(page).getByRole('button', { name: 'Read again' }).click()
    await page.getByRole('button', { name: 'Keep 6 figures' }).click()
    await expect(page.locator('[data-slot=transient] input')).toHaveValue(/dBc$/)
  },
)

test(
  'captures are recordings of their own, and a part of one may be read alone',
  { tag: '@all' },
  async ({ page }) => {
    await openDemoAt(page, DEVIATION)
    await expect(page.locator('[data-slot=tone] input')).toBeEnabled()
    const quiet = fmSamples({ rate: 96_000, seconds: 1, offsetHz: 10_000, deviationHz: 1500 })
    const loud = fmSamples({ rate: 96_000, seconds: 1, offsetHz: 6000, deviationHz: 2400 })
    const bytes = Buffer.concat([Buffer.from(quiet.buffer), Buffer.from(loud.buffer)])
    const meta = (captures: object[]) =>
      Buffer.from(
        JSON.stringify({
          global: { 'core:datatype': 'ci16_le', 'core:version': '1.0.0', 'core:sample_rate': 96_000 },
          captures,
          annotations: [],
        }),
      )
    await drop(page, [
      { name: 'two.sigmf-data', bytes },
      {
        name: 'two.sigmf-meta',
        bytes: meta([
          { 'core:sample_start': 0, 'core:frequency': 146_510_000 },
          { 'core:sample_start': 96_000, 'core:frequency': 146_514_000 },
        ]),
      },
    ])
    await expect(dialog(page)).toContainText(/half peak to peak 1\.(500|499|501)\skHz/)
    await dialog(page).getByLabel('Which of the recordings').focus()
    await page.keyboard.press('ArrowDown')
    await page.getByRole('option', { name: 'capture 2 of 2' }).click()
    await expect(dialog(page)).toContainText(/half peak to peak 2\.(400|399|401)\skHz/)
    await page.getByRole('button', { name: 'Leave it' }).click()

    await drop(page, [
      {
        name: 'one.wav',
        bytes: wav(new Int16Array(bytes.buffer, bytes.byteOffset, bytes.byteLength / 2), {
          rate: 96_000,
          channels: 2,
        }),
      },
    ])
    await expect(dialog(page)).toContainText('all of it')
    await dialog(page).getByText('How it is read').click()
    await dialog(page).getByLabel('Only from').fill('1.1')
    await page.keyboard.press('Tab')
    await dialog(page).getByRole('button', { name: 'Read again' }).click()
    await expect(dialog(page)).toContainText(/half peak to peak 2\.(400|399|401)\skHz/)
    await page.getByRole('button', { name: 'Keep 1 figure' }).click()
    await expect(page.locator('[data-slot=tone] input')).toHaveValue(/kHz$/)
    await page.locator('[data-slot=tone] input').focus()
    await expect(
      page.getByText('Only from 1.1 s to the end of the recording.', { exact: false }).first(),
    ).toBeVisible()
  },
)

test('two tones come in as audio', { tag: '@all' }, async ({ page }) => {
  await openDemoAt(page, `${DEMO}/two-tone?set=tarnwick`)
  await expect(page.locator('[data-slot=imd3] input')).toBeEnabled()
  await drop(page, [{ name: 'tones.wav', bytes: wav(twoToneSamples(24_000), { rate: 24_000, channels: 1 }) }])
  await expect(dialog(page)).toContainText('32-bit float, one channel')
  await page.getByRole('button', { name: /Keep \d figures/ }).click()
  await expect(page.locator('[data-slot=imd3] input')).toHaveValue('30.0 dB')
  await expect(page.getByText('36.0 dB below PEP', { exact: false })).toBeVisible()
})

test('truncated, too slow, incomplete and foreign files are told in plain words, and nothing is lost', async ({
  page,
}) => {
  await openDemoAt(page, DEVIATION)
  await expect(page.locator('[data-slot=tone] input')).toBeEnabled()
  const good = fmSamples({ rate: 96_000, seconds: 0.5, offsetHz: 0, deviationHz: 2000 })
  await drop(page, [
    { name: 'cut.wav', bytes: wav(good, { rate: 96_000, channels: 2, promise: 4 * good.byteLength }) },
  ])
  await expect(dialog(page)).toContainText('The file was cut short: it promises 2.00 s and holds 0.50 s')
  await page.getByRole('button', { name: 'Leave it' }).click()
  await drop(page, [{ name: 'slow.wav', bytes: wav(good, { rate: 8_000, channels: 2 }) }])
  await expect(dialog(page).getByRole('alert')).toContainText(
    '8000 samples a second; a deviation needs 20000 or more',
  )
  await dialog(page).getByLabel('Samples a second').fill('96000')
  await page.keyboard.press('Enter')
  await dialog(page).getByRole('button', { name: 'Read again' }).click()
  await expect(dialog(page)).toContainText('Deviation +')
  await page.getByRole('button', { name: 'Leave it' }).click()
  const notice = page.getByTestId('notice')
  await drop(page, [{ name: 'half.sigmf-meta', bytes: Buffer.from('{}') }])
  await expect(notice).toContainText('drop “half.sigmf-data” together')
  await drop(page, [{ name: 'broken.wav', bytes: Buffer.from('RIFFxxxxWAVE') }])
  await expect(notice).toContainText('cut short')
  await drop(page, [{ name: 'notes.pdf', bytes: Buffer.from('%PDF') }])
  await expect(notice).toContainText('no recording known here')
  await expect(page.locator('[data-slot=tone] input')).toHaveValue('')
})

test(
  '300 MB of I/Q are read in slices while the page stays awake, and can be cancelled',
  { tag: '@all' },
  async ({ page }) => {
    await openDemoAt(page, `${DEMO}/bandwidth?set=mini&step=bandwidth:2m:2m-2:high`)
    await expect(page.locator('[data-slot=obw] input')).toBeEnabled()
    // Made in the page from one piece over and over, so that it never lies whole in memory.
    await page.evaluate(() => {
      const piece = new Int16Array(2 * 960_000)
      for (let n = 0; n < 960_000; n++) {
        const phase =
          2 * Math.PI * ((15_000 * n) / 2_400_000) - 2 * Math.cos((2 * Math.PI * 1000 * n) / 2_400_000)
        piece[2 * n] = Math.round(9000 * Math.cos(phase))
        piece[2 * n + 1] = Math.round(9000 * Math.sin(phase))
      }
      const part = new Blob([piece])
      const data = new File(
        Array.from({ length: 78 }, () => part),
        'long.sigmf-data',
      )
      const meta = new File(
        [
          JSON.stringify({
            global: { 'core:datatype': 'ci16_le', 'core:version': '1.0.0', 'core:sample_rate': 2_400_000 },
            captures: [{ 'core:sample_start': 0 }],
            annotations: [],
          }),
        ],
        'long.sigmf-meta',
      )
      const transfer = new DataTransfer()
      transfer.items.add(data)
      transfer.items.add(meta)
      const watch = window as unknown as {
        longest: number
        frames: number
        last: number
        size: number
        again: () => void
      }
      watch.size = data.size
      watch.longest = 0
      watch.frames = 0
      watch.last = performance.now()
      const look = () => {
        const now = performance.now()
        watch.longest = Math.max(watch.longest, now - watch.last)
        watch.last = now
        watch.frames += 1
        requestAnimationFrame(look)
      }
      requestAnimationFrame(look)
      watch.again = () =>
        document
          .querySelector('.with-side')!
          .dispatchEvent(new DragEvent('drop', { dataTransfer: transfer, bubbles: true, cancelable: true }))
      watch.again()
    })
    expect(await page.evaluate(() => (window as unknown as { size: number }).size)).toBeGreaterThan(290e6)
    await expect(dialog(page)).toContainText(/% of 300 MB read/)
    await dialog(page).getByRole('button', { name: 'Cancel' }).click()
    await expect(dialog(page)).toContainText('Cancelled. Nothing was kept')
    await dialog(page).getByRole('button', { name: 'Read again' }).click()
    await expect(dialog(page)).toContainText('Occupied bandwidth', { timeout: 90_000 })
    const { longest, frames } = await page.evaluate(() => {
      const watch = window as unknown as { longest: number; frames: number }
      return { longest: watch.longest, frames: watch.frames }
    })
    console.log(`    longest pause of the page while 300 MB were read: ${longest.toFixed(0)} ms`)
    // Awake: it drew all the while. How long its longest pause was is a matter of the machine.
    expect(frames).toBeGreaterThan(30)
    await page.getByRole('button', { name: 'Leave it' }).click()
    await expect(dialog(page)).toBeHidden()
  },
)
