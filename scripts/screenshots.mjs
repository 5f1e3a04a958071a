// npm run screenshots: one picture of each main view from the demo data, at 1280×800, into docs/screenshots.
import { chromium } from '@playwright/test'
import { join } from 'node:path'
import { ensureBuilt, ensureChromium, ensurePackages, freePort, root, startServer } from './lib.mjs'

const DEMO = 'review/demo-fell-race'
const HIGH = '2m:2m-2:high'
const VIEWS = [
  ['shelf', '', {}],
  ['card', `${DEMO}/card?set=trek-b`, {}],
  ['rulebooks', `${DEMO}/rulebooks?set=trek-b`, {}],
  ['rulebook-editor', `${DEMO}/rulebooks?set=trek-b`, { click: 'Copy and change' }],
  ['bench', `${DEMO}/bench?set=trek-b`, {}],
  ['measure-path', `${DEMO}/bench?set=c1&chain=club50`, { click: ['30 dB pad', 'Measure this path'] }],
  ['carrier-power', `${DEMO}/carrier-power?set=trek-b&step=carrier-power:${HIGH}`, {}],
  ['harmonics', `${DEMO}/harmonics?set=trek-b&step=harmonics:${HIGH}&slot=x3`, {}],
  ['harmonics-night', `${DEMO}/harmonics?set=mini&step=harmonics:${HIGH}&slot=x3`, { colorScheme: 'dark' }],
  ['findings', `${DEMO}/findings?set=trek-b`, {}],
  ['report', `${DEMO}/report?set=trek-b`, {}],
  ['tools', 'tools', {}],
  ['bench-phone', `${DEMO}/bench?set=trek-b`, { viewport: { width: 390, height: 844 } }],
]

await ensurePackages()
await ensureBuilt()
const { child, address } = await startServer({ port: await freePort(4397), demo: true })
const browser = await chromium.launch({ executablePath: await ensureChromium(), args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking', '--disable-component-update', '--disable-sync'] })
for (const [name, path, { click = [], ...options }] of VIEWS) {
  const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 }, ...options })).newPage()
  await page.goto(address)
  await page.waitForSelector('.review')
  if (path) await page.goto(address + path)
  await page.waitForTimeout(1500)
  for (const text of [click].flat()) {
    await page.getByRole('button', { name: text }).first().click()
    await page.waitForTimeout(800)
  }
  await page.screenshot({ path: join(root, 'docs', 'screenshots', `${name}.png`) })
  await page.context().close()
  console.log(name)
}
await browser.close()
child.kill()
process.exit(0)
