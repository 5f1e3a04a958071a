import { dbmFromDbuvEmf, dbmFromDbuvPd, dbmFromVoltsPd, dbmFromWatts } from './power'
import { type ParseRefusal, refuse } from './parseResult'
import { readNumber } from './readNumber'

/** Units in which a reading of power or level may be typed. */
export type LevelUnit = 'W' | 'mW' | 'µW' | 'nW' | 'kW' | 'dBm' | 'dBW' | 'V' | 'mV' | 'µV' | 'dBµV' | 'dBµV emf'

/** A power or level as typed, with what it means. */
export interface LevelRead {
  ok: true
  levelDbm: number
  /** The number as typed, in `unit`. */
  value: number
  unit: LevelUnit
  /** Weight of the last digit typed, turned into dB at this level: the display's resolution. */
  resolutionDb: number
  /** `<` in front: the instrument showed nothing above this level. */
  isUpperBound: boolean
}

export interface ParseLevelOptions {
  /** What a number without a unit means in this field. */
  bareUnit: LevelUnit
}

interface UnitLaw {
  unit: LevelUnit
  toDbm: (value: number) => number
  linear: 'power' | 'voltage' | false
}

const LAWS: Record<LevelUnit, UnitLaw> = {
  'kW': { unit: 'kW', toDbm: v => dbmFromWatts(v * 1e3), linear: 'power' },
  'W': { unit: 'W', toDbm: dbmFromWatts, linear: 'power' },
  'mW': { unit: 'mW', toDbm: v => dbmFromWatts(v * 1e-3), linear: 'power' },
  'µW': { unit: 'µW', toDbm: v => dbmFromWatts(v * 1e-6), linear: 'power' },
  'nW': { unit: 'nW', toDbm: v => dbmFromWatts(v * 1e-9), linear: 'power' },
  'dBm': { unit: 'dBm', toDbm: v => v, linear: false },
  'dBW': { unit: 'dBW', toDbm: v => v + 30, linear: false },
  'V': { unit: 'V', toDbm: dbmFromVoltsPd, linear: 'voltage' },
  'mV': { unit: 'mV', toDbm: v => dbmFromVoltsPd(v * 1e-3), linear: 'voltage' },
  'µV': { unit: 'µV', toDbm: v => dbmFromVoltsPd(v * 1e-6), linear: 'voltage' },
  'dBµV': { unit: 'dBµV', toDbm: dbmFromDbuvPd, linear: false },
  'dBµV emf': { unit: 'dBµV emf', toDbm: dbmFromDbuvEmf, linear: false },
}

const SPELLINGS: Record<string, LevelUnit> = {
  w: 'W', watt: 'W', watts: 'W', kw: 'kW', mw: 'mW', uw: 'µW', nw: 'nW',
  dbm: 'dBm', dbw: 'dBW', v: 'V', mv: 'mV', uv: 'µV', dbuv: 'dBµV', 'dbuv pd': 'dBµV', 'dbuv emf': 'dBµV emf',
}

const LARGEST_DBM = 80
const SMALLEST_DBM = -200

/**
 * Reads a level as people type it: `4.37`, `4,37 W`, `850 mW`, `36.9 dBm`, `0.2uV`, `<-85`.
 * Voltages are pd across 50 Ω unless `emf` is written.
 * @returns what was understood, or a refusal in plain words with texts to choose from.
 */
export function parseLevel(text: string, options: ParseLevelOptions): LevelRead | ParseRefusal {
  const trimmed = text.trim()
  if (trimmed === '') return refuse('Nothing typed yet.')
  const isUpperBound = /^(<|≤|below |under )/i.test(trimmed)
  const body = isUpperBound ? trimmed.replace(/^(<=?|≤|below |under )\s*/i, '') : trimmed
  const number = readNumber(body)
  if (!number) return refuse(`“${trimmed}” has no number at its start. Type a figure such as ${exampleFor(options.bareUnit)}.`)
  const unit = unitFrom(number.unitText, options.bareUnit)
  if (unit === null) return refuse(unknownUnit(number.unitText, options.bareUnit))
  if (unit === 'megawatt') return refuse('MW would be megawatts. For milliwatts write mW.', 'value' in number ? [`${number.value} mW`] : [])
  if ('ambiguous' in number) {
    const [asDecimal, asGrouped] = number.ambiguous
    return refuse(`“${trimmed}” can be ${asDecimal} or ${asGrouped}. Which is it?`, number.ambiguous.map(v => `${isUpperBound ? '<' : ''}${v} ${unit}`))
  }
  const law = LAWS[unit]
  if (law.linear && number.value <= 0)
    return refuse(number.value === 0
      ? `0 ${unit} has no level. Type the smallest the instrument can show with < in front, such as <0.01 ${unit}.`
      : `A ${law.linear} cannot be negative. For a level write dBm.`)
  const levelDbm = law.toDbm(number.value)
  if (!(levelDbm >= SMALLEST_DBM && levelDbm <= LARGEST_DBM))
    return refuse(`${number.value} ${unit} lies outside anything a bench reads (−200 to +80 dBm).`)
  return { ok: true, levelDbm, value: number.value, unit, resolutionDb: resolutionInDb(law, number.value, number.lastDigit), isUpperBound }
}

function resolutionInDb(law: UnitLaw, value: number, lastDigit: number): number {
  if (!law.linear) return lastDigit
  const perUnitDb = (law.linear === 'power' ? 10 : 20) / Math.LN10
  return (perUnitDb * lastDigit) / value
}

function unitFrom(unitText: string, bareUnit: LevelUnit): LevelUnit | 'megawatt' | null {
  if (unitText === '') return bareUnit
  if (/^MW$/.test(unitText)) return 'megawatt'
  const spelling = unitText.replace(/[µμ]/g, 'u').toLowerCase().replace(/\s+/g, ' ').replace(/\.$/, '')
  return SPELLINGS[spelling] ?? null
}

function exampleFor(unit: LevelUnit): string {
  return unit === 'dBm' ? '−49.0 or 36.9 dBm' : '4.37, 850 mW or 36.9 dBm'
}

function unknownUnit(unitText: string, bareUnit: LevelUnit): string {
  if (/^dbc$/i.test(unitText)) return 'A figure in dBc hangs on the carrier. Type the level the instrument shows, in dBm.'
  return `The unit “${unitText}” is not one for a level. Known here: W, mW, µW, dBm, dBW, µV, mV, V, dBµV; without a unit it is ${bareUnit}.`
}
