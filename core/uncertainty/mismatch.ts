import { reflectionFromVswr } from '../quantity'
import { type Contribution, contribution } from './contribution'

/** 20/ln 10: dB per unit of relative voltage, to first order. */
const DB_PER_UNIT_VOLTAGE = 20 / Math.LN10

/** From this |Γ1||Γ2| on the two ports are taken exactly: 0.05 is ±0.43 dB and 0.02 dB of skew. */
const EXACT_FROM = 0.05

/** Two ports that face each other, with a loss between them. */
export interface FacingPorts {
  vswr1: number
  vswr2: number
  /** One-way loss between the two ports, dB; 0 when they touch. */
  lossBetweenDb?: number
}

/** |Γ1||Γ2| of two facing ports, less what the loss between them takes off the twice-reflected wave. */
function mismatchProduct(ports: FacingPorts): number {
  const roundTrip = 10 ** (-(2 * (ports.lossBetweenDb ?? 0)) / 20)
  return reflectionFromVswr(ports.vswr1) * reflectionFromVswr(ports.vswr2) * roundTrip
}

/**
 * Half-width of the mismatch error between two reflecting ports, dB: 8.686·|Γ1|·|Γ2|. U-shaped.
 * @see EA-4/02 M:2022, example S7 (from memory).
 */
export function mismatchHalfWidthDb(ports: FacingPorts): number {
  return DB_PER_UNIT_VOLTAGE * mismatchProduct(ports)
}

/**
 * The mismatch of two facing ports as a line of the budget: U-shaped, or exactly where the first order would
 * not do.
 */
export function mismatchContribution(
  line: { id: string; label: string; assumed?: boolean },
  ports: FacingPorts,
): Contribution {
  const parameter = mismatchProduct(ports)
  const exact = parameter >= EXACT_FROM
  return contribution({
    ...line,
    group: 'mismatch',
    distribution: exact ? 'two-ports' : 'u-shaped',
    halfWidth: DB_PER_UNIT_VOLTAGE * parameter,
    parameter: exact ? parameter : 0,
  })
}

/** The exact limits 20·log10(1 ± |Γ1||Γ2|), dB: `[low, high]`. */
export function mismatchLimitsDb(vswr1: number, vswr2: number): [number, number] {
  const product = reflectionFromVswr(vswr1) * reflectionFromVswr(vswr2)
  return [20 * Math.log10(1 - product), 20 * Math.log10(1 + product)]
}
