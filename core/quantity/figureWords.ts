import { printHz, printNumber, printSigned, UNIT_SPACE } from './print'
import { printAmperes, printOhm, printSignificant, printVswr } from './printQuantity'
import type { FigureUnit } from './units'

const threeDigits = (unit: FigureUnit) => (value: number) =>
  `${printSignificant(value, 3)}${UNIT_SPACE}${unit}`

/** How a figure of each unit is said; the others with two decimals. */
const WORDS: Partial<Record<FigureUnit, (value: number) => string>> = {
  mark: value => (value ? 'done' : 'not done'),
  words: () => '',
  Hz: value => printHz(value, 4),
  dB: value => `${printNumber(value, 1)}${UNIT_SPACE}dB`,
  dBm: value => `${printSigned(value, 1)}${UNIT_SPACE}dBm`,
  '°C': value => `${printNumber(value, 0)}${UNIT_SPACE}°C`,
  A: printAmperes,
  V: value =>
    Math.abs(value) < 0.0995
      ? `${printSignificant(value * 1e3, 3)}${UNIT_SPACE}mV`
      : `${printNumber(value, 2)}${UNIT_SPACE}V`,
  VSWR: value => printVswr(value),
  Ω: printOhm,
  h: threeDigits('h'),
  '%': threeDigits('%'),
  g: threeDigits('g'),
  'cm³': threeDigits('cm³'),
  'Wh/kg': threeDigits('Wh/kg'),
  'Wh/l': threeDigits('Wh/l'),
  'of 3': value => `${printNumber(value, 0)}${UNIT_SPACE}of${UNIT_SPACE}3`,
  bars: value =>
    `${printNumber(value, Number.isInteger(value) ? 0 : 1)}${UNIT_SPACE}${value === 1 ? 'bar' : 'bars'}`,
}

/** A figure as its table shows it: `2.38 kHz`, `45.0 mA`, `1.50:1`. */
export function figureWords(value: number, unit: FigureUnit): string {
  return WORDS[unit]?.(value) ?? `${printNumber(value, 2)}${UNIT_SPACE}${unit}`
}
