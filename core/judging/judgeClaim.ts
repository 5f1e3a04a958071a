import type { Context } from '../context'
import { claimWords, decide, farEndWords } from '../decision'
import { dbmFromWatts, printClaimW, printDb, printSigned, printWatts, wattsFromDbm } from '../quantity'
import type { ClaimJudgement, Found, Step } from '../step'

/** Judges a power at the socket by the maker’s claim, with the review’s tolerance; null where he says none. */
export function judgeClaim(step: Step, found: Found, context: Context): ClaimJudgement | null {
  if (step.claim.kind !== 'watts') return null
  const claimedW = step.claim.powerW
  const claimedDbm = dbmFromWatts(claimedW)
  const { claimToleranceDb, decisionRule } = context.review.settings
  const limitDbm = claimedDbm - claimToleranceDb
  const verdict = decide({
    value: found.value,
    limit: limitDbm,
    direction: 'lower',
    errors: context.distributions.of(found.budget.contributions),
    isUpperBound: found.isUpperBound,
    rule: decisionRule,
  })
  return {
    claimedWords: printClaimW(claimedW),
    limit: limitDbm,
    verdict,
    words: claimWords(verdict, {
      claimedW,
      measuredW: wattsFromDbm(found.value),
      differenceDb: found.value - claimedDbm,
    }),
  }
}

/** What a verdict against a claim means: the difference, the far end, the tolerance. */
export function claimNotes(step: Step, found: Found, { limit: limitDbm, verdict }: ClaimJudgement): string[] {
  if (step.claim.kind !== 'watts') return []
  const claimedW = step.claim.powerW
  const claimedDbm = dbmFromWatts(claimedW)
  const differenceDb = found.value - claimedDbm
  const toleranceDb = claimedDbm - limitDbm
  const mayBe = differenceDb < 0 ? 'may really be' : 'may really fall short of'
  return [
    ...(verdict.state === 'too-close'
      ? [
          `${printWatts(wattsFromDbm(found.value))} ${mayBe} ${printClaimW(claimedW)}: ` +
            'the range reaches across the claim.',
        ]
      : []),
    `${printSigned(differenceDb, 2)} dB against the claimed ${printClaimW(claimedW)}: ${farEndWords(differenceDb)}.`,
    ...(toleranceDb > 0
      ? [
          `Judged with the review’s tolerance of ${printDb(toleranceDb)}: ` +
            `from ${printWatts(wattsFromDbm(limitDbm))} on it counts as met.`,
        ]
      : []),
  ]
}
