import { reflectionFromVswr } from '../quantity'

/** 20/ln 10: dB per unit of relative voltage, to first order. */
const DB_PER_UNIT_VOLTAGE = 20 / Math.LN10

/**
 * Half-width of the mismatch error between two reflecting ports, dB: 8.686·|Γ1|·|Γ2|, less what a
 * loss between them takes off the twice-reflected wave. U-shaped.
 * @param lossBetweenDb - one-way loss between the two ports, dB; 0 when they touch.
 * @see EA-4/02 M:2022, example S7 (from memory).
 */
export function mismatchHalfWidthDb(ports: { vswr1: number; vswr2: number; lossBetweenDb?: number }): number {
  const roundTrip = 10 ** (-(2 * (ports.lossBetweenDb ?? 0)) / 20)
  return DB_PER_UNIT_VOLTAGE * reflectionFromVswr(ports.vswr1) * reflectionFromVswr(ports.vswr2) * roundTrip
}

/** The exact limits 20·log10(1 ± |Γ1||Γ2|), dB: `[low, high]`. */
export function mismatchLimitsDb(vswr1: number, vswr2: number): [number, number] {
  const product = reflectionFromVswr(vswr1) * reflectionFromVswr(vswr2)
  return [20 * Math.log10(1 - product), 20 * Math.log10(1 + product)]
}
