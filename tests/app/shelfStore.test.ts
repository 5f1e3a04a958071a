import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { demoReview } from '#core/demo'
import { type CurvePoints, newReview, type Review, type TracePoints, writeReviewFile } from '#core/review'
import { useShelfStore } from '~/stores/shelf'

const disk = vi.hoisted(() => ({
  back: [] as string[],
  reviews: new Map<string, Review>(),
  traces: new Map<string, TracePoints>(),
  curves: new Map<string, CurvePoints>(),
  pictures: new Map<string, string>(),
  clips: new Map<string, string>(),
}))

vi.mock('~/storage', () => ({
  DamagedReviewError: class extends Error {},
  listReviews: async () => ({
    heads: [...disk.reviews.values()].map(({ id, title, updatedAt, readings }) => ({
      ...{ id, title, updatedAt },
      readingCount: readings.length,
      setNames: [],
    })),
    damaged: [],
    back: disk.back.splice(0),
  }),
  loadReview: async (id: string) => disk.reviews.get(id) ?? null,
  loadTrace: async (reviewId: string, traceId: string) => disk.traces.get(`${reviewId}:${traceId}`) ?? null,
  loadCurve: async (reviewId: string, curveId: string) => disk.curves.get(`${reviewId}:${curveId}`) ?? null,
  saveCurve: async (reviewId: string, curveId: string, points: CurvePoints) =>
    void disk.curves.set(`${reviewId}:${curveId}`, points),
  loadPicture: async (reviewId: string, pictureId: string) =>
    disk.pictures.get(`${reviewId}:${pictureId}`) ?? null,
  savePicture: async (reviewId: string, pictureId: string, dataUrl: string) =>
    void disk.pictures.set(`${reviewId}:${pictureId}`, dataUrl),
  loadClip: async (reviewId: string, clipId: string) => disk.clips.get(`${reviewId}:${clipId}`) ?? null,
  saveClip: async (reviewId: string, clipId: string, dataUrl: string) =>
    void disk.clips.set(`${reviewId}:${clipId}`, dataUrl),
  removeReview: async (id: string) => void disk.reviews.delete(id),
  replaceReview: async (review: Review) => void disk.reviews.set(review.id, review),
  saveReview: async (review: Review) => void disk.reviews.set(review.id, review),
  saveTrace: async (reviewId: string, traceId: string, points: TracePoints) =>
    void disk.traces.set(`${reviewId}:${traceId}`, points),
}))

const fileOf = (text: string) => new File([text], 'x.review.json', { type: 'application/json' })

describe('the shelf', () => {
  afterEach(() => vi.unstubAllGlobals())

  beforeEach(() => {
    disk.reviews.clear()
    disk.traces.clear()
  })

  it('keeps a review that was just begun', async () => {
    const shelf = useShelfStore()
    const id = 'new'
    await shelf.keepNew(newReview({ id, title: 'Handhelds', at: '2026-11-27T10:00:00.000Z' }))
    expect(shelf.heads).toMatchObject([{ id, title: 'Handhelds', readingCount: 0 }])
    expect(shelf).toMatchObject({ loaded: true, problem: null })
  })

  it('says when reviews are back that the browser had lost', async () => {
    const shelf = useShelfStore()
    disk.back.push('one', 'other')
    await shelf.refresh()
    expect(useUiStore().notice?.text).toContain('2 reviews are back from the second copy')
  })

  it('says so and changes nothing when the demo does not come', async () => {
    const shelf = useShelfStore()
    vi.stubGlobal('fetch', async () => new Response('', { status: 503 }))
    await expect(shelf.putDemo()).rejects.toThrow('Nothing was changed')
    vi.stubGlobal('fetch', async () => Promise.reject(new TypeError('no server')))
    await expect(shelf.putDemo()).rejects.toThrow('Nothing was changed')
    expect(disk.reviews.size).toBe(0)
  })

  it('puts the demo there once, and leaves it away when it was removed', async () => {
    const shelf = useShelfStore()
    const demo = writeReviewFile(demoReview(), { version: '0.1.0', at: '2026-11-20T00:00:00.000Z' })
    vi.stubGlobal('fetch', async (address: string) => new Response(address === '/demo-review' ? demo : null))
    await shelf.putDemoOnce()
    expect(shelf.isOnShelf('demo-fell-race')).toBe(true)
    await shelf.remove('demo-fell-race')
    await shelf.putDemoOnce()
    expect(shelf.isOnShelf('demo-fell-race')).toBe(false)
    await shelf.putDemo()
    expect(shelf.isOnShelf('demo-fell-race')).toBe(true)
  })

  it('looks a demo of another version through before it is put there', async () => {
    const shelf = useShelfStore()
    const at = '2026-11-20T00:00:00.000Z'
    const damaged = demoReview()
    damaged.review.sets = []
    const serve = (version: string) => {
      const text = writeReviewFile(damaged, { version, at })
      vi.stubGlobal('fetch', async () => new Response(text))
    }
    serve('0.0.9')
    await expect(shelf.putDemo()).rejects.toThrow('a set that is not in it')
    expect(disk.reviews.size).toBe(0)
  })

  it('reads a file without storing it, then puts it with its traces, curves and pictures', async () => {
    const shelf = useShelfStore()
    const demo = demoReview()
    demo.review.pictures.push({
      id: 'p1',
      setId: 'trek-a',
      stepId: 's',
      name: 'bench.jpg',
      width: 4,
      height: 3,
      bytes: 3,
      at: '2026-11-20T00:00:00.000Z',
    })
    demo.pictures.set('p1', 'data:image/jpeg;base64,AAAA')
    const bundle = await shelf.readFile(
      fileOf(writeReviewFile(demo, { version: '0.1.0', at: '2026-11-20T00:00:00.000Z' })),
    )
    expect(disk.reviews.size).toBe(0)
    await shelf.put(bundle)
    expect(disk.traces.size).toBe(1)
    expect(disk.curves.size).toBe(demo.review.curves.length)
    expect(await shelf.bundleOf('demo-fell-race')).toEqual(demo)
    expect(await shelf.bundleOf('nowhere')).toBeNull()
  })

  it('makes a copy with an identity and a title of its own', () => {
    const copy = useShelfStore().asCopy(demoReview())
    expect(copy.review.id).not.toBe('demo-fell-race')
    expect(copy.review.title).toContain('(copy)')
    expect(copy.review.readings).toEqual(demoReview().review.readings)
  })

  it('refuses what is too large before reading it', async () => {
    const huge = fileOf('x')
    Object.defineProperty(huge, 'size', { value: 3e8 })
    await expect(useShelfStore().readFile(huge)).rejects.toThrowError(/larger than 200 MB/)
  })
})
