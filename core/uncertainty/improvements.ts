import { budget, type Budget } from './budget'
import type { Contribution } from './contribution'
import type { Distributions } from './errorDistribution'

/** One thing that would narrow the range, and by how much. */
export interface Improvement {
  id: string
  words: string
  /** Half-width of the 95 % range it would leave, dB. */
  rangeDb: number
  /** What it gains, dB. */
  gainDb: number
}

/** What a careful bench can reach with modest means (common practice, no source). */
const REACHABLE = {
  /** An analyser put right at one level with a known carrier. */
  instrumentDb: 0.5,
  /** A meter of ±5 % of reading. */
  meterDb: 0.22,
  /** A path measured with the generator, k = 2. */
  measuredDb: 0.15,
} as const

const SMALLEST_GAIN_DB = 0.01

/** What would narrow a budget most, the greatest gain first. */
export function improvements(from: Budget, distributions?: Distributions): Improvement[] {
  const groups = new Map<string, Contribution[]>()
  for (const one of from.contributions) {
    const key =
      one.group === 'mismatch'
        ? 'mismatch'
        : one.group === 'part' || one.group === 'instrument'
          ? one.id.split('/')[0]!
          : one.group
    groups.set(key, [...(groups.get(key) ?? []), one])
  }
  return [...groups.entries()]
    .flatMap(([id, members]) => {
      const better = betterThan(members)
      if (!better) return []
      const then = budget(
        from.contributions.map(one => (members.includes(one) ? better.change(one) : one)),
        distributions,
      )
      const gainDb = from.rangeDb - then.rangeDb
      return gainDb < SMALLEST_GAIN_DB ? [] : [{ id, words: better.words, rangeDb: then.rangeDb, gainDb }]
    })
    .sort((a, b) => b.gainDb - a.gainDb)
}

function betterThan(
  members: readonly Contribution[],
): { words: string; change: (one: Contribution) => Contribution } | null {
  const first = members[0]!
  const total = members.reduce((sum, { halfWidthDb }) => sum + halfWidthDb, 0)
  switch (first.group) {
    case 'instrument': {
      const reach =
        first.distribution === 'rectangular' && first.id.startsWith('meter')
          ? REACHABLE.meterDb
          : first.distribution === 'power-share'
            ? REACHABLE.meterDb
            : REACHABLE.instrumentDb
      return total <= reach
        ? null
        : {
            words: `${first.label}: a better one, or put right with a known level (±${reach} dB)`,
            change: one => scaled(one, reach / total),
          }
    }
    case 'part':
      return total <= REACHABLE.measuredDb
        ? null
        : {
            words: `${first.label}: measure this path (±${REACHABLE.measuredDb} dB)`,
            change: one => scaled(one, REACHABLE.measuredDb / total),
          }
    case 'mismatch':
      return { words: 'Mismatch: a 10 dB pad right at the radio’s socket', change: one => scaled(one, 0.1) }
    case 'resolution':
      return { words: 'Read one more digit', change: one => scaled(one, 0.1) }
    case 'floor':
      return {
        words: 'Noise: 10 dB less padding, or a narrower resolution bandwidth',
        change: one => scaled(one, 0.1),
      }
    case 'steps':
      return { words: 'A finer trace, or a zoom on the peak', change: one => scaled(one, 0.06) }
    case 'reference':
      return {
        words: `${first.label}: a better reference, or one checked against a known signal`,
        change: one => scaled(one, 0.1),
      }
    case 'estimate':
      return { words: 'A longer or cleaner recording', change: one => scaled(one, 0.5) }
    case 'repeats':
      return {
        words: 'Four times as many readings',
        change: one => ({ ...scaled(one, 0.5), degreesOfFreedom: 4 * (one.degreesOfFreedom + 1) - 1 }),
      }
  }
}

/** The same error made smaller; a skewed shape becomes its symmetric one, which small ones are. */
function scaled(one: Contribution, factor: number): Contribution {
  const distribution =
    one.distribution === 'power-share' || one.distribution === 'noise-removed'
      ? 'rectangular'
      : one.distribution === 'two-ports'
        ? 'u-shaped'
        : one.distribution === 'between-points'
          ? 'rectangular'
          : one.distribution
  return {
    ...one,
    distribution,
    parameter: 0,
    halfWidthDb: one.halfWidthDb * factor,
    standardUncertaintyDb: one.standardUncertaintyDb * factor,
  }
}
