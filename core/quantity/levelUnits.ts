import {
  dbmFromDbuvEmf,
  dbmFromDbuvPd,
  dbmFromVoltsPd,
  dbmFromWatts,
  EMF_OVER_PD_DB,
  voltsPdFromDbm,
  wattsFromDbm,
} from './power'

/**
 * Units in which power or level is typed and printed. Voltages stand across 50 Ω (pd) unless `emf` is
 * written.
 */
export const LEVEL_UNITS = [
  'dBm',
  'dBW',
  'kW',
  'W',
  'mW',
  'µW',
  'nW',
  'pW',
  'V',
  'mV',
  'µV',
  'V emf',
  'mV emf',
  'µV emf',
  'dBµV',
  'dBµV emf',
] as const
/** A unit a level may be typed in. */
export type LevelUnit = (typeof LEVEL_UNITS)[number]

/** How a unit goes to dBm and back. */
export interface LevelLaw {
  unit: LevelUnit
  toDbm: (value: number) => number
  fromDbm: (levelDbm: number) => number
  /** Unit that cannot be negative or zero; false for logarithmic ones. */
  linear: 'power' | 'voltage' | false
}

const power = (unit: LevelUnit, scale: number): LevelLaw => ({
  unit,
  toDbm: v => dbmFromWatts(v * scale),
  fromDbm: dbm => wattsFromDbm(dbm) / scale,
  linear: 'power',
})
const voltage = (unit: LevelUnit, scale: number): LevelLaw => ({
  unit,
  toDbm: v => dbmFromVoltsPd(v * scale),
  fromDbm: dbm => voltsPdFromDbm(dbm) / scale,
  linear: 'voltage',
})
/** emf is twice the voltage across a matched load. */
const emf = (unit: LevelUnit, scale: number): LevelLaw => voltage(unit, scale / 2)

/** How each unit becomes dBm across 50 Ω, and back. */
export const LEVEL_LAWS: Readonly<Record<LevelUnit, LevelLaw>> = {
  dBm: { unit: 'dBm', toDbm: v => v, fromDbm: v => v, linear: false },
  dBW: { unit: 'dBW', toDbm: v => v + 30, fromDbm: v => v - 30, linear: false },
  kW: power('kW', 1e3),
  W: power('W', 1),
  mW: power('mW', 1e-3),
  µW: power('µW', 1e-6),
  nW: power('nW', 1e-9),
  pW: power('pW', 1e-12),
  V: voltage('V', 1),
  mV: voltage('mV', 1e-3),
  µV: voltage('µV', 1e-6),
  'V emf': emf('V emf', 1),
  'mV emf': emf('mV emf', 1e-3),
  'µV emf': emf('µV emf', 1e-6),
  dBµV: { unit: 'dBµV', toDbm: dbmFromDbuvPd, fromDbm: dbm => dbm - dbmFromDbuvPd(0), linear: false },
  'dBµV emf': {
    unit: 'dBµV emf',
    toDbm: dbmFromDbuvEmf,
    fromDbm: dbm => dbm - dbmFromDbuvPd(0) + EMF_OVER_PD_DB,
    linear: false,
  },
}

/** A level in any unit, as a number. */
export function levelIn(unit: LevelUnit, levelDbm: number): number {
  return LEVEL_LAWS[unit].fromDbm(levelDbm)
}
