// npm run bench: speed as ratios against a named reference in the same run. Not a test; nothing fails here.
import { rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { chromium } from '@playwright/test'
import { judgingInPage } from './bench/inEngine.mjs'
import { keystrokes, loads, simulations } from './bench/figures.mjs'
import { listening, practiceFrames, sweepDrawn } from './bench/instruments.mjs'
import { broughtIn, savings, views, watchTasks } from './bench/large.mjs'
import { line, middle } from './bench/lines.mjs'
import {
  BROWSER_ARGS,
  bundleProgram,
  ensureBuilt,
  ensureChromium,
  ensurePackages,
  freePort,
  must,
  root,
  run,
  say,
  startServer,
} from './lib.mjs'

await ensurePackages()
await ensureBuilt()
say('Core, in Node')
// Bundled as the application is: a loader that keeps every function's name would slow the closures down.
const bundle = join(tmpdir(), `rigorous-meter-bench-${process.pid}.cjs`)
await bundleProgram('scripts/bench/core.ts', bundle)
must(await run(process.execPath, [bundle]), 'the core’s share')
rmSync(bundle)

const PARTS = ['signal', 'welchWorker', 'sinad', 'hearing', 'link']
const bundles = PARTS.map(name => join(tmpdir(), `rigorous-meter-bench-${name}-${process.pid}.mjs`))
for (const [i, name] of PARTS.entries()) await bundleProgram(`scripts/bench/${name}.ts`, bundles[i], 'esm')
must(await run(process.execPath, [bundles[0], bundles[1], root]), 'the spectrum’s share')
must(await run(process.execPath, [bundles[2], root]), 'the share of received audio')
must(await run(process.execPath, [bundles[3]]), 'the share of what a radio hears')
must(await run(process.execPath, [bundles[4]]), 'the share of the link')
for (const file of bundles) rmSync(file)

say('In the browser')
const { child, address } = await startServer({ port: await freePort(4395), demo: true })
const executablePath = await ensureChromium()
const browser = await chromium.launch({ executablePath, args: BROWSER_ARGS })

const judging = join(tmpdir(), `rigorous-meter-bench-judging-${process.pid}.js`)
await bundleProgram('scripts/bench/judgingInPage.ts', judging, 'iife', 'browser')
await judgingInPage(browser, judging)
rmSync(judging)

say('The built application')

const bare = await loads(browser, `${address}icon.svg`, { ready: 'svg', times: 5 })
line(
  'first screen interactive (shelf with the demo review)',
  await loads(browser, address, { ready: '.review', times: 7 }),
  'an SVG of one kB from the same server',
  bare,
)

const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage()
await page.goto(address)
await page.waitForSelector('.review')
await page.goto(`${address}review/demo-fell-race/harmonics?set=trek-b&step=harmonics:2m:2m-2:high`)
await page.waitForSelector('[data-slot=x4] input')
const FRAME = 'one frame of the browser'
const { verdictMs, frameMs } = await keystrokes(page)
line('keystroke to updated verdict', verdictMs, FRAME, frameMs)

const bigFile = join(tmpdir(), `rigorous-meter-bench-${process.pid}.review.json`)
const writer = join(tmpdir(), `rigorous-meter-bench-file-${process.pid}.cjs`)
await bundleProgram('scripts/bench/bigReviewFile.ts', writer)
must(await run(process.execPath, [writer, bigFile]), 'the review of 12 000 readings')
await watchTasks(page)
const smallViews = await views(page, address, { id: 'demo-fell-race', set: 'trek-b' })
const brought = await broughtIn(page, address, { file: bigFile, words: '“Many sets” is on the shelf.' })
const bigViews = await views(page, address, { id: 'big', set: 'set-3' })
console.log(
  `${'the same review brought in'.padEnd(58)} ${brought.seenMs.toFixed(0).padStart(8)} ms   goal 3000 ms; longest task ${brought.longestMs.toFixed(0)} ms`,
)
for (const [name, { seenMs, longestMs }] of Object.entries(bigViews))
  line(
    `${name} of it, from another place (longest task ${longestMs.toFixed(0)} ms)`,
    seenMs,
    'the same of the demo',
    smallViews[name].seenMs,
  )
await page.goto(`${address}review/big/harmonics?set=set-3`)
await page.waitForSelector('[data-slot=x4] input')
await page.waitForTimeout(3000)
line('the same with 12 000 readings in the review', (await keystrokes(page)).verdictMs, FRAME, frameMs)
const kept = await savings(page)
line(
  'one more of 12 000 readings, until Saved',
  middle(kept.one.map(([until]) => until)),
  'the change itself with its guard and its journal',
  middle(kept.one.map(([, guarded]) => guarded)),
)
line('500 edits in one go, until Saved', kept.many, FRAME, frameMs)
for (const file of [bigFile, writer]) rmSync(file)

line(
  'a million trials in the warm worker, from click to figure',
  await simulations(page, address),
  FRAME,
  frameMs,
)
console.log(await practiceFrames(browser, address))
line(
  'a sweep of 100 000 points by the server, until drawn',
  await sweepDrawn(browser, address),
  FRAME,
  frameMs,
)
await browser.close()

const { firstMs, idle, busy, bare: still } = await listening(address, { executablePath, args: BROWSER_ARGS })
console.log(
  `${'from Listen to the first report'.padEnd(58)} ${firstMs.toFixed(0).padStart(8)} ms   goal 1500 ms`,
)
const told = ({ longestMs, over4, collectedMs }) =>
  `${longestMs.toFixed(1)} ms, ${over4} over 4 ms, ${collectedMs.toFixed(0)} ms collecting garbage`
console.log(
  `${'longest task of the page, middle of four times 5 s of listening'.padEnd(58)} ${busy.longestMs.toFixed(1).padStart(8)} ms   goal 4 ms`,
)
console.log(`   longest, how many over 4 ms in all 20 s: ${told(busy)}`)
console.log(`   not listening: ${told(idle)}`)
console.log(`   a bare page of as many elements, a word of which changes each second: ${told(still)}`)
child.kill()
process.exit(0)
