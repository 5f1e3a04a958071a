/**
 * What a reading taken in another bandwidth than the rule's is worth: for a plain carrier nothing changes;
 * for a
 * noise-like signal it is 10·log10(reference/measured) dB higher in the reference bandwidth.
 */
export function bandwidthConversionDb(referenceHz: number, measuredHz: number): number {
  return 10 * Math.log10(referenceHz / measuredHz)
}
