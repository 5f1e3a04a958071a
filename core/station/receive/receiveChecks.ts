import type { BenchCheck } from '../../chain'
import type { Context } from '../../context'
import { chainChecks, powerToExpect, type Roles, type Step } from '../../step'

/** The bench checks of every chain a step hears through: what a keyed radio would do to each generator. */
export function receiveChecks(step: Step, roles: Roles, context: Context): BenchCheck[] {
  return Object.entries(roles).flatMap(([id, role]): BenchCheck[] => {
    const chain = context.chain(step.chains[id] ?? null)
    if (chain) {
      const expected = powerToExpect(step.set, step.claim)
      const at = { ...expected, carrierHz: step.channel.frequencyHz, place: step, highestHarmonic: 1 }
      return chainChecks(chain, at, context).map(check => ({ ...check, id: `${id}:${check.id}` }))
    }
    if (role.optional) return []
    return [
      {
        id: `${id}:no-chain`,
        severity: 'danger',
        title: `No path on the bench leads from a generator to the radio.`,
        text: 'Add a signal generator and a chain for it at the bench check.',
        lamp: 'No generator for this station',
        partId: null,
      },
    ]
  })
}
