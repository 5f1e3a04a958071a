import { type Verdict, verdictWithout } from '../decision'
import { governingOf, NOTHING } from '../judging'
import type { Context } from '../context'
import { judgeReceiverClaim, scalarJudgements, type ScalarSubject, yardstickScalar } from '../judging'
import { worstVerdict } from '../decision'
import type { Reading, ReceiverClaim } from '../review'
import type { Found, Slot, SlotResult, Step } from '../step'

/** A figure worked out from others of its step. */
export interface Derived {
  slot: Slot
  found: Found
  /** Latest of the readings it rests on; null for none. */
  reading: Reading | null
  notes: readonly string[]
}

/** What may stay open in a derived slot: in the words of what would have to be done. */
export function openDerived(slot: Slot, words: string, why: string): SlotResult {
  const verdict = verdictWithout('not-covered', why)
  return { ...NOTHING, slot, state: 'open', verdict, words }
}

/** A figure worked out from others, against the maker's claim, the rulebooks and the yardstick. */
export function judgedDerived(
  step: Step,
  { slot, found, reading, notes }: Derived,
  against: { claim: ReceiverClaim | null; subject: ScalarSubject; wordsWithout: string },
  context: Context,
): SlotResult {
  const claim = judgeReceiverClaim(found, against.claim, context)
  const each = scalarJudgements(step, found, against.subject, context)
  const governing = governingOf(each)
  const judged: { verdict: Verdict; words: string }[] = [
    ...(claim ? [claim] : []),
    ...each.filter(({ limit }) => limit.kind === 'scalar'),
  ]
  const worst = worstVerdict(judged.map(member => ({ member, verdict: member.verdict })))
  return {
    ...NOTHING,
    slot,
    state: 'read',
    reading,
    found,
    claim,
    each,
    yardstick: yardstickScalar(step, found, against.subject, context),
    limit: governing.limit.kind === 'scalar' ? governing.limit : null,
    verdict: worst?.verdict ?? governing.verdict,
    words: worst?.governs.words ?? against.wordsWithout,
    notes: [...notes, ...found.notes],
  }
}
