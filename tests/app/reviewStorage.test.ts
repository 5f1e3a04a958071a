import { beforeEach, describe, expect, it, vi } from 'vitest'
import { demoReview } from '#core/demo'
import { newReview, REVIEW_SCHEMA_VERSION, type Review } from '#core/review'
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
} from '~/storage/reviewStorage'

const disk = vi.hoisted(() => ({ records: new Map<string, unknown>(), full: false, writes: [] as string[] }))

vi.mock('localforage', () => ({
  default: {
    createInstance: () => ({
      getItem: async (key: string) => structuredClone(disk.records.get(key)) ?? null,
      setItem: async (key: string, value: unknown) => {
        if (disk.full) throw new DOMException('The quota has been exceeded.', 'QuotaExceededError')
        disk.writes.push(key)
        disk.records.set(key, structuredClone(value))
      },
      removeItem: async (key: string) => void disk.records.delete(key),
      keys: async () => [...disk.records.keys()],
      iterate: async (each: (value: unknown, key: string) => void) =>
        disk.records.forEach((value, key) => each(value, key)),
    }),
  },
}))

const journalKey = 'rigorous-meter:journal:demo-fell-race'

describe('keeping reviews in the browser', () => {
  let review: Review

  beforeEach(() => {
    disk.records.clear()
    disk.full = false
    disk.writes = []
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
      'readings:demo-fell-race',
      'head:demo-fell-race',
      'trace:demo-fell-race:t1',
    ])
    for (const record of disk.records.values())
      expect(record).toHaveProperty('schemaVersion', REVIEW_SCHEMA_VERSION)
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
    for (const record of disk.records.values())
      expect(record).toHaveProperty('schemaVersion', REVIEW_SCHEMA_VERSION)
    expect((await loadCurve(review.id, 'c1'))?.y).toEqual(Float64Array.of(Number.NaN))
    expect(await loadPicture(review.id, 'p1')).toBe('data:image/jpeg;base64,AAAA')
    expect([await loadCurve(review.id, 'c2'), await loadPicture(review.id, 'p2')]).toEqual([null, null])
    await removeReview(review.id)
    expect(disk.records.size).toBe(0)
  })

  it('writes the journal before the records and drops it after', async () => {
    const saving = saveReview(review)
    expect(localStorage.getItem(journalKey)).not.toBeNull()
    await saving
    expect(localStorage.getItem(journalKey)).toBeNull()
  })

  it('takes up a journal that was left, and throws away a broken one', async () => {
    await saveReview(review)
    localStorage.setItem(journalKey, JSON.stringify({ ...review, title: 'Newer' }))
    expect((await loadReview(review.id))?.title).toBe('Newer')
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
    expect([...disk.records.keys()]).toEqual(['readings:neighbour', 'head:neighbour'])
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
