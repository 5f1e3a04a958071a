import type { Context } from '../context'
import { decide, verdictWords } from '../decision'
import { claimLevelDbm, receiverClaimWords } from '../hearing'
import type { ReceiverClaim } from '../review'
import type { ClaimJudgement, Found } from '../step'

/**
 * Judges a figure of the receiver by the maker’s claim: a level is to be no higher than claimed, a ratio or a
 * power no lower. null where he gives no figure.
 */
export function judgeReceiverClaim(
  found: Found,
  claim: ReceiverClaim | null,
  context: Context,
): ClaimJudgement | null {
  if (!claim || claim.value === null) return null
  const levelDbm = claimLevelDbm(claim)
  const limit = levelDbm ?? claim.value
  const verdict = decide({
    value: found.value,
    limit,
    direction: levelDbm === null ? 'lower' : 'upper',
    errors: context.distributions.of(found.budget.contributions),
    isUpperBound: found.isUpperBound,
    rule: context.review.settings.decisionRule,
    unit: found.unit,
  })
  return { claimedWords: receiverClaimWords(claim), limit, verdict, words: claimVerdictWords(verdict) }
}

function claimVerdictWords(verdict: ReturnType<typeof decide>): string {
  const words = verdictWords(verdict)
  return verdict.state === 'inside' || verdict.state === 'outside'
    ? words.replace(/^(\w+) by/, '$1 the claim by')
    : words
}
