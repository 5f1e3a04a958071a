import { fullDeviationHz } from '../band'
import type { Band } from '../review'

/** A mark on the curve of SINAD, or of (S+N)/N, against level. */
export interface HearingCriterion {
  /** Stored in files as the id of its slot: never renamed. */
  id: 'sinad-12' | 'sinad-20' | 'sinad-10' | 'snr-10'
  title: string
  /** Where the curve must stand, dB. */
  db: number
  /** Not asked for, worked out from the same readings where they reach. */
  optional: boolean
}

const FM: readonly HearingCriterion[] = [
  { id: 'sinad-12', title: '12 dB SINAD', db: 12, optional: false },
  { id: 'sinad-20', title: '20 dB SINAD', db: 20, optional: true },
  { id: 'sinad-10', title: '10 dB SINAD', db: 10, optional: true },
]
const WITHOUT_LIMITER: readonly HearingCriterion[] = [
  { id: 'snr-10', title: '10 dB (S+N)/N', db: 10, optional: false },
]

/**
 * The criteria of a band; the first is the one that is asked for.
 * @see 12 dB SINAD: TIA-603; 20 dB SINAD psophometric: EN 300 086; 10 dB (S+N)/N at 30 % AM, or SSB: common
 *   practice (all from memory).
 */
export function criteriaOf({ mode }: Pick<Band, 'mode'>): readonly HearingCriterion[] {
  return mode === 'FM' ? FM : WITHOUT_LIMITER
}

/** What is read at each level of a band: `SINAD`, or `(S+N)/N`. */
export function figureName({ mode }: Pick<Band, 'mode'>): string {
  return mode === 'FM' ? 'SINAD' : '(S+N)/N'
}

/** Share of full deviation a receiver is measured with (TIA-603 and EN 300 086, from memory). */
export const MODULATION_SHARE = 0.6

/** Deviation of the wanted signal for a channel spacing, Hz: 3 kHz in 25, 2.4 in 20, 1.5 in 12.5. */
export function testDeviationHz(channelSpacingHz: number | null): number {
  return MODULATION_SHARE * fullDeviationHz({ channelSpacingHz })
}
