import { chromium } from '@playwright/test'
import { ensureChromium, startServer, freePort } from './lib.mjs'
const { child, address } = await startServer({ port: await freePort(4398), demo: true })
const browser = await chromium.launch({
  executablePath: await ensureChromium(),
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
    '--use-fake-ui-for-media-stream',
    '--use-fake-device-for-media-stream',
    ...(process.env.WAV ? [`--use-file-for-fake-audio-capture=${process.env.WAV}`] : []),
  ],
})
const D = 'review/demo-fell-race'
const jobs = (await import(process.argv[2])).default
for (const j of jobs) {
  const ctx = await browser.newContext({
    viewport: j.viewport ?? { width: 1280, height: 800 },
    colorScheme: j.dark ? 'dark' : 'light',
    permissions: j.deny ? [] : ['microphone'],
  })
  const page = await ctx.newPage()
  page.on('console', m => {
    if (m.type() === 'error') console.log(j.name, 'console:', m.text().slice(0, 300))
  })
  page.on('pageerror', e => console.log(j.name, 'pageerror:', e.message.slice(0, 300)))
  await page.goto(address)
  await page.waitForTimeout(2200)
  await page.goto(`${address}${D}/${j.path}`)
  await page.waitForTimeout(1800)
  if (j.over) {
    const boxes = page.locator('section.over input[type=checkbox]')
    const n = await boxes.count()
    for (let i = 0; i < n; i++) await boxes.nth(i).check()
    if (n) await page.getByRole('button', { name: 'All seen to: go on' }).click()
    await page.waitForTimeout(900)
  }
  if (j.act) await j.act(page)
  await page.waitForTimeout(500)
  await page.screenshot({ path: `/tmp/shots/${j.name}.png`, fullPage: j.full ?? false })
  const w = await page.evaluate(() => document.documentElement.scrollWidth - innerWidth)
  if (w > 0) console.log(j.name, 'sideways by', w)
  await ctx.close()
}
await browser.close()
child.kill()
