import AxeBuilder from '@axe-core/playwright'
import { expect, type Page } from '@playwright/test'
import { test } from './test'

/** What axe finds serious in the page as it stands. */
async function seriousOf(page: Page): Promise<string[]> {
  const { violations } = await new AxeBuilder({ page }).setLegacyMode(true).analyze()
  return violations
    .filter(({ impact }) => impact === 'serious' || impact === 'critical')
    .map(({ id, nodes }) => `${id}: ${nodes[0]?.target.join(' ')}`)
}

test(
  'an evening from its start to its envelope: the offset is seen, cleared, read again and caught',
  { tag: '@all' },
  async ({ page }) => {
    await page.goto('/')
    await page.getByRole('link', { name: 'Practice' }).click()
    await expect(page.getByRole('heading', { name: 'Your record' })).toBeVisible()
    await expect(page.locator('main')).toContainText('No envelope was opened yet')
    await page.locator('[data-evening=e1]').getByRole('button', { name: 'Begin' }).click()

    // The bench: the analyser, keyed, shows a carrier no handheld makes, and why.
    await page.getByRole('button', { name: 'Analyser behind 40 dB' }).click()
    await page.locator('h1').click()
    await page.keyboard.press('Space')
    const screen = page.getByTestId('practice-screen')
    await expect(screen).toContainText(/146\.520\sMHz \+3\d\.\d dBm/)
    await expect(page.getByText('offset typed on it: 40.0 dB')).toBeVisible()
    await page.keyboard.press('Space')

    expect(await seriousOf(page)).toEqual([])
    await page.keyboard.press('t')
    expect(await seriousOf(page)).toEqual([])
    await page.setViewportSize({ width: 390, height: 800 })
    const sideways = () => page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)
    expect(await sideways()).toBeLessThanOrEqual(0)
    await page.setViewportSize({ width: 1280, height: 800 })
    await page.keyboard.press('t')

    // The review reads what stands there: with the offset the carrier is absurd.
    await page.goto(page.url().replace(/practice.*/, 'harmonics'))
    await expect(page.getByTestId('link')).toBeVisible()
    await page.keyboard.press('l')
    await expect(page.getByTestId('link')).toContainText(/\d+ read/)

    // Back to the bench by keys; a hint is given and noted, the offset cleared.
    await page.keyboard.press('g')
    await page.keyboard.press('v')
    await page.getByRole('button', { name: 'A hint (it is noted)' }).click()
    await expect(page.getByText('What else stands on the analyser’s screen')).toBeVisible()
    await page.getByRole('button', { name: 'Analyser behind 40 dB' }).click()
    await page.getByRole('button', { name: 'Clear it' }).click()
    await expect(page.getByText('offset typed on it: 0.0 dB')).toBeVisible()

    // Everything that stands is read again, each by typing what the screen shows.
    const url = page.url().replace(/practice.*/, '')
    await page.locator('h1').click()
    await page.keyboard.press('Space')
    await expect(screen).toContainText(/146\.520\sMHz −\d\.\d dBm/)
    const shown = (await screen.textContent())!
    const levels = [...shown.matchAll(/MHz ([+−]\d+\.\d) dBm/g)].map(([, text]) => text!)
    await page.keyboard.press('Space')
    await page.goto(`${url}harmonics`)
    await expect(page.locator('[data-slot=x1] input')).not.toHaveValue('')
    for (let n = 1; n <= 10; n++) {
      const field = page.locator(`[data-slot="x${n}"] input`)
      if ((await field.count()) === 0 || (await field.inputValue()) === '') continue
      await field.fill(levels[n - 1] ?? '-80')
      await page.keyboard.press('Enter')
    }
    // Simulated readings do not go out as a real radio’s.
    await page.goto(`${url}publish`)
    await expect(page.getByTestId('practice-unpublished')).toBeVisible()
    await expect(page.getByRole('button', { name: 'Freeze' })).toHaveCount(0)
    await page.goto(`${url}practice`)

    await page.getByRole('button', { name: 'I am done: open it' }).click()
    await page.getByRole('button', { name: 'Open it', exact: true }).click()
    await expect(page.getByTestId('planted')).toContainText('Caught')
    await expect(page.getByTestId('planted')).toContainText('An offset of 40 dB was left on the analyser')
    await expect(page.getByText(/\d+ of \d+ ranges hold the truth/)).toBeVisible()
    await expect(page.getByText('Hints asked for: 1')).toBeVisible()
    expect(await seriousOf(page)).toEqual([])

    // The record keeps it, also after a fresh start of the page.
    await page.goto('/practice')
    await expect(page.locator('[data-evening=e1]')).toContainText('1 of 1 caught')
    await expect(page.locator('main')).toContainText(/\d+ of \d+ ranges held the truth \(95 % asked/)
    await expect(page.locator('main')).toContainText('Planted mistakes caught: 1 of 1, in 1 evening')
  },
)

test('the receiving bench of an evening: a level in µV on the knob comes out as SINAD', async ({ page }) => {
  await page.goto('/practice')
  await page.locator('[data-evening=e7]').getByRole('button', { name: 'Begin' }).click()
  await page.getByRole('button', { name: 'Generator to the radio' }).click()
  await page.getByLabel('Level').fill('1')
  await page.getByLabel('Level').press('Enter')
  await page.getByLabel('Output').check()
  await expect(page.getByTestId('practice-screen')).toContainText(/\d+\.\d dB SINAD/)
  await expect(page.getByTestId('practice-screen')).not.toContainText('nothing is heard')
})
