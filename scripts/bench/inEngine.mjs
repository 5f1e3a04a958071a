// What the core takes in the engine the application runs in: a program run in an empty page.
import { readFileSync } from 'node:fs'
import { line } from './lines.mjs'

/**
 * Judges the large review in a page, and prints it.
 * @param browser - a browser of Playwright's.
 * @param {string} bundle - `judgingInPage.ts`, bundled for a browser.
 */
export async function judgingInPage(browser, bundle) {
  const page = await (await browser.newContext()).newPage()
  await page.addScriptTag({ content: readFileSync(bundle, 'utf8') })
  const { judged, copyMs } = await page.evaluate(() => globalThis.judgingTimes())
  for (const { what, ms } of judged) line(what, ms, 'JSON copy of the same review', copyMs)
  await page.context().close()
}
