import type { BenchCheck } from '../chain'
import type { Context } from '../context'
import { chainChecks } from './chainChecks'
import { powerToExpect } from './expectedPower'
import { chainIdOf, type Step } from './step'

/** The bench checks of the chain a step uses, at the power to expect there. */
export function stepChecks(step: Step, context: Context, highestHarmonic: number): BenchCheck[] {
  const chain = context.chain(chainIdOf(step))
  if (chain) {
    const expected = powerToExpect(step.set, step.claim)
    const carrierHz = step.channel.frequencyHz
    return chainChecks(chain, { ...expected, carrierHz, place: step, highestHarmonic }, context)
  }
  return [
    {
      id: 'no-chain',
      severity: 'danger',
      title: 'No chain on the bench suits this station.',
      text: 'Add one at the bench check.',
      lamp: 'No chain for this station',
      partId: null,
    },
  ]
}
