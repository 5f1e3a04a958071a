// Instruments on the screen: a meter twenty times a second, a sweep of a hundred thousand points, a radio listened to.
import { rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { chromium } from '@playwright/test'
import wavefile from 'wavefile'
import { middle } from './lines.mjs'

const VIEWPORT = { viewport: { width: 1280, height: 800 } }

/** An evening of practice: readings of its meter on the screen, and the frames beside them. */
export async function practiceFrames(browser, address) {
  const page = await (await browser.newContext(VIEWPORT)).newPage()
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
  const lateOf = ({ spent }) => spent.filter(ms => ms > 1.75 * usual).length
  return `texts of the meter, asked 20 times a second, that changed in 3 s: ${keyed.shown}; frames ${keyed.spent.length} (unkeyed ${still.spent.length}), late ones ${lateOf(keyed)} (unkeyed ${lateOf(still)})`
}

/** A sweep of a hundred thousand points (3 GHz in steps of half a bandwidth of 60 kHz), until it is drawn, ms. */
export async function sweepDrawn(browser, address) {
  const page = await (await browser.newContext(VIEWPORT)).newPage()
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
    spent.push(await page.evaluate(untilDrawn))
    const [said] = await page.getByRole('dialog').locator('.understood li').allTextContents()
    if (i === 0) console.log(`the sweep that is drawn: ${said?.trim()}`)
    await page.getByRole('button', { name: 'Leave it' }).click()
    await page.getByRole('dialog').waitFor({ state: 'detached' })
    await page.waitForTimeout(1000)
  }
  return middle(spent)
}

/** Runs in the page. */
function untilDrawn() {
  return new Promise(resolve => {
    const button = [...document.querySelectorAll('button')].find(one => /Read a sweep/.test(one.textContent))
    const from = performance.now()
    button.click()
    const look = () =>
      document.querySelector('.glance path') ? resolve(performance.now() - from) : requestAnimationFrame(look)
    look()
  })
}

/** A tone in noise, 12 dB SINAD or so, as the sound card is to bring it. */
function toneFile() {
  const path = join(tmpdir(), `rigorous-meter-bench-${process.pid}.wav`)
  const wav = new wavefile.WaveFile()
  const noise = () => Math.random() + Math.random() + Math.random() - 1.5
  const samples = Array.from({ length: 20 * 48_000 }, (_unused, n) =>
    Math.round(32_767 * (0.3 * Math.sin((2 * Math.PI * 1000 * n) / 48_000) + 0.27 * noise())),
  )
  wav.fromScratch(1, 48_000, '16', samples)
  writeFileSync(path, wav.toBuffer())
  return path
}

/**
 * Listening to a tone in noise on the browser's fake sound card: how soon the first figure stands, and the page's
 * longest task; beside it, the longest of a bare page with as many elements, one word of which changes each second.
 */
export async function listening(address, { executablePath, args }) {
  const tone = toneFile()
  const fake = ['--use-fake-ui-for-media-stream', '--use-fake-device-for-media-stream']
  const ears = await chromium.launch({
    executablePath,
    args: [...args, ...fake, `--use-file-for-fake-audio-capture=${tone}`],
  })
  const page = await (await ears.newContext({ ...VIEWPORT, permissions: ['microphone'] })).newPage()
  await page.goto(address)
  await page.waitForSelector('.review')
  await page.goto(`${address}review/demo-fell-race/sensitivity?set=mini&step=sensitivity:2m:2m-2:high`)
  await page.waitForSelector('section.over')
  for (const box of await page.locator('section.over input[type=checkbox]').all()) await box.check()
  await page.getByRole('button', { name: 'All seen to: go on' }).click()
  await page.getByRole('button', { name: 'Listen', exact: true }).waitFor()
  // What loading left behind is cleared away by then.
  await page.waitForTimeout(15_000)
  const elements = await page.evaluate(() => document.querySelectorAll('*').length)
  const idle = await workOf(ears, page)
  const firstMs = await page.evaluate(untilHeard)
  await page.waitForTimeout(3000)
  const busy = await workOf(ears, page)
  await page.setContent(`<p>0</p>${'<p><b>as many</b></p>'.repeat(elements / 2)}`)
  await page.evaluate(() => {
    let seconds = 0
    setInterval(() => (document.querySelector('p').textContent = `${(seconds += 1)}`), 1000)
  })
  await page.waitForTimeout(3000)
  const bare = await workOf(ears, page)
  await ears.close()
  rmSync(tone)
  return { firstMs, idle, busy, bare }
}

/** Runs in the page. */
function untilHeard() {
  return new Promise(resolve => {
    const from = performance.now()
    const look = () =>
      /dB under clipping/.test(document.querySelector('[data-testid=input-level]')?.textContent ?? '')
        ? resolve(performance.now() - from)
        : setTimeout(look, 5)
    document.querySelectorAll('button').forEach(one => one.textContent?.trim() === 'Listen' && one.click())
    look()
  })
}

const LOOKS = 4
const LOOK_MS = 5000

/**
 * Work of the page's own thread, by the browser's trace, processor time of each task: what else the machine does
 * meanwhile does not count. Four looks of 5 s, and of their longest tasks the middle: one look may fall on a moment
 * in which the machine was slow. What loading left to be collected falls into any of them, and is told apart.
 */
async function workOf(browser, page) {
  const looks = []
  for (let i = 0; i < LOOKS; i++) {
    await browser.startTracing(page, { categories: ['toplevel', 'v8'] })
    await page.waitForTimeout(LOOK_MS)
    looks.push(tasksOf(JSON.parse((await browser.stopTracing()).toString()).traceEvents))
  }
  const all = looks.flat()
  const longest = tasks => Math.max(0, ...tasks.map(({ ms }) => ms))
  const ours = tasks => tasks.filter(({ collects }) => !collects)
  return {
    longestMs: middle(looks.map(look => longest(ours(look)))),
    over4: ours(all).filter(({ ms }) => ms > 4).length,
    collectedMs: longest(all.filter(({ collects }) => collects)),
  }
}

/** The tasks of the busiest page's own thread. */
function tasksOf(traceEvents) {
  const spans = traceEvents.filter(({ ph }) => ph === 'X')
  const within = ({ pid, tid }) => spans.filter(one => one.pid === pid && one.tid === tid)
  const threads = traceEvents
    .filter(({ name, args }) => name === 'thread_name' && args.name === 'CrRendererMain')
    .map(within)
  const busiest = threads.sort((a, b) => b.length - a.length)[0]
  const collections = busiest.filter(({ name }) => name === 'MajorGC')
  return busiest
    .filter(({ name }) => /RunTask$/.test(name))
    .map(({ ts, dur, tdur = 0 }) => ({
      ms: tdur / 1e3,
      collects: collections.some(one => one.ts >= ts && one.ts <= ts + dur),
    }))
}
