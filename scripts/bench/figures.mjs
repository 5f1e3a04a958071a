// What a person waits for at a figure: the first screen, a keystroke, a simulation.
import { middle } from './lines.mjs'

/** From asking for a page to what says that it can be used, ms, each time in a browser that knows nothing of it. */
export async function loads(browser, address, { ready, times }) {
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
    await page.goto(address)
    spent.push(await page.waitForFunction(() => window.readyAtMs).then(handle => handle.jsonValue()))
    await context.close()
  }
  return middle(spent)
}

/** From a keystroke in the fourth harmonic’s field to its verdict on the screen, ms; and how long a frame takes. */
export async function keystrokes(page) {
  const { spent, frames } = await page.evaluate(async () => {
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
  return { verdictMs: middle(spent), frameMs: middle(frames) }
}

/** A million Monte Carlo trials of harmonics of the demo, from click to figure, ms. */
export async function simulations(page, address) {
  const spent = []
  for (let i = 0; i < 3; i++) {
    await page.goto(
      `${address}review/demo-fell-race/harmonics?set=trek-b&step=harmonics:2m:2m-2:high&slot=x${3 + i}`,
    )
    const button = page.getByRole('button', { name: 'Check by Monte Carlo' })
    await button.waitFor()
    // The worker starts with the panel, and is warm when a person’s pointer arrives.
    await page.waitForTimeout(1500)
    spent.push(
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
  return middle(spent)
}
