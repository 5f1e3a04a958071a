import { type ParseRefusal, refuse } from './parseResult'
import { readNumber } from './readNumber'
import { spelled } from './spelled'

/** A frequency as typed, in Hz, and the unit it was taken in. */
export interface FrequencyRead {
  ok: true
  frequencyHz: number
  unit: 'Hz' | 'kHz' | 'MHz' | 'GHz'
}

const UNIT_HZ = { Hz: 1, kHz: 1e3, MHz: 1e6, GHz: 1e9 } as const
const SPELLINGS: Record<string, FrequencyRead['unit']> = {
  hz: 'Hz',
  k: 'kHz',
  khz: 'kHz',
  m: 'MHz',
  mhz: 'MHz',
  g: 'GHz',
  ghz: 'GHz',
}

const SMALLEST_HZ = 9e3
const LARGEST_HZ = 300e9

/** Above this a bare number cannot be MHz on this bench, and is taken as kHz; above 1e7 as Hz. */
const LARGEST_BARE_MHZ = 30_000

/**
 * Reads a frequency as people type it: `146.52`, `146,52 MHz`, `146520`, `1.2 GHz`. A bare number is
 * MHz up to 30 000, then kHz, then Hz.
 * @returns frequency in Hz, or a refusal in plain words.
 */
export function parseFrequency(text: string): FrequencyRead | ParseRefusal {
  const trimmed = text.trim()
  if (trimmed === '') return refuse('Nothing typed yet.')
  const number = readNumber(trimmed)
  if (!number) return refuse(`“${trimmed}” has no number at its start. Type a frequency such as 146.52 MHz.`)
  const values = 'ambiguous' in number ? number.ambiguous : [number.value]
  const stated = number.unitText === '' ? undefined : spelled(SPELLINGS, number.unitText.toLowerCase())
  if (number.unitText !== '' && !stated)
    return refuse(`“${number.unitText}” is not a unit of frequency. Known: Hz, kHz, MHz, GHz.`)
  const meanings = values.map(value => meaning(value, stated))
  const [first, second] = meanings
  if (!first) return refuse('Nothing typed yet.')
  if (second && second.frequencyHz !== first.frequencyHz)
    return refuse(
      `“${trimmed}” can be ${values[0]} or ${values[1]}. Which is it?`,
      values.map(v => `${v}${stated ? ` ${stated}` : ''}`),
    )
  if (!(first.frequencyHz >= SMALLEST_HZ && first.frequencyHz <= LARGEST_HZ))
    return refuse(`${trimmed} lies outside 9 kHz to 300 GHz.`)
  return first
}

function likelyUnit(bare: number): FrequencyRead['unit'] {
  if (bare <= LARGEST_BARE_MHZ) return 'MHz'
  return bare < 1e7 ? 'kHz' : 'Hz'
}

function meaning(value: number, stated: FrequencyRead['unit'] | undefined): FrequencyRead {
  const unit = stated ?? likelyUnit(value)
  return { ok: true, frequencyHz: roundTo(value * UNIT_HZ[unit]), unit }
}

function roundTo(frequencyHz: number): number {
  return Math.round(frequencyHz * 1e3) / 1e3
}
