import { ownBundle, type ReviewBundle } from '#core/bundle'
import {
  listReviews,
  loadCurve,
  loadPicture,
  loadReview,
  loadTrace,
  removeReview,
  type ReviewHead,
  saveCurve,
  savePicture,
  saveReview,
  saveTrace,
} from '~/storage'

const DEMO_PUT_KEY = 'rigorous-meter:demo-put'

/** All reviews of this browser: listing, starting, bringing in, removing. */
export const useShelfStore = defineStore('shelf', () => {
  const heads = shallowRef<ReviewHead[]>([])
  const loaded = ref(false)
  const version = String(useRuntimeConfig().public.version)

  async function refresh(): Promise<void> {
    heads.value = await listReviews()
    loaded.value = true
  }

  async function start(title: string): Promise<string> {
    const { newReview } = await import('#core/review')
    const review = newReview({ id: crypto.randomUUID(), title, at: new Date().toISOString() })
    await saveReview(review)
    await refresh()
    return review.id
  }

  /** Puts the demo review on the shelf; one that is there already is replaced. */
  async function putDemo(): Promise<string> {
    const bundle = await demoFromServer(version)
    await put(bundle)
    localStorage.setItem(DEMO_PUT_KEY, '1')
    return bundle.review.id
  }

  /** On the first visit of a demo start the demo review stands on the shelf; once removed it stays away. */
  async function putDemoOnce(): Promise<void> {
    if (localStorage.getItem(DEMO_PUT_KEY) === null) await putDemo()
  }

  async function put(bundle: ReviewBundle): Promise<void> {
    const { id: reviewId } = bundle.review
    await Promise.all([
      ...[...bundle.traces].map(([id, points]) => saveTrace(reviewId, id, points)),
      ...[...bundle.curves].map(([id, points]) => saveCurve(reviewId, id, points)),
      ...[...bundle.pictures].map(([id, dataUrl]) => savePicture(reviewId, id, dataUrl)),
    ])
    await saveReview(bundle.review)
    await refresh()
  }

  function isOnShelf(id: string): boolean {
    return heads.value.some(head => head.id === id)
  }

  const remove = (id: string) => removeReview(id).then(refresh)

  return {
    ...{ heads, loaded, refresh, isOnShelf },
    ...{ start, put, remove, readFile, asCopy, bundleOf },
    ...{ putDemo, putDemoOnce },
  }
})

/** The demo review, made by the server: what makes it would weigh on the first screen. */
async function demoFromServer(version: string): Promise<ReviewBundle> {
  const reply = await fetch('/demo-review').catch(() => null)
  if (!reply?.ok)
    throw new Error('The demo review did not come from the server. Nothing was changed; try again.')
  const text = await reply.text()
  const own = ownBundle(text, version)
  return own ?? (await import('#core/review')).readReviewFile(text, 'the demo review')
}

/** Reads a review file; nothing is stored yet. */
async function readFile(file: File): Promise<ReviewBundle> {
  const { MAX_REVIEW_BYTES, readReviewFile } = await import('#core/review')
  if (file.size > MAX_REVIEW_BYTES)
    throw new Error(
      `“${file.name}” is larger than ${MAX_REVIEW_BYTES / 1e6} MB, which no review is. Nothing was changed.`,
    )
  return readReviewFile(await file.text(), file.name)
}

/** The same review under an identity of its own, to stand beside one that is there. */
function asCopy(bundle: ReviewBundle): ReviewBundle {
  return {
    ...bundle,
    review: { ...bundle.review, id: crypto.randomUUID(), title: `${bundle.review.title} (copy)` },
  }
}

async function bundleOf(id: string): Promise<ReviewBundle | null> {
  const review = await loadReview(id)
  if (!review) return null
  const [traces, curves, pictures] = await Promise.all([
    found(review.traces, head => loadTrace(id, head)),
    found(review.curves, head => loadCurve(id, head)),
    found(review.pictures, head => loadPicture(id, head)),
  ])
  return { review, traces, curves, pictures }
}

/** Records that belong to a list of heads, by id; those that are not there are left out. */
async function found<T>(
  heads: readonly { id: string }[],
  load: (id: string) => Promise<T | null>,
): Promise<Map<string, T>> {
  const records = new Map<string, T>()
  for (const { id } of heads) {
    const record = await load(id)
    if (record !== null) records.set(id, record)
  }
  return records
}
