// A large review in the browser: how soon each view can be used, and the longest task of the page meanwhile.

/** The page counts as free once nothing has kept it from answering for so long, ms. */
const FREE_MS = 300

/** Long tasks of the page are kept from the start of each load. */
export async function watchTasks(page) {
  await page.addInitScript(() => {
    window.longTasks = []
    new PerformanceObserver(list =>
      list.getEntries().forEach(({ startTime, duration }) => window.longTasks.push([startTime, duration])),
    ).observe({ type: 'longtask', buffered: true })
  })
}

/** Does something, waits for what it shows, and tells how long that took and the longest task, ms. */
async function watched(page, go, ready) {
  const from = await page.evaluate(() => performance.now())
  await go()
  await ready()
  const seenMs = (await page.evaluate(() => performance.now())) - from
  await page.waitForTimeout(FREE_MS)
  const longestMs = await page.evaluate(
    since => Math.max(0, ...window.longTasks.filter(([at]) => at >= since - 5).map(([, spent]) => spent)),
    from,
  )
  return { seenMs, longestMs }
}

const VIEWS = [
  { name: 'run', place: 'run', ready: 'section.list tr.step-row' },
  { name: 'a step', place: 'harmonics', ready: 'table.harmonics tbody tr' },
  { name: 'findings', place: 'findings', ready: '.matrix td' },
  { name: 'report', place: 'report', ready: 'article.paper h2' },
]

const going = (page, path) => () =>
  page.evaluate(to => {
    document.querySelector('#__nuxt').__vue_app__.config.globalProperties.$router.push(to)
  }, path)

/** Each view from another of the same review. */
export async function views(page, address, { id, set }) {
  await page.goto(`${address}review/${id}/bench`)
  await page.locator('h1').first().waitFor()
  await page.waitForTimeout(2000)
  const found = {}
  for (const { name, place, ready } of VIEWS)
    found[name] = await watched(page, going(page, `/review/${id}/${place}?set=${set}`), () =>
      page.locator(ready).first().waitFor(),
    )
  return found
}

/** Bringing a file in. */
export async function broughtIn(page, address, { file, words }) {
  await page.goto(address)
  await page.getByTestId('review-file').waitFor({ state: 'attached' })
  return watched(
    page,
    () => page.getByTestId('review-file').setInputFiles(file),
    () => page.getByText(words).waitFor(),
  )
}

/** One more reading, again and again, until the header says Saved; and 500 edits in one go. */
export const savings = page =>
  page.evaluate(async () => {
    const store = document
      .querySelector('#__nuxt')
      .__vue_app__.config.globalProperties.$pinia._s.get('review')
    const label = document.querySelector('[data-testid=saved]')
    // As a person sees it, by being told: a page that asks again and again would keep a core from the browser.
    const until = work =>
      new Promise(resolve => {
        const from = performance.now()
        let guardedMs = 0
        const watch = new MutationObserver(() => {
          if (!label.textContent.startsWith('Saved')) return
          watch.disconnect()
          resolve([performance.now() - from, guardedMs])
        })
        watch.observe(label, { subtree: true, childList: true, characterData: true })
        work()
        guardedMs = performance.now() - from
      })
    const one = []
    for (let i = 0; i < 21; i++) {
      one.push(
        await until(() =>
          store.change('a reading', () => {}, [{ ...store.review.readings[i], id: crypto.randomUUID() }]),
        ),
      )
      await new Promise(resolve => setTimeout(resolve, 250))
    }
    const [many] = await until(() => {
      for (let i = 0; i < 500; i++)
        store.change('an edit', draft => {
          draft.readings[i].who = `edit ${i}`
        })
    })
    return { one, many }
  })
