import type { SimulatedCarrier } from './simulatedFmReceiver'

/** A generator whose faults are known. */
export interface SimulatedGenerator {
  /** What it gives less what it shows, dB. */
  levelErrorDb: number
  /** Noise beside its carrier, dBc in 1 Hz. */
  phaseNoiseDbc: number
  /** What leaks around its attenuator and cable to the radio, whatever it is set to, dBm; null: nothing. */
  leakDbm: number | null
}

/** How a generator is set. */
export interface GeneratorSetting {
  shownDbm: number
  offsetHz: number
  toneHz: number
  deviationHz: number
}

/**
 * What of a generator reaches a radio: its carrier through a path, and what leaks past both. Both carry the same
 * modulation, so a leak sounds like the signal itself.
 * @param lossDb - what the path takes; null: the cable is off, and only the leak is left.
 */
export function carriersOf(
  { levelErrorDb, phaseNoiseDbc, leakDbm }: SimulatedGenerator,
  { shownDbm, ...signal }: GeneratorSetting,
  lossDb: number | null,
): SimulatedCarrier[] {
  const through =
    lossDb === null ? [] : [{ ...signal, levelDbm: shownDbm + levelErrorDb - lossDb, phaseNoiseDbc }]
  const leaked = leakDbm === null ? [] : [{ ...signal, levelDbm: leakDbm, phaseNoiseDbc }]
  return [...through, ...leaked]
}
