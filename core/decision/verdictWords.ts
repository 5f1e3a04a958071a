import { printClaimW, printDb, printMarginIn, printWatts } from '../quantity'
import type { Verdict } from './verdict'

/** The verdict against a limit, in words: `Inside by 15.5`, `Too close to call`, `Not covered`. */
export function verdictWords(verdict: Verdict): string {
  if (verdict.form === 'four') return fourStateWords(verdict)
  switch (verdict.state) {
    case 'inside':
      return `Inside by ${verdict.isBound ? 'at least ' : ''}${marginWords(verdict)}`
    case 'outside':
      return `Outside by ${marginWords(verdict)}`
    case 'too-close':
      return 'Too close to call'
    case 'not-covered':
      return 'Not covered'
    case 'no-figure':
      return 'No figure in law'
    case 'observation':
      return 'Observation'
  }
}

/** The margin as it is said: dB without their unit, anything else with it. */
export function marginWords({ margin, unit }: Pick<Verdict, 'margin' | 'unit'>): string {
  return printMarginIn(margin ?? 0, unit)
}

function fourStateWords(verdict: Verdict): string {
  const by = marginWords(verdict)
  switch (verdict.state) {
    case 'inside':
      return `Pass by ${verdict.isBound ? 'at least ' : ''}${by}`
    case 'outside':
      return `Fail by ${by}`
    case 'too-close':
      return (verdict.margin ?? 0) >= 0 ? `Conditional pass by ${by}` : `Conditional fail by ${by}`
    default:
      return verdictWords({ ...verdict, form: 'three' })
  }
}

/**
 * The verdict against a claim, in words: `Meets 5 W`, `Short by 0.7 dB`, `Above by 1.1 dB`,
 * `Can’t tell`. A surplus is called above only when it exceeds the range.
 */
export function claimWords(
  verdict: Verdict,
  claim: { claimedW: number; measuredW: number | null; differenceDb: number | null },
): string {
  const difference = claim.differenceDb ?? 0
  switch (verdict.state) {
    case 'inside':
      return difference > (verdict.range ?? 0)
        ? `Above by ${printDb(difference)}`
        : `Meets ${printClaimW(claim.claimedW)}`
    case 'outside':
      return `Short by ${printDb(-difference)}`
    case 'too-close':
      return `Can’t tell: ${printWatts(claim.measuredW)}`
    case 'not-covered':
      return 'Not covered'
    case 'no-figure':
      return 'The maker does not say'
    case 'observation':
      return 'Observation'
  }
}

/** What a difference of levels means at the far end: 6 dB per S-unit (IARU Region 1, R.1, from memory). */
export function farEndWords(differenceDb: number): string {
  const sUnits = Math.abs(differenceDb) / 6
  if (sUnits < 0.1) return 'less than a tenth of an S-unit at the far end'
  return `${sUnits.toFixed(1)} ${sUnits < 0.95 ? 'of an S-unit' : 'S-units'} at the far end`
}
