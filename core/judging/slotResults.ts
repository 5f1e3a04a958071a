import type { Context } from '../context'
import { type Verdict, verdictWithout } from '../decision'
import type { FigureReading, LevelReading, Reading } from '../review'
import {
  type CorrectedThrough,
  correctReading,
  type FoundLevel,
  isCorrected,
  isLevel,
  type Slot,
  type SlotResult,
  type SlotState,
  type Step,
  stepReach,
} from '../step'
import { foundFigure, type OwnContribution } from './foundFigure'

/** What a slot result holds where nothing is to be said. */
export const NOTHING = Object.freeze({
  reading: null,
  found: null,
  claim: null,
  limit: null,
  each: [],
  yardstick: null,
  ratio: null,
  notes: [],
}) satisfies Partial<SlotResult>

const OPEN = Object.freeze(verdictWithout('not-covered', 'Not measured yet.'))

/** The level that stands in a slot. */
export function levelIn(step: Step, slot: Slot, context: Context): LevelReading | null {
  const reading = context.readingsOf(step).get(slot.id)
  return reading && isLevel(reading) ? reading : null
}

/** The figure that stands in a slot. */
export function figureIn(step: Step, slot: Pick<Slot, 'id'>, context: Context): FigureReading | null {
  const reading = context.readingsOf(step).get(slot.id)
  return reading && isFigure(reading) ? reading : null
}

function isFigure(reading: Reading): reading is FigureReading {
  return reading.seen.as === 'figure'
}

/**
 * A slot nothing was read in yet: open, out of reach, or left out on purpose. A review has tens of thousands
 * of them: what they share is made once.
 */
export function openSlot(step: Step, slot: Slot, context: Context): SlotResult {
  const reason = context.skipReason(step)
  if (reason !== null)
    return emptySlot(slot, 'left-out', {
      verdict: verdictWithout('not-covered', `Left out: ${reason}`),
      words: 'Left out',
    })
  const reach = stepReach(step, slot, context)
  return reach.covered
    ? emptySlot(slot, 'open', { verdict: OPEN, words: 'Not measured' })
    : emptySlot(slot, 'out-of-reach', {
        verdict: verdictWithout('not-covered', reach.why),
        words: 'Not covered',
      })
}

function emptySlot(slot: Slot, state: SlotState, outcome: { verdict: Verdict; words: string }): SlotResult {
  return {
    slot,
    state,
    reading: null,
    found: null,
    claim: null,
    limit: null,
    each: NOTHING.each,
    yardstick: null,
    ratio: null,
    notes: NOTHING.notes,
    verdict: outcome.verdict,
    words: outcome.words,
  }
}

/** A reading that could not be taken to the socket. */
export function notCorrected(slot: Slot, reading: Reading, why: string): SlotResult {
  return {
    ...NOTHING,
    slot,
    state: 'read',
    reading,
    verdict: verdictWithout('not-covered', why),
    words: 'Not covered',
    notes: [why],
  }
}

/** A figure that is shown and compared, never judged. */
export function observedFigure(
  slot: Slot,
  reading: FigureReading,
  shown: { words: string; notes?: string[]; own?: readonly OwnContribution[] },
  context: Context,
): SlotResult {
  return {
    ...NOTHING,
    slot,
    state: 'read',
    reading,
    found: foundFigure(reading, { own: shown.own ?? [] }, context),
    verdict: verdictWithout('observation', null),
    words: shown.words,
    notes: [...(shown.notes ?? []), ...(reading.seen.method ? [reading.seen.method] : [])],
  }
}

/** What was copied in words, as it stands; open where nothing was. */
export function observedWords(step: Step, slot: Slot, context: Context): SlotResult {
  const figure = figureIn(step, slot, context)
  return figure
    ? observedFigure(slot, figure, { words: figure.text }, context)
    : openSlot(step, slot, context)
}

/** A level that is shown and compared, never judged; not covered where it could not be corrected. */
export function observedLevel(
  step: Step,
  slot: Slot,
  wordsOf: (found: FoundLevel) => string,
  context: Context,
): SlotResult {
  const reading = levelIn(step, slot, context)
  if (!reading) return openSlot(step, slot, context)
  const found = correctReading(reading, context, throughOf(step, slot))
  if (!isCorrected(found)) return notCorrected(slot, reading, found.why)
  return {
    ...NOTHING,
    slot,
    state: 'read',
    reading,
    found,
    verdict: verdictWithout('observation', null),
    words: wordsOf(found),
    notes: found.notes,
  }
}

/** The role a slot’s level goes through, and which way: a generator’s goes to the radio. */
function throughOf({ work }: Step, { role }: Slot): CorrectedThrough {
  return work === 'hears' && role !== null ? { role, signal: 'to-radio' } : {}
}
