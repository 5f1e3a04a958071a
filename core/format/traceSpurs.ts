import type { TracePoints } from '../review'
import { TraceNoise } from './traceNoise'

/** A spur in a trace that is no harmonic. */
export interface TraceSpur {
  frequencyHz: number
  levelDbm: number
  aboveFloorDb: number
}

/** Where spurs are looked for, and what they must stand out of. */
export interface TraceSpursInput {
  carrierHz: number
  /** Bandwidth the modulation needs, Hz: out to 2.5 times that either side of the carrier is left out. */
  necessaryBandwidthHz: number
  resolutionBandwidthHz: number | null
  floorDbm: number
  highestHarmonic: number
}

/** A spur must stand this far above the noise, dB, and above what noise alone reaches once in so many traces. */
const LEAST_ABOVE_FLOOR_DB = 10
const FALSE_SPUR = 1 / 20
/** Noise is looked at in stretches of so many points: its neighbours hang together behind a filter. */
const STRETCH = 10
const MOST = 12

/**
 * Peaks of a trace outside ±250 % of the necessary bandwidth of the carrier, and away from its harmonics; the
 * strongest first.
 * @see ITU-R SM.329 (from memory).
 */
export function traceSpurs(points: TracePoints, input: TraceSpursInput): TraceSpur[] {
  const { carrierHz, necessaryBandwidthHz, resolutionBandwidthHz, floorDbm, highestHarmonic } = input
  const { frequenciesHz, levelsDbm } = points
  const stepHz =
    frequenciesHz.length > 1 ? (frequenciesHz.at(-1)! - frequenciesHz[0]!) / (frequenciesHz.length - 1) : 0
  const skirtHz = Math.max(3 * (resolutionBandwidthHz ?? 0), 2 * stepHz)
  const noise = new TraceNoise(levelsDbm)
  const falseEach = FALSE_SPUR / Math.max(1, noise.stretchesOf(STRETCH))
  const found: TraceSpur[] = []
  for (let i = 1; i < frequenciesHz.length - 1; i++) {
    const levelDbm = levelsDbm[i]!
    if (
      levelDbm < floorDbm + LEAST_ABOVE_FLOOR_DB ||
      levelDbm < levelsDbm[i - 1]! ||
      levelDbm <= levelsDbm[i + 1]!
    )
      continue
    const frequencyHz = frequenciesHz[i]!
    if (Math.abs(frequencyHz - carrierHz) <= Math.max(2.5 * necessaryBandwidthHz, 2 * skirtHz)) continue
    const harmonic = Math.round(frequencyHz / carrierHz)
    if (
      harmonic >= 1 &&
      harmonic <= highestHarmonic &&
      Math.abs(frequencyHz - harmonic * carrierHz) <= Math.max(2.5 * necessaryBandwidthHz, skirtHz)
    )
      continue
    if (levelDbm <= noise.highestNear(i, STRETCH, falseEach)) continue
    found.push({ frequencyHz, levelDbm, aboveFloorDb: levelDbm - floorDbm })
  }
  found.sort((a, b) => b.levelDbm - a.levelDbm)
  const apart: TraceSpur[] = []
  for (const spur of found)
    if (
      apart.length < MOST &&
      !apart.some(other => Math.abs(other.frequencyHz - spur.frequencyHz) < 2 * skirtHz)
    )
      apart.push(spur)
  return apart
}
