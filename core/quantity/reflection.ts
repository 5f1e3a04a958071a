import { assertInRange } from '../errors'

const LARGEST_VSWR = 1e6

/**
 * Magnitude of the reflection coefficient, 0 to 1: (VSWR − 1)/(VSWR + 1).
 * @throws CoreError `out-of-range` below VSWR 1.
 */
export function reflectionFromVswr(vswr: number): number {
  assertInRange('VSWR', vswr, 1, LARGEST_VSWR)
  return (vswr - 1) / (vswr + 1)
}

/** Return loss in dB, −20·log10|Γ|; infinite for VSWR 1. VSWR 2 is 9.54 dB. */
export function returnLossDbFromVswr(vswr: number): number {
  return -20 * Math.log10(reflectionFromVswr(vswr))
}

/** Power lost to reflection in dB, −10·log10(1 − |Γ|²). VSWR 2 is 0.512 dB. */
export function mismatchLossDbFromVswr(vswr: number): number {
  const reflection = reflectionFromVswr(vswr)
  return -10 * Math.log10(1 - reflection * reflection)
}

/** VSWR of a reflection |Γ|, 0 to just under 1. */
export function vswrFromReflection(reflection: number): number {
  return (1 + reflection) / (1 - reflection)
}

/** VSWR of a return loss in dB, above 0. 9.54 dB is 2. */
export function vswrFromReturnLossDb(returnLossDb: number): number {
  return vswrFromReflection(10 ** (-returnLossDb / 20))
}
