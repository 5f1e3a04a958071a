import type { Context } from '../context'
import { type Review, stepKey } from '../review'
import type { Step } from '../step'

/** What steps of a station really took, s. */
export interface LearnedTime {
  benchS: number | null
  keyDownS: number | null
  /** Steps it was learned from. */
  steps: number
}

/** A pause longer than this is no bench time, s. */
const PAUSE_S = 1200

/** Weight of the planned figure beside what was learned, steps. */
const TRUST_PLAN = 2

/**
 * What the steps of each station took, from the times of the readings in the order they were taken: from the
 * last reading of the step before to the last of this one, where no long pause lies between and the clock did
 * not go back; and from the key-downs that were logged.
 * @param downs - key-downs of the review, each with its length in s.
 * @returns medians by station id, s.
 */
export function learnedTimes(
  readings: Review['readings'],
  downs: Review['keyDowns'],
): Map<string, LearnedTime> {
  const taken = readings.filter(({ source }) => source.kind !== 'demo')
  const spent = new Map<string, number[]>()
  let previousEnd: number | null = null
  for (let i = 0; i < taken.length;) {
    const first = taken[i]!
    let last = i
    while (
      last + 1 < taken.length &&
      taken[last + 1]!.stepId === first.stepId &&
      taken[last + 1]!.setId === first.setId
    )
      last += 1
    const end = Date.parse(taken[last]!.at)
    const seconds = previousEnd === null ? null : (end - previousEnd) / 1000
    if (seconds !== null && seconds > 0 && seconds < PAUSE_S) {
      const own = spent.get(first.stationId)
      if (own) own.push(seconds)
      else spent.set(first.stationId, [seconds])
    }
    previousEnd = end
    i = last + 1
  }
  const keyed = new Map<string, Map<string, number>>()
  for (const { setId, stepId, seconds } of downs) {
    const station = stepId.split(':')[0]!
    const steps = keyed.get(station) ?? new Map<string, number>()
    const key = stepKey(setId, stepId)
    steps.set(key, (steps.get(key) ?? 0) + seconds)
    keyed.set(station, steps)
  }
  return new Map(
    [...new Set([...spent.keys(), ...keyed.keys()])].map(station => {
      const seconds = spent.get(station) ?? []
      const keyDowns = [...(keyed.get(station)?.values() ?? [])]
      return [
        station,
        {
          benchS: median(seconds),
          keyDownS: median(keyDowns),
          steps: Math.max(seconds.length, keyDowns.length),
        },
      ]
    }),
  )
}

/** What steps took in the review at hand; worked out once for as long as its readings stand. */
export function learnedTimesOf(context: Context): ReadonlyMap<string, LearnedTime> {
  const { readings, keyDowns } = context.review
  return context.forGood(learnedTimes, readings, keyDowns)
}

/** The planned figures of a step, moved towards what its station really took. */
export function expectedTimes(
  step: Pick<Step, 'stationId' | 'durationS' | 'keyed'>,
  learned: ReadonlyMap<string, LearnedTime>,
): { benchS: number; keyDownS: number } {
  const own = learned.get(step.stationId)
  const blend = (planned: number, seen: number | null | undefined) =>
    seen === null || seen === undefined
      ? planned
      : (TRUST_PLAN * planned + own!.steps * seen) / (TRUST_PLAN + own!.steps)
  return {
    benchS: blend(step.durationS, own?.benchS),
    keyDownS: blend(step.keyed?.seconds ?? 0, own?.keyDownS),
  }
}

function median(values: number[]): number | null {
  if (values.length === 0) return null
  const sorted = [...values].sort((a, b) => a - b)
  const middle = sorted.length >> 1
  return sorted.length % 2 ? sorted[middle]! : (sorted[middle - 1]! + sorted[middle]!) / 2
}
