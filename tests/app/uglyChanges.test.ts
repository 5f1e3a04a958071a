import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus'
import { describe, expect, it } from 'vitest'
import { shallowRef } from 'vue'
import { demoReview } from '#core/demo'
import { removeBand, removeSet, type Review, validateReview } from '#core/review'
import { checkMemos } from '#core/station'
import { useReviewChanges } from '~/composables/useReviewChanges'
import { seal, unseal } from '~/storage/seal'

/** 10 000 in `npm run fuzz`; fewer here, because each opens the review again. */
const STEPS = Number(process.env.UGLY_STEPS ?? 300)
const SEED = Number(process.env.UGLY_SEED ?? 20261127)

const UGLY: unknown[] = [
  ...[Number.NaN, Infinity, -Infinity, -0, 1e308, -1e308, 5e-324, 2 ** 53, 10_000, -1],
  ...['', ' ', '\u0000', '\ud800', '__proto__', '−13 dBm', 'x'.repeat(400), `1${'0'.repeat(500)}`, '\n\n'],
  ...[null, undefined, true, [], {}, [[[]]], { kind: 'watts' }, { ok: true }],
]

type Bag = Record<string | number, unknown>
const isBag = (value: unknown): value is Bag => typeof value === 'object' && value !== null

/** A source of chance with what the operations draw from it. */
function chance(seed: number) {
  const source = xoroshiro128plus(seed)
  const below = (n: number) => Math.floor((source.next() >>> 0) * 2 ** -32 * n)
  const pick = <T>(list: readonly T[]): T => list[below(list.length)]!

  /** A part of the review at any depth that holds others. */
  function somewhere(review: Review): Bag {
    let bag = review as unknown as Bag
    for (let depth = below(7); depth > 0; depth--) {
      const inner = Object.values(bag).filter(isBag)
      if (inner.length === 0) break
      bag = pick(inner)
    }
    return bag
  }
  return { below, pick, somewhere }
}

type Chance = ReturnType<typeof chance>
type Operation = (draft: Review, by: Chance) => void

/** What the screens do to a review, done anywhere and with anything. */
const OPERATIONS: Operation[] = [
  (draft, { pick, somewhere }) => {
    const bag = somewhere(draft)
    const key = pick(Object.keys(bag))
    if (key !== undefined) bag[key] = structuredClone(pick(UGLY))
  },
  (draft, { pick, somewhere }) => {
    const bag = somewhere(draft)
    const key = pick(Object.keys(bag))
    if (key !== undefined && Array.isArray(bag)) bag.splice(Number(key), 1)
    else if (key !== undefined) delete bag[key]
  },
  (draft, { pick, somewhere }) => {
    const bag = somewhere(draft)
    if (Array.isArray(bag) && bag.length > 0) bag.push(JSON.parse(JSON.stringify(pick(bag))))
    else if (!Array.isArray(bag)) bag.ugly = structuredClone(pick(UGLY))
  },
  (draft, { below, pick, somewhere }) => {
    const bag = somewhere(draft)
    if (Array.isArray(bag) && bag.length > 0) bag.push(...Array.from({ length: below(40) }, () => pick(bag)))
  },
  (draft, { pick, somewhere }) => {
    const [one, other] = [somewhere(draft), somewhere(draft)]
    const [from, to] = [pick(Object.keys(one)), pick(Object.keys(other))]
    if (from !== undefined && to !== undefined)
      other[to] = JSON.parse(JSON.stringify(one[from] ?? null)) as unknown
  },
  (draft, { pick }) => {
    const set = pick(draft.sets)
    if (set && draft.sets.length > 1) removeSet(draft, set.id)
  },
  (draft, { pick }) => {
    const set = pick(draft.sets)
    const band = set && pick(set.bands)
    if (band) removeBand(draft, { setId: set.id, bandId: band.id })
  },
  draft => {
    draft.title = `${draft.title} (copy)`
  },
]

/** A small review with something of everything. */
function small(): Review {
  const { review } = demoReview()
  const kept = review.sets.slice(0, 2).map(({ id }) => id)
  for (const { id } of review.sets) if (!kept.includes(id)) removeSet(review, id)
  return { ...review, readings: review.readings.filter((_unused, i) => i % 5 === 0) }
}

/** The review as it would be opened again, or why it could not be. */
function openedAgain(review: Review): Review {
  const kept = unseal(seal(review))
  if (kept.is !== 'sound') throw new Error(kept.is)
  const opened = validateReview(kept.value)
  const wrong = checkMemos(opened)
  if (wrong) throw wrong
  return opened
}

describe('whatever is done to a review', () => {
  it(
    `can be opened again after each of ${STEPS} ugly changes, or was refused and is as it was`,
    { timeout: 900_000 },
    () => {
      const by = chance(SEED)
      const review = shallowRef<Review | null>(small())
      const { change, undo, redo, forgetHistory } = useReviewChanges({
        review,
        readOnly: ref(false),
        put: next => (review.value = next),
      })
      const counts = { kept: 0, refused: 0 }
      for (let step = 0; step < STEPS; step++) {
        const before = review.value!
        const way = by.below(10)
        if (way === 0) undo()
        else if (way === 1) redo()
        else {
          const isKept = change('something ugly', draft => by.pick(OPERATIONS)(draft, by))
          counts[isKept ? 'kept' : 'refused'] += 1
          if (!isKept) expect(review.value).toBe(before)
        }
        if (review.value === before) continue
        const opened = openedAgain(review.value!)
        expect(JSON.stringify(opened), `step ${step}`).toBe(JSON.stringify(review.value))
        if (opened.sets.length < 2 || opened.readings.length < 10) {
          review.value = small()
          forgetHistory()
        }
      }
      // A guard that lets everything through, or nothing, would make this test say nothing.
      expect(counts.kept).toBeGreaterThan(STEPS / 10)
      expect(counts.refused).toBeGreaterThan(STEPS / 8)
    },
  )
})
