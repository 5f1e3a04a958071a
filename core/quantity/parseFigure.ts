import { MINUS, printHz, printNumber, printSigned, UNIT_SPACE } from './print'
import { printAmperes, printOhm, printVswr } from './printQuantity'
import { type ParseRefusal, refuse } from './parseResult'
import { readNumber } from './readNumber'
import type { FigureUnit } from './units'
import { spelled } from './spelled'

/** A figure as typed, in its unit. */
export interface FigureRead {
  ok: true
  value: number
  /** Weight of the last digit typed. */
  resolution: number
  isUpperBound: boolean
}

/** The unit a figure is read in, and between which ends, in that unit. */
export interface ParseFigureOptions {
  unit: FigureUnit
  /** What a bare number stands for, of the unit: 1000 where kHz are usual. */
  bareScale?: number
  /** Frequency a signed figure is counted from, Hz: `+120 Hz` or `−0.8 ppm` beside the whole frequency. */
  aroundHz?: number
  min?: number
  max?: number
}

const SCALES: Record<FigureUnit, Record<string, number>> = {
  Hz: { hz: 1, k: 1e3, khz: 1e3, m: 1e6, mhz: 1e6, ghz: 1e9 },
  V: { v: 1, mv: 1e-3 },
  A: { a: 1, ma: 1e-3 },
  W: { w: 1, mw: 1e-3, kw: 1e3 },
  '°C': { '°c': 1, c: 1, '°': 1 },
  dB: { db: 1, dbc: 1 },
  dBm: { dbm: 1 },
  m: { m: 1, cm: 0.01 },
  s: { s: 1, ms: 1e-3, min: 60 },
  mark: {},
  bars: { bars: 1, bar: 1 },
  'of 3': { 'of 3': 1, '/3': 1 },
  words: {},
  h: { h: 1, min: 1 / 60, s: 1 / 3600 },
  Ah: { ah: 1, mah: 1e-3 },
  Wh: { wh: 1, mwh: 1e-3, kwh: 1e3 },
  '%': { '%': 1 },
  g: { g: 1, kg: 1e3 },
  'cm³': { 'cm³': 1, cm3: 1, ml: 1, l: 1e3 },
  'Wh/kg': { 'wh/kg': 1 },
  'Wh/l': { 'wh/l': 1 },
  VSWR: { vswr: 1, ':1': 1 },
  Ω: { ω: 1, ohm: 1, ohms: 1, kω: 1e3 },
}

/**
 * Reads a figure that is no level behind a chain: `2.38 kHz`, `2,38`, `13.6 V`, `4900 mA`, `−60.2 dBc`,
 * `<-62`, `146.519836`, `+120 Hz`.
 */
export function parseFigure(text: string, options: ParseFigureOptions): FigureRead | ParseRefusal {
  const trimmed = text.trim()
  if (options.unit === 'words') return parseWords(trimmed)
  const isUpperBound = trimmed.startsWith('<') || trimmed.startsWith('≤')
  const body = isUpperBound ? trimmed.slice(1) : trimmed
  const number = readNumber(body)
  if (!number) return refuse(`“${trimmed}” has no number at its start.`)
  const unitText = number.unitText.replace(/[µμ]/g, 'µ').toLowerCase()
  const signed = /^\s*[+−–—-]/.test(body)
  const counted = options.aroundHz !== undefined && (signed || unitText === 'ppm')
  const scale = scaleOf(unitText, { options, counted })
  if (scale === undefined)
    return refuse(`“${number.unitText}” is not a unit for this field; it is in ${options.unit}.`)
  const values = ('ambiguous' in number ? number.ambiguous : [number.value]).map(
    value => value * scale + (counted ? options.aroundHz! : 0),
  )
  const { min = -1e12, max = 1e12 } = options
  if ('ambiguous' in number)
    return refuse(
      `“${trimmed}” can be ${number.ambiguous[0]} or ${number.ambiguous[1]}. Which is it?`,
      number.ambiguous.map(value => `${value}${number.unitText ? ` ${number.unitText}` : ''}`),
    )
  const value = values[0]!
  if (!(value >= min && value <= max))
    return refuse(
      `This must lie between ${printFigure(min, options.unit)} and ${printFigure(max, options.unit)}.`,
    )
  return { ok: true, value, resolution: number.lastDigit * Math.abs(scale), isUpperBound }
}

/** Longest words a field takes, characters. */
const LONGEST_WORDS = 400

function parseWords(text: string): FigureRead | ParseRefusal {
  if (text === '') return refuse('Nothing typed yet.')
  if (text.length > LONGEST_WORDS) return refuse(`That is longer than ${LONGEST_WORDS} characters.`)
  return { ok: true, value: 1, resolution: 0, isUpperBound: false }
}

function scaleOf(
  unitText: string,
  { options, counted }: { options: ParseFigureOptions; counted: boolean },
): number | undefined {
  if (unitText === 'ppm' && options.aroundHz !== undefined) return options.aroundHz * 1e-6
  if (unitText === '') return counted ? 1 : (options.bareScale ?? 1)
  return spelled(SCALES[options.unit], unitText)
}

/** A figure with its unit, as it is shown before it is kept. */
export function printFigure(value: number, unit: FigureUnit): string {
  if (unit === 'words') return 'written down'
  if (unit === 'mark') return value ? 'done' : 'not done'
  if (unit === 'Hz')
    return Math.abs(value) >= 1e7 ? `${printNumber(value / 1e6, 6)}${UNIT_SPACE}MHz` : printHz(value, 4)
  if (unit === 'A') return printAmperes(value)
  if (unit === 'VSWR') return printVswr(value)
  if (unit === 'Ω') return printOhm(value)
  const isLevel = unit === 'dB' || unit === 'dBm'
  const digits = isLevel ? printSigned(value, 1) : printNumber(value, unit === '°C' ? 0 : 2)
  return `${digits}${UNIT_SPACE}${unit}`.replace('-', MINUS)
}
