import { printDb, printFrequencyShort } from '../../../quantity'
import type { SignalNature } from '../../../review'
import { bandwidthConversionDb, type EmissionFacts } from '../../../rules'

/** A reading taken in another bandwidth than the rule counts in. */
export interface CountedOtherwise {
  /** How much more the rule’s bandwidth may show than was read: the least and the most, dB. */
  noiseReadsDb: readonly [least: number, most: number]
  /** How much more noise would read in the rule’s bandwidth, dB; 0 where that is less. */
  mayReadMoreDb: number
  words: string
  /** Another bandwidth, or a word on what the signal is, would tell. */
  isOpen: boolean
}

/** Bandwidths nearer than this share are the same. */
const SAME_SHARE = 0.01

/**
 * What a reading in another bandwidth than the rule’s may count: a plain carrier the same, noise as much more as the
 * rule’s is wider. Until somebody says which it is, both; a harmonic of an unmodulated carrier is a plain carrier.
 * @returns null where both bandwidths are the same, or one is not known, or it is as wide as long.
 */
export function countedOtherwise(
  referenceHz: number | null,
  seen: { measuredHz: number | null; nature: SignalNature | null; emission: EmissionFacts },
): CountedOtherwise | null {
  const { measuredHz, nature, emission } = seen
  if (referenceHz === null || measuredHz === null) return null
  if (Math.abs(referenceHz / measuredHz - 1) < SAME_SHARE) return null
  const moreDb = bandwidthConversionDb(referenceHz, measuredHz)
  const counts = `The rule counts in ${printFrequencyShort(referenceHz)}, this was read in ${printFrequencyShort(measuredHz)}.`
  const noise = `noise would read ${printDb(Math.abs(moreDb))} ${moreDb > 0 ? 'higher' : 'lower'} in the rule’s`
  const mayReadMoreDb = Math.max(0, moreDb)
  if (nature === 'noise-like')
    return {
      mayReadMoreDb,
      noiseReadsDb: [moreDb, moreDb],
      words: `${counts} Said to be like noise: ${noise}.`,
      isOpen: false,
    }
  if (nature === 'narrow')
    return {
      mayReadMoreDb,
      noiseReadsDb: [0, 0],
      words: `${counts} Said to be a plain carrier, which reads the same.`,
      isOpen: false,
    }
  if (emission.harmonic !== null)
    return {
      mayReadMoreDb,
      noiseReadsDb: [0, 0],
      words: `${counts} A harmonic of an unmodulated carrier is taken for a plain carrier, which reads the same; ${noise}.`,
      isOpen: true,
    }
  return {
    mayReadMoreDb,
    noiseReadsDb: [Math.min(0, moreDb), Math.max(0, moreDb)],
    words: `${counts} A plain carrier reads the same; ${noise}. Judged for both, until you say which it is or read it in the rule’s bandwidth.`,
    isOpen: true,
  }
}
