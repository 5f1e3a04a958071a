import { chainLossAt, type SignalGenerator } from '../../chain'
import type { Context } from '../../context'
import type { RoleId } from '../../review'
import type { LevelGuard, Step } from '../../step'

/** Above this a level into a receiver needs a second look, dBm. */
export const SECOND_LOOK_DBM = -20

/** Where the bench has no generator: what any of them does. */
const WITHOUT: LevelGuard = {
  highestDbm: -20,
  lowestDbm: -140,
  secondLookDbm: SECOND_LOOK_DBM,
  bareUnit: 'dBm',
  voltageIs: 'pd',
}

/** The generator of a role, and what its path takes at a frequency, dB; null where there is none. */
export function generatorAt(
  { chains }: Pick<Step, 'chains'>,
  role: RoleId,
  frequencyHz: number,
  context: Context,
): { generator: SignalGenerator; lossDb: number } | null {
  const chain = context.chain(chains[role] ?? null)
  const generator = chain && context.instrument(chain.instrumentId)
  if (!chain || generator?.kind !== 'signal-generator') return null
  const loss = chainLossAt(chain, generator, frequencyHz)
  return loss.known ? { generator, lossDb: loss.lossDb } : null
}

/**
 * How far the generator of a role may be turned up.
 * @param at.highestAtSocketDbm - the highest level the step may ever bring to the radio.
 */
export function guardOf(
  place: Pick<Step, 'chains'>,
  role: RoleId,
  at: { frequencyHz: number; highestAtSocketDbm: number },
  context: Context,
): LevelGuard {
  const found = generatorAt(place, role, at.frequencyHz, context)
  if (!found) return WITHOUT
  const { generator, lossDb } = found
  return {
    highestDbm: Math.min(generator.highestDbm, at.highestAtSocketDbm + lossDb),
    lowestDbm: generator.lowestDbm,
    secondLookDbm: SECOND_LOOK_DBM,
    bareUnit: generator.setIn,
    voltageIs: generator.voltageIs,
  }
}
