import { beforeEach, describe, expect, it, vi } from 'vitest'
import { demoReview } from '#core/demo'
import { newReview, REVIEW_SCHEMA_VERSION, type Review } from '#core/review'
import { formThree } from '../support/oldForms'
import {
  listReviews,
  loadCurve,
  loadPicture,
  loadReview,
  loadTrace,
  removeReview,
  saveCurve,
  savePicture,
  saveReview,
  saveTrace,
  StorageError,
} from '~/storage'

const disk = vi.hoisted(() => ({
  records: new Map<string, unknown>(),
  full: false,
  writes: [] as string[],
  reads: [] as string[],
}))

vi.mock('localforage', () => ({
  default: {
    createInstance: () => ({
      getItem: async (key: string) => {
        disk.reads.push(key)
        return structuredClone(disk.records.get(key)) ?? null
      },
      setItem: async (key: string, value: unknown) => {
        if (disk.full) throw new DOMException('The quota has been exceeded.', 'QuotaExceededError')
        disk.writes.push(key)
        disk.records.set(key, structuredClone(value))
      },
      removeItem: async (key: string) => void disk.records.delete(key),
      keys: async () => [...disk.records.keys()],
    }),
  },
}))

const journalKey = 'rigorous-meter:journal:demo-fell-race'

const batchKeys = ({ id, readings }: Review): string[] =>
  Array.from({ length: Math.ceil(readings.length / 256) }, (_, index) => `readings:${id}:${index}`)

/** The review with so many readings, told apart by their remarks. */
const withReadings = (review: Review, count: number): Review => ({
  ...review,
  readings: Array.from({ length: count }, (_, i) => ({ ...review.readings[0]!, id: `many-${i}` })),
})

/** The two records of a review as form 3 kept it. */
function putForm3(): void {
  const { readings, ...head } = formThree()
  const records = { 'readings:demo-fell-race': { readings }, 'head:demo-fell-race': { review: head } }
  for (const [key, record] of Object.entries(records))
    disk.records.set(key, { schemaVersion: 3, readingCount: readings.length, ...record })
}

describe('keeping reviews in the browser', () => {
  let review: Review

  beforeEach(() => {
    disk.records.clear()
    disk.full = false
    disk.writes = []
    localStorage.clear()
    review = demoReview().review
  })

  it('gives back what it was given, and null for what it never had', async () => {
    await saveReview(review)
    expect(await loadReview(review.id)).toEqual(review)
    expect(await loadReview('nowhere')).toBeNull()
  })

  it('keeps head, readings and traces in records of their own, each with its form’s number', async () => {
    await saveReview(review)
    await saveTrace(review.id, 't1', {
      frequenciesHz: Float64Array.of(1, 2),
      levelsDbm: Float64Array.of(-3, -4),
    })
    expect([...disk.records.keys()]).toEqual([
      ...batchKeys(review),
      'head:demo-fell-race',
      'shelf:demo-fell-race',
      'trace:demo-fell-race:t1',
    ])
    for (const [key, record] of disk.records)
      if (!key.startsWith('shelf:')) expect(record).toHaveProperty('schemaVersion', REVIEW_SCHEMA_VERSION)
    expect((await loadTrace(review.id, 't1'))?.levelsDbm).toEqual(Float64Array.of(-3, -4))
    expect(await loadTrace(review.id, 't2')).toBeNull()
  })

  it('keeps curves, gaps and all, and pictures; removing a review takes them along', async () => {
    await saveReview(review)
    await saveCurve(review.id, 'c1', {
      x: Float64Array.of(1),
      y: Float64Array.of(Number.NaN),
      y2: new Float64Array(0),
    })
    await savePicture(review.id, 'p1', 'data:image/jpeg;base64,AAAA')
    for (const key of ['curve:demo-fell-race:c1', 'picture:demo-fell-race:p1'])
      expect(disk.records.get(key)).toHaveProperty('schemaVersion', REVIEW_SCHEMA_VERSION)
    expect((await loadCurve(review.id, 'c1'))?.y).toEqual(Float64Array.of(Number.NaN))
    expect(await loadPicture(review.id, 'p1')).toBe('data:image/jpeg;base64,AAAA')
    expect([await loadCurve(review.id, 'c2'), await loadPicture(review.id, 'p2')]).toEqual([null, null])
    await removeReview(review.id)
    expect(disk.records.size).toBe(0)
  })

  it('writes only the batch a reading falls into, and none when the head changes', async () => {
    const many = withReadings(review, 600)
    await saveReview(many)
    disk.writes = []
    await saveReview({ ...many, readings: [...many.readings, { ...many.readings[0]!, id: 'last' }] })
    expect(disk.writes).toEqual(['readings:demo-fell-race:2', 'head:demo-fell-race', 'shelf:demo-fell-race'])
    const found = (await loadReview(review.id))!
    expect(found.readings.map(({ id }) => id).slice(-2)).toEqual(['many-599', 'last'])
    disk.writes = []
    await saveReview({ ...found, title: 'Other' })
    expect(disk.writes).toEqual(['head:demo-fell-race', 'shelf:demo-fell-race'])
  })

  it('takes away the batches that readings no longer reach', async () => {
    const many = withReadings(review, 600)
    await saveReview(many)
    await saveReview({ ...many, readings: many.readings.slice(0, 256) })
    expect([...disk.records.keys()].filter(key => key.startsWith('readings:'))).toEqual([
      'readings:demo-fell-race:0',
    ])
    expect((await loadReview(review.id))?.readings).toHaveLength(256)
  })

  it('writes every batch over when another tab wrote in between', async () => {
    const many = withReadings(review, 600)
    await saveReview(many)
    const head = disk.records.get('head:demo-fell-race') as object
    disk.records.set('head:demo-fell-race', { ...head, revision: 'of another tab' })
    disk.records.delete('readings:demo-fell-race:0')
    await saveReview({ ...many, title: 'Mine' })
    expect(await loadReview(review.id)).toEqual({ ...many, title: 'Mine' })
  })

  it('says that readings are missing instead of opening without them', async () => {
    await saveReview(withReadings(review, 600))
    disk.records.delete('readings:demo-fell-race:1')
    await expect(loadReview(review.id)).rejects.toThrowError(/readings are missing/)
  })

  it('opens and lists what form 3 kept, and keeps it in batches from then on', async () => {
    putForm3()
    expect(await listReviews()).toMatchObject([{ id: 'demo-fell-race', setNames: expect.any(Array) }])
    const opened = (await loadReview('demo-fell-race'))!
    expect(opened.readings.length).toBeGreaterThan(100)
    await saveReview({ ...opened, title: 'Touched' })
    expect([...disk.records.keys()]).not.toContain('readings:demo-fell-race')
    expect(await loadReview('demo-fell-race')).toEqual({ ...opened, title: 'Touched' })
  })

  it('takes up the whole review that an older version left as its journal', async () => {
    putForm3()
    localStorage.setItem(journalKey, JSON.stringify({ ...formThree(), title: 'Left by form 3' }))
    expect((await loadReview('demo-fell-race'))?.title).toBe('Left by form 3')
  })

  it('lists from one small record a review, not from the reviews', async () => {
    await saveReview(review)
    await listReviews()
    disk.reads = []
    await listReviews()
    expect(disk.reads).toEqual(['shelf:demo-fell-race'])
  })

  it('writes the journal before the records and drops it after', async () => {
    const saving = saveReview(review)
    expect(localStorage.getItem(journalKey)).not.toBeNull()
    await saving
    expect(localStorage.getItem(journalKey)).toBeNull()
  })

  it('takes up a journal of what changed, and throws away a broken one', async () => {
    const many = withReadings(review, 600)
    await saveReview(many)
    disk.full = true
    const newer = {
      ...many,
      title: 'Newer',
      readings: [...many.readings, { ...many.readings[0]!, id: 'last' }],
    }
    await expect(saveReview(newer)).rejects.toThrowError(StorageError)
    disk.full = false
    const journal = JSON.parse(localStorage.getItem(journalKey)!) as { batches: [number, unknown[]][] }
    expect(journal.batches.map(([index, readings]) => [index, readings.length])).toEqual([[2, 89]])
    expect(await loadReview(review.id)).toEqual(newer)
    localStorage.setItem(journalKey, '{"half": ')
    expect((await loadReview(review.id))?.title).toBe(review.title)
    expect(localStorage.getItem(journalKey)).toBeNull()
  })

  it('says in words that the disk is full, and keeps the journal', async () => {
    disk.full = true
    await expect(saveReview(review)).rejects.toThrowError(StorageError)
    await expect(saveReview(review)).rejects.toThrowError(/storage is full.*take the review away/)
    expect(localStorage.getItem(journalKey)).not.toBeNull()
    expect((await loadReview(review.id))?.title).toBe(review.title)
  })

  it('lists the newest first, with what the shelf shows', async () => {
    await saveReview(review)
    await saveReview({ ...newReview({ id: 'later', title: 'Later', at: '2026-12-01T00:00:00.000Z' }) })
    const heads = await listReviews()
    expect(heads.map(({ id }) => id)).toEqual(['later', 'demo-fell-race'])
    expect(heads[1]).toMatchObject({
      readingCount: review.readings.length,
      setNames: expect.arrayContaining(['Osmere Trek 2 A']),
    })
  })

  it('removes a review with its traces and leaves its neighbours', async () => {
    await saveReview(review)
    await saveTrace(review.id, 't1', { frequenciesHz: new Float64Array(1), levelsDbm: new Float64Array(1) })
    await saveReview({ ...review, id: 'neighbour' })
    await removeReview(review.id)
    expect([...disk.records.keys()]).toEqual([
      ...batchKeys({ ...review, id: 'neighbour' }),
      'head:neighbour',
      'shelf:neighbour',
    ])
  })

  it('refuses a record of a newer form and a damaged one', async () => {
    await saveReview(review)
    const head = disk.records.get('head:demo-fell-race') as {
      schemaVersion: number
      review: { title: unknown }
    }
    disk.records.set('head:demo-fell-race', { ...head, schemaVersion: REVIEW_SCHEMA_VERSION + 1 })
    await expect(loadReview(review.id)).rejects.toThrowError(
      expect.objectContaining({ code: 'newer-version' }),
    )
    disk.records.set('head:demo-fell-race', { ...head, review: { ...head.review, title: 7 } })
    await expect(loadReview(review.id)).rejects.toThrowError(expect.objectContaining({ code: 'bad-review' }))
  })
})
