import type { Context } from '../context'
import type { StationAnswer } from '../judging'
import type { RadioSet } from '../review'
import { atOnce, type Sliced } from '../sliced'
import { stationById, type StationQuestion, wantedStations } from '../station'

/** One row of the matrix: a question and each set's answer. */
export interface FindingsRow {
  question: StationQuestion
  answers: { set: RadioSet; answer: StationAnswer }[]
}

/** The matrix of questions × sets. */
export interface Findings {
  sets: RadioSet[]
  rows: FindingsRow[]
}

/** The radios in the order findings show them: controls stand last. */
export function findingsOrder(sets: readonly RadioSet[]): RadioSet[] {
  return sets.toSorted((a, b) => Number(a.role === 'control') - Number(b.role === 'control'))
}

/**
 * Works out the findings of a review, in the order of work.
 * @param shown - the radios whose answers are wanted; the questions are those of all of them.
 */
export function findings(context: Context, shown?: readonly RadioSet[]): Findings {
  return atOnce(findingsInSlices(context, shown))
}

/** The same a question at a time. */
export function* findingsInSlices(context: Context, shown?: readonly RadioSet[]): Sliced<Findings> {
  const all = findingsOrder(context.review.sets)
  const sets = shown ? [...shown] : all
  const asked = wantedStations(context).flatMap(station => station.questions(all, context))
  const rows: FindingsRow[] = []
  for (const question of asked) {
    yield rows.length / asked.length
    const { answer } = stationById(question.stationId)
    rows.push({ question, answers: sets.map(set => ({ set, answer: answer(question, set, context) })) })
  }
  return { sets, rows }
}
