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
  const { what, nothingMs, padMs, copyMs } = await page.evaluate(() => globalThis.judgingTimes())
  const REFERENCE = 'JSON copy of the same review'
  line(`judging ${what}, from nothing`, nothingMs, REFERENCE, copyMs)
  line('one pad’s loss changed: the review judged again', padMs, REFERENCE, copyMs)
  await page.context().close()
}
