import { createContext } from '../context'
import type { DecisionRule } from '../decision'
import type { Review } from '../review'
import { type ReviewDifference, reviewDifferences } from './reviewDifferences'

/** Something that might be otherwise. */
export type Supposition =
  | { kind: 'rule'; rule: DecisionRule }
  | { kind: 'tolerance'; toleranceDb: number }
  | { kind: 'rulebooks'; rulebookIds: string[] }
  /** A part of a chain loses so much less or more than it was taken for, dB. */
  | { kind: 'part'; partId: string; byDb: number }

/** Which figures and verdicts would come out otherwise, before anything is taken over. */
export function whatIf(review: Review, supposition: Supposition): ReviewDifference[] {
  return reviewDifferences(createContext(review), createContext(supposedReview(review, supposition)))
}

/** The review with something otherwise. A chain whose part is corrected rises in revision. */
export function supposedReview(review: Review, supposition: Supposition): Review {
  switch (supposition.kind) {
    case 'rule':
      return { ...review, settings: { ...review.settings, decisionRule: supposition.rule } }
    case 'tolerance':
      return { ...review, settings: { ...review.settings, claimToleranceDb: supposition.toleranceDb } }
    case 'rulebooks':
      return { ...review, settings: { ...review.settings, rulebookIds: supposition.rulebookIds } }
    case 'part':
      return withPart(review, supposition)
  }
}

function withPart(review: Review, { partId, byDb }: { partId: string; byDb: number }): Review {
  return {
    ...review,
    chains: review.chains.map(chain =>
      chain.parts.some(({ id }) => id === partId)
        ? {
            ...chain,
            revision: chain.revision + 1,
            parts: chain.parts.map(part =>
              part.id === partId ? { ...part, loss: moreLoss(part.loss, byDb) } : part,
            ),
          }
        : chain,
    ),
    // A calibration of the part tells its loss: it is off by as much.
    calibrations: review.calibrations.map(one =>
      one.partId === partId
        ? { ...one, points: one.points.map(point => ({ ...point, withPartDbm: point.withPartDbm - byDb })) }
        : one,
    ),
  }
}

type Loss = Review['chains'][number]['parts'][number]['loss']

function moreLoss(loss: Loss, byDb: number): Loss {
  switch (loss.kind) {
    case 'figure':
      return { ...loss, lossDb: loss.lossDb + byDb }
    case 'table':
      return { ...loss, points: loss.points.map(point => ({ ...point, lossDb: point.lossDb + byDb })) }
    case 'coax':
      return loss
  }
}
