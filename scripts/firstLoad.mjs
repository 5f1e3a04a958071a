// Adds up the scripts the first screen loads, compressed, and holds them under 280 kB. The demo review comes from
// the server as a file: what makes it needs every station, and would weigh 75 kB here.
import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { gzipSync } from 'node:zlib'
import { chromium } from '@playwright/test'
import { BROWSER_ARGS, freePort, root, startServer } from './lib.mjs'

const MOST_BYTES = 280_000

const { child, address } = await startServer({ port: await freePort(4390), demo: true })
const browser = await chromium.launch({
  executablePath: process.env.CHROMIUM_PATH ?? '/usr/bin/chromium',
  args: BROWSER_ARGS,
})
const page = await browser.newPage()
const scripts = new Set()
page.on(
  'request',
  request => request.resourceType() === 'script' && scripts.add(new URL(request.url()).pathname),
)
await page.goto(address)
await page.getByRole('heading', { name: 'Shelf' }).waitFor()
const before = [...scripts].filter(path => path.startsWith('/_nuxt/'))
await browser.close()
child.kill()
const bytes = before.reduce(
  (sum, path) => sum + gzipSync(readFileSync(join(root, '.output', 'public', path))).length,
  0,
)
console.log(
  `First load: ${before.length} scripts, ${(bytes / 1000).toFixed(0)} kB compressed (gzip); at most ${MOST_BYTES / 1000} kB.`,
)
process.exit(bytes > MOST_BYTES ? 1 : 0)
