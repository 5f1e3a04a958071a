import { verdictWithout } from '../../decision'
import { printDb, printNumber, printPercent } from '../../quantity'
import type { ClaimJudgement, Judgement, SlotResult } from '../../step'
import type { InterfererRatio } from './interfererRatio'

/**
 * A figure the interferer's own noise may have ended: it is at least this. Inside stays inside; anything else
 * cannot be told, and is never called outside.
 */
export function asLowerBound(result: SlotResult, { ceiling, found }: InterfererRatio): SlotResult {
  const why = ceilingWords(ceiling)
  const words = `At least ${printDb(found.value)}: the generator’s noise ends it`
  const careful = (one: Judgement): Judgement =>
    one.verdict.state === 'inside' || one.verdict.state === 'no-figure'
      ? { ...one, verdict: { ...one.verdict, isBound: true } }
      : { ...one, verdict: verdictWithout('not-covered', why), words }
  const each = result.each.map(careful)
  const claim = result.claim && carefulClaim(result.claim, { why, words })
  const isInside = result.verdict.state === 'inside'
  const isSilent = result.verdict.state === 'no-figure' || result.verdict.state === 'observation'
  return {
    ...result,
    each,
    claim,
    verdict: isInside || isSilent ? { ...result.verdict, isBound: true } : verdictWithout('not-covered', why),
    words: isInside ? result.words.replace(' by ', ' by at least ') : words,
    notes: [why, ...result.notes],
  }
}

function carefulClaim(claim: ClaimJudgement, instead: { why: string; words: string }): ClaimJudgement {
  return claim.verdict.state === 'inside'
    ? { ...claim, verdict: { ...claim.verdict, isBound: true } }
    : { ...claim, verdict: verdictWithout('not-covered', instead.why), words: instead.words }
}

/** What the interferer’s noise does, in words. */
export function ceilingWords({
  dbcPerHz,
  assumed,
  generator,
  share,
  ceilingDb,
}: InterfererRatio['ceiling']): string {
  return (
    `${generator}, ${printNumber(dbcPerHz, 0)} dBc/Hz${assumed ? ' (assumed)' : ''} at this ` +
    `offset, makes ${printPercent(share)} of the noise at the criterion; ` +
    `no rejection above ${printDb(ceilingDb, 0)} can be seen with it.`
  )
}
