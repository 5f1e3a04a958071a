import { type Context, perStep } from '../../../context'
import { verdictWithout } from '../../../decision'
import {
  answerSteps,
  evaluateSlots,
  figureIn,
  noAnswer,
  observedFigure,
  observedLevel,
  openSlot,
  type StationAnswer,
} from '../../../judging'
import { printDb, printWatts, wattsFromDbm } from '../../../quantity'
import type { RadioSet } from '../../../review'
import type { Slot, SlotResult, Step, StepResult } from '../../../step'
import { budget, ratioContributions } from '../../../uncertainty'
import type { StationQuestion } from '../../contract'
import { planStress, stressConsent } from './plan'

/** Change of power that repeating the reading alone may bring, dB (common practice, no source). */
const REPEATABILITY_DB = 0.2

/** Shows one step: what was done, and the power before and after. */
export const evaluateStress = perStep((step: Step, context: Context): StepResult => {
  return evaluateSlots(step, {
    summary: slots => {
      const change = powerChange(slots, context)
      return change && { verdict: verdictWithout('observation', null), words: change.words }
    },
    slot: slot => slotResult(step, slot, context),
  })
})

function slotResult(step: Step, slot: Slot, context: Context): SlotResult {
  if (slot.field.as === 'level')
    return observedLevel(step, slot, ({ value }) => printWatts(wattsFromDbm(value)), context)
  const figure = figureIn(step, slot, context)
  const isMark = slot.field.as === 'mark'
  if (!figure || (isMark && figure.seen.value === 0)) return openSlot(step, slot, context)
  const words = isMark ? `done ${figure.at.slice(0, 10)}` : figure.text
  return observedFigure(slot, figure, { words }, context)
}

/** How the power changed from before to after. */
export interface PowerChange {
  changeDb: number
  /** More than repeating the readings explains. */
  changed: boolean
  words: string
}

/**
 * Before against after through one chain: what both share cancels; more than repeating would bring is a
 * change. null before both are read.
 */
export function powerChange(slots: readonly SlotResult[], context: Context): PowerChange | null {
  const at = (is: string) => slots.find(({ slot }) => slot.kind.is === is)?.found
  const [before, after] = [at('before'), at('after')]
  if (!before || !after) return null
  const changeDb = after.value - before.value
  const ratio = budget(
    ratioContributions(after.budget.contributions, before.budget.contributions),
    context.distributions,
  )
  const allowedDb = Math.max(REPEATABILITY_DB, ratio.range)
  const changed = Math.abs(changeDb) > allowedDb
  const moved = `Power ${changeDb < 0 ? 'fell' : 'rose'} by ${printDb(Math.abs(changeDb), 2)}`
  return {
    changeDb,
    changed,
    words: changed
      ? `${moved}: more than repeating explains`
      : `Power as before, within ${printDb(allowedDb, 2)}`,
  }
}

/** Sums up one set: whether its power is as before. */
export function answerStress(_question: StationQuestion, set: RadioSet, context: Context): StationAnswer {
  const consent = stressConsent(set, context)
  if (consent === null)
    return noAnswer('open', {
      why: 'The owner’s consent is not on record.',
      words: 'Not done',
      detail: 'no consent on record',
    })
  const results = planStress(set, context).map(step => evaluateStress(step, context))
  const done = results.find(({ slots }) => powerChange(slots, context) !== null)
  if (!done) return answerSteps(results, { without: 'Nothing is planned for this set.' })
  return {
    verdict: done.verdict,
    words: done.words,
    detail: `${done.step.band.name}; consent by ${consent.by || 'the owner'}, ${consent.at.slice(0, 10)}`,
    gap: null,
    governs: { step: done.step, slotId: 'after' },
    each: [],
    results,
  }
}
