import { wattsFromDbm } from './power'

/** True minus sign. */
export const MINUS = '−'

/**
 * Space between a number and its unit; it does not break. The shipped faces have no non-breaking thin space,
 * so it is a plain one.
 */
export const UNIT_SPACE = '\u00a0'

/** A number with fixed decimals and the true minus sign; `–` when there is none. */
export function printNumber(value: number | null | undefined, decimals = 1): string {
  if (value === null || value === undefined || Number.isNaN(value)) return '–'
  const fixed = Math.abs(value).toFixed(decimals)
  return value < 0 && Number(fixed) !== 0 ? MINUS + fixed : fixed
}

/** As `printNumber`, with `+` in front of positive numbers. */
export function printSigned(value: number | null | undefined, decimals = 1): string {
  const plain = printNumber(value, decimals)
  return value !== null && value !== undefined && value > 0 && Number(value.toFixed(decimals)) !== 0
    ? `+${plain}`
    : plain
}

/** A level with its unit: `−16.02 dBm`. */
export function printDbm(levelDbm: number | null | undefined, decimals = 1): string {
  return `${printSigned(levelDbm, decimals)}${UNIT_SPACE}dBm`
}

/** A difference of levels: `15.5 dB`. */
export function printDb(valueDb: number | null | undefined, decimals = 1): string {
  return `${printNumber(valueDb, decimals)}${UNIT_SPACE}dB`
}

/** A margin as a person reads it: two significant digits below 10, whole dB from 20. */
export function printMargin(marginDb: number): string {
  const size = Math.abs(marginDb)
  return size.toFixed(size < 19.95 ? 1 : 0)
}

/** A 95 % half-width to two significant digits: `±1.7 dB`, `±0.12 dB`. */
export function printPlusMinus(halfWidth: number, unit = 'dB'): string {
  if (!Number.isFinite(halfWidth)) return '±?'
  const decimals = halfWidth <= 0 ? 1 : Math.max(0, Math.min(4, 1 - Math.floor(Math.log10(halfWidth))))
  return `±${halfWidth.toFixed(decimals)}${unit ? UNIT_SPACE + unit : ''}`
}

/**
 * A 95 % range whose two ends differ: `±1.7 dB` where they do not, else `+1.5 / −2.4 dB`; an open end is
 * said.
 */
export function printRange({ low, high }: { low: number; high: number }, unit = 'dB'): string {
  const tail = unit ? UNIT_SPACE + unit : ''
  if (!Number.isFinite(low)) return `at most +${twoDigits(high)}${tail}`
  if (Math.abs(high + low) <= 0.08 * (high - low)) return printPlusMinus((high - low) / 2, unit)
  return `+${twoDigits(high)} / ${MINUS}${twoDigits(-low)}${tail}`
}

function twoDigits(size: number): string {
  return printPlusMinus(size, '').slice(1)
}

const POWER_STEPS = [
  [1e3, 'kW'],
  [1, 'W'],
  [1e-3, 'mW'],
  [1e-6, 'µW'],
  [1e-9, 'nW'],
] as const

/** A power with the prefix that suits it, three significant digits: `4.37 W`, `850 mW`, `25.0 µW`. */
export function printWatts(powerW: number | null | undefined, significant = 3): string {
  if (powerW === null || powerW === undefined || Number.isNaN(powerW)) return '–'
  const [scale, unit] = POWER_STEPS.find(([step]) => powerW >= step * 0.99999) ?? [1e-12, 'pW']
  const scaled = Number((powerW / scale).toPrecision(significant))
  const decimals = Math.max(0, significant - 1 - Math.floor(Math.log10(Math.max(scaled, 1e-9)) + 1e-9))
  return `${scaled.toFixed(Math.min(decimals, 6))}${UNIT_SPACE}${unit}`
}

/** A claimed power without needless noughts: `5 W`, `2.5 W`, `500 mW`. */
export function printClaimW(powerW: number): string {
  const [scale, unit] = POWER_STEPS.find(([step]) => powerW >= step * 0.99999) ?? [1e-12, 'pW']
  return `${Number((powerW / scale).toPrecision(4))}${UNIT_SPACE}${unit}`
}

/** The power behind a level: `wattsFromDbm`, printed. */
export function printDbmAsWatts(levelDbm: number | null | undefined): string {
  return levelDbm === null || levelDbm === undefined ? '–' : printWatts(wattsFromDbm(levelDbm))
}

/** A time as one plans with it: `35 s`, `12 min`, `3 h 32 min`. */
export function printDuration(seconds: number): string {
  if (seconds < 90) return `${Math.round(seconds)}${UNIT_SPACE}s`
  const minutes = Math.round(seconds / 60)
  return minutes < 120
    ? `${minutes}${UNIT_SPACE}min`
    : `${Math.floor(minutes / 60)}${UNIT_SPACE}h ${minutes % 60}${UNIT_SPACE}min`
}

/** The figure of a frequency in MHz, at least three decimals, more when there are more: `146.520`. */
export function printMhzFigure(frequencyHz: number): string {
  const mhz = frequencyHz / 1e6
  const text = mhz.toFixed(6).replace(/0{1,3}$/, '')
  return text
}

/** A frequency in MHz with its unit: `146.520 MHz`. */
export function printMhz(frequencyHz: number): string {
  return `${printMhzFigure(frequencyHz)}${UNIT_SPACE}MHz`
}

const SCALES = [
  [1e9, 'GHz'],
  [1e6, 'MHz'],
  [1e3, 'kHz'],
  [1, 'Hz'],
] as const

const scaleOf = (frequencyHz: number) => SCALES.find(([scale]) => frequencyHz >= scale) ?? SCALES[3]

/** A frequency as short as it stays exact: `960 MHz`, `3 GHz`, `100 kHz`. */
export function printFrequencyShort(frequencyHz: number): string {
  const [scale, unit] = scaleOf(frequencyHz)
  return `${Number((frequencyHz / scale).toPrecision(7))}${UNIT_SPACE}${unit}`
}

/** From 999.5 on three digits round up to the next unit. */
function differenceScale(sizeHz: number) {
  if (sizeHz >= 999.5e3) return SCALES[1]
  return sizeHz >= 999.5 ? SCALES[2] : SCALES[3]
}

/** A frequency difference or a width, three digits: `310 Hz`, `2.35 kHz`. */
export function printHz(valueHz: number | null | undefined, significant = 3): string {
  if (valueHz === null || valueHz === undefined || Number.isNaN(valueHz)) return '–'
  const size = Math.abs(valueHz)
  const [scale, unit] = differenceScale(size)
  const scaled = size / scale
  const decimals = Math.max(
    0,
    Math.min(scale === 1 ? 1 : 6, significant - 1 - Math.floor(Math.log10(Math.max(scaled, 1)))),
  )
  return `${printNumber(valueHz / scale, decimals)}${UNIT_SPACE}${unit}`
}

/** A margin in its unit: dB without their unit, anything else with it. */
export function printMarginIn(margin: number, unit: string): string {
  if (unit === 'dB') return printMargin(margin)
  const size = Math.abs(margin)
  if (unit === 'Hz') return printHz(size, 2)
  const figure = printNumber(size, size < 10 ? 2 : 1)
  return bareRatio(unit) === '' ? figure : `${figure}${UNIT_SPACE}${unit}`
}

/** A standing-wave ratio has no unit that could be said of a difference. */
function bareRatio(unit: string): string {
  return unit === 'VSWR' ? '' : unit
}

/** The half-width of a range in its unit, two significant digits: `±310 Hz`, `±0.12 dB`, `±0.050 V`. */
export function printHalfWidth(halfWidth: number, unit: string): string {
  return unit === 'Hz' ? `±${printHz(halfWidth, 2)}` : printPlusMinus(halfWidth, bareRatio(unit))
}
