import { readFileSync } from 'node:fs'
import { expect } from '@playwright/test'
import { goTo, harmonicRow, saved, tabAndType, tabTo } from './support'
import { test } from './test'

test('the whole main job by keyboard alone, from the empty shelf to the PDF', async ({ page }) => {
  const complaints: string[] = []
  page.on('console', message => message.type() === 'error' && complaints.push(message.text()))
  await page.goto('/')
  await expect(page.getByTestId('empty-shelf')).toBeVisible()

  await test.step('start a review and fill the card', async () => {
    await tabAndType(page, 'What is the review about?', 'Marshals by keyboard')
    await tabTo(page, /Dual-band handheld/)
    // The last of the list, where the arrow goes round to.
    await page.keyboard.press('ArrowUp')
    await expect(page.getByRole('radio', { name: /Something else/ })).toBeChecked()
    await page.keyboard.press('Enter')
    await expect(page.getByRole('heading', { name: 'No radio yet' })).toBeVisible()
    await tabTo(page, 'Add a radio')
    await page.keyboard.press('Enter')
    await expect(page.getByLabel('Make', { exact: true })).toBeFocused()
    await page.keyboard.type('Osmere')
    await page.keyboard.press('Enter')
    await tabAndType(page, 'Model', 'Trek 2')
    await tabAndType(page, 'Sample letter', 'A')
    await tabAndType(page, 'Battery or supply now', 'battery full')
    await tabAndType(page, 'Voltage', '7,4')
    await tabAndType(page, 'Capacity', '1.8')
    await tabAndType(page, 'Energy', '13.32')
    await expect(page.getByTestId('battery-check')).toContainText(
      '7.4 V × 1.8 Ah = 13.32 Wh, as the label says',
    )
    await tabAndType(page, 'Another band', '2 m')
    await tabTo(page, '2 m High', { back: true })
    await page.keyboard.press('Control+A')
    await page.keyboard.type('5')
    await page.keyboard.press('Enter')
    await tabAndType(page, 'Frequency, 2 m', '146.52')
    await expect(page.getByText('146.520').first()).toBeVisible()
  })

  await test.step('look at the rulebook', async () => {
    await goTo(page, 'u', 'Rulebooks')
    await expect(page.getByTestId('law-answer')).toContainText('−16.02')
  })

  await test.step('build the bench: two instruments, two chains', async () => {
    await goTo(page, 'b', 'Bench check')
    await tabTo(page, 'Add an instrument')
    await page.keyboard.press('Enter')
    await expect(page.getByText('Power meter', { exact: true })).toBeVisible()
    await page.keyboard.press('ArrowDown')
    await page.keyboard.press('Enter')
    await expect(page.getByRole('region', { name: 'Instrument: Power meter' })).toBeVisible()
    await tabTo(page, 'Add a chain', { back: true })
    await page.keyboard.press('Enter')
    await tabTo(page, 'Add a part')
    await page.keyboard.press('Enter')
    await expect(page.getByText('A load', { exact: true })).toBeVisible()
    await page.keyboard.press('ArrowUp')
    await page.keyboard.press('Enter')
    await expect(page.getByRole('region', { name: 'Part: Load' })).toBeVisible()

    await tabTo(page, 'Add an instrument', { back: true })
    await page.keyboard.press('Enter')
    await expect(page.getByText('Spectrum analyser', { exact: true })).toBeVisible()
    await page.keyboard.press('ArrowDown')
    await page.keyboard.press('ArrowDown')
    await page.keyboard.press('Enter')
    await expect(page.getByRole('region', { name: 'Instrument: Spectrum analyser' })).toBeVisible()
    await tabTo(page, 'Add a chain', { back: true })
    await page.keyboard.press('Enter')
    await expect(page.getByRole('tab', { name: /chain 2/ })).toHaveAttribute('aria-selected', 'true')
    for (const loss of ['30', '20']) {
      await tabTo(page, 'Add a part', { back: loss === '20' })
      await page.keyboard.press('Enter')
      await expect(page.getByText('A pad', { exact: true })).toBeVisible()
      await page.keyboard.press('ArrowDown')
      await page.keyboard.press('ArrowDown')
      await page.keyboard.press('Enter')
      await expect(page.getByRole('region', { name: 'Part: Pad' })).toBeVisible()
      await tabTo(page, 'Name')
      await page.keyboard.press('Control+A')
      await page.keyboard.type(`${loss} dB pad`)
      await page.keyboard.press('Enter')
      await expect(page.getByRole('region', { name: `Part: ${loss} dB pad` })).toBeVisible()
      await tabTo(page, /^Loss$/)
      const kind = await page.evaluate(() => document.activeElement?.getAttribute('inputmode'))
      if (kind !== 'decimal') await tabTo(page, 'Loss')
      await page.keyboard.press('Control+A')
      await page.keyboard.type(loss)
      await page.keyboard.press('Enter')
    }
    await expect(
      page.getByText('Offset if you want the instrument to show the radio: +50.00 dB at 146.52 MHz'),
    ).toBeVisible()
    await expect(page.getByText('×7 and up of 146.520 MHz lie above 960 MHz: not covered')).toBeVisible()
  })

  await test.step('move a part with the keys', async () => {
    await tabTo(page, /^30 dB pad, /, { back: true })
    await page.keyboard.press('Alt+ArrowRight')
    await expect(page.locator('.part').first()).toContainText('20 dB pad')
    await page.keyboard.press('Alt+ArrowLeft')
    await expect(page.locator('.part').first()).toContainText('30 dB pad')
  })

  await test.step('carrier power: type, see the parse, Enter', async () => {
    await goTo(page, 'p', /Carrier power/)
    await page.keyboard.press('4')
    await page.keyboard.type(',37 W')
    await expect(page.locator('.preview')).toHaveText('+36.40 dBm = 4.37 W')
    await expect(page.getByTestId('verdict')).toContainText(/Can’t tell|Short/)
    await page.keyboard.press('Enter')
    await saved(page)
    await expect(page.getByTestId('socket-power')).toContainText('4.32 W')
  })

  await test.step('harmonics: Enter keeps and goes on', async () => {
    await goTo(page, 'h', /Harmonics/)
    await expect(page.getByTestId('set-now')).toHaveText('146.520')
    await page.keyboard.press('-')
    for (const text of ['-13,6', '-58.2', '−67.0', '-80', '<-85', '-84']) {
      await page.keyboard.press('Control+A')
      await page.keyboard.type(text)
      await page.keyboard.press('Enter')
    }
    await expect(harmonicRow(page, 2)).toContainText('Outside by')
    await expect(harmonicRow(page, 3)).toContainText('Too close to call')
    await expect(harmonicRow(page, 4)).toContainText('Inside by')
    await expect(harmonicRow(page, 5)).toContainText('Inside by at least')
    await expect(harmonicRow(page, 8)).toContainText('Not covered')
    await saved(page)
  })

  await test.step('key-down clock by Space', async () => {
    await page.evaluate(() => (document.activeElement as HTMLElement).blur())
    await page.keyboard.press('Space')
    await expect(page.getByText(/keyed, 0:5\d left|keyed, 1:00 left/)).toBeVisible()
    await page.keyboard.press('Space')
    await expect(page.getByRole('button', { name: 'Keyed' })).toBeVisible()
  })

  await test.step('findings open what governs', async () => {
    await goTo(page, 'f', 'What we can say about these radios')
    await tabTo(page, /Is it clean on 2 m\? Outside by/)
    await page.keyboard.press('Enter')
    await expect(page.getByRole('heading', { name: /^Why −16\.0/ })).toBeVisible()
  })

  await test.step('report and PDF', async () => {
    await goTo(page, 'r', 'Report')
    await tabTo(page, 'Make the PDF')
    const download = page.waitForEvent('download')
    await page.keyboard.press('Enter')
    const file = await (await download).path()
    expect(readFileSync(file).subarray(0, 5).toString()).toBe('%PDF-')
  })
  // Nor does the policy of the page refuse anything on the way.
  expect(complaints).toEqual([])
})
