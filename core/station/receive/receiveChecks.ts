import type { BenchCheck } from '../../chain'
import type { Context } from '../../context'
import { printDbm } from '../../quantity'
import { chainChecks, type Roles, type Step } from '../../step'
import { mostPower } from './reversePower'

/** The bench checks of every chain a step hears through: what a keyed radio would do to each generator. */
export function receiveChecks(step: Step, roles: Roles, context: Context): BenchCheck[] {
  return [...readyChecks(step), ...ofChains(step, roles, context)].sort(
    (a, b) => SEVERITIES.indexOf(a.severity) - SEVERITIES.indexOf(b.severity),
  )
}

const SEVERITIES: readonly BenchCheck['severity'][] = ['danger', 'caution', 'ok', 'note']

/** What the going over to receiving saw to, and how far the step may turn a generator up. */
function readyChecks({ set, slots }: Step): BenchCheck[] {
  const isReady = set.readyFor?.work === 'hears'
  const guards = slots.flatMap(({ field, applied = [] }) => [
    ...(field.as === 'level' && field.guard ? [field.guard] : []),
    ...applied.map(({ guard }) => guard),
  ])
  const highest = Math.max(...guards.map(({ highestDbm }) => highestDbm))
  return [
    {
      id: 'ready',
      severity: isReady ? 'ok' : 'caution',
      title: isReady
        ? 'Microphone unplugged and push-to-talk blocked, as ticked when it went over to receiving.'
        : 'The radio was not made ready to receive.',
      text: isReady ? '' : 'Go over to receiving first: microphone, push-to-talk, pads.',
      lamp: isReady ? 'Microphone unplugged, PTT blocked' : 'Not made ready to receive',
      partId: null,
    },
    ...(Number.isFinite(highest)
      ? [
          {
            id: 'highest',
            severity: 'ok' as const,
            title: `No generator is set above ${printDbm(highest, 0)} in this step.`,
            text: '',
            lamp: `Generator ${printDbm(highest, 0)} at most`,
            partId: null,
          },
        ]
      : []),
  ]
}

function ofChains(step: Step, roles: Roles, context: Context): BenchCheck[] {
  return Object.entries(roles).flatMap(([id, role]): BenchCheck[] => {
    const chain = context.chain(step.chains[id] ?? null)
    if (chain) {
      const expected = mostPower(step.set, step.claim)
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
