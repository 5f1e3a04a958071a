import type { Display } from '#core/uncertainty'

/** How a display may make one level of many looks, to choose from. */
export const DISPLAY_ITEMS: { value: Display; title: string }[] = [
  { value: 'unknown', title: 'nobody knows' },
  { value: 'mean', title: 'mean power (rms)' },
  { value: 'sample', title: 'one sweep, sampled' },
  { value: 'logarithm', title: 'average of decibels (video, logarithmic)' },
  { value: 'highest', title: 'the highest (peak detector, max hold)' },
]
