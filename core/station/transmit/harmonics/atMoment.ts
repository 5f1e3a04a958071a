import type { Context } from '../../../context'
import { verdictWithout } from '../../../decision'
import { levelIn, NOTHING } from '../../../judging'
import type { Slot, SlotResult, Step, StepResult } from '../../../step'
import { type Moment, resultsAt } from './harmonicSlots'

/** What a step shows at one moment: the judged slots of that moment, or what was seen unkeyed. */
export function harmonicsAt(moment: Moment, { step, slots }: StepResult, context: Context): SlotResult[] {
  return resultsAt(moment, { step, slots, unkeyed: slot => unjudged(step, slot, context) })
}

/** A reading of another moment that is not judged itself. */
function unjudged(step: Step, slot: Slot, context: Context): SlotResult {
  const reading = levelIn(step, slot, context)
  return {
    ...NOTHING,
    slot,
    state: reading ? 'read' : 'open',
    reading,
    verdict: verdictWithout('observation', null),
    words: reading ? 'unkeyed' : 'not measured',
  }
}
