import type { Context } from '../context'
import { enScore, type EnScore } from '../decision'
import { printDb, printDbm } from '../quantity'
import type { OtherFigure, RadioSet } from '../review'
import { stationById } from '../station'
import { type SlotResult, slotOf, socketDbm, type Step } from '../step'

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
export function comparisons(context: Context): Comparison[] {
  return context.review.otherFigures.flatMap(figure => {
    const set = context.review.sets.find(({ id }) => id === figure.setId)
    if (!set) return []
    const station = stationById(figure.stationId)
    const step = station.plan(set, context).find(({ id }) => id === figure.stepId)
    const slot = step && slotOf(station.evaluate(step, context), figure.slot)
    return step && slot ? [compare({ figure, set, step, slot })] : []
  })
}

function compare(compared: Pick<Comparison, 'figure' | 'set' | 'step' | 'slot'>): Comparison {
  const { figure, slot } = compared
  const oursDbm = socketDbm(slot)
  const { found } = slot
  if (oursDbm === null || !found) return { ...compared, score: null, words: 'Not measured here yet.' }
  if (found.isUpperBound) return { ...compared, score: null, words: 'Ours is only an upper bound.' }
  const score = enScore(
    { value: oursDbm, expanded: found.budget.range },
    { value: figure.levelDbm, expanded: figure.expandedDb },
  )
  const apart = printDb(Math.abs(oursDbm - figure.levelDbm))
  return {
    ...compared,
    score,
    words:
      `${printDbm(oursDbm)} here, ${printDbm(figure.levelDbm)} there, ${apart} apart: ` +
      `E_n ${Math.abs(score.en).toFixed(2)}, ${score.agree ? AGREE : DISAGREE}.`,
  }
}

const AGREE = 'they agree within what both say of their ranges'
const DISAGREE = 'they disagree; one of the two benches, or the radio, is not what it was'
