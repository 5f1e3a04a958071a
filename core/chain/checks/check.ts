import { printClaimW } from '../../quantity'
import type { HeatConditions } from '../heat'
import type { Chain, Instrument, Calibration } from '../types'

/** How much a check weighs: `danger` keeps the operator from keying up. */
export type CheckSeverity = 'ok' | 'note' | 'caution' | 'danger'

/** One check of a chain, in words. */
export interface BenchCheck {
  id: string
  severity: CheckSeverity
  /** What is so, in one sentence; printed bold. */
  title: string
  /** What follows from it, or what to do; may be empty. */
  text: string
  /** Short wording for the header lamp; null where the check has no lamp. */
  lamp: string | null
  partId: string | null
}

/** What a chain is checked for: a carrier of a radio, with the limits of its harmonics. */
export interface BenchCheckInput {
  chain: Chain
  instrument: Instrument | undefined
  carrierHz: number
  powerW: number
  /** Where `powerW` comes from; an assumed one is said so. */
  powerFrom: 'claim' | 'assumed'
  /** Limit on a harmonic at the radio, dBm; null where there is none. */
  harmonicLimitDbm: number | null
  /**
   * Limit at each harmonic, dBm, where it differs from one to the next; `harmonicLimitDbm` at all of them by
   * default.
   */
  limitAtDbm?: (harmonic: number) => number | null
  /** Highest harmonic asked for: 10 (47 CFR 2.1057). 1 when harmonics do not matter on this chain. */
  highestHarmonic: number
  /** Temperature and planned duty; 25 °C and one minute in two by default. */
  conditions?: HeatConditions
  /** Calibrations on record, to say how old they are; none by default. */
  calibration?: { calibrations: readonly Calibration[]; at: string; maxAgeDays: number }
}

/** A check of a chain; what is not said is empty. */
export function check(
  id: string,
  severity: CheckSeverity,
  said: Pick<BenchCheck, 'title'> & Partial<BenchCheck>,
): BenchCheck {
  return { id, severity, text: '', lamp: null, partId: null, ...said }
}

/** The power the checks reckon with, W, and whether anybody claims it. */
export function powerInWords(input: BenchCheckInput): string {
  return input.powerFrom === 'claim'
    ? `the claimed ${printClaimW(input.powerW)}`
    : `an assumed ${printClaimW(input.powerW)}`
}
