import { readFile } from 'node:fs/promises'
import { expect, type Page } from '@playwright/test'
import { fakeCardWav, steppedWav } from './audioFixtures'
import { DEMO, openDemoAt, saved } from './support'
import { TEST_BROWSER } from './testBrowser'
import { test } from './test'

test.use({
  permissions: ['microphone'],
  launchOptions: {
    executablePath: process.env.CHROMIUM_PATH ?? '/usr/bin/chromium',
    args: [
      ...TEST_BROWSER,
      '--use-fake-ui-for-media-stream',
      '--use-fake-device-for-media-stream',
      `--use-file-for-fake-audio-capture=${fakeCardWav(20)}`,
    ],
  },
})

const row = (page: Page, slot: string) => page.locator('tr', { has: page.locator(`[data-slot="${slot}"]`) })
const clips = (page: Page) => page.getByRole('region', { name: 'Clips of this radio' })

test(
  'by ear: clips are brought in and recorded, played, taken away, and chosen blind',
  { tag: '@all' },
  async ({ page }) => {
    await openDemoAt(page, `${DEMO}/by-ear?set=trek-b`)
    await expect(clips(page)).toContainText('No clip of this radio yet')
    await page.getByTestId('files').setInputFiles([
      { name: 'marshal.wav', mimeType: 'audio/wav', buffer: steppedWav([20], 31) },
      { name: 'marshal.mp3', mimeType: 'audio/mpeg', buffer: Buffer.from('x') },
      { name: 'empty.wav', mimeType: 'audio/wav', buffer: Buffer.from('RIFF') },
    ])
    await expect(page.getByText(/“marshal.mp3” is no clip known here.*“empty.wav”/)).toBeVisible()
    await expect(clips(page).getByRole('listitem')).toHaveCount(1)
    // Longer than a clip holds: cut, and a loudness by the closed form: a sine of 0.2
    // is −17.0, and the noise beside it, which is as wide as the file, adds 0.8 through the K weighting.
    await expect(clips(page)).toContainText('30.0 s, 2.88 MB')
    await expect(clips(page)).toContainText(/−16\.[1-3] LUFS/)
    await page.getByLabel('What is said in it').fill('four vowels, a man’s voice, strong signal')
    await page.getByLabel('What is said in it').press('Enter')

    await page.getByRole('button', { name: 'Record a clip' }).click()
    await expect(page.getByTestId('recorder')).toContainText(/[1-9] of 30 s/)
    await page.getByRole('button', { name: 'Stop and keep' }).click()
    await expect(clips(page).getByRole('listitem')).toHaveCount(2)
    await expect(row(page, 'clips')).toContainText('2 clips')

    const play = clips(page).getByRole('button', { name: 'Play four vowels' })
    await play.click()
    await clips(page).getByRole('button', { name: 'Stop four vowels' }).click()
    const away = page.waitForEvent('download')
    await clips(page).getByRole('button', { name: 'Take away' }).first().click()
    const file = await readFile(await (await away).path())
    expect(file.toString('latin1', 0, 4)).toBe('RIFF')
    expect(file.length).toBe(44 + 2 * 30 * 48_000)

    const blind = page.getByRole('region', { name: 'Blind listening' })
    await blind.getByLabel('Who listens').fill('ears')
    await blind.getByRole('button', { name: 'Begin a round' }).click()
    await blind.getByRole('button', { name: 'Hear the first' }).click()
    await expect(blind.getByRole('button', { name: 'The first is better' })).toBeDisabled()
    await blind.getByRole('button', { name: 'Hear the second' }).click()
    await blind.getByRole('button', { name: 'No difference' }).click()
    await expect(page.getByTestId('blind-last')).toHaveText('Written down: no difference.')
    await expect(row(page, 'against-c1')).toContainText('no difference in 1')

    await saved(page)
    await page.reload()
    await expect(clips(page).getByRole('listitem')).toHaveCount(2)
    await clips(page).getByRole('button', { name: 'Take off recorded from' }).click()
    await expect(row(page, 'clips')).toContainText('1 clip, 30 s')
  },
)
