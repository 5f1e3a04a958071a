import type { Contribution } from './contribution'
import { invertCharacteristic } from './invertCharacteristic'
import { monteCarlo } from './monteCarlo'
import { sampledShapeOf } from './sampledShapes'

/** How an error's distribution was found. */
export type DistributionMethod = 'inversion' | 'monte-carlo' | 'none'

/**
 * The distribution of the error of a result: the true value less the stated one. A skewed one is centred:
 * the stated
 * value is moved by `shift` so that the truth lies above and below it with equal chance.
 */
export interface ErrorDistribution {
  method: DistributionMethod
  symmetric: boolean
  /** To add to the value before it is stated; 0 where the distribution is symmetric. */
  shift: number
  /** P(error ≤ x). */
  probabilityBelow: (x: number) => number
  /**
   * 95 % of it lies between: the middle of the distribution where it was inverted, the shortest interval
   * where it was simulated.
   */
  low: number
  /** May be −Infinity below, where the noise hides the signal. */
  high: number
}

const CERTAIN: ErrorDistribution = {
  method: 'none',
  symmetric: true,
  shift: 0,
  probabilityBelow: x => (x >= 0 ? 1 : 0),
  low: 0,
  high: 0,
}

/**
 * Trials where the simulation takes over; seeded, so that the same bench gives the same figures everywhere.
 */
const TAKE_OVER = { trials: 100_000, seed: 20261124 } as const

/**
 * The budget's own distribution: contributions are independent, so the characteristic function of their sum
 * is a
 * product, inverted numerically. Where part of it lies beyond all bounds (noise that hides the signal), Monte
 * Carlo takes over.
 * @see handbook, section 5; J. Gil-Pelaez, Biometrika 38 (1951) 481; JCGM 101:2008 for the simulation (from
 *   memory).
 */
export function errorDistribution(contributions: readonly Contribution[]): ErrorDistribution {
  const felt = contributions.filter(({ halfWidth }) => halfWidth > 0)
  if (felt.length === 0) return CERTAIN
  const shapes = felt.map(sampledShapeOf)
  if (!shapes.some(({ clipped }) => clipped)) return invertCharacteristic(shapes)
  const simulated = monteCarlo(felt, TAKE_OVER)
  const { median, shortest } = simulated
  return {
    method: 'monte-carlo',
    symmetric: false,
    shift: median,
    low: shortest.low - median,
    high: shortest.high - median,
    probabilityBelow: x => simulated.probabilityBelow(x + median),
  }
}

/**
 * Distributions already worked out, by what they are made of. Handed in by the caller and kept as long as the
 * caller likes.
 */
export interface Distributions {
  of: (contributions: readonly Contribution[]) => ErrorDistribution
}

const MOST_KEPT = 20_000

/** A store of distributions: benches give the same budget again and again. */
export function createDistributions(): Distributions {
  const known = new Map<string, ErrorDistribution>()
  const lists = new WeakMap<readonly Contribution[], ErrorDistribution>()
  const remember = (contributions: readonly Contribution[], distribution: ErrorDistribution) => {
    lists.set(contributions, distribution)
    return distribution
  }
  return {
    of: contributions => {
      const same = lists.get(contributions)
      if (same) return same
      let key = ''
      for (const { shapeKey } of contributions) key += shapeKey
      const found = known.get(key)
      if (found) return remember(contributions, found)
      const made = errorDistribution(contributions)
      if (known.size >= MOST_KEPT) known.clear()
      known.set(key, made)
      return remember(contributions, made)
    },
  }
}
