import { type Verdict, verdictWithout } from '../../decision'
import type { FigureReading } from '../../review'
import type { Slot, SlotResult, Step } from '../contract'
import { correctReading, type CorrectedReading, isCorrected } from '../correctReading'
import type { StationContext } from '../stationContext'
import { stepReach } from '../stepReach'
import { figureResult, type OwnContribution } from './figureResult'

const NOTHING = {
  reading: null,
  corrected: null,
  figure: null,
  limit: null,
  each: [],
  yardstick: null,
  ratio: null,
  notes: [],
} satisfies Partial<SlotResult>

const OPEN = Object.freeze(verdictWithout('not-covered', 'Not measured yet.'))

/**
 * A slot nothing was read in yet: open, out of reach, or left out on purpose. A review has tens of thousands
 * of them: what they share is made once.
 */
export function openSlot(step: Step, slot: Slot, context: StationContext): SlotResult {
  const reason = context.skipReason(step)
  if (reason !== null)
    return emptySlot(slot, verdictWithout('not-covered', `Left out: ${reason}`), 'Left out', 'open')
  if (slot.measures !== 'level') return emptySlot(slot, OPEN, 'Not measured', 'open')
  const reach = stepReach(step, slot, context)
  return reach.covered
    ? emptySlot(slot, OPEN, 'Not measured', 'open')
    : emptySlot(slot, verdictWithout('not-covered', reach.why), 'Not covered', 'out-of-reach')
}

function emptySlot(slot: Slot, verdict: Verdict, words: string, missing: SlotResult['missing']): SlotResult {
  return {
    slot,
    reading: null,
    corrected: null,
    figure: null,
    limit: null,
    each: NOTHING.each,
    yardstick: null,
    ratio: null,
    notes: NOTHING.notes,
    verdict,
    words,
    missing,
  }
}

/** A figure that is shown and compared, never judged. */
export function observedFigure(
  slot: Slot,
  reading: FigureReading,
  of: { words: string; notes?: string[]; own?: readonly OwnContribution[] },
  context: StationContext,
): SlotResult {
  return {
    ...NOTHING,
    slot,
    figure: figureResult(reading, { own: of.own ?? [], limit: null }, context),
    verdict: verdictWithout('observation', null),
    words: of.words,
    notes: [...(of.notes ?? []), ...(reading.method ? [reading.method] : [])],
    missing: null,
  }
}

/** A level that is shown and compared, never judged; not covered where it could not be corrected. */
export function observedLevel(
  step: Step,
  slot: Slot,
  wordsOf: (corrected: CorrectedReading) => string,
  context: StationContext,
): SlotResult {
  const reading = context.reading(step.set.id, step.id, slot.id)
  if (!reading) return openSlot(step, slot, context)
  const answer = correctReading(reading, context)
  if (!isCorrected(answer))
    return {
      ...NOTHING,
      slot,
      reading,
      verdict: verdictWithout('not-covered', answer.why),
      words: 'Not covered',
      notes: [answer.why],
      missing: null,
    }
  return {
    ...NOTHING,
    slot,
    reading,
    corrected: answer,
    verdict: verdictWithout('observation', null),
    words: wordsOf(answer),
    notes: answer.notes,
    missing: null,
  }
}

/** True where something was read in the slot. */
export function isRead(result: SlotResult): boolean {
  return result.reading !== null || result.figure !== null
}
