/** A figure of the owner's own is no longer assumed. */
export const isStated = (draft: { assumed: boolean }) => {
  draft.assumed = false
}
/** Levels at an instrument, dBm. */
const LEVEL = { unit: 'dBm', min: -100, max: 100 }
/** Powers, W. */
export const WATTS = { unit: 'W', min: 0.000001, max: 100_000 }
/** Half-widths of an accuracy, dB. */
export const HALF_WIDTH = { unit: 'dB', min: 0, max: 60 }
/** Where an instrument is damaged. */
export const DAMAGE = { label: 'Damage above', change: 'a damage level', ...LEVEL }
/** Where an instrument is overloaded. */
export const OVERLOAD = { label: 'Overload above', change: 'an overload level', ...LEVEL }
/** How well an instrument knows frequency. */
export const REFERENCE = {
  label: 'Frequency reference ±',
  change: 'a frequency reference',
  unit: 'ppm',
  min: 0,
  max: 1000,
  empty: 'not stated',
}
