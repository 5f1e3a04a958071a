import { enScore, type EnScore } from '../decision'
import { printDb, printDbm } from '../quantity'
import type { OtherFigure, RadioSet } from '../review'
import { type SlotResult, stationById, type StationContext, type Step } from '../station'

/** Another tester's figure beside ours. */
export interface Comparison {
  figure: OtherFigure
  set: RadioSet
  step: Step
  slot: SlotResult
  /** null while we have no reading of our own. */
  score: EnScore | null
  words: string
}

/**
 * Every figure of other testers, compared with the reading that stands. Figures whose set or step is gone are
 * left out.
 */
export function comparisons(context: StationContext): Comparison[] {
  return context.review.otherFigures.flatMap(figure => {
    const set = context.review.sets.find(({ id }) => id === figure.setId)
    const station = set && stationById(figure.stationId)
    const step = station?.plan(set!, context).find(({ id }) => id === figure.stepId)
    const slot = step && station!.evaluate(step, context).slots.find(({ slot: { id } }) => id === figure.slot)
    return set && step && slot ? [compare(figure, set, step, slot)] : []
  })
}

function compare(figure: OtherFigure, set: RadioSet, step: Step, slot: SlotResult): Comparison {
  const { corrected } = slot
  if (!corrected || corrected.isUpperBound)
    return {
      figure,
      set,
      step,
      slot,
      score: null,
      words: corrected ? 'Ours is only an upper bound.' : 'Not measured here yet.',
    }
  const score = enScore(
    { value: corrected.levelDbm, expanded: corrected.budget.rangeDb },
    { value: figure.levelDbm, expanded: figure.expandedDb },
  )
  const apart = printDb(Math.abs(corrected.levelDbm - figure.levelDbm))
  return {
    figure,
    set,
    step,
    slot,
    score,
    words: `${printDbm(corrected.levelDbm)} here, ${printDbm(figure.levelDbm)} there, ${apart} apart: E_n ${Math.abs(score.en).toFixed(2)}, ${score.agree ? 'they agree within what both say of their ranges' : 'they disagree; one of the two benches, or the radio, is not what it was'}.`,
  }
}
