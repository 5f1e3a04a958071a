import normalCdf from '@stdlib/stats-base-dists-normal-cdf'
import { DB_PER_UNIT_POWER } from '../percentOfPower'
import { lookBelow, lookLogarithm } from './lookPower'

/** How a display makes one level of many looks at a carrier in noise, and of how many. */
export type DisplayLaw =
  | { shows: 'mean'; looks: number }
  | { shows: 'logarithm'; looks: number }
  | { shows: 'highest'; looks: number }

/**
 * P(display ≤ d) for a carrier s times as strong as the noise.
 * @param displayDb - d, dB over the mean power of the noise. @param signalDb - the carrier over it, dB.
 */
export function displayBelow(law: DisplayLaw, displayDb: number, signalDb: number): number {
  const signal = 10 ** (signalDb / 10)
  switch (law.shows) {
    case 'highest':
      return lookBelow(10 ** (displayDb / 10), signal) ** law.looks
    case 'logarithm': {
      const { mean, variance } = lookLogarithm(signal)
      const { middleDb, deviationDb } = inDecibels(mean, variance / law.looks)
      return normalCdf(displayDb, middleDb, deviationDb)
    }
    case 'mean': {
      const mean = 1 + signal
      const relative = (1 + 2 * signal) / (mean * mean * law.looks)
      const { middleDb, deviationDb } = inDecibels(Math.log(mean) - relative / 2, relative)
      return normalCdf(displayDb, middleDb, deviationDb)
    }
  }
}

const inDecibels = (mean: number, variance: number) => ({
  middleDb: DB_PER_UNIT_POWER * mean,
  deviationDb: DB_PER_UNIT_POWER * Math.sqrt(variance),
})

/** Where a display of noise alone stands as a rule, dB over its mean power: its median. */
export function noiseAloneDb(law: DisplayLaw): number {
  switch (law.shows) {
    case 'highest':
      return 10 * Math.log10(-Math.log(1 - 0.5 ** (1 / law.looks)))
    case 'logarithm':
      return DB_PER_UNIT_POWER * lookLogarithm(0).mean
    case 'mean':
      return 0
  }
}
