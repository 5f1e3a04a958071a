import type { SignalGenerator } from './types'

/** Phase noise of a generator nobody states it of, dBc in 1 Hz at 20 kHz (common practice, no source). */
export const ASSUMED_PHASE_NOISE_DBC = { pocket: -95, laboratory: -120 } as const

/** Offset the assumed figures stand for, Hz, and how they go on: 20 dB a decade down to a floor. */
const ASSUMED_AT_HZ = 20e3
const ASSUMED_FLOOR_BELOW_DB = 30

/** Noise of a generator at an offset, and whether anybody states it. */
export interface PhaseNoise {
  dbcPerHz: number
  assumed: boolean
}

/**
 * L(offset) of a generator, dBc in 1 Hz: its table, in a line over log offset and flat beyond its ends; else a
 * typical figure, falling by 20 dB a decade to a floor.
 */
export function phaseNoiseAt(
  generator: Pick<SignalGenerator, 'phaseNoise' | 'build'>,
  offsetHz: number,
): PhaseNoise {
  const offset = Math.max(1, Math.abs(offsetHz))
  const points = [...generator.phaseNoise].sort((a, b) => a.offsetHz - b.offsetHz)
  if (points.length === 0) {
    const atReference = ASSUMED_PHASE_NOISE_DBC[generator.build]
    const slope = -20 * Math.log10(offset / ASSUMED_AT_HZ)
    return { dbcPerHz: atReference + Math.max(-ASSUMED_FLOOR_BELOW_DB, Math.min(40, slope)), assumed: true }
  }
  const above = points.findIndex(({ offsetHz: at }) => at >= offset)
  if (above === 0) return { dbcPerHz: points[0]!.dbcPerHz, assumed: false }
  if (above < 0) return { dbcPerHz: points.at(-1)!.dbcPerHz, assumed: false }
  const [from, to] = [points[above - 1]!, points[above]!]
  const way = Math.log(offset / from.offsetHz) / Math.log(to.offsetHz / from.offsetHz)
  return { dbcPerHz: from.dbcPerHz + way * (to.dbcPerHz - from.dbcPerHz), assumed: false }
}
