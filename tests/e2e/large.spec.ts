import { execFileSync } from 'node:child_process'
import { mkdirSync } from 'node:fs'
import { join } from 'node:path'
import { expect, type Locator, type Page } from '@playwright/test'
import { buildSync } from 'esbuild'
import { visit } from './support'
import { test } from './test'

/** Writes the review of 12 000 readings that the bench takes, as a file. */
function bigFile(folder: string): string {
  mkdirSync(folder, { recursive: true })
  const [program, file] = [join(folder, 'big.cjs'), join(folder, 'big.review.json')]
  const entry = 'scripts/bench/bigReviewFile.ts'
  buildSync({ entryPoints: [entry], bundle: true, platform: 'node', format: 'cjs', outfile: program })
  execFileSync(process.execPath, [program, file])
  return file
}

/** To the end of the page, again where it has grown meanwhile: what lies far off is only drawn once it is near. */
async function scrollTo(page: Page, what: Locator): Promise<void> {
  await expect(async () => {
    await page.evaluate(() => window.scrollTo(0, document.body.scrollHeight))
    await expect(what).toBeVisible({ timeout: 2000 })
  }).toPass({ timeout: 75_000 })
}

test('a review of 200 radios and 12 000 readings comes in and can be worked with, view by view', async ({
  page,
}, testInfo) => {
  await page.goto('/')
  await page.getByTestId('review-file').setInputFiles(bigFile(testInfo.outputPath()))
  await expect(page.getByText('“Many sets” is on the shelf.')).toBeVisible()

  await page.goto('/review/big/run')
  // 6000 steps, of which those near the window are drawn; the order is that of the whole.
  await expect(page.locator('tr.step-row').first()).toBeVisible()
  expect(await page.locator('tr.step-row').count()).toBeLessThan(120)
  await expect(page.getByRole('table').last()).toHaveAttribute('aria-rowcount', '6001')
  await expect(page.getByLabel('What is left')).toContainText('in 3800 steps')
  await scrollTo(page, page.locator('tr.step-row td').filter({ hasText: /^6000$/ }))

  await visit(page, '/review/big/findings')
  await expect(page.getByTestId('findings-pages')).toContainText('Radios 1 to 6 of 200')
  await page.getByRole('button', { name: 'Go to page 34' }).click()
  await expect(page.getByTestId('findings-pages')).toContainText('Radios 199 to 200 of 200')
  await expect(page.getByRole('columnheader', { name: /Trek 199/ })).toBeVisible()

  await visit(page, '/review/big/report')
  await expect(page.getByRole('heading', { name: 'What we can say' })).toBeVisible()
  expect(await page.locator('article.paper table').count()).toBeLessThan(60)
  // The report ends with every reading as it was taken.
  await scrollTo(page, page.getByRole('heading', { name: 'Appendix: every reading as it was taken' }))

  // Printed past its own button it would be a part, and says so.
  await page.emulateMedia({ media: 'print' })
  await expect(page.getByText('This is a part of the report')).toBeVisible()
  await page.emulateMedia({ media: 'screen' })
  await expect(page.getByText('This is a part of the report')).toBeHidden()

  const csv = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Readings as CSV' }).click()
  expect((await csv).suggestedFilename()).toBe('many-sets-readings.csv')

  await page.getByRole('button', { name: 'Make the PDF' }).click()
  await expect(page.getByText(/^Making the PDF: \d+ %$/)).toBeVisible()
  await page.getByRole('button', { name: 'Cancel' }).click()
  await expect(page.getByText('The PDF was not made.')).toBeVisible()
})
