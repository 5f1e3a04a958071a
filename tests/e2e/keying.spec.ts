import { expect } from '@playwright/test'
import { DEMO, openDemoAt } from './support'
import { test } from './test'

test('may I key it: the answer, what decides it, and what a filter would bring', async ({ page }) => {
  await openDemoAt(page, `${DEMO}/findings`)
  const row = page.getByRole('row', { name: /May I key it\?/ })
  await expect(row).toContainText('Not as it is')
  const section = page.getByRole('region', { name: 'May I key it?' })
  await expect(section).toContainText('A reading is no permission')
  await expect(section.getByRole('listitem')).toHaveCount(11)

  await section.getByText('With a filter: what it would bring').click()
  await section.getByLabel('Its loss, one line a frequency: MHz and dB').fill('144 0.3\n293 much')
  await expect(section).toContainText('Line 2, “293 much”')
  // From 30 MHz to the end of every harmonic that was read; at the carrier next to nothing.
  await section
    .getByLabel('Its loss, one line a frequency: MHz and dB')
    .fill('10 0.2\n150 0.4\n290 40\n3000 40\n5000 40')
  await expect(section.getByRole('status')).toContainText('Trek 2, sample B')
  await expect(section.getByRole('status')).toContainText('Cannot be said yet')
  await section.getByRole('button', { name: 'A typical low-pass for 2 m' }).click()
  await expect(section.getByLabel('Its loss, one line a frequency: MHz and dB')).toHaveValue(
    /^1 0\.2\n150 0\.5/,
  )

  await section
    .getByRole('link', { name: /×2 is outside by/ })
    .first()
    .click()
  await expect(page.locator('tr.here, tr', { hasText: '×2' }).first()).toBeVisible()
})
