import { expect, type Locator, type Page } from '@playwright/test'

/** What the focused element is called: its label, its aria-label or its text. */
export async function focusedName(page: Page): Promise<string> {
  return page.evaluate(() => {
    const element = document.activeElement as (HTMLElement & { labels?: NodeListOf<HTMLLabelElement> }) | null
    if (!element || element === document.body) return ''
    return (
      element.getAttribute('aria-label') ??
      element.labels?.[0]?.textContent ??
      element.textContent ??
      ''
    ).trim()
  })
}

/** Presses Tab until something of that name has the focus. Keyboard only. */
export async function tabTo(
  page: Page,
  name: string | RegExp,
  options: { back?: boolean; most?: number } = {},
): Promise<void> {
  const matches = (found: string) => (typeof name === 'string' ? found === name : name.test(found))
  const seen: string[] = []
  for (let i = 0; i < (options.most ?? 120); i++) {
    await page.keyboard.press(options.back ? 'Shift+Tab' : 'Tab')
    const found = await focusedName(page)
    seen.push(found)
    if (matches(found)) return
  }
  throw new Error(`Tab never reached ${String(name)}. It passed: ${seen.join(' | ')}`)
}

/** Sees to a going over, with the keyboard alone. */
export async function goOver(page: Page): Promise<void> {
  await expect(page.getByRole('heading', { name: /Going over to/ })).toBeVisible()
  const count = await page.locator('section.over input[type=checkbox]').count()
  await tabTo(page, /Power meter, analyser|Every generator is off/)
  for (let i = 0; i < count; i++) {
    await page.keyboard.press('Space')
    await page.keyboard.press('Tab')
  }
  expect(await focusedName(page)).toBe('All seen to: go on')
  await page.keyboard.press('Enter')
}

/** Types into the next field of that name and confirms with Enter. */
export async function tabAndType(page: Page, name: string | RegExp, text: string): Promise<void> {
  await tabTo(page, name)
  await page.keyboard.press('Control+A')
  await page.keyboard.type(text)
  await page.keyboard.press('Enter')
}

/**
 * Goes to a place with G and its letter, from wherever the focus is. Both keys are sent before either is answered, as
 * fingers do: on a machine that is busy more than the time between them would pass.
 */
export async function goTo(page: Page, letter: string, heading: string | RegExp): Promise<void> {
  await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur())
  await Promise.all([page.keyboard.press('g'), page.keyboard.press(letter)])
  await expect(page.getByRole('heading', { name: heading, exact: true }).first()).toBeVisible()
}

/** Goes to a place by typing a few letters of its name, from wherever the focus is. */
export async function goByFind(page: Page, letters: string, heading: string | RegExp): Promise<void> {
  await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur())
  await page.keyboard.press('/')
  await expect(page.getByRole('dialog').getByRole('textbox')).toBeFocused()
  await page.keyboard.type(letters)
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { name: heading }).first()).toBeVisible()
}

/** Follows a link of the order of work with the pointer, opening its group first where that is closed. */
export async function follow(page: Page, group: string, place: RegExp): Promise<void> {
  const order = page.getByRole('navigation', { name: 'Order of work' })
  const head = order.getByRole('button', { name: new RegExp(group) })
  if ((await head.getAttribute('aria-expanded')) === 'false') await head.click()
  await order.getByRole('link', { name: place }).click()
}

/**
 * Chooses from a list, and sees that it is chosen: what comes next may leave the page. Once, on a busy machine, a click
 * on an option did nothing, and why was not found: one that does nothing is made again, as a hand would.
 */
export async function choose(page: Page, list: Locator, name: string | RegExp): Promise<void> {
  const option = page.getByRole('option', { name, exact: true })
  await expect(async () => {
    if (!(await option.isVisible())) await list.click({ timeout: 15_000 })
    await option.click({ timeout: 15_000 })
    await expect(list).toContainText(name, { timeout: 15_000 })
  }).toPass()
}

interface Application {
  $router: { push: (to: string) => Promise<unknown> }
  $pinia: { _s: Map<string, { putDemo: () => Promise<string> }> }
}

/** Goes to an address inside the application, as its own links do: the page is not loaded again. */
export async function visit(page: Page, path: string): Promise<void> {
  await page.evaluate(async to => {
    const { useNuxtApp } = window as unknown as { useNuxtApp: () => Application }
    await useNuxtApp().$router.push(to)
    await new Promise(drawn => requestAnimationFrame(() => requestAnimationFrame(drawn)))
  }, path)
}

/** Starts a review without a radio, from the shelf: its card. */
export async function startEmpty(page: Page, title: string): Promise<void> {
  await page.getByLabel('What is the review about?').fill(title)
  await page.getByRole('button', { name: 'Start a review' }).click()
  await page.getByRole('radio', { name: /Something else/ }).check()
  await page.getByRole('button', { name: 'Begin' }).click()
  await expect(page.getByRole('button', { name: 'Add a radio' }).first()).toBeVisible()
}

/** Opens the demo review from an empty shelf, by its button: its findings. */
export async function openDemo(page: Page): Promise<void> {
  await page.goto('/')
  await page.getByRole('button', { name: 'Open the demo review' }).click()
  await expect(page.getByRole('heading', { name: 'What we can say about these radios' })).toBeVisible()
}

/** Opens the demo review at a place: what its button does, without drawing the findings on the way. */
export async function openDemoAt(page: Page, path: string): Promise<void> {
  await page.goto('/')
  await expect(page.getByRole('button', { name: 'Open the demo review' })).toBeVisible()
  await page.evaluate(async () => {
    const { useNuxtApp } = window as unknown as { useNuxtApp: () => Application }
    await useNuxtApp().$pinia._s.get('shelf')!.putDemo()
  })
  await visit(page, path)
}

export const DEMO = '/review/demo-fell-race'
export const TREK_B_HIGH = `${DEMO}/harmonics?set=trek-b&step=harmonics:2m:2m-2:high`

/** The text of a row of the harmonics table. */
export function harmonicRow(page: Page, n: number): Locator {
  return page.locator('table.harmonics tbody tr').nth(n - 1)
}

/** A trace of a 146.52 MHz carrier and two harmonics on a flat floor, as CSV text. */
export function traceCsv(
  options: { stepHz?: number; toHz?: number; levels?: Record<number, number>; head?: string } = {},
): string {
  const {
    stepHz = 60_000,
    toHz = 960e6,
    levels = { 1: -13.2, 2: -58.1, 3: -80.4 },
    head = '# RBW: 100 kHz\nFrequency (MHz),Level (dBm)\n',
  } = options
  const rows: string[] = []
  const peaks = Object.entries(levels).map(([n, level]) => ({
    at: Math.round((Number(n) * 146.52e6) / stepHz),
    level,
  }))
  for (let i = 1; i * stepHz <= toHz; i++) {
    const peak = peaks.find(({ at }) => at === i)
    rows.push(
      `${((i * stepHz) / 1e6).toFixed(3)},${(peak ? peak.level : -95 + ((i * 7919) % 13) / 10).toFixed(1)}`,
    )
  }
  return head + rows.join('\n')
}

/** The saved sign in the header stands for the last change. */
export async function saved(page: Page): Promise<void> {
  await expect(page.getByTestId('saved')).toHaveText(/^Saved/)
}
