import { assertPositive } from '../errors'

/** Reference impedance of every level in this product, Ω. */
export const REFERENCE_OHM = 50

/** emf is twice the voltage across a matched load: 20·log10(2) dB. */
export const EMF_OVER_PD_DB = 20 * Math.log10(2)

/**
 * Level in dBm of a power in W. 1 mW is 0 dBm, 5 W is 36.99 dBm.
 * @throws CoreError `not-positive` for zero, negative or NaN power.
 */
export function dbmFromWatts(powerW: number): number {
  assertPositive('Power in W', powerW)
  return 10 * Math.log10(powerW) + 30
}

/** Power in W of a level in dBm. NaN in gives NaN out. 30 dBm is 1 W. */
export function wattsFromDbm(levelDbm: number): number {
  return 10 ** ((levelDbm - 30) / 10)
}

/**
 * Level in dBm of a voltage across 50 Ω (pd, potential difference), V. 1 µV is −106.99 dBm.
 * @throws CoreError `not-positive`.
 */
export function dbmFromVoltsPd(voltagePdV: number): number {
  assertPositive('Voltage in V', voltagePdV)
  return dbmFromWatts((voltagePdV * voltagePdV) / REFERENCE_OHM)
}

/** Voltage across 50 Ω (pd) in V of a level in dBm. −107 dBm is 0.999 µV. */
export function voltsPdFromDbm(levelDbm: number): number {
  return Math.sqrt(wattsFromDbm(levelDbm) * REFERENCE_OHM)
}

/** Level in dBm of a level in dBµV pd in 50 Ω. 0 dBµV is −106.99 dBm. */
export function dbmFromDbuvPd(levelDbuvPd: number): number {
  return levelDbuvPd + dbmFromVoltsPd(1e-6)
}

/** Level in dBm of a level in dBµV emf in 50 Ω. +6 dBµV emf is −107.01 dBm. */
export function dbmFromDbuvEmf(levelDbuvEmf: number): number {
  return dbmFromDbuvPd(levelDbuvEmf - EMF_OVER_PD_DB)
}

/**
 * Power ratio in dB. 35 W against 50 W is −1.55 dB.
 * @throws CoreError `not-positive`.
 */
export function dbFromPowerRatio(numeratorW: number, denominatorW: number): number {
  return dbmFromWatts(numeratorW) - dbmFromWatts(denominatorW)
}
