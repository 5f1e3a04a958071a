import type { Review } from './types'
import type { Through } from './readingTypes'

/** A place steps belong to: a band, one of its channels, or a level. */
interface Place {
  bandId: string
  channelId?: string
  levelId?: string
}

/** Lists whose entries belong to a step of a set. */
const OF_STEPS = [
  'readings',
  'traces',
  'curves',
  'keyDowns',
  'notes',
  'pictures',
  'clips',
  'skipped',
  'otherFigures',
] as const

/** Takes a radio off a review with everything that belongs to it. */
export function removeSet(review: Review, setId: string): void {
  dropSteps(review, other => other.setId === setId)
  review.sets = review.sets.filter(({ id }) => id !== setId)
  review.controlChecks = review.controlChecks.filter(check => check.setId !== setId)
  for (const memo of Object.values(review.memos))
    memo.bySet = Object.fromEntries(Object.entries(memo.bySet).filter(([id]) => id !== setId))
}

/** Takes what was read at some steps of a set off a review. */
export function removeSteps(review: Review, gone: { setId: string; stepIds: ReadonlySet<string> }): void {
  dropSteps(review, ({ setId, stepId }) => setId === gone.setId && gone.stepIds.has(stepId))
}

/** Takes a band off a set, with whatever was read on it. */
export function removeBand(review: Review, place: { setId: string; bandId: string }): void {
  dropPlace(review, place.setId, { bandId: place.bandId })
  for (const set of review.sets)
    if (set.id === place.setId) set.bands = set.bands.filter(({ id }) => id !== place.bandId)
}

/** Takes a channel off a band, with whatever was read on it. */
export function removeChannel(
  review: Review,
  place: { setId: string; bandId: string; channelId: string },
): void {
  dropPlace(review, place.setId, place)
  const band = review.sets.find(({ id }) => id === place.setId)?.bands.find(({ id }) => id === place.bandId)
  if (band) band.channels = band.channels.filter(({ id }) => id !== place.channelId)
}

/** Takes a power level off a set, with its claims and whatever was read at it. */
export function removeLevel(review: Review, place: { setId: string; levelId: string }): void {
  const set = review.sets.find(({ id }) => id === place.setId)
  if (!set) return
  for (const band of set.bands) {
    for (const { id } of band.channels)
      dropPlace(review, set.id, { bandId: band.id, channelId: id, levelId: place.levelId })
    delete band.claims[place.levelId]
  }
  set.levels = set.levels.filter(({ id }) => id !== place.levelId)
}

/**
 * Takes a chain off the bench, with every reading that went through it: without the chain it could not be
 * corrected. Whoever asks for it says first how many there are (`readingsThrough`).
 */
export function removeChain(review: Review, chainId: string): void {
  review.readings = review.readings.filter(reading => !wentThrough(reading.through, chainId))
  review.traces = review.traces.filter(trace => trace.chainId !== chainId)
  review.padTests = review.padTests.filter(test => test.chainId !== chainId)
  review.controlChecks = review.controlChecks.filter(check => check.chainId !== chainId)
  for (const down of review.keyDowns) if (down.chainId === chainId) down.chainId = null
  for (const chain of review.chains) if (chain.joins?.chainId === chainId) chain.joins = null
  for (const set of review.sets) set.chains = withoutChain(set.chains, chainId)
  review.chains = review.chains.filter(({ id }) => id !== chainId)
}

/** How many readings went through a chain. */
export function readingsThrough({ readings }: Pick<Review, 'readings'>, chainId: string): number {
  return readings.filter(({ through }) => wentThrough(through, chainId)).length
}

function wentThrough(through: Record<string, Through>, chainId: string): boolean {
  return Object.values(through).some(one => one.chainId === chainId)
}

function withoutChain(
  chains: Record<string, Record<string, string>>,
  chainId: string,
): Record<string, Record<string, string>> {
  return Object.fromEntries(
    Object.entries(chains).map(([station, roles]) => [
      station,
      Object.fromEntries(Object.entries(roles).filter(([, id]) => id !== chainId)),
    ]),
  )
}

function dropPlace(review: Review, setId: string, place: Place): void {
  dropSteps(review, other => other.setId === setId && isOfPlace(other.stepId, place))
}

/** True for a step of a place: the id of a step names its station, then band, channel and level. */
function isOfPlace(stepId: string, { bandId, channelId, levelId }: Place): boolean {
  const place = stepId.slice(stepId.indexOf(':') + 1)
  const wanted = [bandId, channelId, levelId].filter(part => part !== undefined).join(':')
  return place === wanted || place.startsWith(`${wanted}:`)
}

function dropSteps(review: Review, gone: (place: { setId: string; stepId: string }) => boolean): void {
  const drop = <K extends (typeof OF_STEPS)[number]>(field: K) => {
    const kept = (review[field] as { setId: string; stepId: string }[]).filter(one => !gone(one))
    if (kept.length < review[field].length) review[field] = kept as Review[K]
  }
  OF_STEPS.forEach(drop)
  const isGone = (key: string) => {
    const at = key.indexOf('|')
    return gone({ setId: key.slice(0, at), stepId: key.slice(at + 1) })
  }
  review.runOrder = review.runOrder.filter(key => !isGone(key))
  for (const key of Object.keys(review.ticks)) if (isGone(key)) delete review.ticks[key]
}
