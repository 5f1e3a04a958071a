import { printDb, printFrequencyShort } from '../../../quantity'
import type { SignalNature } from '../../../review'
import { bandwidthConversionDb, type EmissionFacts } from '../../../rules'

/** A reading taken in another bandwidth than the rule counts in. */
export interface CountedOtherwise {
  /** What the signal was said to be, or is taken for; open where both are possible. */
  as: 'noise' | 'carrier' | 'carrier-taken' | 'open'
  /** The rule’s bandwidth and the reading’s, Hz. */
  referenceHz: number
  measuredHz: number
  /** How much more the rule’s bandwidth may show than was read: the least and the most, dB. */
  noiseReadsDb: readonly [least: number, most: number]
  /** How much more noise would read in the rule’s bandwidth, dB; 0 where that is less. */
  mayReadMoreDb: number
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
  const as = takenFor(nature, emission)
  return {
    as,
    referenceHz,
    measuredHz,
    noiseReadsDb: noiseReads(as, moreDb),
    mayReadMoreDb: Math.max(0, moreDb),
    isOpen: as === 'open' || as === 'carrier-taken',
  }
}

function takenFor(nature: SignalNature | null, { harmonic }: EmissionFacts): CountedOtherwise['as'] {
  if (nature === 'noise-like') return 'noise'
  if (nature === 'narrow') return 'carrier'
  return harmonic === null ? 'open' : 'carrier-taken'
}

function noiseReads(as: CountedOtherwise['as'], moreDb: number): CountedOtherwise['noiseReadsDb'] {
  if (as === 'noise') return [moreDb, moreDb]
  return as === 'open' ? [Math.min(0, moreDb), Math.max(0, moreDb)] : [0, 0]
}

/** The same in words. */
export function countedOtherwiseWords({ as, referenceHz, measuredHz }: CountedOtherwise): string {
  const moreDb = bandwidthConversionDb(referenceHz, measuredHz)
  const counts =
    `The rule counts in ${printFrequencyShort(referenceHz)}, ` +
    `this was read in ${printFrequencyShort(measuredHz)}.`
  const noise = `noise would read ${printDb(Math.abs(moreDb))} ${moreDb > 0 ? 'higher' : 'lower'} in the rule’s`
  switch (as) {
    case 'noise':
      return `${counts} Said to be like noise: ${noise}.`
    case 'carrier':
      return `${counts} Said to be a plain carrier, which reads the same.`
    case 'carrier-taken':
      return (
        `${counts} A harmonic of an unmodulated carrier is taken for a plain carrier, ` +
        `which reads the same; ${noise}.`
      )
    case 'open':
      return (
        `${counts} A plain carrier reads the same; ${noise}. Judged for both, ` +
        'until you say which it is or read it in the rule’s bandwidth.'
      )
  }
}
