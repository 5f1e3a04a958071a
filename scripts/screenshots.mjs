// npm run screenshots: one picture of each main view from the demo data, at 1280×800, into docs/screenshots.
import { chromium } from '@playwright/test'
import { join } from 'node:path'
import {
  BROWSER_ARGS,
  ensureBuilt,
  ensureChromium,
  ensurePackages,
  freePort,
  root,
  startServer,
} from './lib.mjs'

const DEMO = 'review/demo-fell-race'
const HIGH = '2m:2m-2:high'
const TARN = '70cm:70cm-2:high'
const VIEWS = [
  ['shelf', '', {}],
  ['card', `${DEMO}/card?set=trek-b`, {}],
  ['rulebooks', `${DEMO}/rulebooks?set=trek-b`, {}],
  ['bench', `${DEMO}/bench?set=trek-b`, {}],
  ['run', `${DEMO}/run?set=trek-a`, {}],
  ['carrier-power', `${DEMO}/carrier-power?set=trek-b&step=carrier-power:${HIGH}`, {}],
  ['harmonics', `${DEMO}/harmonics?set=trek-b&step=harmonics:${HIGH}&slot=x3`, {}],
  ['power-over-time', `${DEMO}/power-over-time?set=trek-b&step=power-over-time:${HIGH}`, {}],
  ['deviation', `${DEMO}/deviation?set=tarnwick`, {}],
  [
    'bandwidth-night',
    `${DEMO}/bandwidth?set=tarnwick&step=bandwidth:27mhz:27mhz-2:high`,
    { colorScheme: 'dark' },
  ],
  ['sensitivity', `${DEMO}/sensitivity?set=trek-a&step=sensitivity:${TARN}`, { over: true }],
  ['neighbour', `${DEMO}/neighbour?set=trek-a&step=neighbour:${TARN}`, { over: true }],
  ['findings', `${DEMO}/findings?set=trek-b`, {}],
  ['sheet', `${DEMO}/sheet?set=trek-b`, {}],
  ['report', `${DEMO}/report?set=trek-b`, {}],
  ['publish', `${DEMO}/publish?set=trek-b`, {}],
  ['past', 'past', {}],
  ['battery', `${DEMO}/battery?set=trek-a`, {}],
  ['practice', 'practice', { click: ['Begin', 'Analyser behind 40 dB', 'Key (Space)'], settleMs: 1500 }],
]

await ensurePackages()
await ensureBuilt()
const { child, address } = await startServer({ port: await freePort(4397), demo: true })
const browser = await chromium.launch({
  executablePath: await ensureChromium(),
  args: BROWSER_ARGS,
})
for (const [name, path, { click = [], over = false, settleMs = 800, ...options }] of VIEWS) {
  const page = await (
    await browser.newContext({ viewport: { width: 1280, height: 800 }, ...options })
  ).newPage()
  await page.goto(address)
  await page.waitForSelector('.review')
  if (path) await page.goto(address + path)
  // Until it has a heading and asks for nothing more: how long that takes is the machine's affair.
  await page.locator('h1').first().waitFor()
  await page.waitForLoadState('networkidle')
  await page.waitForTimeout(1500)
  if (over) {
    for (const box of await page.locator('section.over input[type=checkbox]').all()) await box.check()
    await page.getByRole('button', { name: 'All seen to: go on' }).click()
    await page.waitForTimeout(settleMs)
  }
  for (const text of [click].flat()) {
    await page.getByRole('button', { name: text }).first().click()
    await page.waitForTimeout(settleMs)
  }
  await page.screenshot({ path: join(root, 'docs', 'screenshots', `${name}.png`) })
  await page.context().close()
  console.log(name)
}
await browser.close()
child.kill()
process.exit(0)
