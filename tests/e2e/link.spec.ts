import { expect, type Page } from '@playwright/test'
import { choose, DEMO, harmonicRow, openDemoAt } from './support'
import { test } from './test'

/** Begins a review with kits of a bench; the address of it. */
async function begin(page: Page, kits: readonly string[]): Promise<string> {
  await page.goto('/start')
  for (const kit of kits) await page.getByText(kit).click()
  await page.getByRole('button', { name: 'Begin' }).click()
  await expect(page.getByTestId('set-now')).toHaveText('144.390')
  return page.url().replace(/\/[^/]*$/, '')
}

/** Has an instrument of the bench read in some way. */
async function linkInstrument(page: Page, name: RegExp, way: RegExp): Promise<void> {
  await page.getByRole('region', { name: 'Instruments' }).getByRole('button', { name }).click()
  await expect(page.getByRole('region', { name: /^Instrument: / })).toContainText(name)
  const list = page
    .getByRole('region', { name: /^Instrument: / })
    .locator('.v-select', { hasText: 'How it is read' })
  await choose(page, list, way)
}

const SIMULATED = /Virtual bench \(simulated\)/

test('a power and harmonics run by L only, from the virtual bench', async ({ page }) => {
  const review = await begin(page, ['In-line power meter and load', 'Pocket analyser behind 40 dB'])
  await page.goto(`${review}/bench`)
  for (const name of [/In-line power meter/, /Pocket analyser/]) await linkInstrument(page, name, SIMULATED)

  await page.goto(`${review}/carrier-power`)
  await expect(page.getByTestId('link')).toBeVisible()
  await page.keyboard.press('l')
  await expect(page.getByTestId('link')).toContainText(/it answered .*, kept as .* dBm/)
  // Every link is a bench of its own: what its radio makes is not known here, that it is judged is.
  await expect(page.getByRole('region', { name: 'Reading and result' })).toContainText(/\d\sW/)

  await page.goto(`${review}/harmonics`)
  await expect(page.getByTestId('link')).toBeVisible()
  await page.keyboard.press('l')
  await expect(harmonicRow(page, 4)).toContainText(/Inside|Outside|Too close|Not covered/)
  await expect(page.getByTestId('link')).toContainText('Read it (L)')
  await page.keyboard.press('l')
  await expect(page.getByTestId('link')).toContainText('Everything this step wants is read')

  // A whole sweep too: looked at like a file, its peaks taken, drawn.
  await page.getByRole('button', { name: 'Read a sweep' }).click()
  const dialog = page.getByRole('dialog')
  await expect(dialog).toContainText(/\d+ points read from Pocket analyser/)
  await dialog.getByRole('button', { name: /Fill the table with/ }).click()
  await expect(page.getByTestId('notice')).toContainText(/peaks from “sweep of Pocket analyser/)
  await expect(page.getByText(/Trace “sweep of Pocket analyser.*\d+ points/)).toBeVisible()
})

test(
  'a SINAD curve by L only: the coach sets the generator until enough is read',
  { tag: '@all' },
  async ({ page }) => {
    const review = await begin(page, ['Service monitor'])
    await page.goto(`${review}/bench`)
    for (const name of [/monitor, generator/, /monitor, audio/]) await linkInstrument(page, name, SIMULATED)

    await page.goto(`${review}/sensitivity`)
    await expect(page.getByRole('main').getByRole('checkbox')).toHaveCount(6)
    for (const box of await page.getByRole('main').getByRole('checkbox').all()) await box.check()
    await page.getByRole('button', { name: 'All seen to: go on' }).click()
    await expect(page.getByTestId('link')).toBeVisible()
    await page.keyboard.press('l')
    await expect(page.locator('main')).toContainText('Enough read')
    await expect(page.getByTestId('link')).toContainText(/\d+ read/)
    await expect(page.locator('tr', { hasText: '12 dB SINAD' }).first()).toContainText(/dBm/)
  },
)

test(
  'a deviation by L only: what stands in no chain is linked, and both swings are read',
  { tag: '@all' },
  async ({ page }) => {
    const review = await begin(page, ['Service monitor'])
    await page.goto(`${review}/bench`)
    await page.getByText('Answering too, outside of any chain').click()
    const analyser = page.locator('.one', { hasText: 'Modulation analyser: how far the carrier swings' })
    await choose(page, analyser.locator('.v-select', { hasText: 'How it is read' }), SIMULATED)

    await page.goto(`${review}/deviation`)
    await expect(page.getByTestId('link')).toBeVisible()
    await page.keyboard.press('l')
    await expect(page.getByTestId('link')).toContainText(/2 read\. Loudest voice or whistle: it answered/)
    await expect(page.locator('tr', { hasText: 'Loudest voice or whistle' }).first()).toContainText(/kHz|Hz/)
  },
)

test('blocking by L only, once it is ticked that nobody can key into the generator', async ({ page }) => {
  await page.addInitScript(() => {
    const ids = ['generator', 'pocket-generator', 'sound']
    const links = Object.fromEntries(ids.map(id => [id, { via: 'virtual' }]))
    localStorage.setItem('rigorous-meter:links', JSON.stringify(links))
  })
  await openDemoAt(page, `${DEMO}/strong-signals?set=mini&step=strong-signals:70cm:70cm-2:high`)
  await expect(page.getByRole('button', { name: 'All seen to: go on' })).toBeVisible()
  for (const box of await page.locator('section.over input[type=checkbox]').all()) await box.check()
  await page.getByRole('button', { name: 'All seen to: go on' }).click()
  await expect(page.getByTestId('link')).toBeVisible()
  await page.keyboard.press('l')
  await expect(page.getByTestId('link')).toContainText('Something is to be ticked before anything is read')
  await page.getByText('I make sure that the radio cannot transmit').click()
  await page.locator('h1, h2').first().click()
  await page.keyboard.press('l')
  await expect(page.getByTestId('link')).toContainText(
    /2 read\. Blocked by a carrier at \+1 MHz: it answered/,
  )
  await expect(page.locator('tr', { hasText: 'Blocking, the least' })).toContainText(/\d+(\.\d)?\sdB/)
})

test(
  'the server’s virtual bench answers on its ports, and the link goes nowhere else',
  { tag: '@all' },
  async ({ page, request }) => {
    const review = await begin(page, ['In-line power meter and load'])
    await page.goto(`${review}/bench`)
    await linkInstrument(page, /In-line power meter/, /by the server on port \d+/)
    await page.goto(`${review}/carrier-power`)
    await expect(page.getByTestId('link')).toBeVisible()
    await page.keyboard.press('l')
    await expect(page.getByTestId('link')).toContainText(/it answered .*, kept as .* dBm/)

    // Not from another site, not without a token, not to anywhere else.
    expect((await request.get('/api/link')).status()).toBe(403)
    const said = await page.evaluate(async () => {
      const { token } = (await (await fetch('/api/link')).json()) as { token: string }
      const post = async (headers: Record<string, string>, body: object) => {
        const answer = await fetch('/api/link/query', {
          method: 'POST',
          headers: { 'content-type': 'application/json', ...headers },
          body: JSON.stringify(body),
        })
        return answer.status
      }
      const good = { instrumentId: 'virtual-counter', line: '*IDN?', lineEnd: '\n', form: 'line' }
      const known = { 'x-link-token': token }
      return [
        await post(known, good),
        await post({}, good),
        await post({ 'x-link-token': 'x' }, good),
        await post(known, { ...good, instrumentId: '10.0.0.1:5025' }),
        await post(known, { ...good, host: '10.0.0.1' }),
        await post(known, { ...good, line: 'A\nB' }),
      ]
    })
    expect(said).toEqual([200, 403, 403, 404, 400, 400])
  },
)

test(
  'an instrument on a serial lead: the port is asked for, the person keys, the answer is kept',
  { tag: '@all' },
  async ({ page }) => {
    await page.addInitScript(() => {
      // A lead of a test: a meter that shows 36 dBm, in lines.
      let answer: ((bytes: Uint8Array) => void) | null = null
      const said = { 'MEASure:POWer:AC?': '36.00', 'SYSTem:ERRor?': '0,"No error"' } as Record<string, string>
      const port = {
        readable: null as ReadableStream<Uint8Array> | null,
        writable: null as WritableStream<Uint8Array> | null,
        getInfo: () => ({ usbVendorId: 1, usbProductId: 2 }),
        close: async () => undefined,
        open: async () => {
          port.readable = new ReadableStream({
            start: controller => void (answer = bytes => controller.enqueue(bytes)),
          })
          port.writable = new WritableStream({
            write: bytes => {
              const reply = said[new TextDecoder().decode(bytes).trim()]
              if (reply !== undefined) answer?.(new TextEncoder().encode(`${reply}\n`))
            },
          })
        },
      }
      let isAsked = false
      Object.defineProperty(navigator, 'serial', {
        value: {
          requestPort: async () => {
            isAsked = true
            sessionStorage.setItem('asked', '1')
            return port
          },
          getPorts: async () => (isAsked || sessionStorage.getItem('asked') ? [port] : []),
        },
      })
    })
    const review = await begin(page, ['In-line power meter and load'])
    await page.goto(`${review}/bench`)
    await linkInstrument(page, /In-line power meter/, /serial lead/)
    await page.goto(`${review}/carrier-power`)
    await expect(page.getByTestId('link')).toBeVisible()
    await page.keyboard.press('l')
    await expect(page.getByTestId('link')).toContainText('Key the radio first (Space)')
    await page.keyboard.press('Space')
    await page.keyboard.press('l')
    await expect(page.getByTestId('link')).toContainText('it answered 36, kept as 36.00 dBm')
    await expect(page.getByRole('region', { name: 'Reading and result' })).toContainText(/\d\sW/)
  },
)

test('an instrument is taught: a line is sent, its answer seen, the phrase kept and used', async ({
  page,
}) => {
  await page.goto('/bench')
  await page.getByRole('button', { name: 'Copy a plain one' }).click()
  await page.getByText('Plain SCPI: power meter').click()
  await page.getByTestId('phrasebooks').getByRole('button', { name: 'Teach' }).click()
  const dialog = page.getByRole('dialog', { name: /Teach My own/ })
  await dialog.getByRole('button', { name: 'Send it' }).click()
  await expect(dialog.locator('.stop')).toContainText('Say first how it is reached')
  await choose(page, dialog.locator('.v-select', { hasText: 'How it is read' }), SIMULATED)

  // What it does not know it says by its own queue of errors.
  await dialog.getByLabel('Lines that are sent').fill('MEASure:TEAPOT?')
  await dialog.getByRole('button', { name: 'Send it' }).click()
  await expect(dialog.locator('.stop')).toContainText('-113')
  await dialog.getByLabel('Lines that are sent').fill('READ?')
  await dialog.getByRole('button', { name: 'Send it' }).click()
  await expect(dialog.getByTestId('taught-answer')).toContainText(
    /It answered “3\.\d+E\+0?1”: a number\. It reads as 3\d(\.\d+)? dBm/,
  )
  await dialog.getByRole('button', { name: 'Keep the phrase' }).click()
  await expect(page.getByText('knows one phrase more')).toBeVisible()
})
