import { parseLevel, parsePlainNumber } from '../quantity'
import type { ReceiverClaim, ReceiverClaimKind } from './cardTypes'

/** What of a claim is typed in its field. */
export type TypedClaim = Pick<ReceiverClaim, 'value' | 'unit' | 'voltageIs'>

const IN_DB: readonly ReceiverClaimKind[] = ['selectivity', 'blocking']

/** The unit a claim is usually printed in. */
export function usualClaimUnit(kind: ReceiverClaimKind): ReceiverClaim['unit'] {
  if (kind === 'audio-power') return 'W'
  return IN_DB.includes(kind) ? 'dB' : 'µV'
}

/**
 * Reads a claim of a receiver as typed: `0.2 µV`, `0.25uV emf`, `-119 dBm`, `6 dBµV emf`, `65 dB`, `0.5 W`;
 * “not said”, “?” or nothing where the maker is silent. A voltage without a word is “not said”: pd or emf.
 * @returns the claim, or in words why it cannot be one.
 */
export function readReceiverClaim(
  kind: ReceiverClaimKind,
  text: string,
): { ok: true; claim: TypedClaim } | { ok: false; message: string } {
  const plain = text.trim().toLowerCase()
  const unit = usualClaimUnit(kind)
  if (plain === '' || plain === '?' || plain.startsWith('not s'))
    return { ok: true, claim: { value: null, unit, voltageIs: 'not-said' } }
  if (unit === 'dB') {
    const read = parsePlainNumber(plain.replace(/\s*db$/, ''), { min: 0, max: 200, unit: 'dB' })
    return read.ok
      ? { ok: true, claim: { value: read.value, unit, voltageIs: 'not-said' } }
      : { ok: false, message: read.message }
  }
  const read = parseLevel(text, { bareUnit: unit === 'W' ? 'W' : 'µV' })
  if (!read.ok) return { ok: false, message: read.message }
  const says = /emf/.test(plain) ? 'emf' : saysPd(plain)
  const base = read.unit.replace(' emf', '')
  if (base === 'mW') return { ok: true, claim: { value: read.value / 1e3, unit: 'W', voltageIs: 'not-said' } }
  if (base === 'mV') return { ok: true, claim: { value: read.value * 1e3, unit: 'µV', voltageIs: says } }
  if (base === 'dBm' || base === 'µV' || base === 'dBµV' || base === 'W') {
    const isVoltage = base === 'µV' || base === 'dBµV'
    return { ok: true, claim: { value: read.value, unit: base, voltageIs: isVoltage ? says : 'not-said' } }
  }
  return {
    ok: false,
    message: `“${text.trim()}” is in ${read.unit}; claims are read in µV, dBµV, dBm, dB or W.`,
  }
}

function saysPd(plain: string): 'pd' | 'not-said' {
  return /\bpd\b/.test(plain) ? 'pd' : 'not-said'
}
