import { expect, test } from '@playwright/test'
import { harmonicRow } from './support'

test('a power and harmonics run by L only, from the virtual bench', async ({ page }) => {
  await page.goto('/start')
  await page.getByText('In-line power meter and load').click()
  await page.getByText('Pocket analyser behind 40 dB').click()
  await page.getByRole('button', { name: 'Begin' }).click()
  await expect(page.getByTestId('set-now')).toHaveText('144.390')
  const review = page.url().replace(/\/[^/]*$/, '')

  // Both instruments answer.
  await page.goto(`${review}/bench`)
  for (const name of [/In-line power meter/, /Pocket analyser/]) {
    await page.getByRole('region', { name: 'Instruments' }).getByRole('button', { name }).click()
    await expect(page.getByRole('region', { name: /^Instrument: / })).toContainText(name)
    await page.locator('.v-select', { hasText: 'How it is read' }).click()
    await page.getByRole('option', { name: /Virtual bench/ }).click()
  }

  await page.goto(`${review}/carrier-power`)
  await expect(page.getByTestId('link')).toBeVisible()
  await page.keyboard.press('l')
  await expect(page.getByTestId('link')).toContainText(/it answered .*, kept as .* dBm/)
  // Every link is a bench of its own: what its radio makes is not known here, that it is judged is.
  await expect(page.getByRole('region', { name: 'Reading and result' })).toContainText(/\d\sW/)

  await page.goto(`${review}/harmonics`)
  await expect(page.getByTestId('link')).toBeVisible()
  await page.keyboard.press('l')
  await expect(harmonicRow(page, 4)).toContainText(/Inside|Outside|Too close|Not covered/)
  await page.keyboard.press('l')
  await expect(page.getByTestId('link')).toContainText('Everything this step wants is read')
})
