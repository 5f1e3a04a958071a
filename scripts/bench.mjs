// npm run bench: speed as ratios against a named reference in the same run. Not a test; nothing fails here.
import { rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { chromium } from '@playwright/test'
import { broughtIn, savings, views, watchTasks } from './bench/large.mjs'
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

const middle = values => [...values].sort((a, b) => a - b)[values.length >> 1]
const line = (what, ours, reference, theirs) =>
  console.log(
    `${what.padEnd(58)} ${ours.toFixed(1).padStart(8)} ms   ${(ours / theirs).toFixed(2).padStart(6)} × ${reference} (${theirs.toFixed(1)} ms)`,
  )

await ensurePackages()
await ensureBuilt()
say('Core')
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

say('In the browser, from the built application')
const { child, address } = await startServer({ port: await freePort(4395), demo: true })
const browser = await chromium.launch({ executablePath: await ensureChromium(), args: BROWSER_ARGS })

async function loads(path, ready, times) {
  const spent = []
  for (let i = 0; i < times; i++) {
    const context = await browser.newContext({ viewport: { width: 1280, height: 800 } })
    const page = await context.newPage()
    await page.addInitScript(selector => {
      const look = () => {
        if (document.querySelector(selector)) window.readyAtMs = performance.now()
        else requestAnimationFrame(look)
      }
      look()
    }, ready)
    await page.goto(address + path)
    spent.push(await page.waitForFunction(() => window.readyAtMs).then(handle => handle.jsonValue()))
    await context.close()
  }
  return middle(spent)
}

/** From a keystroke in the fourth harmonic’s field to its verdict on the screen, ms; and how long a frame takes. */
const keystrokes = page =>
  page.evaluate(async () => {
    const input = document.querySelector('[data-slot=x4] input')
    const row = input.closest('tr')
    input.focus()
    const once = text =>
      new Promise(resolve => {
        const from = performance.now()
        const watch = new MutationObserver(() => {
          watch.disconnect()
          resolve(performance.now() - from)
        })
        watch.observe(row.cells[row.cells.length - 1], {
          subtree: true,
          childList: true,
          characterData: true,
        })
        input.value = text
        input.dispatchEvent(new Event('input', { bubbles: true }))
      })
    const spent = []
    for (let i = 0; i < 25; i++) {
      spent.push(await once(i % 2 ? '-58.4' : `-8${i % 10}`))
      await new Promise(resolve => setTimeout(resolve, 60))
    }
    const frames = []
    for (let i = 0; i < 25; i++) {
      const from = performance.now()
      await new Promise(resolve => requestAnimationFrame(resolve))
      frames.push(performance.now() - from)
    }
    return { spent, frames }
  })

const bare = await loads('icon.svg', 'svg', 5)
line(
  'first screen interactive (shelf with the demo review)',
  await loads('', '.review', 7),
  'an SVG of one kB from the same server',
  bare,
)

const context = await browser.newContext({ viewport: { width: 1280, height: 800 } })
const page = await context.newPage()
await page.goto(address)
await page.waitForSelector('.review')
await page.goto(`${address}review/demo-fell-race/harmonics?set=trek-b&step=harmonics:2m:2m-2:high`)
await page.waitForSelector('[data-slot=x4] input')
const keys = await keystrokes(page)
line('keystroke to updated verdict', middle(keys.spent), 'one frame of the browser', middle(keys.frames))

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
const bigKeys = await keystrokes(page)
line(
  'the same with 12 000 readings in the review',
  middle(bigKeys.spent),
  'one frame of the browser',
  middle(bigKeys.frames),
)
const kept = await savings(page)
line(
  'one more of 12 000 readings, until Saved',
  middle(kept.one.map(([until]) => until)),
  'the change itself with its guard and its journal',
  middle(kept.one.map(([, guarded]) => guarded)),
)
line('500 edits in one go, until Saved', kept.many, 'one frame of the browser', middle(bigKeys.frames))
for (const file of [bigFile, writer]) rmSync(file)

await page.goto(`${address}review/demo-fell-race/harmonics?set=trek-b&step=harmonics:2m:2m-2:high&slot=x3`)
const simulated = []
for (let i = 0; i < 3; i++) {
  await page.goto(
    `${address}review/demo-fell-race/harmonics?set=trek-b&step=harmonics:2m:2m-2:high&slot=x${3 + i}`,
  )
  const button = page.getByRole('button', { name: 'Check by Monte Carlo' })
  await button.waitFor()
  // The worker starts with the panel, and is warm when a person’s pointer arrives.
  await page.waitForTimeout(1500)
  simulated.push(
    await button.evaluate(
      element =>
        new Promise(resolve => {
          const from = performance.now()
          const look = () =>
            document.querySelector('[data-testid=simulated]')
              ? resolve(performance.now() - from)
              : setTimeout(look, 2)
          element.click()
          look()
        }),
    ),
  )
}
line(
  'a million trials in the warm worker, from click to figure',
  middle(simulated),
  'one frame of the browser',
  middle(keys.frames),
)
// An evening of practice: twenty readings a second on the screen, and the frames beside them.
{
  const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage()
  await page.goto(`${address}practice`)
  await page.locator('[data-evening=e4]').getByRole('button', { name: 'Begin' }).click()
  await page.locator('[data-testid=practice-screen]').waitFor()
  const frames = () =>
    page.evaluate(async () => {
      const spent = []
      const screen = document.querySelector('[data-testid=practice-screen]')
      let shown = 0
      const watch = new MutationObserver(() => (shown += 1))
      watch.observe(screen, { subtree: true, childList: true, characterData: true })
      const until = performance.now() + 3000
      let last = performance.now()
      while (performance.now() < until) {
        const now = await new Promise(resolve => requestAnimationFrame(resolve))
        spent.push(now - last)
        last = now
      }
      watch.disconnect()
      return { spent, shown }
    })
  const still = await frames()
  await page.getByRole('button', { name: 'Key (Space)' }).click()
  const keyed = await frames()
  const usual = middle(still.spent)
  const late = keyed.spent.filter(ms => ms > 1.75 * usual).length
  console.log(
    `readings of the meter shown in 3 s: ${keyed.shown}; frames ${keyed.spent.length} (unkeyed ${still.spent.length}), late ones ${late} (unkeyed ${still.spent.filter(ms => ms > 1.75 * usual).length})`,
  )
}

// A sweep of a hundred thousand points (3 GHz in steps of half a bandwidth of 60 kHz), until it is drawn.
{
  const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage()
  await page.addInitScript(() =>
    localStorage.setItem(
      'rigorous-meter:links',
      JSON.stringify({ club: { via: 'server', serverId: 'virtual-analyser' } }),
    ),
  )
  await page.goto(address)
  await page.waitForSelector('.review')
  await page.goto(`${address}review/demo-fell-race/bench`)
  await page.getByRole('button', { name: 'Club analyser' }).first().click()
  await page.getByLabel('Resolution bandwidth').fill('0.06')
  await page.keyboard.press('Tab')
  await page.waitForTimeout(1500)
  await page.goto(`${address}review/demo-fell-race/harmonics?set=trek-a&step=harmonics:70cm:70cm-2:high`)
  const button = page.getByRole('button', { name: 'Read a sweep' })
  await button.waitFor()
  await page.waitForTimeout(1000)
  const spent = []
  for (let i = 0; i < 5; i++) {
    // By the page's own clock, from the press to the frame that has the drawing.
    const ms = await page.evaluate(
      () =>
        new Promise(resolve => {
          const button = [...document.querySelectorAll('button')].find(one =>
            /Read a sweep/.test(one.textContent),
          )
          const from = performance.now()
          button.click()
          const look = () =>
            document.querySelector('.glance path')
              ? resolve(performance.now() - from)
              : requestAnimationFrame(look)
          look()
        }),
    )
    spent.push(ms)
    await page.getByRole('button', { name: 'Leave it' }).click()
    await page.getByRole('dialog').waitFor({ state: 'detached' })
    await page.waitForTimeout(1000)
  }
  line(
    'a sweep of 100 000 points by the server, until drawn',
    middle(spent),
    'one frame of the browser',
    middle(keys.frames),
  )
}
await browser.close()

// Listening to the browser's fake sound card: how soon the first figure stands, and the longest task of the page.
const ears = await chromium.launch({
  executablePath: await ensureChromium(),
  args: [...BROWSER_ARGS, '--use-fake-ui-for-media-stream', '--use-fake-device-for-media-stream'],
})
const listener = await (
  await ears.newContext({ viewport: { width: 1280, height: 800 }, permissions: ['microphone'] })
).newPage()
await listener.goto(address)
await listener.waitForSelector('.review')
await listener.goto(`${address}review/demo-fell-race/sensitivity?set=mini&step=sensitivity:2m:2m-2:high`)
await listener.waitForSelector('section.over')
for (const box of await listener.locator('section.over input[type=checkbox]').all()) await box.check()
await listener.getByRole('button', { name: 'All seen to: go on' }).click()
await listener.getByRole('button', { name: 'Listen', exact: true }).waitFor()

/**
 * Work of the page's own thread within some seconds, by the browser's trace, processor time of each task: what else
 * the machine does meanwhile does not count.
 */
async function workOf(ms) {
  await ears.startTracing(listener, { categories: ['toplevel'] })
  await listener.waitForTimeout(ms)
  const { traceEvents } = JSON.parse((await ears.stopTracing()).toString())
  const pages = traceEvents.filter(
    ({ name, args }) => name === 'thread_name' && args.name === 'CrRendererMain',
  )
  const tasks = pages.map(page =>
    traceEvents
      .filter(
        ({ ph, name, pid, tid }) =>
          ph === 'X' && /RunTask$/.test(name) && pid === page.pid && tid === page.tid,
      )
      .map(({ tdur = 0 }) => tdur / 1e3),
  )
  const busiest = tasks.sort((a, b) => b.length - a.length)[0]
  return { longest: Math.max(...busiest), busy: busiest.filter(task => task > 4).length }
}
const idle = await workOf(5000)
const first = await listener.evaluate(
  () =>
    new Promise(resolve => {
      const from = performance.now()
      const look = () =>
        /dB under clipping/.test(document.querySelector('[data-testid=input-level]')?.textContent ?? '')
          ? resolve(performance.now() - from)
          : setTimeout(look, 5)
      document.querySelectorAll('button').forEach(one => one.textContent?.trim() === 'Listen' && one.click())
      look()
    }),
)
const listening = await workOf(5000)
console.log(
  `${'from Listen to the first report'.padEnd(58)} ${first.toFixed(0).padStart(8)} ms   goal 1500 ms`,
)
console.log(
  `${'longest task of the page in 5 s of listening'.padEnd(58)} ${listening.longest.toFixed(1).padStart(8)} ms   goal 4 ms; ${listening.busy} over 4 ms (not listening: ${idle.longest.toFixed(1)} ms, ${idle.busy})`,
)
await ears.close()
child.kill()
process.exit(0)
