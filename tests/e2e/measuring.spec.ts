import { readFileSync } from 'node:fs'
import { expect } from '@playwright/test'
import { choose, DEMO, TREK_B_HIGH, harmonicRow, openDemoAt, saved, visit } from './support'
import { test } from './test'

test(
  'a path is measured in two rounds, stands for new readings, and judges old ones only when asked',
  { tag: '@all' },
  async ({ page }) => {
    await openDemoAt(page, `${DEMO}/bench?set=trek-b&chain=pocket50`)
    await page.getByRole('button', { name: /^30 dB pad/ }).click()
    await page.getByRole('button', { name: 'Measure this path' }).click()
    const dialog = page.getByRole('dialog')
    await dialog.getByRole('textbox', { name: 'Joined, 146.520 MHz' }).click()
    for (let i = 0; i < 6; i++) {
      await page.keyboard.type('-20')
      await page.keyboard.press('Enter')
    }
    await expect(
      dialog
        .getByText('Touch nothing else', { exact: false })
        .or(dialog.getByText('touch nothing else', { exact: false })),
    ).toBeVisible()
    for (let i = 0; i < 6; i++) {
      await page.keyboard.type('-51')
      await page.keyboard.press('Enter')
    }
    await expect(dialog.getByText('6 of 6 frequencies done')).toBeVisible()
    await dialog.getByRole('button', { name: 'Keep the measured loss' }).click()
    await expect(page.getByTestId('notice')).toContainText('stay with the loss they were taken with')
    await expect(page.getByRole('button', { name: /^30 dB pad/ })).toContainText('−31.00 dB')
    await saved(page)

    await visit(page, TREK_B_HIGH)
    await expect(harmonicRow(page, 2)).toContainText('−8.5')
    await visit(page, `${DEMO}/bench?set=trek-b&chain=pocket50`)
    await page.getByRole('button', { name: /^30 dB pad/ }).click()
    await page.getByRole('button', { name: 'Judge them by this one' }).click()
    await saved(page)
    await visit(page, TREK_B_HIGH)
    await expect(harmonicRow(page, 2)).toContainText('−7.7')
  },
)

test('the pad test and the control radio have verdicts of their own', { tag: '@all' }, async ({ page }) => {
  await openDemoAt(page, `${DEMO}/bench?set=c1&chain=club50`)
  await page.getByRole('button', { name: 'Pad test' }).click()
  await page.getByLabel('Without the pad').fill('-60')
  await page.getByLabel('With the pad').fill('-80')
  await page.getByRole('button', { name: 'Keep the pad test' }).click()
  await expect(page.getByText('Made in the analyser', { exact: true })).toBeVisible()
  await page.getByRole('button', { name: 'Control radio' }).click()
  await page.getByLabel('Club analyser shows').fill('-13.2')
  await page.getByLabel('Known to make').fill('5.1 W')
  await page.getByRole('button', { name: 'Keep the control reading' }).click()
  await expect(page.getByText('Believable', { exact: true })).toBeVisible()
  await saved(page)
  await visit(page, `${DEMO}/report?set=c1`)
  await expect(page.getByText('it is made in the analyser', { exact: false })).toBeVisible()
})

test(
  'several rulebooks, an own copy that is changed, refused in words, taken away and brought in',
  { tag: '@all' },
  async ({ page }) => {
    await openDemoAt(page, `${DEMO}/rulebooks?set=trek-b`)
    await page.getByRole('checkbox', { name: /ITU spurious, category A/ }).check()
    await expect(page.getByTestId('law-answer')).toContainText('−13.00 dBm')
    await expect(page.getByTestId('law-answer')).toContainText('−16.02 dBm')
    await page.getByRole('button', { name: 'Show the clauses of UK CB 27/81' }).click()
    await expect(page.getByText('L, switched off').first()).toBeVisible()

    await page
      .getByRole('button', { name: 'Show the clauses of Good practice', exact: false })
      .or(page.getByRole('button', { name: 'Show the clauses of US amateur' }))
      .first()
      .click()
    await page.getByRole('button', { name: 'Copy and change' }).click()
    await expect(page.getByRole('heading', { name: 'US amateur, my copy' })).toBeVisible()
    const clause = page.getByRole('article', { name: 'Clause 47 CFR 97.307(e)' }).first()
    await clause.getByLabel('Below the carrier').fill('50')
    await clause.getByLabel('Below the carrier').press('Enter')
    await page.getByLabel('Title').fill('')
    await page.getByLabel('Title').press('Enter')
    await expect(page.getByTestId('rulebook-wrong')).toContainText('Nothing was changed')
    await page.getByLabel('Title').fill('Race rules')
    await page.getByLabel('Title').press('Enter')
    await expect(page.getByRole('heading', { name: 'Race rules' })).toBeVisible()
    await expect(page.getByTestId('rulebook-wrong')).toHaveCount(0)
    const decides = page.getByRole('region', { name: 'How it decides' })
    const judged = decides.locator('.v-select', { hasText: 'A figure is judged' })
    await choose(page, judged, 'measured value against limit')
    await decides.getByLabel('At most ±').fill('4')
    await decides.getByLabel('At most ±').press('Enter')
    await expect(decides.getByRole('table')).toContainText('±4.00 dB')
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Take away as a file' }).click(),
    ])
    const file = readFileSync(await download.path(), 'utf8')
    expect(JSON.parse(file)).toMatchObject({
      format: 'rigorous-meter-rulebook',
      formatVersion: 1,
      title: 'Race rules',
      owner: 'reviewer',
      basedOn: 'us-amateur',
      decides: { rule: 'value-against-limit', largest: [{ about: 'unwanted', value: 4, unit: 'dB' }] },
    })

    await page.getByRole('link', { name: 'Back to the rulebooks' }).click()
    await page.getByLabel('Rulebook file').setInputFiles({
      name: 'bad.json',
      mimeType: 'application/json',
      buffer: Buffer.from(file.replace('"relative"', '"sideways"')),
    })
    await expect(page.getByTestId('notice')).toContainText('Nothing was changed')
    await page.getByLabel('Rulebook file').setInputFiles({
      name: 'good.json',
      mimeType: 'application/json',
      buffer: Buffer.from(file.replaceAll('Race rules', 'Valley rules')),
    })
    await page.getByRole('checkbox', { name: /Valley rules/ }).check()
    await saved(page)
    await visit(page, `${DEMO}/report?set=trek-b`)
    await expect(
      page.getByText('Entered by the reviewer, who answers for it.', { exact: false }),
    ).toBeVisible()
    await expect(page.getByText('Valley rules (the reviewer’s own)', { exact: false }).first()).toBeVisible()
  },
)

test('the decision rule changes the words, the reason and the budget explain themselves', async ({
  page,
}) => {
  await openDemoAt(page, `${DEMO}/harmonics?set=trek-b&step=harmonics:2m:2m-2:high&slot=x3`)
  await expect(harmonicRow(page, 3)).toContainText('Too close to call')
  await expect(page.getByText(/complies with/)).toContainText(/\d\d\.\d %/)
  await expect(page.getByText('at most 25 µW · governs')).toBeVisible()
  await expect(page.getByRole('heading', { name: 'What would help most' })).toBeVisible()
  await page.getByRole('button', { name: 'Check by Monte Carlo' }).click()
  await expect(page.getByTestId('simulated')).toContainText(/±2\.[34]/)
  await visit(page, `${DEMO}/rulebooks?set=trek-b`)
  await page.getByRole('radio', { name: /Pass, conditional pass/ }).check()
  await saved(page)
  await visit(page, TREK_B_HIGH)
  await expect(harmonicRow(page, 3)).toContainText('Conditional pass by 0.7')
  await expect(harmonicRow(page, 2)).toContainText('Fail by 7.5')
  await visit(page, `${DEMO}/rulebooks?set=trek-b`)
  await page.getByRole('radio', { name: /Shared risk/ }).check()
  await saved(page)
  await visit(page, TREK_B_HIGH)
  await expect(harmonicRow(page, 3)).toContainText('Inside by 0.7')
})

test('a series of readings, another tester, and the tools', { tag: '@all' }, async ({ page }) => {
  await openDemoAt(page, `${DEMO}/carrier-power?set=trek-b&step=carrier-power:2m:2m-2:high`)
  const field = page.getByRole('textbox', { name: /Reading on 146\.520 MHz/ })
  await field.fill('5.02; 5.10; 4.98 W')
  await expect(page.getByText(/mean of 3/)).toBeVisible()
  await field.press('Enter')
  await saved(page)
  await page.goto(`${DEMO}/carrier-power?set=trek-b&step=carrier-power:2m:2m-2:high`)
  await expect(page.getByText('Scatter of 3 readings')).toBeVisible()

  await visit(page, `${DEMO}/findings`)
  await expect(page.getByText('they agree within what both say', { exact: false })).toBeVisible()
  await page.getByRole('button', { name: 'Add a figure' }).click()
  const which = page.locator('.v-select', { has: page.getByLabel('Which reading') })
  await choose(page, which, /Carrier power, 146\.520\sMHz, High/)
  await page.getByLabel('Their figure at the socket').fill('9 W')
  await page.getByRole('button', { name: 'Keep the figure' }).click()
  await expect(page.getByText('Disagree', { exact: true })).toBeVisible()

  await page.keyboard.press('Escape')
  await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur())
  await page.keyboard.press('g')
  await page.keyboard.press('t')
  await expect(page.getByRole('heading', { name: 'Tools' })).toBeVisible()
  await page.getByLabel('A power, level or voltage').fill('6 dBµV emf')
  await expect(page.getByTestId('levels')).toContainText('−107.01 dBm')
  await expect(page.getByText('between 0.63 % and 80.59 %', { exact: false })).toBeVisible()
})
