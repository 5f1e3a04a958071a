import type { Verdict, VerdictState } from '#core/decision'
import { verdictWithout } from '#core/decision'
import { stationById } from '#core/station'
import type { AnyLimit, Judgement, Slot, SlotResult, Step, StepResult } from '#core/step'
import { type Rulebook, rulebookById } from '#core/rules'
import { withReadings } from './bench'
import { landMobile } from './stations'

/** A verdict of a state with a margin, its range 1 either side. */
export function verdictOf(
  state: VerdictState,
  margin: number | null = null,
  change: Partial<Verdict> = {},
): Verdict {
  return {
    ...verdictWithout('observation', null),
    state,
    margin,
    range: margin === null ? null : 1,
    marginLow: margin === null ? null : margin - 1,
    marginHigh: margin === null ? null : margin + 1,
    ...change,
  }
}

/** A slot as a station would plan it. */
export function slotOfId(id: string, change: Partial<Slot> = {}): Slot {
  return {
    ...{ id, kind: { is: 'tone' }, label: `Slot ${id}`, frequencyHz: 154e6, role: null },
    field: { as: 'figure', unit: 'Hz', placeholder: '' },
    ...change,
  } as Slot
}

/** What a slot came to: read where its verdict is given. */
export function slotResult(id: string, verdict: Verdict, change: Partial<SlotResult> = {}): SlotResult {
  return {
    ...{ slot: slotOfId(id), state: 'read', reading: null, found: null, claim: null, each: [] },
    ...{ yardstick: null, limit: null, verdict, words: `words of ${id}`, ratio: null, notes: [] },
    ...change,
  } as SlotResult
}

export const CONTEXT = withReadings(landMobile(), [])

/** A step of the one radio. */
export function someStep(stationId = 'deviation'): Step {
  return stationById(stationId).plan(CONTEXT.review.sets[0]!, CONTEXT)[0]!
}

export function stepResult(
  slots: SlotResult[],
  progress = { read: slots.length, possible: slots.length },
): StepResult {
  return {
    ...{ step: someStep(), slots, questions: [], offers: [], governs: null },
    ...{ verdict: slots[0]!.verdict, words: slots[0]!.words, progress },
  }
}

/** What a rulebook said, by a limit of some kind. */
export function judgement(
  kind: AnyLimit['kind'],
  verdict: Verdict,
  {
    rulebook = rulebookById('eu-land-mobile'),
    words = verdict.state,
  }: { rulebook?: Rulebook; words?: string } = {},
): Judgement {
  const limit = { kind, rulebook, clause: 'a clause', reason: 'a reason', limitDbm: -36, decides: null }
  return { limit: limit as unknown as AnyLimit, verdict, words, ratio: null }
}

/** Words with plain spaces where they are printed with ones that do not break. */
export const plain = (words: string) => words.replace(/[\u00a0\u202f]/g, ' ')
