import { parseLevel, printClaimW, wattsFromDbm } from '../quantity'
import type { PowerClaim } from './cardTypes'

/** What is typed where the set has no such level. */
const NO_LEVEL = ['none', '-', '–', 'no']

/** A claim as it stands in its field. */
export function claimText(claim: PowerClaim | undefined): string {
  if (!claim || claim.kind === 'no-level') return 'none'
  return claim.kind === 'watts' ? printClaimW(claim.powerW) : 'not said'
}

/**
 * Reads a claim as typed: a power in W, mW or dBm; “not said”, “?” or nothing where the maker is silent; “none”
 * where the set has no such level.
 * @returns the claim, or in words why it cannot be one.
 */
export function readClaim(text: string): { ok: true; claim: PowerClaim } | { ok: false; message: string } {
  const plain = text.trim().toLowerCase()
  if (plain === '' || plain === '?' || plain.startsWith('not s') || plain.startsWith('the maker'))
    return { ok: true, claim: { kind: 'not-said' } }
  if (NO_LEVEL.includes(plain)) return { ok: true, claim: { kind: 'no-level' } }
  const read = parseLevel(text, { bareUnit: 'W' })
  if (!read.ok) return { ok: false, message: read.message }
  return { ok: true, claim: { kind: 'watts', powerW: Number(wattsFromDbm(read.levelDbm).toPrecision(9)) } }
}
