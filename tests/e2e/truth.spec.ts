import { expect } from '@playwright/test'
import { choose, DEMO, harmonicRow, openDemoAt, saved, visit } from './support'
import { test } from './test'

const MINI = `${DEMO}/harmonics?set=mini&step=harmonics:2m:2m-2:low`

/** A coarse sweep with a spur at 173.3 MHz, and three levels at the second harmonic. */
function contradictingCsv(): string {
  const lines = ['# RBW: 10 kHz', 'Frequency (MHz),Level (dBm)']
  const levels: Record<string, number> = { '146.52': -13, '173.3': -66, '293.04': -58.8 }
  for (let mhz = 140; mhz < 300; mhz += 0.01) {
    const at = String(Number(mhz.toFixed(2)))
    lines.push(`${at},${levels[at] ?? -95}`)
    if (at === '293.04') lines.push(`${at},-58.1`, `${at},-59.6`)
  }
  return lines.join('\n')
}

test('what a trace contradicts, and what a spur is, is said and asked', { tag: '@all' }, async ({ page }) => {
  await openDemoAt(page, MINI)
  await page.getByTestId('trace-file').setInputFiles({
    name: 'several.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(contradictingCsv()),
  })
  const dialog = page.getByRole('dialog')
  await expect(dialog).toContainText('One frequency stands there several times')
  await dialog.getByRole('button', { name: /^Fill the table/ }).click()
  await harmonicRow(page, 2).click()
  await expect(page.getByText(/3 different things of this frequency/)).toBeVisible()

  await visit(page, `${DEMO}/rulebooks?set=mini`)
  await page.getByRole('checkbox', { name: /ITU spurious, category A/ }).check()
  await saved(page)
  await visit(page, MINI)
  const offer = page.getByRole('note').filter({ hasText: 'Spur 173.300 MHz' })
  await expect(offer).toContainText('a second bandwidth tells')
  await offer.getByRole('button', { name: 'A plain carrier' }).click()
  await expect(offer).toHaveCount(0)
  await saved(page)
})

test(
  'two editions of a rulebook stand side by side, and say which verdicts turn',
  { tag: '@all' },
  async ({ page }) => {
    await openDemoAt(page, `${DEMO}/rulebooks?set=trek-b`)
    const compared = page.locator('.v-select', { hasText: 'Compared with' })
    await choose(page, compared, 'ITU spurious, category A')
    await expect(page.getByRole('table', { name: 'What changed' })).toContainText('97.307(e)')
    await page.getByRole('button', { name: 'Which verdicts turn?' }).click()
    await expect(page.getByRole('table', { name: 'Verdicts that turn' })).toContainText('Harmonics and spurs')
  },
)
