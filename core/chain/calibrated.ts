import type { Calibration, Chain, LossPoint, Part } from './types'

/** A calibration swapped for a later one, because the reviewer asked to judge old readings by it. */
export interface CalibrationSwap {
  id: string
  at: string
  partId: string
  /** null: readings that were taken with the stated loss. */
  fromId: string | null
  toId: string | null
}

/** Which calibration stood for each part: part id → calibration id. Parts without one are left out. */
export type CalibrationPins = Readonly<Record<string, string>>

/** Loss found by a calibration, one point per frequency, lowest first, dB. */
export function calibrationLoss(calibration: Calibration): LossPoint[] {
  return calibration.points
    .map(({ frequencyHz, throughDbm, withPartDbm }) => ({ frequencyHz, lossDb: throughDbm - withPartDbm }))
    .sort((a, b) => a.frequencyHz - b.frequencyHz)
}

/** The calibrations a chain rests on now, to be kept with a reading taken through it. */
export function pinsOf(chain: Chain): Record<string, string> {
  return Object.fromEntries(
    chain.parts.flatMap(part => (part.calibrationId === null ? [] : [[part.id, part.calibrationId]])),
  )
}

/**
 * A chain as it is to be used: each part with the calibration that was current when a reading was taken
 * (`pins`), or that is current now (`pins` null), moved on by the swaps the reviewer asked for. A calibrated
 * part carries the measured loss as a table, known to its expanded uncertainty.
 */
export function calibratedChain(
  chain: Chain,
  input: {
    calibrations: readonly Calibration[]
    swaps: readonly CalibrationSwap[]
    pins: CalibrationPins | null
  },
): Chain {
  if (input.calibrations.length === 0) return chain
  return {
    ...chain,
    parts: chain.parts.map(part => {
      const pinned =
        input.pins === null
          ? part.calibrationId
          : standingCalibration(part.id, input.pins[part.id] ?? null, input.swaps)
      const calibration = input.calibrations.find(({ id }) => id === pinned)
      return calibration ? calibratedPart(part, calibration) : part
    }),
  }
}

/** A part with the loss a calibration found for it. */
function calibratedPart(part: Part, calibration: Calibration): Part {
  return {
    ...part,
    loss: { kind: 'table', points: calibrationLoss(calibration) },
    lossUncertainty: {
      halfWidthDb: calibration.expandedDb,
      distribution: 'normal',
      assumed: false,
      shareOfLoss: 0,
      flatnessDb: null,
    },
  }
}

/**
 * The calibration a reading of a part is judged by: the one it was pinned to, moved on by the swaps the
 * reviewer asked for.
 */
export function standingCalibration(
  partId: string,
  id: string | null,
  swaps: readonly CalibrationSwap[],
): string | null {
  let current = id
  for (const swap of swaps) if (swap.partId === partId && swap.fromId === current) current = swap.toId
  return current
}

/** Whole days between two instants, ISO. */
export function daysBetween(from: string, to: string): number {
  return Math.floor((Date.parse(to) - Date.parse(from)) / 86_400_000)
}
