import type { FigureReading, FigureUnit } from '../../review'
import type { Step } from '../contract'
import type { StationContext } from '../stationContext'

/** Figures that are read off a signal: what they were read with decides what they leave open. */
const OF_A_SIGNAL: readonly FigureUnit[] = ['Hz', 'dB', 'dBm']

/**
 * What a figure of a step is read with. A ratio or a frequency is not read with a power meter: where the
 * step’s chain ends in one, or there
 * is no chain, it is the bench’s receiver, else its analyser, if there is just one; null where nobody can
 * tell.
 */
export function readWith(
  step: Step,
  unit: FigureUnit,
  context: StationContext,
): Pick<FigureReading, 'instrumentId' | 'chainId' | 'chainRevision'> {
  const chain = context.chain(step.chainId)
  const ofChain = chain && context.instrument(chain.instrumentId)
  if (chain && ofChain && (!OF_A_SIGNAL.includes(unit) || ofChain.kind !== 'power-meter'))
    return { instrumentId: ofChain.id, chainId: chain.id, chainRevision: chain.revision }
  if (!OF_A_SIGNAL.includes(unit)) return { instrumentId: null, chainId: null, chainRevision: null }
  const only = (
    unit === 'dBm'
      ? (['spectrum-analyser', 'receiver'] as const)
      : (['receiver', 'spectrum-analyser'] as const)
  )
    .map(kind => context.review.instruments.filter(instrument => instrument.kind === kind))
    .find(found => found.length > 0)
  return { instrumentId: only?.length === 1 ? only[0]!.id : null, chainId: null, chainRevision: null }
}
