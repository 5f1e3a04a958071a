import { readFileSync } from 'node:fs'
import { expect, type Page } from '@playwright/test'
import { DEMO, TREK_B_HIGH, harmonicRow, openDemo, openDemoAt, saved, visit } from './support'
import { test } from './test'

test('closing the tab in the middle loses at most the field being typed', async ({ page, context }) => {
  await openDemoAt(page, `${DEMO}/harmonics?set=mini&step=harmonics:2m:2m-2:low`)
  await harmonicRow(page, 1).getByRole('textbox').fill('-25.1')
  await page.keyboard.press('Enter')
  await page.keyboard.type('-61')
  await page.close({ runBeforeUnload: false })
  const again = await context.newPage()
  await again.goto(`${DEMO}/harmonics?set=mini&step=harmonics:2m:2m-2:low`)
  await expect(harmonicRow(again, 1).getByRole('textbox')).toHaveValue('-25.1')
})

/** Whether the flushed journal of some review says a text: it stands in a private file of the browser. */
async function isFlushed(page: Page, text: string): Promise<boolean> {
  return page.evaluate(async sought => {
    const folder = await (await navigator.storage.getDirectory()).getDirectoryHandle('rigorous-meter')
    const files = (folder as unknown as { values: () => AsyncIterable<FileSystemFileHandle> }).values()
    for await (const file of files)
      if (file.name.endsWith('.journal') && (await (await file.getFile()).text()).includes(sought))
        return true
    return false
  }, text)
}

/** From here on no record of that name's start is written: as on a disk that is full. */
async function refuseRecords(page: Page, start: string): Promise<void> {
  await page.evaluate(refused => {
    const { put } = IDBObjectStore.prototype
    IDBObjectStore.prototype.put = function (this: IDBObjectStore, value: unknown, key?: IDBValidKey) {
      if (String(key).startsWith(refused))
        throw new DOMException('The quota has been exceeded.', 'QuotaExceededError')
      return put.call(this, value, key)
    }
  }, start)
}

test('a journal left by a tab or a browser that died in the middle of a write is taken up', async ({
  page,
  context,
}) => {
  await openDemoAt(page, `${DEMO}/card?set=trek-b`)
  const price = page.getByLabel('Price', { exact: true })
  await expect(price).toBeEnabled()
  await refuseRecords(page, 'head:')
  await price.fill('39 pounds')
  await price.press('Enter')
  await expect(page.getByTestId('saved')).toHaveText('Not saved')
  // The disk refuses at once; what is flushed takes as long as it takes, and until then nobody says “Saved”.
  await expect.poll(() => isFlushed(page, '39 pounds')).toBe(true)
  // What a tab leaves at once is gone with the browser; what was flushed is not.
  await page.evaluate(() => localStorage.clear())
  await page.close({ runBeforeUnload: false })
  const again = await context.newPage()
  await again.goto(`${DEMO}/card?set=trek-b`)
  await expect(again.getByLabel('Price', { exact: true })).toHaveValue('39 pounds')
})

/** Does something to one record of the browser's database, behind the application's back. */
async function withRecord(page: Page, name: string, doing: 'delete' | 'garbage'): Promise<void> {
  await page.evaluate(
    ([key, what]) =>
      new Promise<void>((resolve, reject) => {
        const open = indexedDB.open('rigorous-meter')
        open.onsuccess = () => {
          const transaction = open.result.transaction('reviews', 'readwrite')
          const store = transaction.objectStore('reviews')
          if (what === 'delete') store.delete(key!)
          else store.put({ garbage: true }, key)
          transaction.oncomplete = () => {
            open.result.close()
            resolve()
          }
          transaction.onerror = () => reject(transaction.error)
        }
      }),
    [name, doing],
  )
}

test(
  'a browser that throws its damaged database away gives the review back from its second copy',
  { tag: '@all' },
  async ({ page }) => {
    await openDemoAt(page, `${DEMO}/card?set=trek-b`)
    const price = page.getByLabel('Price', { exact: true })
    await price.fill('£39')
    await price.press('Enter')
    await saved(page)
    await page.goto('/icon.svg')
    await page.evaluate(
      () =>
        new Promise((resolve, reject) => {
          const request = indexedDB.deleteDatabase('rigorous-meter')
          request.onsuccess = resolve
          request.onerror = reject
        }),
    )
    await page.goto('/')
    await expect(page.getByText('One review is back from the second copy.')).toBeVisible()
    await expect(page.getByTestId('shelf-foot')).toContainText('Every review is kept twice')
    await page.goto(`${DEMO}/card?set=trek-b`)
    await expect(price).toHaveValue('£39')
  },
)

test(
  'a review whose records are damaged says what is lost, and what is sound becomes one of its own',
  { tag: '@all' },
  async ({ page }) => {
    await openDemo(page)
    await page.goto('/')
    await expect(page.getByRole('heading', { name: 'Fell-race marshals’ handhelds' })).toBeVisible()
    await withRecord(page, 'part:demo-fell-race:readings:2', 'delete')
    await page.goto(`${DEMO}/findings`)
    await expect(page.getByRole('heading', { name: 'This review cannot be opened' })).toBeVisible()
    await expect(page.getByRole('alert')).toContainText('cannot be read')
    const [records] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Take the raw records away' }).click(),
    ])
    expect(readFileSync(await records.path(), 'utf8')).toContain('part:demo-fell-race:readings:3')
    await page.getByRole('button', { name: 'Save what is sound' }).click()
    await expect(page.getByTestId('rescued')).toContainText('readings 33 to 48: their record cannot be read')
    await page.getByRole('link', { name: 'Open what was sound' }).click()
    await expect(page.getByLabel('Review', { exact: true })).toHaveValue(/\(what was sound\)$/)

    await withRecord(page, 'head:demo-fell-race', 'garbage')
    await page.goto('/')
    await expect(page.getByRole('heading', { name: /\(what was sound\)$/ })).toBeVisible()
    await expect(page.getByTestId('damaged')).toContainText('Its head cannot be read')
    await page.getByTestId('damaged').getByRole('button', { name: 'Save what is sound' }).click()
    await expect(page.getByTestId('rescued')).toContainText('title: its record cannot be read')

    await withRecord(page, 'head:demo-fell-race', 'delete')
    await page.goto('/')
    await expect(page.getByTestId('damaged')).toContainText('Its head is missing')
    await page.getByTestId('damaged').getByRole('button', { name: 'Save what is sound' }).click()
    await expect(page.getByTestId('rescued')).toContainText('as a review of its own')
  },
)

test(
  'a file whose review is damaged says what would be left out before it comes in',
  { tag: '@all' },
  async ({ page }) => {
    await openDemoAt(page, `${DEMO}/report`)
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Take the review away' }).click(),
    ])
    const file = JSON.parse(readFileSync(await download.path(), 'utf8')) as {
      review: { readings: { seen: unknown }[] }
      traces: unknown[]
    }
    file.review.readings[3]!.seen = 'nothing'
    file.traces = []
    await page.goto('/')
    await page.getByTestId('review-file').setInputFiles({
      name: 'hurt.json',
      mimeType: 'application/json',
      buffer: Buffer.from(JSON.stringify(file)),
    })
    const dialog = page.getByTestId('damaged-file')
    await expect(dialog).toContainText('1 reading, damaged')
    await expect(dialog).toContainText('the trace “trek2-b-146520-high.csv”')
    await dialog.getByRole('button', { name: 'Bring in what is sound' }).click()
    await expect(page.locator('.review')).toHaveCount(2)
  },
)

test('a database that never answers, or will not open, is no empty shelf', async ({ page, browser }) => {
  await page.addInitScript(() => {
    const open = IDBFactory.prototype.open
    const answered = new Promise(answer => Object.assign(window, { answer }))
    IDBFactory.prototype.open = function (...asked) {
      const request = open.apply(this, asked)
      Object.defineProperty(request, 'onsuccess', {
        set: (handler: (event: Event) => void) =>
          request.addEventListener(
            'success',
            event => void answered.then(() => handler.call(request, event)),
          ),
      })
      return request
    }
  })
  await page.goto('/')
  await expect(page.getByTestId('no-storage')).toContainText('does not answer')
  await expect(page.getByTestId('empty-shelf')).toHaveCount(0)
  // It answers late: the shelf is seen without a word from the person.
  await page.evaluate(() => (window as unknown as { answer: () => void }).answer())
  await expect(page.getByTestId('no-storage')).toHaveCount(0)
  await expect(page.getByTestId('empty-shelf')).toBeVisible()
  const other = await (await browser.newContext()).newPage()
  await other.addInitScript(() => {
    IDBFactory.prototype.open = () => {
      throw new DOMException('no', 'SecurityError')
    }
  })
  await other.goto('/')
  await expect(other.getByTestId('no-storage')).toContainText('does not open')
  await other.context().close()
})

test(
  'a review that is removed or replaced in another tab ends the edits of the one that has it open',
  { tag: '@all' },
  async ({ page, context }) => {
    await openDemoAt(page, `${DEMO}/card?set=trek-b`)
    const price = page.getByLabel('Price', { exact: true })
    await price.fill('£44')
    await price.press('Enter')
    await saved(page)
    const other = await context.newPage()
    await other.goto('/')
    await other.getByRole('button', { name: /^More for/ }).click()
    await other.getByText('Remove from the shelf').click()
    await other.getByRole('button', { name: 'Remove', exact: true }).click()
    await expect(page.getByTestId('gone')).toContainText('removed from the shelf in another tab')
    await expect(price).toBeDisabled()
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Take it away as a file' }).click(),
    ])
    expect(readFileSync(await download.path(), 'utf8')).toContain('£44')
    await other.getByRole('button', { name: 'Open the demo review' }).click()
    await expect(other.getByRole('heading', { name: 'What we can say about these radios' })).toBeVisible()
    await other.goto(`${DEMO}/card?set=trek-b`)
    await expect(other.getByLabel('Price', { exact: true })).toHaveValue('£38')
  },
)

test('undo and redo, by key and by button', { tag: '@all' }, async ({ page }) => {
  await openDemoAt(page, `${DEMO}/card?set=trek-b`)
  const price = page.getByLabel('Price', { exact: true })
  await price.fill('£45')
  await price.press('Enter')
  await saved(page)
  await page.keyboard.press('Control+z')
  await expect(price).toHaveValue('£38')
  await page.keyboard.press('Control+Shift+z')
  await expect(price).toHaveValue('£45')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(price).toHaveValue('£38')
  await expect(page.getByRole('button', { name: 'Undo' })).toBeDisabled()
})

test(
  'a review goes away as a file and comes back on another browser with every figure the same',
  { tag: '@all' },
  async ({ page, browser }) => {
    await openDemoAt(page, TREK_B_HIGH)
    await expect(harmonicRow(page, 2)).toContainText('Outside by')
    const rows = await page.locator('table.harmonics').innerText()
    await visit(page, `${DEMO}/report`)
    const paper = await page.locator('article').innerText()
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Take the review away' }).click(),
    ])
    const path = await download.path()

    const other = await (await browser.newContext()).newPage()
    await other.goto('/')
    await other
      .getByTestId('review-file')
      .setInputFiles({ name: 'x.review.json', mimeType: 'application/json', buffer: readFileSync(path) })
    await expect(other.getByRole('heading', { name: 'Fell-race marshals’ handhelds' })).toBeVisible()
    await other.goto(TREK_B_HIGH)
    await expect(harmonicRow(other, 2)).toContainText('Outside by')
    expect(await other.locator('table.harmonics').innerText()).toBe(rows)
    await expect(other.getByText('Trace “trek2-b-146520-high.csv”')).toBeVisible()
    await other.goto(`${DEMO}/report`)
    const stripDates = (text: string) => text.replaceAll(/\d{1,2} \w+ \d{4}, \d\d:\d\d/g, '')
    expect(stripDates(await other.locator('article').innerText())).toBe(stripDates(paper))
    await other.context().close()
  },
)

test('a review that is there already is never overwritten unasked', { tag: '@all' }, async ({ page }) => {
  await openDemoAt(page, `${DEMO}/report`)
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Take the review away' }).click(),
  ])
  const buffer = readFileSync(await download.path())
  await page.goto('/')
  await expect(page.getByRole('heading', { name: 'Fell-race marshals’ handhelds' })).toBeVisible()
  await page
    .getByTestId('review-file')
    .setInputFiles({ name: 'x.json', mimeType: 'application/json', buffer })
  await expect(page.getByRole('dialog')).toContainText('This review is on the shelf already')
  await page.getByRole('button', { name: 'Keep both' }).click()
  await expect(page.getByRole('heading', { name: 'Fell-race marshals’ handhelds (copy)' })).toBeVisible()
})

const BAD = [
  ['broken.json', '{"format":"rigorous-meter-review","schema', 'it was cut short'],
  ['foreign.json', '{"hello": "there"}', 'not a review of Rigorous Meter'],
  ['proto.json', '{"format":"rigorous-meter-review","__proto__":{"polluted":1}}', '__proto__'],
  ['empty.json', '', 'it is empty'],
  ['page.json', '<html></html>', 'not JSON'],
] as const

test('the shelf refuses bad files in plain words and stays as it was', async ({ page }) => {
  await openDemo(page)
  await page.goto('/')
  await expect(page.getByRole('heading', { name: 'Fell-race marshals’ handhelds' })).toBeVisible()
  for (const [name, content, words] of BAD) {
    await test.step(name, async () => {
      await page
        .getByTestId('review-file')
        .setInputFiles({ name, mimeType: 'application/json', buffer: Buffer.from(content) })
      await expect(page.getByTestId('notice')).toContainText(name)
      await expect(page.getByTestId('notice')).toContainText(words)
      await expect(page.getByTestId('notice')).toContainText('as it was')
      await expect(page.locator('.review')).toHaveCount(1)
    })
  }
  expect(await page.evaluate(() => (({}) as { polluted?: number }).polluted)).toBeUndefined()
})

test('two tabs: the second is read-only, follows, and can take over', async ({ page, context }) => {
  await openDemoAt(page, `${DEMO}/card?set=trek-b`)
  await expect(page.getByLabel('Price', { exact: true })).toBeEnabled()
  const second = await context.newPage()
  await second.goto(`${DEMO}/card?set=trek-b`)
  await expect(second.getByText('This review is open in another tab.')).toBeVisible()
  await expect(second.getByLabel('Price', { exact: true })).toBeDisabled()

  await page.getByLabel('Price', { exact: true }).fill('£41')
  await page.getByLabel('Price', { exact: true }).press('Enter')
  await expect(second.getByLabel('Price', { exact: true })).toHaveValue('£41')

  await second.getByRole('button', { name: 'Take over here' }).click()
  await expect(second.getByLabel('Price', { exact: true })).toBeEnabled()
  await expect(page.getByText('Another tab has taken this review over.')).toBeVisible()
  await expect(page.getByLabel('Price', { exact: true })).toBeDisabled()
  await second.getByLabel('Price', { exact: true }).fill('£42')
  await second.getByLabel('Price', { exact: true }).press('Enter')
  await expect(page.getByLabel('Price', { exact: true })).toHaveValue('£42')

  // The tab that writes is closed: the other one goes on, from what was saved last.
  await second.close()
  await expect(page.getByLabel('Price', { exact: true })).toBeEnabled()
  await page.getByLabel('Price', { exact: true }).fill('£43')
  await page.getByLabel('Price', { exact: true }).press('Enter')
  await saved(page)
  await page.reload()
  await expect(page.getByLabel('Price', { exact: true })).toHaveValue('£43')
})

test(
  'a removed review is gone after asking, and the demo comes back when wanted',
  { tag: '@all' },
  async ({ page }) => {
    await openDemo(page)
    await page.goto('/')
    await page.getByRole('button', { name: /^More for/ }).click()
    await page.getByText('Remove from the shelf').click()
    await expect(page.getByRole('dialog')).toContainText('for good')
    await page.getByRole('button', { name: 'Remove', exact: true }).click()
    await expect(page.getByTestId('empty-shelf')).toBeVisible()
  },
)

test('a full disk is said in words, and the change stays on the screen', async ({ page }) => {
  await openDemoAt(page, `${DEMO}/card?set=trek-b`)
  const price = page.getByLabel('Price', { exact: true })
  await expect(price).toBeEnabled()
  await refuseRecords(page, '')
  await price.fill('£50')
  await price.press('Enter')
  await expect(page.getByRole('alert').first()).toContainText('storage is full')
  await expect(page.getByTestId('saved')).toHaveText('Not saved')
  await expect(price).toHaveValue('£50')
})

test('a review that is not here says so', async ({ page }) => {
  await page.goto('/review/nowhere/card')
  await expect(page.getByRole('heading', { name: 'No such review on this shelf' })).toBeVisible()
})
