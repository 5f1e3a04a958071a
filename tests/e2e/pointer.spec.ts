import { expect } from '@playwright/test'
import { follow, harmonicRow, openDemoAt, saved, startEmpty } from './support'
import { test } from './test'

test('the same job by pointer', { tag: '@all' }, async ({ page }) => {
  await page.goto('/')
  await startEmpty(page, 'Marshals by pointer')

  await page.getByRole('button', { name: 'Add a radio' }).click()
  for (const [label, text] of [
    ['Make', 'Quillet'],
    ['Model', 'Mini 4'],
    ['Battery or supply now', 'battery full'],
  ] as const)
    await page.getByLabel(label, { exact: true }).fill(text)
  await page.getByLabel('Another band').fill('2 m')
  await page.getByRole('button', { name: 'Add a band' }).click()
  await page.getByLabel('2 m High').fill('3 W')
  await page.getByLabel('Frequency, 2 m').fill('146,52')
  await page.getByRole('button', { name: 'Add this channel to 2 m' }).click()
  await expect(page.getByRole('cell', { name: /146\.520/ })).toBeVisible()

  await follow(page, 'Prepare', /Bench check/)
  await page.getByRole('button', { name: 'Add an instrument' }).click()
  await page.getByText('Spectrum analyser', { exact: true }).click()
  await page.getByLabel('Range to').fill('3000')
  await page.getByRole('button', { name: 'Add a chain' }).click()
  await page.getByRole('button', { name: 'Add a part' }).click()
  await page.getByText('A pad', { exact: true }).click()
  await expect(page.getByText(/lacks|above the|only/).first()).toBeVisible()
  await page.getByRole('button', { name: 'Duplicate' }).first().click()
  await expect(page.locator('.part')).toHaveCount(2)

  await test.step('drag the second part before the first', async () => {
    await page.getByLabel('Name').first().fill('Second pad')
    await page.getByLabel('Name').first().press('Enter')
    await expect(page.locator('.part').nth(1)).toContainText('Second pad')
    await page.evaluate(() => window.scrollTo(0, 0))
    const from = (await page.locator('.part').nth(1).boundingBox())!
    const to = (await page.locator('.part').nth(0).boundingBox())!
    await page.mouse.move(from.x + from.width / 2, from.y + 20)
    await page.mouse.down()
    // At the pace of a hand: the list looks where the pointer is twenty times a second.
    for (let i = 1; i <= 8; i++) {
      await page.mouse.move(
        from.x + from.width / 2 + ((to.x + 12 - from.x - from.width / 2) * i) / 8,
        from.y + 22,
      )
      await page.waitForTimeout(70)
    }
    await page.mouse.up()
    await expect(page.locator('.part').nth(0)).toContainText('Second pad')
    await expect(page.locator('.part').nth(1)).toContainText('Pad')
  })

  await follow(page, 'Transmits', /Harmonics/)
  for (const [n, text] of [
    [1, '-25.2'],
    [2, '-90'],
    [3, '-88,5'],
  ] as const)
    await harmonicRow(page, n).getByRole('textbox').fill(text)
  await page.getByRole('heading', { name: /Harmonics/ }).click()
  await expect(harmonicRow(page, 2)).toContainText('Inside by')
  await saved(page)

  await follow(page, 'Outcome', /Findings/)
  await expect(page.getByRole('cell', { name: /×4 to ×10 not measured/ })).toBeVisible()
  await follow(page, 'Outcome', /Report/)
  const download = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Make the PDF' }).click()
  expect((await download).suggestedFilename()).toBe('marshals-by-pointer.pdf')
})

test('an unsafe chain says so in the lamps, at the step and at the clock', async ({ page }) => {
  await openDemoAt(page, '/review/demo-fell-race/bench?set=trek-b')
  await page.locator('.part', { hasText: '30 dB pad' }).click()
  await page.getByLabel('Power rating').fill('2')
  await page.getByLabel('Power rating').press('Enter')
  const lamps = page.getByRole('list', { name: 'Safe to key up?' })
  await expect(lamps).toContainText('30 dB pad too small')
  await follow(page, 'Transmits', /Harmonics/)
  await expect(lamps).toContainText('30 dB pad too small')
  await expect(page.getByTestId('open-checks')).toContainText('Do not key up')
  await expect(page.getByText('Do not key up: a bench check is open.')).toBeVisible()
  await page.getByRole('button', { name: 'Keyed' }).click()
  await expect(page.getByTestId('notice')).toContainText('do not key up')
  await expect(page.getByRole('timer')).toHaveText('0:00')
})
