import type { Context } from '../../../context'
import { printAmperes, printNumber, UNIT_SPACE } from '../../../quantity'
import { checkBatteryLabel, type FigureReading } from '../../../review'
import type { Question, SlotResult, Step } from '../../../step'
import { readCurrents } from './currents'

/** More than this no lithium cell holds (common practice, no source): Wh/kg and Wh/l. */
export const DENSEST = { 'by-weight': 300, 'by-volume': 750 } as const

/** An amplifier for a handheld or a mobile seldom does better, % (common practice, no source). */
const MOST_EFFICIENT_PERCENT = 75

/** What looks wrong of a set’s currents and its pack. */
export function batteryQuestions(step: Step, slots: readonly SlotResult[], context: Context): Question[] {
  return [
    ...orderQuestions(step, context),
    ...densityQuestions(slots),
    ...efficiencyQuestions(slots),
    ...labelQuestions(step, slots),
  ]
}

interface Drawn {
  slotId: string
  what: string
  currentA: number
}

/** Waiting draws least, then receiving, then transmitting. */
function orderQuestions(step: Step, context: Context): Question[] {
  const { standby, squelched, audio, transmit } = readCurrents(step, context)
  const heard = [
    drawn('standby', 'waiting', standby),
    drawn('squelched', 'squelched', squelched),
    drawn('audio', 'receiving with audio', audio),
  ].flat()
  const keyed = transmit.flatMap(({ slotId, label, reading }) => drawn(slotId, label.toLowerCase(), reading))
  const pairs = [
    ...heard.slice(1).map((more, i) => ({ less: heard[i]!, more })),
    ...keyed.flatMap(more => heard.slice(-1).map(less => ({ less, more }))),
  ]
  return pairs
    .filter(({ less, more }) => less.currentA > more.currentA)
    .map(({ less, more }) => ({
      slotId: more.slotId,
      words:
        `${printAmperes(less.currentA)} ${less.what} is more than ${printAmperes(more.currentA)} ` +
        `${more.what}. mA typed as A, or the two mixed up?`,
    }))
}

function drawn(slotId: string, what: string, reading: FigureReading | null): Drawn[] {
  return reading ? [{ slotId, what, currentA: reading.seen.value }] : []
}

function densityQuestions(slots: readonly SlotResult[]): Question[] {
  return slots.flatMap(({ slot, found }) => {
    const most = slot.kind.is === 'by-weight' || slot.kind.is === 'by-volume' ? DENSEST[slot.kind.is] : null
    return most !== null && found && found.value > most
      ? [
          {
            slotId: slot.id,
            words:
              `${printNumber(found.value, 0)}${UNIT_SPACE}${found.unit} by its label is more than any ` +
              `lithium cell holds (${most}). Is the label to be believed? A discharge tells.`,
          },
        ]
      : []
  })
}

function efficiencyQuestions(slots: readonly SlotResult[]): Question[] {
  const efficiency = slots.find(({ slot }) => slot.kind.is === 'efficiency')
  return efficiency?.found && efficiency.found.value > MOST_EFFICIENT_PERCENT
    ? [
        {
          slotId: efficiency.slot.id,
          words:
            `${printNumber(efficiency.found.value, 0)} % of the supply leaves the socket: ` +
            `more than a transmitter does (${MOST_EFFICIENT_PERCENT} % at most, common practice). ` +
            'Were current and power read at one level?',
        },
      ]
    : []
}

function labelQuestions({ set }: Step, slots: readonly SlotResult[]): Question[] {
  const label = checkBatteryLabel(set.battery)
  const about = slots.find(({ slot }) => slot.kind.is === 'capacity')
  return about && label.kind === 'disagrees'
    ? [{ slotId: about.slot.id, words: `The label contradicts itself: ${label.words}` }]
    : []
}
