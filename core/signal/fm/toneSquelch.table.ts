/** The usual tone-squelch tones, Hz. @see TIA-603, continuous tone-coded squelch (from memory). */
export const TONE_SQUELCH_HZ: readonly number[] = [
  67, 69.3, 71.9, 74.4, 77, 79.7, 82.5, 85.4, 88.5, 91.5, 94.8, 97.4, 100, 103.5, 107.2, 110.9, 114.8, 118.8,
  123, 127.3, 131.8, 136.5, 141.3, 146.2, 151.4, 156.7, 162.2, 167.9, 173.8, 179.9, 186.2, 192.8, 203.5,
  206.5, 210.7, 218.1, 225.7, 229.1, 233.6, 241.8, 250.3, 254.1,
]

/** Within this share of a tone it counts as that tone. */
const NEAR = 0.015

/** The usual tone nearest to a frequency, Hz; null when none is within 1.5 %. */
export function nearestToneHz(frequencyHz: number): number | null {
  const nearest = TONE_SQUELCH_HZ.reduce((best, tone) =>
    Math.abs(tone - frequencyHz) < Math.abs(best - frequencyHz) ? tone : best,
  )
  return Math.abs(nearest - frequencyHz) <= NEAR * nearest ? nearest : null
}
