import { LEVEL_LAWS, type LevelLaw, type LevelUnit } from './levelUnits'
import { type ParseRefusal, refuse } from './parseResult'
import { readNumber } from './readNumber'
import { spelled } from './spelled'

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
  /**
   * Every level where several were typed (`4.37; 4.41; 4.35`), dBm; empty for one. `levelDbm` is then their
   * mean.
   */
  repeatsDbm: number[]
}

/** How a level is read. */
export interface ParseLevelOptions {
  /** What a number without a unit means in this field. */
  bareUnit: LevelUnit
}

const SPELLINGS: Record<string, LevelUnit> = {
  w: 'W',
  watt: 'W',
  watts: 'W',
  kw: 'kW',
  mw: 'mW',
  uw: 'µW',
  nw: 'nW',
  pw: 'pW',
  dbm: 'dBm',
  dbw: 'dBW',
  v: 'V',
  mv: 'mV',
  uv: 'µV',
  dbuv: 'dBµV',
  'v pd': 'V',
  'mv pd': 'mV',
  'uv pd': 'µV',
  'dbuv pd': 'dBµV',
  'v emf': 'V emf',
  'mv emf': 'mV emf',
  'uv emf': 'µV emf',
  'dbuv emf': 'dBµV emf',
}

const LARGEST_DBM = 80
const SMALLEST_DBM = -200

/**
 * Reads a level as people type it: `4.37`, `4,37 W`, `850 mW`, `36.9 dBm`, `0.2uV`, `<-85`.
 * Voltages are pd across 50 Ω unless `emf` is written. Several readings are parted by semicolons: `4.37;
 * 4.41; 4.35 W`.
 * @returns what was understood, or a refusal in plain words with texts to choose from.
 */
export function parseLevel(text: string, options: ParseLevelOptions): LevelRead | ParseRefusal {
  const trimmed = text.trim()
  if (trimmed === '') return refuse('Nothing typed yet.')
  if (trimmed.includes(';')) return parseRepeats(trimmed, options)
  const isUpperBound = /^(<|≤|below |under )/i.test(trimmed)
  const body = isUpperBound ? trimmed.replace(/^(<=?|≤|below |under )\s*/i, '') : trimmed
  const number = readNumber(body)
  if (!number)
    return refuse(
      `“${trimmed}” has no number at its start. Type a figure such as ${exampleFor(options.bareUnit)}.`,
    )
  const unit = unitFrom(number.unitText, options.bareUnit)
  if (unit === null) return refuse(unknownUnit(number.unitText, options.bareUnit))
  if (unit === 'megawatt')
    return refuse(
      'MW would be megawatts. For milliwatts write mW.',
      'value' in number ? [`${number.value} mW`] : [],
    )
  if ('ambiguous' in number) {
    const [asDecimal, asGrouped] = number.ambiguous
    return refuse(
      `“${trimmed}” can be ${asDecimal} or ${asGrouped}. Which is it?`,
      number.ambiguous.map(v => `${isUpperBound ? '<' : ''}${v} ${unit}`),
    )
  }
  const law = LEVEL_LAWS[unit]
  if (law.linear && number.value <= 0)
    return refuse(
      number.value === 0
        ? `0 ${unit} has no level. Type the smallest the instrument can show with < in front, such as <0.01 ${unit}.`
        : `A ${law.linear} cannot be negative. For a level write dBm.`,
    )
  const levelDbm = law.toDbm(number.value)
  if (!(levelDbm >= SMALLEST_DBM && levelDbm <= LARGEST_DBM))
    return refuse(`${number.value} ${unit} lies outside anything a bench reads (−200 to +80 dBm).`)
  return {
    ok: true,
    levelDbm,
    value: number.value,
    unit,
    resolutionDb: resolutionInDb(law, number.value, number.lastDigit),
    isUpperBound,
    repeatsDbm: [],
  }
}

/**
 * Several readings of the same thing, parted by semicolons; a unit at the end holds for all that have none.
 */
function parseRepeats(text: string, options: ParseLevelOptions): LevelRead | ParseRefusal {
  const pieces = text
    .split(';')
    .map(piece => piece.trim())
    .filter(Boolean)
  const last = pieces.length > 0 ? parseLevel(pieces.at(-1)!, options) : refuse('Nothing typed yet.')
  if (!last.ok) return last
  const reads: LevelRead[] = []
  for (const piece of pieces) {
    const read = parseLevel(piece, { bareUnit: last.unit })
    if (!read.ok) return read
    reads.push(read)
  }
  if (reads.length === 1) return last
  if (reads.some(read => read.isUpperBound))
    return refuse('A series cannot hold “less than”: type the readings that were seen.')
  if (reads.length > MOST_REPEATS) return refuse(`At most ${MOST_REPEATS} readings in a row.`)
  const levelDbm = reads.reduce((sum, read) => sum + read.levelDbm, 0) / reads.length
  return {
    ok: true,
    levelDbm,
    value: LEVEL_LAWS[last.unit].fromDbm(levelDbm),
    unit: last.unit,
    resolutionDb: Math.max(...reads.map(read => read.resolutionDb)),
    isUpperBound: false,
    repeatsDbm: reads.map(read => read.levelDbm),
  }
}

const MOST_REPEATS = 100

function resolutionInDb(law: LevelLaw, value: number, lastDigit: number): number {
  if (!law.linear) return lastDigit
  const perUnitDb = (law.linear === 'power' ? 10 : 20) / Math.LN10
  return (perUnitDb * lastDigit) / value
}

function unitFrom(unitText: string, bareUnit: LevelUnit): LevelUnit | 'megawatt' | null {
  if (unitText === '') return bareUnit
  if (/^MW$/.test(unitText)) return 'megawatt'
  const spelling = unitText.replace(/[µμ]/g, 'u').toLowerCase().replace(/\s+/g, ' ').replace(/\.$/, '')
  return spelled(SPELLINGS, spelling) ?? null
}

function exampleFor(unit: LevelUnit): string {
  return unit === 'dBm' ? '−49.0 or 36.9 dBm' : '4.37, 850 mW or 36.9 dBm'
}

function unknownUnit(unitText: string, bareUnit: LevelUnit): string {
  if (/^dbc$/i.test(unitText))
    return 'A figure in dBc hangs on the carrier. Type the level the instrument shows, in dBm.'
  return (
    `The unit “${unitText}” is not one for a level. Known here: W, mW, µW, dBm, dBW, µV, mV, V, ` +
    `dBµV, with emf for the open voltage; without a unit it is ${bareUnit}.`
  )
}
