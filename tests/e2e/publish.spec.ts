import { readFileSync, writeFileSync } from 'node:fs'
import { expect, type Download, type Page } from '@playwright/test'
import { DEMO, openDemoAt } from './support'
import { test } from './test'

const textOf = async (download: Download) => readFileSync((await download.path())!, 'utf8')

async function taken(page: Page, press: () => Promise<void>): Promise<Download> {
  const [download] = await Promise.all([page.waitForEvent('download'), press()])
  return download
}

/** All text of a PDF, read by another library. */
async function pdfText(path: string): Promise<{ text: string; pages: number }> {
  const { getDocument } = await import('pdfjs-dist/legacy/build/pdf.mjs')
  const pdf = await getDocument({ data: new Uint8Array(readFileSync(path)), verbosity: 0 }).promise
  const pages = []
  for (let n = 1; n <= pdf.numPages; n++) {
    const { items } = await (await pdf.getPage(n)).getTextContent()
    pages.push(items.map(item => ('str' in item ? item.str : '')).join(' '))
  }
  return { text: pages.join(' ').replace(/\s+/g, ' '), pages: pdf.numPages }
}

test(
  'a sheet: on the screen, as PDF, as PNG and SVG, and in the reviewer’s own words',
  { tag: '@all' },
  async ({ page }) => {
    await openDemoAt(page, `${DEMO}/sheet`)
    const sheet = page.getByTestId('sheet-page')
    await expect(sheet).toContainText('Sample B is 7.5 dB over the limit on 2 m')
    await expect(sheet).toContainText('Harmonics of 146.520 MHz, High')

    const pdf = await taken(page, () => page.getByRole('button', { name: 'Make the PDF' }).click())
    const { text, pages } = await pdfText((await pdf.path())!)
    expect(pages).toBe(1)
    // What stands on the screen stands on paper, figure by figure.
    const shown = ((await sheet.textContent()) ?? '').match(/\d+\.\d+\s(dBm|dB|W)/g) ?? []
    expect(shown.length).toBeGreaterThan(8)
    const plain = text.replace(/[\u00a0\u202f\u2009]/g, ' ')
    for (const figure of shown) expect(plain).toContain(figure.replace(/[\u00a0\u202f\u2009]/g, ' '))

    const png = await taken(page, () => page.getByRole('button', { name: 'PNG' }).click())
    const bytes = readFileSync((await png.path())!)
    expect(bytes.subarray(1, 4).toString()).toBe('PNG')
    expect(bytes.readUInt32BE(16)).toBe(Math.floor(595 * 4.2))
    const svg = await textOf(await taken(page, () => page.getByRole('button', { name: 'SVG' }).click()))
    expect(svg).toContain('font/woff2;base64')
    expect(svg).toContain('Osmere Trek 2')

    await page.getByRole('button', { name: 'Write your own words' }).click()
    await page.getByLabel('What the sheet says, in your words').fill('Leave sample B in its box.')
    await page.getByRole('button', { name: 'Keep', exact: true }).click()
    await expect(sheet).toContainText('Leave sample B in its box.')
    await expect(sheet).toContainText('(the reviewer’s words)')
    await page.getByRole('button', { name: 'Your words' }).click()
    await page.getByRole('button', { name: 'As made by rules' }).click()
    await expect(sheet).toContainText('over the limit on 2 m')
  },
)

test('published, signed, changed since, checked, and found out when a digit was changed', async ({
  page,
}) => {
  await openDemoAt(page, `${DEMO}/publish`)
  await page.getByLabel('Note: where, and what for').fill('the race committee')
  await page.getByLabel('Sign with this browser’s key').check()
  await page.getByRole('button', { name: 'Publish', exact: true }).click()
  const list = page.getByTestId('publications')
  await expect(list).toContainText(/[0-9A-F]{4}-[0-9A-F]{4}/)
  await expect(list).toContainText('Since it was published: no figure differs.')
  await expect(list).toContainText('fingerprint of the key')
  const mark = /[0-9A-F]{4}-[0-9A-F]{4}/.exec(await list.innerText())![0]

  const review = await taken(page, () => page.getByRole('button', { name: 'Take the review away' }).click())
  const file = (await review.path())!
  const check = page.getByTestId('check-publication')
  await page.getByTestId('published-file').setInputFiles({
    name: 'published.review.json',
    mimeType: 'application/json',
    buffer: readFileSync(file),
  })
  await expect(check).toContainText('It stands')
  await expect(check).toContainText(mark)
  await expect(check).toContainText('Signed; fingerprint of the key')

  // One digit of one reading.
  const forged = readFileSync(file, 'utf8').replace(
    /"levelDbm": (-?\d+\.\d*?)(\d)(?=[,\n])/,
    (_all, head: string, last: string) => `"levelDbm": ${head}${(Number(last) + 1) % 10}`,
  )
  expect(forged).not.toBe(readFileSync(file, 'utf8'))
  writeFileSync(`${file}.forged`, forged)
  await page.getByTestId('published-file').setInputFiles({
    name: 'forged.review.json',
    mimeType: 'application/json',
    buffer: Buffer.from(forged),
  })
  await expect(check).toContainText('Not what was published')

  // Another rule: figures stand, verdicts turn.
  await page.goto(`${DEMO}/rulebooks`)
  await page.getByLabel('Shared risk').check()
  await page.goto(`${DEMO}/publish`)
  await expect(list).toContainText(/Since it was published: \d+ figures differ, \d+ verdicts among them/)
})

test(
  'files that go out: read with scripts off, through a second parser, as a PDF',
  { tag: '@all' },
  async ({ page, browser }) => {
    await openDemoAt(page, `${DEMO}/publish`)
    const take = (name: string) => taken(page, () => page.getByRole('button', { name, exact: true }).click())

    const html = await take('Web page')
    const plain = await browser.newContext({ javaScriptEnabled: false })
    const reader = await plain.newPage()
    await reader.setContent(await textOf(html))
    await expect(reader.getByRole('heading', { level: 1 })).toHaveText('Fell-race marshals’ handhelds')
    await expect(reader.getByRole('table').first()).toBeVisible()
    await expect(reader.getByRole('img', { name: /Harmonics of 146\.520/ }).first()).toBeVisible()
    await plain.close()

    expect(await textOf(await take('Forum post'))).toContain(
      '| 2 m, sample B | Not without a filter or a change |',
    )
    expect(await textOf(await take('Video description'))).toContain('May I key it?')
    expect(await textOf(await take('Letter, as text'))).toContain(
      'We repeat any of these readings on request',
    )
    const letter = await take('Letter to the maker')
    expect((await pdfText((await letter.path())!)).text).toContain('serial number OT2-00418')
    const csv = await textOf(await take('Table of readings'))
    expect(csv.charCodeAt(0)).toBe(0xfeff)
  },
)

test('pictures: one by key from a station, all of them as a zip', { tag: '@all' }, async ({ page }) => {
  await openDemoAt(page, `${DEMO}/harmonics?set=trek-b`)
  await expect(page.getByRole('heading', { name: /Harmonics and spurs/ }).first()).toBeVisible()
  await page.keyboard.press('v')
  const picture = page.getByTestId('picture')
  await expect(picture).toContainText(/Harmonics of \d+\.\d+\sMHz/)
  const png = await taken(page, () => picture.getByRole('button', { name: 'PNG' }).click())
  const bytes = readFileSync((await png.path())!)
  expect([bytes.readUInt32BE(16), bytes.readUInt32BE(20)]).toEqual([1920, 1080])
  await picture.getByRole('button', { name: 'Close' }).click()

  await page.goto(`${DEMO}/publish?set=c1`)
  const zip = await taken(page, () => page.getByRole('button', { name: 'All as a zip' }).click())
  const packed = readFileSync((await zip.path())!)
  expect(packed.subarray(0, 2).toString()).toBe('PK')
  const { unzipSync } = await import('fflate')
  const names = Object.keys(unzipSync(new Uint8Array(packed)))
  expect(names.some(name => name.endsWith('-wide-day.png'))).toBe(true)
  expect(names.some(name => name.endsWith('-square-night.svg'))).toBe(true)
  expect(names.length % 8).toBe(0)
})
