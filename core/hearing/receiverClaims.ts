import { LEVEL_LAWS, levelIn, type LevelUnit, printNumber, UNIT_SPACE } from '../quantity'
import type { Band, ReceiverClaim, ReceiverClaimKind } from '../review'

/** What a maker may claim of a receiver, as the card lists it. */
export const RECEIVER_CLAIM_TITLES: Readonly<Record<ReceiverClaimKind, string>> = {
  'sinad-12': '12 dB SINAD',
  'sinad-20': '20 dB SINAD',
  'snr-10': '10 dB (S+N)/N',
  'quieting-20': '20 dB quieting',
  selectivity: 'Neighbour channel rejection',
  blocking: 'Blocking',
  'audio-power': 'Audio power',
}

/** A claim as it stands in its field. */
export function receiverClaimText({ value, unit, voltageIs }: ReceiverClaim): string {
  if (value === null) return 'not said'
  const word = voltageIs === 'not-said' ? '' : ` ${voltageIs}`
  return `${plainNumber(value)} ${unit}${word}`
}

function plainNumber(value: number): string {
  return printNumber(value, 3).replace(/\.?0+$/, '')
}

/** Claims of a band that hold for a channel spacing: those said for it, and those said for none. */
export function claimsFor(
  { receives }: Pick<Band, 'receives'>,
  kind: ReceiverClaimKind,
  spacingHz: number | null,
): ReceiverClaim | null {
  const ofKind = receives.filter(claim => claim.kind === kind && claim.value !== null)
  return (
    ofKind.find(claim => claim.spacingHz !== null && claim.spacingHz === spacingHz) ??
    ofKind.find(claim => claim.spacingHz === null) ??
    null
  )
}

/** The unit a claim of a level is in, a voltage taken as the box says, else as the reviewer does. */
function unitOf({ unit, voltageIs, takenAs }: ReceiverClaim): LevelUnit | null {
  if (unit === 'dB' || unit === 'W') return null
  if (unit === 'dBm') return 'dBm'
  const means = voltageIs === 'not-said' ? takenAs : voltageIs
  return means === 'emf' ? `${unit} emf` : unit
}

/** A claimed level, dBm into 50 Ω; null for a claim that is none, or has no figure. */
export function claimLevelDbm(claim: ReceiverClaim): number | null {
  const unit = unitOf(claim)
  return unit === null || claim.value === null ? null : LEVEL_LAWS[unit].toDbm(claim.value)
}

/** A claim as it is printed: `0.2 µV for 12 dB SINAD, taken as pd`. */
export function receiverClaimWords(claim: ReceiverClaim): string {
  const title = RECEIVER_CLAIM_TITLES[claim.kind]
  if (claim.value === null) return `${title}: the maker gives no figure`
  const figure = `${plainNumber(claim.value)}${UNIT_SPACE}${claim.unit}`
  const isVoltage = claim.unit === 'µV' || claim.unit === 'dBµV'
  const said = claim.voltageIs === 'not-said' ? `, taken as ${claim.takenAs}` : ` ${claim.voltageIs}`
  return `${figure}${isVoltage ? said : ''} for ${title}`
}

/** Both readings of a claimed voltage, dBm: across the load, and behind the generator's own 50 Ω. */
export function bothReadings(claim: ReceiverClaim): { pdDbm: number; emfDbm: number } | null {
  if (claim.value === null || (claim.unit !== 'µV' && claim.unit !== 'dBµV')) return null
  return {
    pdDbm: LEVEL_LAWS[claim.unit].toDbm(claim.value),
    emfDbm: LEVEL_LAWS[`${claim.unit} emf`].toDbm(claim.value),
  }
}

/** A level as µV across the load and behind 50 Ω: both are always printed. */
export function microvolts(levelDbm: number): { pdUv: number; emfUv: number } {
  return { pdUv: levelIn('µV', levelDbm), emfUv: levelIn('µV emf', levelDbm) }
}
