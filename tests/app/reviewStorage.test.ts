import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { demoReview } from '#core/demo'
import { newReview, REVIEW_SCHEMA_VERSION, type Review } from '#core/review'
import {
  DamagedReviewError,
  listReviews,
  loadClip,
  loadCurve,
  loadPicture,
  loadReview,
  loadTrace,
  noteChange,
  OvertakenError,
  rawRecords,
  removeReview,
  replaceReview,
  saveClip,
  saveCurve,
  savePicture,
  saveReview,
  saveTrace,
  StorageError,
} from '~/storage'
import { followed, readRecord, recordNames, removeRecords, writeRecords } from '~/storage/disk'
import { ITEMS_A_PART } from '~/storage/reviewParts'
import { seal, type Sealed, unseal } from '~/storage/seal'
import type { CopyAccess } from '~/storage/secondCopy/access'
import * as build from '~/storage/build'
import { copiedJournal, recordsInCopy, removeCopiedJournal, secondCopyState } from '~/storage/secondCopy'
import { accessInMemory } from './memoryFolder'
import { formThree } from '../support/oldForms'

const copy = vi.hoisted(() => ({ access: null as CopyAccess | null }))
vi.mock('~/storage/secondCopy/access', () => ({ copyAccess: () => copy.access }))

const ID = 'demo-fell-race'
const HEAD = `head:${ID}`
const journalKey = `rigorous-meter:journal:${ID}`
const part = (name: string) => `part:${ID}:${name}`

/** The review with so many readings, told apart by their ids. */
const withReadings = (review: Review, count: number): Review => ({
  ...review,
  readings: Array.from({ length: count }, (_, i) => ({ ...review.readings[0]!, id: `many-${i}` })),
})

/** Names of the records that a piece of work writes. */
async function writtenBy(work: () => Promise<unknown>): Promise<string[]> {
  const put = vi.spyOn(IDBObjectStore.prototype, 'put')
  await work()
  const names = put.mock.calls.map(([, key]) => String(key))
  put.mockRestore()
  return names.filter(name => name !== ID)
}

async function whileFull(work: () => Promise<unknown>): Promise<void> {
  const put = vi.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(() => {
    throw new DOMException('The quota has been exceeded.', 'QuotaExceededError')
  })
  await work()
  put.mockRestore()
}

/** Does something at every record that is put down while some work is done. */
async function whilePutting(
  then: (name: string, store: IDBObjectStore) => void,
  work: () => Promise<unknown>,
): Promise<void> {
  const { put } = IDBObjectStore.prototype
  const spy = vi.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(function (
    this: IDBObjectStore,
    ...args: Parameters<typeof put>
  ) {
    const request = put.apply(this, args)
    then(String(args[1]), this)
    return request
  })
  await work()
  spy.mockRestore()
}

/** The records of a review as form 3 kept it. */
async function putForm3(): Promise<void> {
  const { readings, ...head } = formThree()
  const common = { schemaVersion: 3, readingCount: readings.length }
  await writeRecords([
    [`readings:${ID}`, { ...common, readings }],
    [HEAD, { ...common, review: head }],
  ])
}

/** The records of a review as form 5 kept it: unsealed, readings in batches of 256. */
async function putForm5({ readings, ...head }: Review): Promise<void> {
  const schemaVersion = 5
  const batches = Array.from(
    { length: Math.ceil(readings.length / 256) },
    (_unused, i): [string, unknown] => [
      `readings:${ID}:${i}`,
      { schemaVersion, readings: readings.slice(i * 256, (i + 1) * 256) },
    ],
  )
  await writeRecords([
    ...batches,
    [HEAD, { schemaVersion, review: head, readingCount: readings.length, revision: 'of form 5' }],
  ])
}

/** Changes what a sealed record says and seals it again. */
async function reseal(name: string, change: (value: Record<string, unknown>) => unknown): Promise<void> {
  const opened = unseal(await readRecord(name))
  if (opened.is !== 'sound') throw new Error(`${name} is ${opened.is}`)
  await writeRecords([[name, seal(change(opened.value as Record<string, unknown>))]])
}

describe('keeping reviews in the browser', () => {
  let review: Review

  beforeEach(async () => {
    for (const { id } of (await listReviews()).heads) await removeReview(id)
    await removeReview(ID)
    await removeRecords(await recordNames())
    localStorage.clear()
    review = demoReview().review
    ;({ access: copy.access } = accessInMemory())
  })
  afterEach(() => vi.restoreAllMocks())

  it('gives back what it was given, and null for what it never had', async () => {
    await saveReview(review)
    expect(await loadReview(ID)).toEqual(review)
    expect(await loadReview('nowhere')).toBeNull()
  })

  it('keeps every record with its form, its length and its checksum', async () => {
    await saveReview(review)
    for (const name of await recordNames()) {
      const { form, length, sum, text } = (await readRecord(name)) as Sealed
      expect([name, form, length]).toEqual([name, 6, text.length])
      expect(sum).toBeTypeOf('number')
    }
  })

  it('keeps traces, curves, gaps and all, pictures and clips; removing a review takes them along', async () => {
    await saveReview(review)
    await saveTrace(ID, 't1', { frequenciesHz: Float64Array.of(1, 2), levelsDbm: Float64Array.of(-3, -4) })
    const gap = { x: Float64Array.of(1), y: Float64Array.of(Number.NaN), y2: new Float64Array(0) }
    await saveCurve(ID, 'c1', gap)
    await savePicture(ID, 'p1', 'data:image/jpeg;base64,AAAA')
    await saveClip(ID, 'k1', 'data:audio/wav;base64,AAAA')
    expect(await loadClip(ID, 'k1')).toBe('data:audio/wav;base64,AAAA')
    expect((await loadTrace(ID, 't1'))?.levelsDbm).toEqual(Float64Array.of(-3, -4))
    expect(await loadCurve(ID, 'c1')).toEqual(gap)
    expect(await loadPicture(ID, 'p1')).toBe('data:image/jpeg;base64,AAAA')
    expect([await loadTrace(ID, 'x'), await loadCurve(ID, 'x'), await loadPicture(ID, 'x')]).toEqual([
      null,
      null,
      null,
    ])
    await removeReview(ID)
    expect(await recordNames()).toEqual([])
  })

  it('does not hand out points that are damaged', async () => {
    await saveTrace(ID, 't1', { frequenciesHz: Float64Array.of(1, 2), levelsDbm: Float64Array.of(-3, -4) })
    const record = (await readRecord(`trace:${ID}:t1`)) as { levelsDbm: Float64Array }
    await writeRecords([[`trace:${ID}:t1`, { ...record, levelsDbm: Float64Array.of(-3, -40) }]])
    expect(await loadTrace(ID, 't1')).toBeNull()
    await saveClip(ID, 'k1', 'data:audio/wav;base64,AAAA')
    const clip = (await readRecord(`clip:${ID}:k1`)) as { dataUrl: string }
    await writeRecords([[`clip:${ID}:k1`, { ...clip, dataUrl: 'data:audio/wav;base64,AAAB' }]])
    expect(await loadClip(ID, 'k1')).toBeNull()
  })

  it('writes a few kB for one reading of twelve thousand, and nothing else of them', async () => {
    const many = withReadings(review, 12_000)
    await saveReview(many)
    const more = { ...many, readings: [...many.readings, { ...many.readings[0]!, id: 'last' }] }
    expect(await writtenBy(() => saveReview(more))).toEqual([part('readings:750'), HEAD])
    const sizes = await Promise.all(
      [part('readings:750'), HEAD].map(async name => ((await readRecord(name)) as Sealed).length),
    )
    expect(sizes.reduce((sum, size) => sum + size)).toBeLessThan(4000)
    const found = (await loadReview(ID))!
    expect(found.readings.map(({ id }) => id).slice(-2)).toEqual(['many-11999', 'last'])
    expect(await writtenBy(() => saveReview({ ...found, title: 'Other' }))).toEqual([HEAD])
  })

  it('takes away the parts that a shorter list no longer reaches', async () => {
    const many = withReadings(review, 3 * ITEMS_A_PART)
    await saveReview(many)
    await saveReview({ ...many, readings: many.readings.slice(0, ITEMS_A_PART) })
    const parts = (await recordNames()).filter(name => name.startsWith(part('readings')))
    expect(parts).toEqual([part('readings:0')])
    expect((await loadReview(ID))?.readings).toHaveLength(ITEMS_A_PART)
  })

  it('overwrites nothing that another tab wrote in between', async () => {
    await saveReview(review)
    await reseal(HEAD, head => ({ ...head, revision: 'of another tab' }))
    await expect(saveReview({ ...review, title: 'Mine' })).rejects.toThrowError(OvertakenError)
    expect(unseal(await readRecord(HEAD))).toMatchObject({ value: { revision: 'of another tab' } })
    await replaceReview({ ...review, title: 'Brought in' })
    expect((await loadReview(ID))?.title).toBe('Brought in')
  })

  it('lets only one of two through that begin to write over the same', async () => {
    const write = (who: string) =>
      writeRecords([['race-of-two', who]], { name: 'race-of-two', isAsExpected: record => record === null })
    // Until there is a connection of our own, looking and writing are two steps.
    await vi.waitFor(async () => {
      await removeRecords(['race-of-two'])
      expect(await Promise.all([write('first'), write('second')])).toEqual([true, false])
    })
    expect(await readRecord('race-of-two')).toBe('first')
  })

  it.each([
    ['a part that is missing', () => removeRecords([part('readings:1')])],
    ['a part of garbage', () => writeRecords([[part('readings:1'), { garbage: true }]])],
    [
      'a part with one character changed',
      async () => {
        const record = (await readRecord(part('readings:1'))) as Sealed
        await writeRecords([[part('readings:1'), { ...record, text: record.text.replace('1', '7') }]])
      },
    ],
  ])('finds %s, says what is lost, and leaves all as it is', async (_name, damage) => {
    const many = withReadings(review, 40)
    await saveReview(many)
    await damage()
    const error = await loadReview(ID).catch((cause: unknown) => cause)
    expect(error).toBeInstanceOf(DamagedReviewError)
    const { lost, data } = error as DamagedReviewError
    expect(lost).toEqual([{ field: 'readings', items: [17, 32] }])
    expect((data as Review).readings.map(({ id }) => id)).toEqual(
      many.readings.filter((_reading, i) => i < 16 || i >= 32).map(({ id }) => id),
    )
    expect((await listReviews()).heads).toHaveLength(1)
  })

  it('lists a review whose head is damaged or gone, beside those that are sound', async () => {
    await saveReview(review)
    await saveReview(newReview({ id: 'later', title: 'Later', at: '2026-12-01T00:00:00.000Z' }))
    await writeRecords([[HEAD, { form: 6, length: 3, sum: 1, text: '{}' }]])
    const { heads, damaged } = await listReviews()
    expect(heads.map(({ id }) => id)).toEqual(['later'])
    expect(damaged.map(({ id }) => id)).toEqual([ID])
    const error = (await loadReview(ID).catch((cause: unknown) => cause)) as DamagedReviewError
    expect((error.data as Review).readings).toEqual(review.readings)
    await removeRecords([HEAD])
    expect((await listReviews()).damaged.map(({ id }) => id)).toEqual([ID])
    // What was flushed last holds it whole; without that, the parts do.
    expect((await loadReview(ID))?.readings).toEqual(review.readings)
    await removeCopiedJournal(ID)
    const headless = (await loadReview(ID).catch((cause: unknown) => cause)) as DamagedReviewError
    expect((headless.data as Review).readings).toEqual(review.readings)
  })

  it('lists the newest first, with what the shelf shows', async () => {
    await saveReview(review)
    await saveReview(newReview({ id: 'later', title: 'Later', at: '2026-12-01T00:00:00.000Z' }))
    const { heads } = await listReviews()
    expect(heads.map(({ id }) => id)).toEqual(['later', ID])
    expect(heads[1]).toMatchObject({
      readingCount: review.readings.length,
      setNames: expect.arrayContaining(['Osmere Trek 2 A']),
    })
  })

  it('opens and lists what form 3 kept, and keeps it in parts from then on', async () => {
    await putForm3()
    expect((await listReviews()).heads).toMatchObject([{ id: ID, setNames: expect.any(Array) }])
    const opened = (await loadReview(ID))!
    expect(opened.readings.length).toBeGreaterThan(100)
    await saveReview({ ...opened, title: 'Touched' })
    expect((await recordNames()).filter(name => name.startsWith('readings:'))).toEqual([])
    expect(await loadReview(ID)).toEqual({ ...opened, title: 'Touched' })
  })

  it('opens what form 5 kept, with a journal laid over, and finds a batch that is missing', async () => {
    const many = withReadings(review, 300)
    await putForm5(many)
    expect(await loadReview(ID)).toEqual(many)
    const { readings, ...head } = { ...many, title: 'Left by form 5' }
    const last = { ...readings[0]!, id: 'last' }
    const batches = [[1, [...readings.slice(256), last]]]
    localStorage.setItem(journalKey, JSON.stringify({ head, readingCount: 301, batches }))
    expect(await loadReview(ID)).toEqual({ ...head, readings: [...readings, last] })
    localStorage.clear()
    await removeRecords([`readings:${ID}:1`])
    const error = (await loadReview(ID).catch((cause: unknown) => cause)) as DamagedReviewError
    expect(error.lost).toEqual([{ field: 'readings', items: [257, 300] }])
  })

  it('takes up the whole review that form 3 left as its journal', async () => {
    await putForm3()
    localStorage.setItem(journalKey, JSON.stringify({ ...formThree(), title: 'Left by form 3' }))
    expect((await loadReview(ID))?.title).toBe('Left by form 3')
  })

  describe('the journal', () => {
    it('is left at once, twice, with only what changed, and laid over what was not yet written', async () => {
      const many = withReadings(review, 600)
      await saveReview(many)
      const newer = {
        ...many,
        title: 'Newer',
        readings: [...many.readings, { ...many.readings[0]!, id: 'last' }],
      }
      noteChange(newer)
      const text = localStorage.getItem(journalKey)!
      expect(text.length).toBeLessThan(15_000)
      await vi.waitFor(async () => expect(await copiedJournal(ID)).toBe(text))
      expect(await loadReview(ID)).toEqual(newer)
      localStorage.clear()
      expect(await loadReview(ID)).toEqual(newer)
    })

    it('fits the state on the disk and the one on its way there, whichever it meets', async () => {
      await saveReview(review)
      const second = { ...review, purpose: 'on its way' }
      const third = { ...review, title: 'noted meanwhile' }
      let text = ''
      await whilePutting(
        name => {
          if (name !== HEAD) return
          noteChange(third)
          text = localStorage.getItem(journalKey)!
        },
        () => saveReview(second),
      )
      localStorage.setItem(journalKey, text)
      expect(await loadReview(ID)).toEqual(third)
    })

    it('is dropped where a closing tab leaves it once the records are in; a stale one is not taken up', async () => {
      await saveReview(review)
      const second = { ...review, title: 'Second' }
      noteChange(second)
      const stale = localStorage.getItem(journalKey)!
      await saveReview(second)
      expect(localStorage.getItem(journalKey)).toBeNull()
      await saveReview({ ...second, title: 'Third' })
      localStorage.setItem(journalKey, stale)
      expect((await loadReview(ID))?.title).toBe('Third')
    })

    it.each([
      ['damaged', (text: string) => text.replace('Newer', 'Never')],
      ['cut short', (text: string) => text.slice(0, -5)],
      ['of a later form', (text: string) => text.replace('journal 6', 'journal 7')],
      ['of another state', (text: string) => text],
    ])('that is %s is told and kept aside, never deleted', async (name, change) => {
      await saveReview(review)
      noteChange({ ...review, title: 'Newer' })
      const text = change(localStorage.getItem(journalKey)!)
      await replaceReview(review)
      if (name === 'of another state') await reseal(HEAD, head => ({ ...head, sequence: 0 }))
      localStorage.setItem(journalKey, text)
      const told: string[] = []
      expect((await loadReview(ID, words => told.push(words)))?.title).toBe(review.title)
      expect(told).toHaveLength(1)
      expect(localStorage.getItem(journalKey)).toBeNull()
      expect(JSON.parse(await rawRecords(ID))).toMatchObject({ journals: { setAside: [text] } })
    })

    it('of a review that never got its head opens it, and is on the shelf', async () => {
      noteChange(review)
      expect((await listReviews()).damaged.map(({ id }) => id)).toEqual([ID])
      expect(await loadReview(ID)).toEqual(review)
    })

    it('stays, with words about the full disk, when the records cannot be written', async () => {
      await saveReview(review)
      const newer = { ...review, title: 'Newer' }
      await whileFull(async () => {
        const error = await saveReview(newer).catch((cause: unknown) => cause)
        expect(error).toBeInstanceOf(StorageError)
        expect(String(error)).toMatch(/storage is full.*take the review away/)
      })
      expect((await loadReview(ID))?.title).toBe('Newer')
    })
  })

  it('writes all of a change or nothing of it', async () => {
    const many = withReadings(review, 40)
    await saveReview(many)
    const changed = { ...many, readings: many.readings.map(one => ({ ...one, who: 'torn' })) }
    await whilePutting(
      (name, store) => {
        if (name === HEAD) store.transaction.abort()
      },
      () => expect(saveReview(changed)).rejects.toThrowError(StorageError),
    )
    localStorage.clear()
    await removeCopiedJournal(ID)
    const { readings } = (await loadReview(ID))!
    expect(new Set(readings.map(({ who }) => who))).toEqual(new Set([many.readings[0]!.who]))
  })

  it('opens with a journal that fits nothing though there is no room to keep it aside', async () => {
    await saveReview(review)
    const garbage = 'journal 6 3 1\n{}'
    localStorage.setItem(journalKey, garbage)
    const set = vi.spyOn(Storage.prototype, 'setItem').mockImplementation((name: string) => {
      if (name.includes(':aside:')) throw new DOMException('full', 'QuotaExceededError')
    })
    expect((await loadReview(ID))?.title).toBe(review.title)
    set.mockRestore()
  })

  describe('the second copy', () => {
    const trace = { frequenciesHz: new Float64Array([1e6, 2e6]), levelsDbm: new Float64Array([-1, -2]) }

    /** What a browser does that finds its database damaged, once the second copy has followed what was written. */
    async function loseDatabase(): Promise<void> {
      await followed()
      const { access } = copy
      copy.access = null
      await removeRecords(await recordNames())
      copy.access = access
    }

    it('holds all that is called saved, and gives it back when the database was lost', async () => {
      await saveTrace(ID, 't1', trace)
      await saveReview(review)
      await saveReview({ ...review, purpose: 'kept twice' })
      await loseDatabase()
      const told: string[] = []
      expect((await loadReview(ID, words => told.push(words)))?.purpose).toBe('kept twice')
      expect(told).toEqual(['The browser had lost its database. This review is back from its second copy.'])
      expect(await loadTrace(ID, 't1')).toEqual(trace)
    })

    it('does not keep a review from being saved when it fails, or does not answer', async () => {
      const { access } = copy
      // What was asked before answers before: an answer would say that it is kept.
      await followed()
      for (const work of [() => Promise.reject(new Error('no')), () => new Promise<never>(() => {})]) {
        copy.access = { ...access!, work }
        await saveReview({ ...review, purpose: String(work) })
        expect((await readRecord(HEAD)) as Sealed).toBeTruthy()
        expect(secondCopyState()).toMatchObject({ failed: expect.any(String) })
      }
      copy.access = access
      await saveReview({ ...review, purpose: 'and on' })
      await vi.waitFor(() => expect(secondCopyState()).toBe('kept'))
      expect((await loadReview(ID))?.purpose).toBe('and on')
    })

    it('is waited for once while it is silent, and not again before it has answered', async () => {
      const { access } = copy
      copy.access = { ...access!, work: () => new Promise<never>(() => {}) }
      const waits = vi.spyOn(globalThis, 'setTimeout')
      const waitedMs = () => Math.max(...waits.mock.calls.map(([, ms]) => ms ?? 0))
      await saveReview({ ...review, purpose: 'waited for' })
      expect(waitedMs()).toBe(2000)
      waits.mockClear()
      await saveReview({ ...review, purpose: 'not waited for' })
      expect(waitedMs()).toBe(0)
      copy.access = access
      await saveReview({ ...review, purpose: 'answered' })
      await vi.waitFor(() => expect(secondCopyState()).toBe('kept'))
      waits.mockClear()
      await saveReview({ ...review, purpose: 'waited for again' })
      expect(waitedMs()).toBe(2000)
      waits.mockRestore()
    })

    it('is laid under what was not yet written', async () => {
      await saveReview(review)
      noteChange({ ...review, purpose: 'on its way' })
      await loseDatabase()
      expect((await loadReview(ID))?.purpose).toBe('on its way')
    })

    it('brings the whole shelf back, once', async () => {
      await saveReview(review)
      await saveReview(newReview({ id: 'later', title: 'Later', at: '2026-12-01T00:00:00.000Z' }))
      await loseDatabase()
      const { heads, back, damaged } = await listReviews()
      expect(heads.map(({ id }) => id)).toEqual(['later', ID])
      expect([back.toSorted(), damaged]).toEqual([[ID, 'later'].toSorted(), []])
      expect((await listReviews()).back).toEqual([])
    })

    it('does not bring back what was removed, nor cover up what is damaged', async () => {
      await saveReview(review)
      await saveReview({ ...review, id: 'neighbour' })
      await removeReview('neighbour')
      await removeRecords([HEAD])
      const { heads, back, damaged } = await listReviews()
      expect([heads, back, damaged.map(({ id }) => id)]).toEqual([[], [], [ID]])
    })

    it('leaves, where it is gone too, at least what was changed last to be rescued', async () => {
      await saveReview(review)
      noteChange({ ...review, purpose: 'all that is left' })
      await copy.access!.work(store => store.forget(ID))
      await loseDatabase()
      expect((await listReviews()).damaged.map(({ id }) => id)).toEqual([ID])
      const error = (await loadReview(ID).catch((cause: unknown) => cause)) as DamagedReviewError
      expect(error).toBeInstanceOf(DamagedReviewError)
      expect(error.data).toMatchObject({ id: ID, purpose: 'all that is left' })
      expect(error.lost.length).toBeGreaterThan(0)
      expect(localStorage.getItem(journalKey)).not.toBeNull()
    })

    it('follows a review that was changed while there was none, once it is opened', async () => {
      await saveReview(review)
      const { access } = copy
      copy.access = null
      await saveReview({ ...review, purpose: 'without a copy' })
      copy.access = access
      await loadReview(ID)
      await vi.waitFor(async () => {
        const head = new Map(await recordsInCopy(ID)).get(HEAD)
        expect(head).toEqual(await readRecord(HEAD))
      })
    })
  })

  it('removes a review with its traces and leaves its neighbours', async () => {
    await saveReview(review)
    await saveTrace(ID, 't1', { frequenciesHz: new Float64Array(1), levelsDbm: new Float64Array(1) })
    await saveReview({ ...review, id: 'neighbour' })
    await removeReview(ID)
    expect((await recordNames()).every(name => name.split(':')[1] === 'neighbour')).toBe(true)
    expect(await loadReview('neighbour')).toEqual({ ...review, id: 'neighbour' })
  })

  describe('what a build of the program has kept', () => {
    beforeEach(async () => {
      vi.spyOn(build, 'thisBuild').mockReturnValue('one')
      await saveReview(review)
    })
    const unsound = (head: Record<string, unknown>) => ({
      ...head,
      fields: { ...(head.fields as Record<string, unknown>), title: 'x'.repeat(5000) },
    })

    it('is opened by the same build as it is, and looked through by any other', async () => {
      expect(await loadReview(ID)).toEqual(review)
      await reseal(HEAD, unsound)
      expect((await loadReview(ID))?.title).toHaveLength(5000)
      for (const other of ['another', null]) {
        vi.mocked(build.thisBuild).mockReturnValue(other)
        await expect(loadReview(ID)).rejects.toThrowError(DamagedReviewError)
      }
    })

    it('is missed all the same where a record of it is gone or does not match its checksum', async () => {
      const part = (await recordNames()).find(name => name.startsWith(`part:${ID}:readings`))!
      const record = (await readRecord(part)) as { text: string }
      await writeRecords([[part, { ...record, text: record.text.replace('1', '2') }]])
      await expect(loadReview(ID)).rejects.toThrowError(DamagedReviewError)
      await removeRecords([part])
      await expect(loadReview(ID)).rejects.toThrowError(DamagedReviewError)
    })

    it('is looked through where a journal is laid over it', async () => {
      const worse = { ...review, title: 'x'.repeat(5000) }
      noteChange(worse)
      await expect(loadReview(ID)).rejects.toThrowError(DamagedReviewError)
    })

    it('bears the name of the latest build that has written it', async () => {
      vi.mocked(build.thisBuild).mockReturnValue('two')
      await loadReview(ID)
      await saveReview({ ...review, title: 'Written by the second' })
      expect(unseal(await readRecord(HEAD))).toMatchObject({ value: { build: 'two' } })
    })
  })

  it('refuses records of a newer form', async () => {
    await saveReview(review)
    await reseal(HEAD, head => ({ ...head, schemaVersion: REVIEW_SCHEMA_VERSION + 1 }))
    const newer = expect.objectContaining({ code: 'newer-version' })
    await expect(loadReview(ID)).rejects.toThrowError(newer)
    await writeRecords([[HEAD, { ...seal({}), form: 7 }]])
    await expect(loadReview(ID)).rejects.toThrowError(newer)
  })
})
