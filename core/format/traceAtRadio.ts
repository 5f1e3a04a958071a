import { chainLossAt, type Chain, type Instrument } from '../chain'
import type { TracePoints } from '../review'

/**
 * A trace taken back to the radio's socket: each point plus the chain's loss there, less the offset on
 * the instrument. Points where the loss is not known become NaN: a gap in the drawing.
 */
export function traceAtRadio(
  points: TracePoints,
  chain: Chain,
  instrument: Instrument | undefined,
): TracePoints {
  const levelsDbm = Float64Array.from(points.levelsDbm, (level, i) => {
    const loss = chainLossAt(chain, instrument, points.frequenciesHz[i]!)
    return loss.known ? level - chain.offsetOnInstrumentDb + loss.lossDb : Number.NaN
  })
  return { frequenciesHz: Float64Array.from(points.frequenciesHz), levelsDbm }
}
