import { LEVEL_LAWS, type LevelUnit } from './levelUnits'
import { MINUS, printNumber, printSigned, UNIT_SPACE } from './print'

const DEFAULT_SIGNIFICANT = 4

/**
 * A level in a unit of choice: `36.99 dBm`, `4.370 W`, `1.000 µV emf`; four significant digits of linear
 * units, two decimals of logarithmic ones.
 */
export function printLevel(levelDbm: number, unit: LevelUnit, significant = DEFAULT_SIGNIFICANT): string {
  const law = LEVEL_LAWS[unit]
  const value = law.fromDbm(levelDbm)
  return `${law.linear ? printSignificant(value, significant) : printSigned(value, 2)}${UNIT_SPACE}${unit}`
}

/** A number to so many significant digits, without an exponent for anything a bench sees. */
export function printSignificant(value: number, significant = DEFAULT_SIGNIFICANT): string {
  if (!Number.isFinite(value)) return '–'
  const size = Math.abs(Number(value.toPrecision(significant)))
  if (size !== 0 && (size < 1e-6 || size >= 1e9))
    return value
      .toExponential(significant - 1)
      .replace('-', MINUS)
      .replace('e+', 'e')
  const decimals = size === 0 ? significant - 1 : Math.max(0, significant - 1 - Math.floor(Math.log10(size)))
  return printNumber(Number(value.toPrecision(significant)), decimals)
}

/** A share as percent: `2.50 %`. */
export function printPercent(fraction: number, decimals = 2): string {
  return `${printNumber(fraction * 100, decimals)}${UNIT_SPACE}%`
}

/** A share in parts per million: `+1.50 ppm`. */
export function printPpm(fraction: number, decimals = 2): string {
  return `${printSigned(fraction * 1e6, decimals)}${UNIT_SPACE}ppm`
}

/** A level relative to the carrier: `−60.0 dBc`. */
export function printDbc(valueDb: number, decimals = 1): string {
  return `${printSigned(valueDb, decimals)}${UNIT_SPACE}dBc`
}

/** A standing-wave ratio: `1.50:1`. */
export function printVswr(vswr: number, decimals = 2): string {
  return `${vswr.toFixed(decimals)}:1`
}

/** A current, three digits: `45.0 mA`, `1.62 A`. */
export function printAmperes(currentA: number): string {
  return Math.abs(currentA) < 0.9995
    ? `${printSignificant(currentA * 1e3, 3)}${UNIT_SPACE}mA`
    : `${printSignificant(currentA, 3)}${UNIT_SPACE}A`
}

/** A resistance: `75.0 Ω`. */
export function printOhm(resistanceOhm: number): string {
  return `${printSignificant(resistanceOhm, 3)}${UNIT_SPACE}Ω`
}
