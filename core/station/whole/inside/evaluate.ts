import { type Context, perStep } from '../../../context'
import { verdictWithout } from '../../../decision'
import {
  answerSteps,
  evaluateSlots,
  figureIn,
  foundFigure,
  NOTHING,
  noAnswer,
  observedFigure,
  openSlot,
  type StationAnswer,
} from '../../../judging'
import { printHz, printWatts, wattsFromDbm } from '../../../quantity'
import type { FigureReading, RadioSet, Reading } from '../../../review'
import {
  type Found,
  isCorrected,
  isLevel,
  type Slot,
  type SlotResult,
  type Step,
  type StepResult,
} from '../../../step'
import type { StationQuestion } from '../../contract'
import { openDerived } from '../../derivedResult'
import { correctCarrier } from '../../transmit/correctCarrier'
import { type Adjustable, adjustables } from './adjustable'
import { insideMemo } from './memo'
import { type MomentInside, planInside } from './plan'

/** Works out one set: what it made before, while it was adjusted, and after. */
export const evaluateInside = perStep((step: Step, context: Context): StepResult => {
  return evaluateSlots(step, {
    slot: slot => slotResult(step, slot, context),
    summary: () => {
      const changes = changesOf(step.set, context)
      return changes.length > 0
        ? {
            verdict: verdictWithout('observation', null),
            words: changes.map(({ words }) => words).join('; '),
          }
        : null
    },
  })
})

function slotResult(step: Step, slot: Slot, context: Context): SlotResult {
  if (slot.kind.is !== 'paired') {
    const figure = figureIn(step, slot, context)
    if (!figure) return openSlot(step, slot, context)
    return observedFigure(
      slot,
      figure,
      { words: figure.seen.unit === 'words' ? figure.text : 'as read' },
      context,
    )
  }
  if (context.skipReason(step) !== null) return openSlot(step, slot, context)
  const adjustable = adjustables(step.set, context).find(({ id }) => id === slot.kind.of)
  const paired = adjustable && pairedReading(adjustable, slot.kind.moment as MomentInside, context)
  if (!paired) return openDerived(slot, 'Not read', WHERE[slot.kind.moment as MomentInside])
  return {
    ...NOTHING,
    slot,
    state: 'read',
    reading: paired.reading,
    found: paired.found,
    verdict: verdictWithout('observation', 'Paired from another station.'),
    words: paired.words,
    notes: paired.found.notes,
  }
}

const WHERE: Readonly<Record<MomentInside, string>> = {
  before: 'Nothing stood at its own station when the adjusting was begun.',
  adjusted: 'Nothing was read at its own station while it was adjusted.',
  after: 'Say that it is done, and read it at its own station once more.',
}

/** A reading of another station as one of a pair. */
export interface Paired {
  reading: Reading
  found: Found
  /** W or Hz. */
  value: number
  words: string
}

/** The last reading of what is adjusted within a moment; null where there is none, or it cannot be corrected. */
export function pairedReading(
  { step, slotId, what }: Adjustable,
  moment: MomentInside,
  context: Context,
): Paired | null {
  const memo = insideMemo(step.set, context)
  if (!memo) return null
  const reading = context.review.readings.findLast(
    one =>
      one.setId === step.set.id &&
      one.stepId === step.id &&
      one.slot === slotId &&
      momentOf(one.at, memo) === moment,
  )
  if (!reading) return null
  return what === 'power' ? pairedPower(reading, step, context) : pairedSwing(reading, context)
}

function momentOf(at: string, { begunAt, doneAt }: { begunAt: string; doneAt: string | null }): MomentInside {
  const time = Date.parse(at)
  if (time <= Date.parse(begunAt)) return 'before'
  return doneAt !== null && time > Date.parse(doneAt) ? 'after' : 'adjusted'
}

function pairedPower(reading: Reading, step: Step, context: Context): Paired | null {
  const found = isLevel(reading) ? correctCarrier(reading, step, context) : null
  if (!found || !isCorrected(found)) return null
  const value = wattsFromDbm(found.value)
  return { reading, found, value, words: printWatts(value) }
}

function pairedSwing(reading: Reading, context: Context): Paired | null {
  if (reading.seen.as !== 'figure') return null
  const found = foundFigure(reading as FigureReading, { own: [] }, context)
  return { reading, found, value: found.value, words: printHz(found.value, 3) }
}

/** What an adjustment changed: from what, to what. */
export interface InsideChange {
  adjustable: Adjustable
  before: Paired | null
  /** The latest since it was begun. */
  now: Paired
  words: string
}

/** Everything that was read since an adjustment was begun, beside what stood before. */
export function changesOf(set: RadioSet, context: Context): InsideChange[] {
  return adjustables(set, context).flatMap(adjustable => {
    const before = pairedReading(adjustable, 'before', context)
    const now = pairedReading(adjustable, 'after', context) ?? pairedReading(adjustable, 'adjusted', context)
    if (!now) return []
    const what = adjustable.what === 'power' ? 'Power' : 'Deviation'
    const from = before ? `${before.words} before, ` : ''
    return [{ adjustable, before, now, words: `${what} on ${adjustable.band.name}: ${from}${now.words} now` }]
  })
}

/** Sums up one set: what was changed inside it. */
export function answerInside(_question: StationQuestion, set: RadioSet, context: Context): StationAnswer {
  if (insideMemo(set, context) === null)
    return noAnswer('open', { why: 'Nothing was adjusted.', words: 'Not adjusted', detail: 'as it came' })
  const results = planInside(set, context).map(step => evaluateInside(step, context))
  const answer = answerSteps(results, { without: 'Nothing is planned for this set.' })
  const [result] = results
  return result && answer.gap === null ? { ...answer, words: result.words } : answer
}
