import {
  type Calibration,
  calibratedChain,
  type CalibrationPins,
  type CalibrationSwap,
  type Chain,
} from '../chain'
import { entryOf } from '../cache'

/** One chain with the calibrations of now, and with those of the moments its readings were taken. */
export interface CalibratedChains {
  now: Chain
  then: (pins: CalibrationPins) => Chain
}

/** Returns a chain with its calibrations; equal pins give the very same chain. */
export function calibratedChains(
  chain: Chain,
  calibrations: readonly Calibration[],
  swaps: readonly CalibrationSwap[],
): CalibratedChains {
  if (calibrations.length === 0) return { now: chain, then: () => chain }
  const byPins = new Map<string, Chain>()
  return {
    now: calibratedChain(chain, { calibrations, swaps, pins: null }),
    then: pins =>
      entryOf(byPins, JSON.stringify(pins), () => calibratedChain(chain, { calibrations, swaps, pins })),
  }
}
