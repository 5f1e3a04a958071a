import { type Instrument, pinsOf } from '../chain'
import type { Context } from '../context'
import type { FigureUnit } from '../quantity'
import type { Reading, RoleId, Through } from '../review'
import { chainIdOf, INSTRUMENT_ROLE, type Step } from './step'

/** What a reading was taken with and through. */
export type ReadWith = Pick<Reading, 'instrumentId' | 'through'>

/** Figures that are read off a signal: what they were read with decides what they leave open. */
const OF_A_SIGNAL: readonly FigureUnit[] = ['Hz', 'dB', 'dBm']

/** Kinds that tell a figure of a signal, the likelier first. */
const RECEIVERS: readonly Instrument['kind'][] = ['receiver', 'spectrum-analyser']
const ANALYSERS: readonly Instrument['kind'][] = ['spectrum-analyser', 'receiver']

/**
 * What a figure of a step is read with. A ratio or a frequency is not read with a power meter: where the
 * step’s chain ends in one, or there is no chain, it is the bench’s receiver, else its analyser, if there is
 * just one; null where nobody can tell.
 */
export function readWith(
  step: Step,
  unit: FigureUnit,
  context: Context,
  role: RoleId | null = null,
): ReadWith {
  if (step.work === 'hears') return readAtAudio(step, role, context)
  const chain = context.chain(chainIdOf(step))
  const ofChain = chain && context.instrument(chain.instrumentId)
  const isOfSignal = OF_A_SIGNAL.includes(unit)
  if (chain && ofChain && (!isOfSignal || ofChain.kind !== 'power-meter'))
    return {
      instrumentId: ofChain.id,
      through: { [INSTRUMENT_ROLE]: { ...throughNow(chain), calibrationIds: {} } },
    }
  if (!isOfSignal) return { instrumentId: null, through: {} }
  const only = (unit === 'dBm' ? ANALYSERS : RECEIVERS)
    .map(kind => context.review.instruments.filter(instrument => instrument.kind === kind))
    .find(found => found.length > 0)
  return { instrumentId: only?.length === 1 ? only[0]!.id : null, through: {} }
}

/** A figure of what a radio hears is read with what its role ends in; with nothing known where it has none. */
function readAtAudio(step: Step, role: RoleId | null, context: Context): ReadWith {
  return (role !== null && readThrough(step, role, context)) || { instrumentId: null, through: {} }
}

/** What a level of a step is read with and through, in one of its roles; null where no chain suits. */
export function readThrough(step: Step, role: RoleId, context: Context): ReadWith | null {
  const chain = context.chain(step.chains[role] ?? null)
  return chain ? { instrumentId: chain.instrumentId, through: { [role]: throughNow(chain) } } : null
}

function throughNow(chain: Parameters<typeof pinsOf>[0]): Through {
  return { chainId: chain.id, chainRevision: chain.revision, calibrationIds: pinsOf(chain) }
}
