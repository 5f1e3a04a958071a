import { budget, type Budget } from './budget'
import type { Contribution } from './contribution'
import type { Distributions } from './errorDistribution'
import { symmetric } from './symmetric'

/** One thing that would narrow the range, and by how much. */
export interface Improvement {
  id: string
  words: string
  /** Half-width of the 95 % range it would leave. */
  range: number
  /** What it gains. */
  gain: number
}

/** What a careful bench can reach with modest means (common practice, no source). */
const REACHABLE = {
  /** An analyser put right at one level with a known carrier. */
  instrumentDb: 0.5,
  /** A meter of ±5 % of reading. */
  meterDb: 0.22,
  /** A path measured with the generator, k = 2. */
  measuredDb: 0.15,
  /** A scale checked with a pad of known loss. */
  scaleDb: 0.2,
  /** An antenna on a range. */
  antennaDb: 1,
} as const

/** A gain smaller than this is not worth a line: dB, or for figures in another unit a share of the range. */
const SMALLEST_GAIN_DB = 0.01
const SMALLEST_SHARE = 0.01

/** What would narrow a budget most, the greatest gain first. */
export function improvements(from: Budget, distributions?: Distributions): Improvement[] {
  const smallestGain = from.unit === 'dB' ? SMALLEST_GAIN_DB : SMALLEST_SHARE * from.range
  const groups = new Map<string, Contribution[]>()
  for (const one of from.contributions) {
    const ofOnePiece = one.group === 'part' || one.group === 'instrument'
    const key = ofOnePiece ? one.id.split('/')[0]! : one.group
    groups.set(key, [...(groups.get(key) ?? []), one])
  }
  return [...groups.entries()]
    .flatMap(([id, members]) => {
      const better = betterThan(members)
      if (!better) return []
      const then = budget(
        from.contributions.map(one => (members.includes(one) ? better.change(one) : one)),
        distributions,
        from.unit,
      )
      const gain = from.range - then.range
      return gain < smallestGain ? [] : [{ id, words: better.words, range: then.range, gain }]
    })
    .sort((a, b) => b.gain - a.gain)
}

/** The same error made smaller; a skewed shape becomes its symmetric one, which small ones are. */
const by = (factor: number) => (one: Contribution) => symmetric(one, { factor })

function betterThan(
  members: readonly Contribution[],
): { words: string; change: (one: Contribution) => Contribution } | null {
  const first = members[0]!
  const total = members.reduce((sum, { halfWidth }) => sum + halfWidth, 0)
  switch (first.group) {
    case 'instrument': {
      const isMeter = first.id.startsWith('meter') || first.distribution === 'power-share'
      const reach = isMeter ? REACHABLE.meterDb : REACHABLE.instrumentDb
      return total <= reach
        ? null
        : {
            words: `${first.label}: a better one, or put right with a known level (±${reach} dB)`,
            change: by(reach / total),
          }
    }
    case 'part':
      return total <= REACHABLE.measuredDb
        ? null
        : {
            words: `${first.label}: measure this path (±${REACHABLE.measuredDb} dB)`,
            change: by(REACHABLE.measuredDb / total),
          }
    case 'mismatch':
      return {
        words: 'Mismatch: a 10 dB pad right at the radio’s socket',
        change: by(0.1),
      }
    case 'resolution':
      return { words: 'Read one more digit', change: by(0.1) }
    case 'floor':
      return {
        words: 'Noise: 10 dB less padding, or a narrower resolution bandwidth',
        change: by(0.1),
      }
    case 'display':
      return {
        words: first.assumed
          ? 'Say how the analyser shows a level, or average the power of many sweeps'
          : 'Average the power of many sweeps, or 10 dB less padding',
        change: by(0.1),
      }
    case 'ambient':
      return {
        words: 'What is there anyway: a screened place, or another time of day',
        change: by(0.1),
      }
    case 'scale':
      return {
        words: `${first.label}: check the scale with a known pad (±${REACHABLE.scaleDb} dB)`,
        change: by(Math.min(1, REACHABLE.scaleDb / total)),
      }
    case 'harmonics':
      return {
        words: 'Read the harmonics at the same step, or put a low-pass before the meter',
        change: by(0.1),
      }
    case 'antenna':
      return total <= REACHABLE.antennaDb
        ? null
        : {
            words: `The antenna’s gain measured, or stated by somebody who has (±${REACHABLE.antennaDb} dB)`,
            change: by(REACHABLE.antennaDb / total),
          }
    case 'sweeps':
      return {
        words: 'A trace that says one thing of each frequency',
        change: by(0.1),
      }
    case 'steps':
      return {
        words: 'A finer trace, or a zoom on the peak',
        change: by(0.06),
      }
    case 'stepping':
      return {
        words: `${first.label}: half of it, in finer steps`,
        change: by(0.5),
      }
    case 'curve':
      return { words: 'More readings near the mark', change: by(0.5) }
    case 'reference':
      return {
        words: `${first.label}: a better reference, or one checked against a known signal`,
        change: by(0.1),
      }
    case 'estimate':
      return { words: 'A longer or cleaner recording', change: by(0.5) }
    case 'repeats':
      return {
        words: 'Four times as many readings',
        change: one => symmetric(one, { factor: 0.5, degreesOfFreedom: 4 * (one.degreesOfFreedom + 1) - 1 }),
      }
  }
}
