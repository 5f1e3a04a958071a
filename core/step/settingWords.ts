import { printFrequencyShort, printMhz } from '../quantity'
import type { Step } from './step'

/** How the radio is set for a step, short: its power level where it transmits, its channel spacing where not. */
export function settingWords({ work, setting, band }: Pick<Step, 'work' | 'setting' | 'band'>): string {
  if (work === 'transmits') return setting.level.name
  return band.channelSpacingHz === null
    ? 'receiving'
    : `${printFrequencyShort(band.channelSpacingHz)} channel`
}

/** Where a step is read, short: frequency and setting, the band, or the set as a whole. */
export function placeWords(
  step: Pick<Step, 'covers' | 'variant' | 'channel' | 'work' | 'setting' | 'band'>,
): string {
  switch (step.covers) {
    case 'channel':
      return `${printMhz(step.channel.frequencyHz)}, ${settingWords(step)}`
    case 'band':
      return [step.band.name, ...(step.variant ? [step.variant.title] : [])].join(', ')
    case 'set':
      return ['the whole set', ...(step.variant ? [step.variant.title] : [])].join(', ')
  }
}
