import { printDb, printFrequencyShort } from '../quantity'

/**
 * What a reading taken in another bandwidth than the rule's is worth: for a plain carrier nothing changes;
 * for a
 * noise-like signal it is 10·log10(reference/measured) dB higher in the reference bandwidth.
 */
export function bandwidthConversionDb(referenceHz: number, measuredHz: number): number {
  return 10 * Math.log10(referenceHz / measuredHz)
}

/**
 * The note that goes with a reading whose bandwidth is not the rule's; null when they are the same, or one is
 * not known.
 */
export function bandwidthNote(referenceHz: number | null, measuredHz: number | null): string | null {
  if (referenceHz === null || measuredHz === null || Math.abs(referenceHz - measuredHz) < 1) return null
  const db = bandwidthConversionDb(referenceHz, measuredHz)
  return `The rule counts in ${printFrequencyShort(referenceHz)}, this was read in ${printFrequencyShort(measuredHz)}. A plain carrier reads the same; a noise-like one would read ${printDb(Math.abs(db))} ${db > 0 ? 'higher' : 'lower'} in the rule’s. Not converted.`
}
