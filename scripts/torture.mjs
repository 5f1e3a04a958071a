// npm run torture [-- trials] [seed]: kills the page or the whole browser in the middle of work, again and again,
// damages records behind the application's back, and opens the review again each time. What the header called
// Saved must be there, nothing may be torn, and nothing may be unopenable without its rescue.
import { spawn } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { chromium } from '@playwright/test'
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus'
import {
  BROWSER_ARGS,
  ensureBuilt,
  ensureChromium,
  ensurePackages,
  freePort,
  say,
  startServer,
} from './lib.mjs'

const trials = Number(process.argv[2] ?? 300)
const seed = Number(process.argv[3] ?? 20261126)

await ensurePackages()
const executablePath = await ensureChromium()
await ensureBuilt()
const { child: server, address } = await startServer({ port: await freePort(4397), demo: false })
const ADDRESS = address.replace(/\/$/, '')
const CARD = `${ADDRESS}/review/demo-fell-race/card?set=trek-b`

const source = xoroshiro128plus(seed)
const random = () => (source.next() >>> 0) * 2 ** -32
const pick = list => list[Math.floor(random() * list.length)]

const launch = folder => chromium.launchPersistentContext(folder, { executablePath, args: BROWSER_ARGS })

/** The process of the browser whose profile lies in a folder, and all that it has started. */
function killBrowser(folder) {
  return new Promise(resolve => spawn('pkill', ['-9', '-f', folder], { stdio: 'ignore' }).on('exit', resolve))
}

async function opened(folder, address) {
  const context = await launch(folder)
  const page = context.pages()[0] ?? (await context.newPage())
  await page.goto(address)
  return { context, page }
}

/** Puts the demo on the shelf, in the place of what the last trial left. */
async function putDemo(folder, first) {
  const { context, page } = await opened(folder, ADDRESS)
  if (!first) await clearShelf(page)
  await page.getByRole('button', { name: 'Open the demo review' }).click()
  await page.getByRole('heading', { name: 'What we can say about these radios' }).waitFor()
  await context.close()
}

/**
 * Changes a price and the purpose together, again and again, and notes which was the last that stood while the
 * header said Saved; then the page or the browser is killed at a moment of chance.
 */
async function workAndDie(folder, how) {
  const { context, page } = await opened(folder, CARD)
  await page.getByLabel('Price', { exact: true }).waitFor()
  let saved = null
  const keptAt = [0]
  await page.exposeFunction('noteSaved', count => (saved = count))
  await page.exposeFunction('noteKept', (count, at) => (keptAt[count] = at))
  const everyMs = pick([0, 15, 60, 250])
  await page.evaluate(every => {
    const store = document
      .querySelector('#__nuxt')
      .__vue_app__.config.globalProperties.$pinia._s.get('review')
    let count = 0
    const change = () => {
      count += 1
      store.change('a price', draft => {
        draft.sets.find(({ id }) => id === 'trek-b').price = `#${count}`
        draft.purpose = `#${count}`
      })
      window.noteKept(count, Date.now())
      setTimeout(change, every)
    }
    const look = () => {
      if (store.saveState.kind === 'saved') window.noteSaved(count)
      setTimeout(look, 1)
    }
    change()
    look()
  }, everyMs)
  await new Promise(resolve => setTimeout(resolve, 100 + 900 * random()))
  const diedAt = Date.now()
  if (how === 'browser') await killBrowser(folder)
  else await page.close({ runBeforeUnload: false })
  const last = { saved, keptAt, diedAt }
  await context.close().catch(() => {})
  return last
}

async function lookAgain(folder) {
  const { context, page } = await opened(folder, CARD)
  const price = page.getByLabel('Price', { exact: true })
  const refused = page.getByRole('heading', { name: 'This review cannot be opened' })
  await price
    .or(refused)
    .first()
    .waitFor({ timeout: 60_000 })
    .catch(async () => {
      throw new Error(`neither open nor refused: ${(await page.locator('body').innerText()).slice(0, 300)}`)
    })
  const isOpen = await price.isVisible()
  const found = isOpen
    ? await page.evaluate(() => {
        const store = document
          .querySelector('#__nuxt')
          .__vue_app__.config.globalProperties.$pinia._s.get('review')
        return {
          price: store.review.sets.find(({ id }) => id === 'trek-b').price,
          purpose: store.review.purpose,
        }
      })
    : null
  await context.close()
  return found
}

/** Loses a record, or writes garbage over it, and asks for what is sound. */
async function damageAndRescue(folder) {
  const { context, page } = await opened(folder, ADDRESS)
  await page.locator('.review').first().waitFor()
  const [at, kind] = [random(), pick(['delete', 'garbage'])]
  const name = await page.evaluate(
    ([where, what]) =>
      new Promise(resolve => {
        const open = indexedDB.open('rigorous-meter')
        open.onsuccess = () => {
          const store = open.result.transaction('reviews', 'readwrite').objectStore('reviews')
          store.getAllKeys().onsuccess = ({ target }) => {
            const names = target.result.filter(key => /^(head|part):/.test(key))
            const one = names[Math.floor(where * names.length)]
            const done = what === 'delete' ? store.delete(one) : store.put({ garbage: true }, one)
            done.onsuccess = () => {
              open.result.close()
              resolve(one)
            }
          }
        }
      }),
    [at, kind],
  )
  await page.goto(CARD)
  await page.getByRole('button', { name: 'Save what is sound' }).click()
  const left = await page
    .getByTestId('rescued')
    .innerText({ timeout: 60_000 })
    .catch(() => null)
  await context.close()
  return { name, kind, told: left !== null && left.includes('cannot be read') }
}

/** The application empties its own shelf, as a person would. */
async function clearShelf(page) {
  await page
    .getByRole('button', { name: 'Open the demo review' })
    .or(page.locator('.review, [data-testid=damaged]'))
    .first()
    .waitFor()
  await page.evaluate(async () => {
    const shelf = document.querySelector('#__nuxt').__vue_app__.config.globalProperties.$pinia._s.get('shelf')
    for (const { id } of [...shelf.heads, ...shelf.damaged]) await shelf.remove(id)
  })
}

const counts = { browser: 0, page: 0, damage: 0 }
const wrong = []
let mostLostMs = 0
const folder = mkdtempSync(join(tmpdir(), 'torture-'))
say(`${trials} trials, seed ${seed}`)
for (let trial = 0; trial < trials; trial++) {
  const how = pick(['browser', 'browser', 'page', 'damage'])
  counts[how] += 1
  try {
    await putDemo(folder, trial === 0)
    if (how === 'damage') {
      const { name, kind, told } = await damageAndRescue(folder)
      if (!told) wrong.push(`trial ${trial}: ${kind} of ${name} was not told`)
    } else {
      const { saved, keptAt, diedAt } = await workAndDie(folder, how)
      const found = await lookAgain(folder)
      if (!found) wrong.push(`trial ${trial}: ${how} killed, the review does not open`)
      else {
        const back = Number(/#(\d+)/.exec(found.price)?.[1] ?? 0)
        if (back < (saved ?? 0))
          wrong.push(`trial ${trial}: ${how} killed, #${saved} was Saved and #${back} came back`)
        if (back > 0 && found.price !== found.purpose)
          wrong.push(`trial ${trial}: torn: ${JSON.stringify(found)}`)
        const firstLost = keptAt[back + 1]
        if (firstLost !== undefined) mostLostMs = Math.max(mostLostMs, diedAt - firstLost)
      }
    }
  } catch (error) {
    wrong.push(`trial ${trial}, ${how}: ${String(error.stack).split('\n').slice(0, 12).join(' | ')}`)
    await killBrowser(folder)
  }
  if ((trial + 1) % 10 === 0) console.log(`${trial + 1} trials, ${wrong.length} wrong`)
}
server.kill()
rmSync(folder, { recursive: true, force: true })
console.log(
  `browser killed ${counts.browser} times, page closed ${counts.page} times, records damaged ${counts.damage} times`,
)
console.log(`the oldest change that was kept and did not come back was ${mostLostMs} ms old when it died`)
for (const line of wrong) console.log(line)
process.exit(wrong.length > 0 ? 1 : 0)
