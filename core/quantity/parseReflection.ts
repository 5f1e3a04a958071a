import { type ParseRefusal, refuse } from './parseResult'
import { REFERENCE_OHM } from './power'
import { readNumber } from './readNumber'
import { reflectionFromVswr, vswrFromReflection, vswrFromReturnLossDb } from './reflection'

/** A unit a reflection may be typed in: a load by its ohms, else a ratio. */
export type ReflectionUnit = 'VSWR' | 'dB' | 'Ω' | 'Γ'

/** Longest text a match is looked for in, characters. */
const LONGEST = 100

/** A match as typed, as all its faces. */
export interface ReflectionRead {
  ok: true
  unit: ReflectionUnit
  vswr: number
  /** |Γ|, 0 to 1. */
  reflection: number
}

/**
 * Reads a match as people type it: `1.5`, `1.5:1`, `1,5 : 1`, `14 dB` (return loss), `75 Ω` (a resistance
 * across 50 Ω), `0.2 Γ`.
 * @returns the match, or a refusal in plain words with texts to choose from.
 */
export function parseReflection(text: string): ReflectionRead | ParseRefusal {
  const trimmed = text.trim()
  if (trimmed === '') return refuse('Nothing typed yet.')
  if (trimmed.length > LONGEST) return refuse('That is longer than any match is written.')
  const number = readNumber(trimmed.replace(/\s*:\s*1$/, '').replace(/^vswr\s*/i, ''))
  if (!number)
    return refuse(
      `“${trimmed}” has no number at its start. Type a VSWR such as 1.5, ` +
        'a return loss such as 14 dB, or a resistance such as 75 Ω.',
    )
  const unit = unitFrom(number.unitText)
  if (!unit)
    return refuse(
      `“${number.unitText}” is not known for a match. Known: VSWR (a bare number), dB (return loss), Ω, Γ.`,
    )
  if ('ambiguous' in number)
    return refuse(
      `“${trimmed}” can be ${number.ambiguous[0]} or ${number.ambiguous[1]}. Which is it?`,
      number.ambiguous.map(value => `${value} ${unit === 'VSWR' ? '' : unit}`.trim()),
    )
  return meaning(number.value, unit)
}

function meaning(value: number, unit: ReflectionUnit): ReflectionRead | ParseRefusal {
  switch (unit) {
    case 'VSWR':
      return value >= 1 && value <= 1e6
        ? { ok: true, unit, vswr: value, reflection: reflectionFromVswr(value) }
        : refuse('A VSWR is 1 or more.')
    case 'dB':
      return value > 0 && value <= 100
        ? { ok: true, unit, vswr: vswrFromReturnLossDb(value), reflection: 10 ** (-value / 20) }
        : refuse('A return loss is a positive number of dB, up to 100.')
    case 'Ω': {
      if (!(value > 0 && value <= 1e6)) return refuse('A resistance is a positive number of ohms.')
      const reflection = Math.abs(value - REFERENCE_OHM) / (value + REFERENCE_OHM)
      return { ok: true, unit, reflection, vswr: vswrFromReflection(reflection) }
    }
    case 'Γ':
      return value >= 0 && value < 1
        ? { ok: true, unit, reflection: value, vswr: vswrFromReflection(value) }
        : refuse('A reflection lies between 0 and 1.')
  }
}

function unitFrom(text: string): ReflectionUnit | null {
  const spelling = text.trim().toLowerCase()
  if (spelling === '' || spelling === 'vswr' || spelling === 'swr') return 'VSWR'
  if (/^db( rl| return loss)?$/.test(spelling)) return 'dB'
  if (/^(ω|ohm|ohms)$/.test(spelling) || text === 'Ω') return 'Ω'
  return spelling === 'γ' || spelling === 'gamma' ? 'Γ' : null
}
