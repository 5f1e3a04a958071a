/** What the interferer's own noise does to a figure of rejection. */
export interface NoiseCeiling {
  /** No rejection above this can be seen with this generator, dB. */
  ceilingDb: number
  /** Share of the noise at the criterion that the interferer makes, 0 to 1. */
  share: number
  /** More than a tenth: the figure is a lower bound. */
  isLowerBound: boolean
}

/** Width of the receiver's channel, Hz: about 12 kHz wide, 8 kHz narrow (receivers.md, section 5). */
export function channelWidthHz(spacingHz: number): number {
  return spacingHz <= 12_500 ? 8_000 : 12_000
}

/** Above this share of the noise a figure is only a lower bound. */
const MOST_SHARE = 0.1

/**
 * The interferer's phase noise in the wanted channel, against the noise the wanted signal stands before at the
 * criterion.
 * @param at.ratioDb - interferer less the level of the criterion, as found.
 * @param at.aboveDb - how far above its criterion level the wanted signal stood: 3 dB in TIA-603.
 * @see receivers.md, section 5: L + 10·log10(B).
 */
export function noiseCeiling(
  dbcPerHz: number,
  spacingHz: number,
  at: { ratioDb: number; aboveDb: number; carrierToNoiseDb: number },
): NoiseCeiling {
  const inChannelDbc = dbcPerHz + 10 * Math.log10(channelWidthHz(spacingHz))
  // The wanted level less what it needs over noise is what all noise together may come to at the criterion.
  const allowedDb = at.aboveDb - at.carrierToNoiseDb
  const made = 10 ** ((at.ratioDb + inChannelDbc) / 10)
  const allowed = 10 ** (allowedDb / 10)
  const share = Math.min(1, made / allowed)
  return { ceilingDb: allowedDb - inChannelDbc, share, isLowerBound: share > MOST_SHARE }
}
