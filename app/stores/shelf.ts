import { plainWords } from '~/errors/plainWords'
import { MAX_REVIEW_BYTES, ownBundle, type ReviewBundle } from '#core/bundle'
import type { ReadReview, Review } from '#core/review'
import {
  DamagedReviewError,
  type DamagedHead,
  listReviews,
  loadClip,
  loadCurve,
  loadPicture,
  loadReview,
  loadTrace,
  type LostPart,
  NoStorageError,
  removeReview,
  replaceReview,
  type ReviewHead,
  saveClip,
  saveCurve,
  savePicture,
  saveReview,
  saveTrace,
} from '~/storage'
import { nameWith } from '~/composables/copyName'
import { tellTabs } from '~/storage/tabChannel'
import { isLargeFile, readReviewFileAside } from '~/workers/reviewWorker'

const DEMO_PUT_KEY = 'rigorous-meter:demo-put'

/** All reviews of this browser: listing, starting, bringing in, removing. */
export const useShelfStore = defineStore('shelf', () => {
  const ui = useUiStore()
  const heads = shallowRef<ReviewHead[]>([])
  const damaged = shallowRef<DamagedHead[]>([])
  const loaded = ref(false)
  /** Why nobody knows what is on the shelf. */
  const problem = ref<string | null>(null)
  const version = String(useRuntimeConfig().public.version)

  async function refresh(): Promise<void> {
    try {
      const contents = await listReviews()
      heads.value = contents.heads
      damaged.value = contents.damaged
      if (contents.back.length > 0) ui.say(backWords(contents.back.length))
      problem.value = null
      loaded.value = true
    } catch (error) {
      problem.value = plainWords(error)
      if (error instanceof NoStorageError) error.answered?.then(refresh, () => {})
    }
  }

  /** Puts a review that was just begun on the shelf. */
  async function keepNew(review: Review): Promise<void> {
    await saveReview(review)
    await refresh()
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

  /** Puts a review on the shelf, in the place of one of the same id; tabs that have it open are told. */
  async function put(bundle: ReviewBundle): Promise<void> {
    const { id: reviewId } = bundle.review
    await Promise.all([
      ...[...bundle.traces].map(([id, points]) => saveTrace(reviewId, id, points)),
      ...[...bundle.curves].map(([id, points]) => saveCurve(reviewId, id, points)),
      ...[...bundle.pictures].map(([id, dataUrl]) => savePicture(reviewId, id, dataUrl)),
      ...[...bundle.clips].map(([id, dataUrl]) => saveClip(reviewId, id, dataUrl)),
    ])
    await replaceReview(bundle.review)
    tellTabs(reviewId, 'replaced')
    await refresh()
  }

  function isOnShelf(id: string): boolean {
    return heads.value.some(head => head.id === id)
  }

  async function remove(id: string): Promise<void> {
    await removeReview(id)
    tellTabs(id, 'removed')
    await refresh()
  }

  /**
   * Puts what is sound of a damaged review on the shelf as one of its own; the damaged one stays as it is.
   * @returns its id, and what was left out, in words.
   */
  async function rescue(id: string): Promise<{ id: string; left: string[] }> {
    const { bundle, left } = await salvageOf(id)
    await put(bundle)
    return { id: bundle.review.id, left }
  }

  return {
    ...{ heads, damaged, loaded, problem, refresh, isOnShelf },
    ...{ keepNew, put, remove, rescue, readFile, salvageFile, asCopy, bundleOf, pointsOf },
    ...{ putDemo, putDemoOnce },
  }
})

const backWords = (count: number) =>
  `The browser had lost its database. ${count === 1 ? 'One review is' : `${count} reviews are`} back ` +
  'from the second copy.'

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
async function readFile(file: File): Promise<ReadReview> {
  assertNotTooLarge(file)
  if (isLargeFile(file)) return readReviewFileAside(file)
  const { readReviewFile } = await import('#core/review')
  return readReviewFile(await textOf(file), file.name)
}

/** What is sound of a review file that is damaged, as a review of its own; null where nothing is. */
async function salvageFile(file: File): Promise<{ bundle: ReadReview; left: string[] } | null> {
  const { leftOutWords, salvageReviewFile } = await import('#core/review')
  const sound = salvageReviewFile(await textOf(file), file.name, identityOf(file.name))
  return sound && { bundle: sound, left: [...sound.left.map(leftOutWords), ...sound.missing] }
}

async function textOf(file: File): Promise<string> {
  assertNotTooLarge(file)
  return file.text()
}

function assertNotTooLarge(file: File): void {
  if (file.size > MAX_REVIEW_BYTES)
    throw new Error(
      `“${file.name}” is larger than ${MAX_REVIEW_BYTES / 1e6} MB, which no review is. Nothing was changed.`,
    )
}

const identityOf = (title: string) => ({ id: crypto.randomUUID(), title, at: new Date().toISOString() })

/** The same review under an identity of its own, to stand beside one that is there. */
function asCopy(bundle: ReviewBundle): ReviewBundle {
  return {
    ...bundle,
    review: { ...bundle.review, id: crypto.randomUUID(), title: nameWith(bundle.review.title, ' (copy)') },
  }
}

async function bundleOf(id: string): Promise<ReviewBundle | null> {
  const review = await loadReview(id)
  return review && pointsOf(review)
}

/** A review with what is stored beside it; what cannot be read there is left out. */
async function pointsOf(review: Review, ofId = review.id): Promise<ReviewBundle> {
  const [traces, curves, pictures, clips] = await Promise.all([
    found(review.traces, head => loadTrace(ofId, head)),
    found(review.curves, head => loadCurve(ofId, head)),
    found(review.pictures, head => loadPicture(ofId, head)),
    found(review.clips, head => loadClip(ofId, head)),
  ])
  return { review, traces, curves, pictures, clips }
}

/** What is sound of a damaged review, with a name that says so. */
async function salvageOf(id: string): Promise<{ bundle: ReviewBundle; left: string[] }> {
  const { data, lost } = await readableOf(id)
  const { leftOutWords, missingIn, salvageReview } = await import('#core/review')
  const salvaged = salvageReview(data, identityOf('A damaged review'))
  if (!salvaged) throw new Error('Nothing of this review can be read. Nothing was changed.')
  const review = { ...salvaged.review, title: nameWith(salvaged.review.title, ' (what was sound)') }
  const bundle = await pointsOf(review, id)
  return {
    bundle,
    left: [...lost.map(lostWords), ...salvaged.left.map(leftOutWords), ...missingIn(bundle)],
  }
}

/** What can be read of a review, and what cannot; one without a head may be whole in its journal. */
async function readableOf(id: string): Promise<{ data: unknown; lost: readonly LostPart[] }> {
  try {
    return { data: await loadReview(id), lost: [] }
  } catch (error) {
    if (error instanceof DamagedReviewError) return error
    throw error
  }
}

/** A part that cannot be read, in words. */
function lostWords({ field, items }: LostPart): string {
  if (items === null) return `${field}: its record cannot be read`
  const [first, last] = items
  return `${field} ${first} to ${last}: their record cannot be read`
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
