import { type Context, perStep } from '../../../context'
import { verdictWithout } from '../../../decision'
import {
  answerSteps,
  evaluateSlots,
  figureIn,
  levelIn,
  NOTHING,
  observedFigure,
  observedLevel,
  openSlot,
  type StationAnswer,
  workedOutFigure,
} from '../../../judging'
import { printDb, printDbm, printNumber, printSigned } from '../../../quantity'
import type { LevelReading, RadioSet } from '../../../review'
import {
  correctReading,
  isCorrected,
  type Slot,
  type SlotResult,
  type Step,
  type StepResult,
} from '../../../step'
import type { StationQuestion } from '../../contract'
import { openDerived } from '../../derivedResult'
import { GENERATOR } from '../../receive/paths'
import { planDisplay } from './plan'

/** S9, dBm at the socket: −93 above 30 MHz, −73 below; 6 dB a step (IARU Region 1, R.1, from memory). */
export function sNineDbm(frequencyHz: number): number {
  return frequencyHz < 30e6 ? -73 : -93
}

/** What a step of an S-meter is meant to be, dB. */
export const S_STEP_DB = 6

/** Works out one step: what a display shows of power, or of a signal. */
export const evaluateDisplay = perStep((step: Step, context: Context): StepResult => {
  return evaluateSlots(step, {
    slot: slot => slotResult(step, slot, context),
    summary: slots => {
      const leading = slots.find(({ slot, state }) => slot.field.as === 'derived' && state === 'read')
      return leading ? { verdict: leading.verdict, words: leading.words } : null
    },
  })
})

function slotResult(step: Step, slot: Slot, context: Context): SlotResult {
  switch (slot.kind.is) {
    case 'follows-power':
      return followsPower(step, slot, context)
    case 'per-step':
      return sUnitStep(step, slot, context)
    case 's-step':
      return stepResult(step, slot, context)
    default: {
      const figure = figureIn(step, slot, context)
      return figure
        ? observedFigure(slot, figure, { words: 'as shown' }, context)
        : openSlot(step, slot, context)
    }
  }
}

/** A bar that stands still while the power changes is a picture. */
function followsPower(step: Step, slot: Slot, context: Context): SlotResult {
  if (context.skipReason(step) !== null) return openSlot(step, slot, context)
  const read = step.slots.flatMap(one => {
    const reading = one.kind.is === 'bars' ? figureIn(step, one, context) : null
    return reading ? [{ reading, bars: reading.seen.value }] : []
  })
  const last = read.at(-1)
  if (!last || read.length < 2)
    return openDerived(
      slot,
      'Not known',
      'Bars at two power levels at least; a set of one level cannot tell.',
    )
  const bars = read.map(one => one.bars)
  const moves = new Set(bars).size > 1
  const shown = bars.map(one => printNumber(one, Number.isInteger(one) ? 0 : 1)).join(', ')
  return {
    ...NOTHING,
    slot,
    state: 'read',
    reading: last.reading,
    verdict: verdictWithout('observation', 'Bars against power levels.'),
    words: moves
      ? `It moves with power: ${shown}`
      : `It stays at ${shown.split(',')[0]}: a picture, not a meter`,
  }
}

interface Shown {
  s: number
  overDb: number
  socketDbm: number
  reading: LevelReading
}

/** Levels at the socket at which the display reached its steps, from low to high. */
function shownOf(step: Step, context: Context): Shown[] {
  return step.slots.flatMap(slot => {
    const reading = slot.kind.is === 's-step' ? levelIn(step, slot, context) : null
    const found = reading && correctReading(reading, context, { role: GENERATOR, signal: 'to-radio' })
    return reading && found && isCorrected(found)
      ? [{ s: Number(slot.kind.s), overDb: Number(slot.kind.overDb), socketDbm: found.value, reading }]
      : []
  })
}

/** What a step really is, on average from the lowest that was read to S9: the generator’s own error cancels. */
function sUnitStep(step: Step, slot: Slot, context: Context): SlotResult {
  if (context.skipReason(step) !== null) return openSlot(step, slot, context)
  const units = shownOf(step, context).filter(({ overDb }) => overDb === 0)
  const [lowest, highest] = [units[0], units.at(-1)]
  if (!lowest || !highest || lowest === highest)
    return openDerived(slot, 'Not known', 'The levels of two of its steps.')
  const steps = highest.s - lowest.s
  const value = (highest.socketDbm - lowest.socketDbm) / steps
  const digitDb = Math.hypot(lowest.reading.seen.resolutionDb, highest.reading.seen.resolutionDb) / 2 / steps
  const found = workedOutFigure(
    {
      value,
      unit: 'dB',
      own: [
        {
          id: 'digit',
          group: 'resolution',
          label: 'Last digits of the levels',
          distribution: 'rectangular',
          halfWidth: digitDb,
        },
      ],
    },
    context,
  )
  return {
    ...NOTHING,
    slot,
    state: 'read',
    reading: highest.reading,
    found,
    verdict: verdictWithout('observation', null),
    words: `S${lowest.s} to S${highest.s}; ${S_STEP_DB} dB are meant`,
    notes: ['On average between the lowest and the highest that was read; the generator’s error cancels.'],
  }
}

function stepResult(step: Step, slot: Slot, context: Context): SlotResult {
  const meantDbm =
    sNineDbm(slot.frequencyHz) + S_STEP_DB * (Number(slot.kind.s) - 9) + Number(slot.kind.overDb)
  return observedLevel(
    step,
    slot,
    ({ value }) => `${printSigned(value - meantDbm, 1)} dB against ${printDbm(meantDbm, 0)}`,
    context,
  )
}

/** Sums up one set: whether its bar is a meter, and what its steps are. */
export function answerDisplay(_question: StationQuestion, set: RadioSet, context: Context): StationAnswer {
  const results = planDisplay(set, context).map(step => evaluateDisplay(step, context))
  const answer = answerSteps(results, { without: 'Nothing is planned for this set.', lead: 'follows-power' })
  const words = results.flatMap(({ slots }) =>
    slots.flatMap(({ slot, state, words: said, found }) => {
      if (slot.field.as !== 'derived' || state !== 'read') return []
      return found ? [`a step is ${printDb(found.value)}`] : [said]
    }),
  )
  return answer.gap === null && words.length > 0 ? { ...answer, words: words.join('; ') } : answer
}
