import { printFrequencyShort } from '../quantity'
import type { Step } from './step'

/** How the radio is set for a step, short: its power level where it transmits, its channel spacing where not. */
export function settingWords({ work, setting, band }: Pick<Step, 'work' | 'setting' | 'band'>): string {
  if (work === 'transmits') return setting.level.name
  return band.channelSpacingHz === null
    ? 'receiving'
    : `${printFrequencyShort(band.channelSpacingHz)} channel`
}
