import { expect, type Page } from '@playwright/test'
import { fakeCardWav } from './audioFixtures'
import { DEMO, goOver, openDemoAt, visit } from './support'
import { TEST_BROWSER } from './testBrowser'
import { test } from './test'

/** SINAD of the file the fake sound card plays, by the closed form. */
const TRUE_SINAD_DB = 13.4

test.use({
  permissions: ['microphone'],
  launchOptions: {
    executablePath: process.env.CHROMIUM_PATH ?? '/usr/bin/chromium',
    args: [
      ...TEST_BROWSER,
      '--use-fake-ui-for-media-stream',
      '--use-fake-device-for-media-stream',
      `--use-file-for-fake-audio-capture=${fakeCardWav(TRUE_SINAD_DB)}`,
    ],
  },
})

async function readyToHear(page: Page): Promise<void> {
  await openDemoAt(page, `${DEMO}/sensitivity?set=mini&step=sensitivity:2m:2m-2:high`)
  const boxes = page.locator('section.over input[type=checkbox]')
  await expect(boxes.first()).toBeVisible()
  for (const box of await boxes.all()) await box.check()
  await page.getByRole('button', { name: 'All seen to: go on' }).click()
  await expect(page.getByRole('button', { name: 'Listen', exact: true })).toBeVisible()
}

const shown = async (page: Page) =>
  Number.parseFloat((await page.getByTestId('sinad-now').textContent()) ?? '')

test('live sound: the figure on screen is the file’s, and is kept with the level that is proposed', async ({
  page,
}) => {
  await readyToHear(page)
  await page.keyboard.press('l')
  await expect(page.getByTestId('sinad-now')).toHaveText(/\d/)
  await expect(page.getByText(/steady for [3-9] s/)).toBeVisible()
  expect(Math.abs((await shown(page)) - TRUE_SINAD_DB)).toBeLessThan(0.4)
  await expect(page.getByText(/tone, (999|1000|1001) Hz/)).toBeVisible()
  await expect(page.getByTestId('input-level')).toContainText('under clipping')
  // The browser is asked to leave the sound alone, and says that it does.
  await expect(page.getByTestId('doubts')).toHaveCount(0)
  await expect(page.getByRole('button', { name: /^Keep 1\d/ })).toBeEnabled()
  await page.keyboard.press('k')
  await expect(page.locator('[data-slot="p2"]')).toBeVisible()
  await expect(page.locator('[data-slot="p1"] input').last()).toHaveValue(/^13\.\d$/)
  await page.getByRole('button', { name: 'Stop listening' }).click()
  await expect(page.getByTestId('sinad-now')).toHaveCount(0)
})

test(
  'live volts: tone and noise together, as a voltmeter shows them, kept as what they are',
  { tag: '@all' },
  async ({ page }) => {
    await openDemoAt(page, `${DEMO}/audio?set=mini`)
    await goOver(page)
    for (const lock of await page.getByRole('checkbox', { name: /cannot transmit/ }).all()) await lock.check()
    await expect(page.getByRole('button', { name: 'Listen', exact: true })).toBeVisible()
    await page.keyboard.press('l')
    await expect(page.getByText('Volts need a sound card whose full scale is known')).toBeVisible()
    await visit(page, `${DEMO}/bench?set=mini&chain=ears`)
    await page
      .getByRole('button', { name: /^Sound card/ })
      .first()
      .click()
    await page.getByLabel('Known voltage').fill('1')
    await page.getByLabel('It stands at').fill('-20')
    await page.getByRole('button', { name: 'Calibrate' }).click()
    await expect(page.getByText('A sine of 10.000 V rms stands at full scale')).toBeVisible()
    await visit(page, `${DEMO}/audio?set=mini`)
    await expect(page.getByRole('button', { name: 'Listen', exact: true })).toBeVisible()
    await page.keyboard.press('l')
    const volts = page.getByTestId('volts-now')
    await expect(volts).toHaveText(/\d/)
    await expect(page.getByText(/(0\.999|1\.00[01]).kHz/)).toBeVisible()
    // The tone of 0.2 in amplitude, and noise 13.4 dB under it in 2.7 kHz over 20 kHz: √(2·(0.02 + 0.0071)).
    await expect(async () => expect(Number(await volts.textContent())).toBeCloseTo(2.33, 1)).toPass()
    await page.getByRole('button', { name: 'Keep', exact: true }).click()
    await expect(page.locator('[data-slot="tone-v"] input')).toHaveValue(/^2\.3\d.V$/)
  },
)

test(
  'a device that is unplugged in the middle: told, and what was kept stands',
  { tag: '@all' },
  async ({ page }) => {
    await page.addInitScript(() => {
      const open = navigator.mediaDevices.getUserMedia.bind(navigator.mediaDevices)
      navigator.mediaDevices.getUserMedia = async wanted => {
        const stream = await open(wanted)
        Object.assign(window, { theTrack: stream.getAudioTracks()[0] })
        return stream
      }
    })
    await readyToHear(page)
    await page.getByRole('button', { name: 'Listen', exact: true }).click()
    await expect(page.getByRole('button', { name: /^Keep 1\d/ })).toBeEnabled()
    await page.keyboard.press('k')
    await expect(page.locator('[data-slot="p2"]')).toBeVisible()
    await page.evaluate(() =>
      (window as unknown as { theTrack: EventTarget }).theTrack.dispatchEvent(new Event('ended')),
    )
    await expect(page.getByRole('alert').filter({ hasText: 'unplugged' })).toBeVisible()
    await expect(page.locator('[data-slot="p2"]')).toBeVisible()
  },
)

test(
  'a sound card at too low a rate, and a browser that keeps working on the sound, are told',
  { tag: '@all' },
  async ({ page }) => {
    await page.addInitScript(() => {
      const Plain = window.AudioContext
      let rate = 6000
      window.AudioContext = class extends Plain {
        constructor() {
          super({ sampleRate: rate })
          rate = 48_000
        }
      }
      const settings = MediaStreamTrack.prototype.getSettings
      MediaStreamTrack.prototype.getSettings = function () {
        return { ...settings.call(this), noiseSuppression: true }
      }
    })
    await readyToHear(page)
    await page.getByRole('button', { name: 'Listen', exact: true }).click()
    await expect(page.getByRole('alert').filter({ hasText: '6000 samples a second' })).toBeVisible()
    await page.getByRole('button', { name: 'Listen', exact: true }).click()
    await expect(page.getByTestId('sinad-now')).toHaveText(/\d/)
    await expect(page.getByTestId('doubts')).toContainText('noise reduction on')
    await expect(page.getByRole('button', { name: /^Keep 1/ })).toBeDisabled()
    await page.keyboard.press('k')
    await expect(page.getByText(/^Not kept\. The browser keeps/)).toBeVisible()
    await page.getByRole('button', { name: 'Keep all the same' }).click()
    await expect(page.locator('[data-slot="p2"]')).toBeVisible()
  },
)
