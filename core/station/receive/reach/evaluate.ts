import { type Context, perStep } from '../../../context'
import { verdictWithout } from '../../../decision'
import {
  answerSteps,
  evaluateSlots,
  figureIn,
  NOTHING,
  observedFigure,
  openSlot,
  type StationAnswer,
} from '../../../judging'
import { type RadioSet, setShortName } from '../../../review'
import type { Slot, SlotResult, Step, StepResult } from '../../../step'
import type { StationQuestion } from '../../contract'
import { openDerived } from '../../derivedResult'
import { reachMemo } from './memo'
import { HOW_WELL, HOW_WELL_WORDS, planReach } from './plan'

/** Works out one set: what it heard, and what the control radio did. */
export const evaluateReach = perStep((step: Step, context: Context): StepResult => {
  return evaluateSlots(step, {
    slot: slot => slotResult(step, slot, context),
    summary: () => {
      const heard = heardOf(step, context)
      return heard.length > 0
        ? { verdict: verdictWithout('observation', null), words: countWords(heard) }
        : null
    },
  })
})

interface Heard {
  signalId: string
  howWell: number
}

function heardOf(step: Step, context: Context): Heard[] {
  return reachMemo(context).signals.flatMap(({ id }) => {
    const reading = figureIn(step, { id: `signal-${id}` }, context)
    return reading ? [{ signalId: id, howWell: reading.seen.value }] : []
  })
}

function countWords(heard: readonly Heard[]): string {
  return `Heard ${heard.filter(({ howWell }) => howWell > 0).length} of ${heard.length}`
}

function slotResult(step: Step, slot: Slot, context: Context): SlotResult {
  if (slot.kind.is === 'against-control') return againstControl(step, slot, context)
  const figure = figureIn(step, slot, context)
  if (!figure) return openSlot(step, slot, context)
  const nearest = HOW_WELL.find(one => one === Math.round(figure.seen.value)) ?? 0
  const words = slot.kind.is === 'antenna' ? figure.text : HOW_WELL_WORDS[nearest]
  return observedFigure(slot, figure, { words }, context)
}

/** What the control radio heard at the same place, signal by signal. */
function againstControl(step: Step, slot: Slot, context: Context): SlotResult {
  if (context.skipReason(step) !== null) return openSlot(step, slot, context)
  const control = context.review.sets.find(({ role }) => role === 'control')
  if (!control) return openDerived(slot, 'Not compared', 'The review has no control radio.')
  if (control.id === step.set.id) return openDerived(slot, 'Not compared', 'This is the control radio.')
  const own = heardOf(step, context)
  const [controlStep] = planReach(control, context)
  const others = new Map(
    (controlStep ? heardOf(controlStep, context) : []).map(one => [one.signalId, one.howWell]),
  )
  const both = own.filter(({ signalId }) => others.has(signalId))
  const last = both.at(-1)
  if (!last) return openDerived(slot, 'Not compared', 'A signal that both were asked about.')
  const worse = both.filter(one => one.howWell < others.get(one.signalId)!).length
  const better = both.filter(one => one.howWell > others.get(one.signalId)!).length
  return {
    ...NOTHING,
    slot,
    state: 'read',
    reading: figureIn(step, { id: `signal-${last.signalId}` }, context),
    verdict: verdictWithout('observation', 'By ear, at one place and time.'),
    words: `Of ${both.length}: ${worse} worse, ${better} better than ${setShortName(control)}`,
    notes: ['By ear, at one place and time: a hand’s breadth moves a weak signal by 10 dB. Not a verdict.'],
  }
}

/** Sums up one set: how much of what is there it hears. */
export function answerReach(_question: StationQuestion, set: RadioSet, context: Context): StationAnswer {
  const results = planReach(set, context).map(step => evaluateReach(step, context))
  const answer = answerSteps(results, {
    without: 'Nothing is planned for this set.',
    lead: 'against-control',
  })
  const [result] = results
  return result && answer.gap === null ? { ...answer, words: result.words } : answer
}
