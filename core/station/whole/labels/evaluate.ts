import { type Context, perStep } from '../../../context'
import { verdictWithout } from '../../../decision'
import {
  answerSteps,
  evaluateSlots,
  figureIn,
  NOTHING,
  observedFigure,
  observedWords,
  openSlot,
  type StationAnswer,
  workedOutFigure,
} from '../../../judging'
import { printClaimW } from '../../../quantity'
import { checkBatteryLabel, type FigureReading, type RadioSet, readBatteryLabel } from '../../../review'
import type { Slot, SlotResult, Step, StepResult } from '../../../step'
import type { StationQuestion } from '../../contract'
import { openDerived } from '../../derivedResult'
import { APPROVAL_PLACES, planLabels } from './plan'

/** Works out one set: each label a plain check, or an observation. */
export const evaluateLabels = perStep((step: Step, context: Context): StepResult => {
  return evaluateSlots(step, { slot: slot => slotResult(step, slot, context) })
})

function slotResult(step: Step, slot: Slot, context: Context): SlotResult {
  switch (slot.kind.is) {
    case 'approval':
      return slot.field.as === 'derived'
        ? approvalResult(step, slot, context)
        : observedWords(step, slot, context)
    case 'battery-label':
      return batteryResult(step, slot, context)
    case 'manual':
      return manualResult(step, slot, context)
    default:
      return observedWords(step, slot, context)
  }
}

/** Letters and figures alone: blanks, dashes and case are how it is set. */
function bare(text: string): string {
  return text
    .normalize('NFKC')
    .toUpperCase()
    .replace(/[^\p{L}\p{N}]/gu, '')
}

function approvalResult(step: Step, slot: Slot, context: Context): SlotResult {
  if (context.skipReason(step) !== null) return openSlot(step, slot, context)
  const found = APPROVAL_PLACES.flatMap(({ id, where }) => {
    const reading = figureIn(step, { id }, context)
    return reading ? [{ where, reading }] : []
  })
  const last = found.at(-1)
  if (!last || found.length < 2)
    return openDerived(slot, 'Not compared', 'The number in two places at least.')
  const numbers = new Set(found.map(({ reading }) => bare(reading.text)))
  const where = found.map(one => one.where)
  return checked(slot, last.reading, {
    holds: numbers.size === 1,
    words:
      numbers.size === 1
        ? `The same on ${where.join(' and ')}`
        : `Differs: ${found.map(one => `${one.where} ${one.reading.text}`).join(', ')}`,
    note: 'That they agree says nothing of whether it is valid: look it up where it was given.',
  })
}

function checked(
  slot: Slot,
  reading: FigureReading,
  { holds, words, note }: { holds: boolean; words: string; note: string },
): SlotResult {
  const verdict = verdictWithout(holds ? 'inside' : 'outside', note)
  return { ...NOTHING, slot, state: 'read', reading, verdict, words, notes: [note] }
}

function batteryResult(step: Step, slot: Slot, context: Context): SlotResult {
  const reading = figureIn(step, slot, context)
  if (!reading) return openSlot(step, slot, context)
  const check = checkBatteryLabel(readBatteryLabel(reading.text))
  if (check.kind === 'incomplete') return observedWords(step, slot, context)
  const holds = check.kind === 'agrees'
  return checked(slot, reading, {
    holds,
    words: holds ? 'Agrees with itself' : 'Contradicts itself',
    note: check.words,
  })
}

function manualResult(step: Step, slot: Slot, context: Context): SlotResult {
  const reading = figureIn(step, slot, context)
  if (!reading) return openSlot(step, slot, context)
  const claim = step.set.bands.find(({ id }) => id === slot.kind.bandId)?.claims[String(slot.kind.levelId)]
  if (claim?.kind !== 'watts') return observedFigure(slot, reading, { words: 'the box says none' }, context)
  const holds = reading.seen.value === claim.powerW
  const box = printClaimW(claim.powerW)
  return {
    ...checked(slot, reading, {
      holds,
      words: holds ? `The ${box} of the box` : `The box says ${box}`,
      note: 'What the box claims is what the radio is judged by.',
    }),
    // What is printed is what it is: nothing of it is left open.
    found: workedOutFigure({ value: reading.seen.value, unit: reading.seen.unit, own: [] }, context),
  }
}

/** Sums up one set: what of its labels does not agree. */
export function answerLabels(_question: StationQuestion, set: RadioSet, context: Context): StationAnswer {
  return answerSteps(
    planLabels(set, context).map(step => evaluateLabels(step, context)),
    { without: 'Nothing is planned for this set.', lead: 'approval' },
  )
}
