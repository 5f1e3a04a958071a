import type { Context } from '../../../context'
import { printDbm } from '../../../quantity'
import type { Step } from '../../../step'
import type { Coaching } from '../../coaching'
import { generatorAt } from '../generatorGuard'
import { GENERATOR } from '../paths'
import { twelveDecibelLevel } from '../twelveDecibelLevel'

const ABOVE_DB = 3

/** Where the wanted signal is to be set for the next open offset. */
export function coachStrongSignals(step: Step, context: Context): Coaching | null {
  const way = generatorAt(step, GENERATOR, step.channel.frequencyHz, context)
  if (!way) return null
  const standing = context.readingsOf(step)
  const open = step.slots.find(
    ({ id, kind, optional }) => kind.is === 'block' && !optional && !standing.has(id),
  )
  const next = open ?? step.slots.find(({ id, kind }) => kind.is === 'block' && !standing.has(id))
  const twelve = twelveDecibelLevel(step, context)
  if (!twelve)
    return {
      next: null,
      proposed: [],
      socketDbm: null,
      title: 'The 12 dB level first',
      words: [
        'The wanted signal stands 3 dB above it. Read the sensitivity of this channel, then come back.',
      ],
      isDone: false,
    }
  const socketDbm = twelve.value + ABOVE_DB
  const levelDbm = Number((socketDbm + way.lossDb).toFixed(1))
  return {
    next: next ? { slotId: next.id, role: GENERATOR, levelDbm } : null,
    proposed: step.slots
      .filter(({ applied }) => applied)
      .map(({ id }) => ({ slotId: id, role: GENERATOR, levelDbm })),
    socketDbm,
    title: open ? `Wanted at ${printDbm(levelDbm)}` : 'What is asked for is in',
    words: open
      ? [
          `3 dB above the 12 dB level of ${printDbm(twelve.value)} at the socket.`,
          'Raise the plain carrier until SINAD is back at 12 dB. ' +
            'A few channels away it may hit a spurious response: step past it.',
        ]
      : ['The least of all offsets counts; the others if wished.'],
    isDone: open === undefined,
  }
}
