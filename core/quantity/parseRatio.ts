import { type ParseRefusal, refuse } from './parseResult'
import { readNumber } from './readNumber'
import { spelled } from './spelled'

/** A unit a ratio may be typed in. */
export type RatioUnit = 'dB' | 'dBc' | '%' | 'ppm'

/** A ratio as typed. Logarithmic ones carry `valueDb`, shares carry `fraction`. */
export interface RatioRead {
  ok: true
  unit: RatioUnit
  value: number
  /** dB or dBc; null for a share. */
  valueDb: number | null
  /** Share of 1; null for dB. */
  fraction: number | null
}

const SPELLINGS: Record<string, RatioUnit> = {
  db: 'dB',
  dbc: 'dBc',
  '%': '%',
  percent: '%',
  'per cent': '%',
  ppm: 'ppm',
}

const SCALE = { '%': 1e-2, ppm: 1e-6 } as const

/**
 * Reads a ratio as people type it: `-60 dBc`, `1,5 dB`, `2.5 ppm`, `5 %`.
 * @returns the ratio, or a refusal in plain words with texts to choose from.
 */
export function parseRatio(text: string, options: { bareUnit: RatioUnit }): RatioRead | ParseRefusal {
  const trimmed = text.trim()
  if (trimmed === '') return refuse('Nothing typed yet.')
  const number = readNumber(trimmed.replace(/^±\s*/, ''))
  if (!number) return refuse(`“${trimmed}” has no number at its start.`)
  const unit = number.unitText === '' ? options.bareUnit : spelled(SPELLINGS, number.unitText.toLowerCase())
  if (!unit) return refuse(`“${number.unitText}” is not a unit of a ratio. Known: dB, dBc, %, ppm.`)
  if ('ambiguous' in number)
    return refuse(
      `“${trimmed}” can be ${number.ambiguous[0]} or ${number.ambiguous[1]}. Which is it?`,
      number.ambiguous.map(value => `${value} ${unit}`),
    )
  const share = unit === '%' || unit === 'ppm'
  return {
    ok: true,
    unit,
    value: number.value,
    valueDb: share ? null : number.value,
    fraction: share ? number.value * SCALE[unit] : null,
  }
}
