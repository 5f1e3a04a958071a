import AxeBuilder from '@axe-core/playwright'
import { expect, type Page } from '@playwright/test'
import { DEMO, openDemo, visit } from './support'
import { test } from './test'

const VIEWS: [name: string, path: string, ready: string][] = [
  ['shelf', '/', 'Shelf'],
  ['start', '/start', 'Start a review'],
  ['card', `${DEMO}/card?set=trek-b`, 'Osmere Trek 2, sample B'],
  ['rulebooks', `${DEMO}/rulebooks`, 'Rulebooks'],
  ['bench', `${DEMO}/bench?set=trek-b`, 'Bench check'],
  ['carrier power', `${DEMO}/carrier-power?set=trek-b&step=carrier-power:2m:2m-2:high`, 'Carrier power'],
  ['harmonics', `${DEMO}/harmonics?set=trek-b&step=harmonics:2m:2m-2:high&slot=x3`, 'Harmonics'],
  ['run', `${DEMO}/run?set=trek-a`, 'The run'],
  [
    'power over time',
    `${DEMO}/power-over-time?set=trek-b&step=power-over-time:2m:2m-2:high`,
    'Power over time',
  ],
  ['off-air', `${DEMO}/off-air?set=trek-b&step=off-air:2m:2m-2:high`, 'Off-air comparison'],
  ['deviation', `${DEMO}/deviation?set=tarnwick`, 'Deviation'],
  ['frequency', `${DEMO}/frequency?set=trek-a&step=frequency:2m:2m-2:low`, 'Frequency error'],
  [
    'bandwidth',
    `${DEMO}/bandwidth?set=tarnwick&step=bandwidth:27mhz:27mhz-2:high`,
    'Bandwidth and neighbours',
  ],
  ['two-tone', `${DEMO}/two-tone?set=tarnwick`, 'Two-tone, SSB'],
  ['going over', `${DEMO}/sensitivity?set=trek-a`, 'Going over to receiving'],
  ['by ear', `${DEMO}/by-ear?set=mini`, 'By ear'],
  ['sensitivity', `${DEMO}/sensitivity?set=c1&step=sensitivity:70cm:70cm-2:low`, 'Sensitivity'],
  ['squelch', `${DEMO}/squelch?set=c1&step=squelch:70cm:70cm-2:low`, 'Squelch'],
  ['neighbour', `${DEMO}/neighbour?set=c1`, 'Neighbour channel'],
  ['strong signals', `${DEMO}/strong-signals?set=c1`, 'Strong signals'],
  ['audio', `${DEMO}/audio?set=c1`, 'Audio'],
  ['battery', `${DEMO}/battery?set=trek-a`, 'Battery and supply'],
  ['antenna', `${DEMO}/antenna?set=trek-a`, 'Antenna'],
  ['stress', `${DEMO}/stress?set=c1`, 'Open and short'],
  ['report', `${DEMO}/report`, 'Report'],
  ['findings', `${DEMO}/findings`, 'What we can say about these radios'],
  ['sheet', `${DEMO}/sheet?set=trek-a`, 'Sheet'],
  ['publish', `${DEMO}/publish?set=trek-a`, 'Publish'],
  ['past radios', '/past', 'Past radios'],
  ['my bench', '/bench', 'My bench'],
  ['practice', '/practice', 'Practice'],
  ['tools', '/tools', 'Tools'],
]

/** Pages of a review that are no station’s: all stations share one. */
const OWN_PAGES = ['card', 'rulebooks', 'bench', 'run', 'report', 'findings', 'sheet', 'publish']

function pageOf(path: string): string {
  const place = /^\/review\/[^/]+\/([^?]+)/.exec(path)?.[1]
  return place === undefined || OWN_PAGES.includes(place) ? (place ?? path) : 'a station'
}

/**
 * The first view of each page from its address, as a link that was kept opens it: it stands on its own. Further
 * stations by a link inside the application.
 */
async function show(page: Page, path: string, heading: string, opened = new Set<string>()): Promise<void> {
  if (opened.has(pageOf(path))) await visit(page, path)
  else await page.goto(path)
  opened.add(pageOf(path))
  const over = page.getByRole('button', { name: 'All seen to: go on' })
  const there = page.getByRole('heading', { name: heading }).first()
  await expect(there.or(over).first()).toBeVisible()
  // A radio that was transmitting goes over first, unless that is what is looked at.
  if ((await over.isVisible()) && !(await there.isVisible())) {
    for (const box of await page.locator('section.over input[type=checkbox]').all()) await box.check()
    await over.click()
  }
  await expect(there).toBeVisible()
  await drawn(page)
}

/** Long views come a part a turn: waits until no more elements have come for a while. */
async function drawn(page: Page): Promise<void> {
  const count = () => page.evaluate(() => document.querySelectorAll('*').length)
  await expect(async () => {
    const before = await count()
    await page.waitForTimeout(300)
    expect(await count()).toBe(before)
  }).toPass({ intervals: [0] })
}

/**
 * Long tables repeat their rows and the report its sets: the first few stand for all, as far as axe looks. The
 * rest is taken out: axe walks through what is hidden as well. The next view is loaded anew.
 */
async function shorten(page: Page): Promise<void> {
  await page.evaluate(() => {
    for (const body of document.querySelectorAll('tbody'))
      [...body.rows].slice(6).forEach(row => row.remove())
    const [, ...others] = document.querySelectorAll('article section[aria-labelledby^="report-set-"]')
    others.forEach(section => section.remove())
    for (const section of document.querySelectorAll('article section'))
      [...section.children].slice(12).forEach(part => part.remove())
  })
}

/**
 * What axe finds serious, a line each. No page of ours has frames of another host, so axe runs in the page itself,
 * and it names elements only of what is wrong.
 * @param rules all of axe's where none are named.
 */
async function findingsOf(page: Page, rules?: string[]): Promise<string[]> {
  const { violations } = await new AxeBuilder({ page })
    .setLegacyMode(true)
    .options({
      resultTypes: ['violations'],
      ...(rules && { runOnly: { type: 'rule', values: rules } }),
    })
    .analyze()
  return violations
    .filter(({ impact }) => impact === 'serious' || impact === 'critical')
    .map(({ id, nodes }) => {
      const where = nodes
        .slice(0, 3)
        .map(({ target, any }) => `${target.join(' ')} (${any[0]?.message ?? ''})`)
      return `${id}: ${where.join('; ')}`
    })
}

/** By its key, from wherever the focus is. */
async function turnTheme(page: Page): Promise<void> {
  await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur())
  await page.keyboard.press('t')
}

const sideways = (page: Page) => page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)

const SHARES = [0, 1, 2, 3, 4, 5].map(share => ({
  share,
  views: VIEWS.filter((_view, i) => i % 6 === share),
}))

for (const { share, views } of SHARES)
  test(
    `every view fits a phone and a wide screen, is accessible by day and night, asks no other host (${share + 1} of 6)`,
    { tag: share === 0 ? [] : '@all' },
    async ({ page }) => {
      test.setTimeout(420_000)
      const hosts = new Set<string>()
      const complaints: string[] = []
      page.on('request', request => hosts.add(new URL(request.url()).host))
      page.on('console', message => message.type() === 'error' && complaints.push(message.text()))
      await openDemo(page)
      const opened = new Set<string>()
      for (const [name, path, heading] of views)
        await test.step(name, async () => {
          await show(page, path, heading, opened)
          for (const width of [390, 1920, 1280]) {
            await page.setViewportSize({ width, height: 844 })
            await expect.poll(() => sideways(page), `${name} at ${width} px`).toBeLessThanOrEqual(0)
          }
          await shorten(page)
          expect(await findingsOf(page), `${name} by day`).toEqual([])
          // What hangs on the theme is contrast; the rest is looked at once, by day.
          await turnTheme(page)
          await expect(page.locator('.v-theme--night').first()).toBeAttached()
          expect(await findingsOf(page, ['color-contrast']), `${name} by night`).toEqual([])
          await turnTheme(page)
        })
      expect([...hosts].filter(host => host !== '' && !host.startsWith('127.0.0.1'))).toEqual([])
      expect(complaints).toEqual([])
    },
  )
