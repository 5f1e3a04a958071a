import type { Context } from '../../../context'
import { printDbm, printFrequencyShort } from '../../../quantity'
import type { Step } from '../../../step'
import type { Coaching } from '../../coaching'
import { generatorAt } from '../generatorGuard'
import { GENERATOR } from '../paths'
import { tunedHzAt, twelveDecibelLevel } from '../twelveDecibelLevel'
import { EN_WANTED_DBM, TIA_ABOVE_DB } from './plan'

/** Where the wanted signal is to be set for the next open side, and what is missing for it. */
export function coachNeighbour(step: Step, context: Context): Coaching | null {
  const standing = context.readingsOf(step)
  const isOpen = (school: string) => (slot: Step['slots'][number]) =>
    slot.kind.is === 'interferer' && slot.kind.school === school && !standing.has(slot.id)
  const open = step.slots.find(isOpen('tia'))
  const tunedHz = tunedHzAt(step, context)
  const way = generatorAt(step, GENERATOR, step.channel.frequencyHz, context)
  if (!way) return null
  const twelve = twelveDecibelLevel(step, context)
  if (!open) return after(step, step.slots.find(isOpen('en'))?.id ?? null, way.lossDb)
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
  const socketDbm = twelve.value + TIA_ABOVE_DB
  const levelDbm = Number((socketDbm + way.lossDb).toFixed(1))
  const off = tunedHz - step.channel.frequencyHz
  return {
    next: { slotId: open.id, role: GENERATOR, levelDbm },
    proposed: step.slots
      .filter(({ kind }) => kind.school === 'tia' || kind.is === 'pads')
      .map(({ id }) => ({ slotId: id, role: GENERATOR, levelDbm })),
    socketDbm,
    title: `Wanted at ${printDbm(levelDbm)}`,
    words: [
      `3 dB above the 12 dB level of ${printDbm(twelve.value)} at the socket.`,
      ...(off === 0
        ? []
        : [
            `The receiver hears best ${printFrequencyShort(Math.abs(off))} ` +
              `${off > 0 ? 'above' : 'below'} the channel: move both generators with it.`,
          ]),
      'Raise the interferer until SINAD is back at 12 dB, and type its level.',
    ],
    isDone: false,
  }
}

function after(step: Step, enSlotId: string | null, lossDb: number): Coaching {
  const levelDbm = Number((EN_WANTED_DBM + lossDb).toFixed(1))
  return {
    next: enSlotId === null ? null : { slotId: enSlotId, role: GENERATOR, levelDbm },
    proposed: step.slots
      .filter(({ kind }) => kind.school === 'en')
      .map(({ id }) => ({ slotId: id, role: GENERATOR, levelDbm })),
    socketDbm: enSlotId === null ? null : EN_WANTED_DBM,
    title: 'Both sides are in',
    words: [
      enSlotId === null
        ? 'The lower of both counts.'
        : `If wished, the other school: wanted at ${printDbm(levelDbm)}, until 14 dB psophometric. ` +
          'Another quantity, never compared.',
    ],
    isDone: true,
  }
}
