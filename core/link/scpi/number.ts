import { spelled } from '../../quantity'

const MULTIPLIERS: Readonly<Record<string, number>> = {
  ...{ HZ: 1, KHZ: 1e3, MHZ: 1e6, GHZ: 1e9 },
  ...{ V: 1, MV: 1e-3, UV: 1e-6, A: 1, MA: 1e-3, W: 1, MW: 1e-3, S: 1, MS: 1e-3 },
  ...{ DBM: 1, DB: 1, PCT: 1, OHM: 1 },
}

/** Said instead of a number that is not there (SCPI-99, volume 1, 7.2.1; from memory). */
const NOT_A_NUMBER = 9.91e37
const INFINITE = 9.9e37

/**
 * A number as an instrument writes it, or a person to one: with or without a suffix. `MHZ` is a million hertz, `MA` a
 * thousandth of an ampere.
 * @returns null where it is no number, or the instrument’s own word for none.
 */
export function scpiNumber(text: string): number | null {
  const found = /^\s*([+-]?(?:\d+\.?\d*|\.\d+)(?:[eE]\s*[+-]?\d+)?)\s*([A-Za-z]*)\s*$/.exec(text)
  if (!found) return null
  const value = Number(found[1]!.replace(/\s/g, ''))
  const factor = found[2] === '' ? 1 : spelled(MULTIPLIERS, found[2]!.toUpperCase())
  if (factor === undefined || !Number.isFinite(value)) return null
  return Math.abs(value) >= INFINITE && Math.abs(value) <= NOT_A_NUMBER ? null : value * factor
}
