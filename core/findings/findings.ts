import type { Context } from '../context'
import type { StationAnswer } from '../judging'
import type { RadioSet } from '../review'
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
  const all = findingsOrder(context.review.sets)
  const sets = shown ? [...shown] : all
  const rows = wantedStations(context)
    .flatMap(station => station.questions(all, context))
    .map(question => ({
      question,
      answers: sets.map(set => ({
        set,
        answer: stationById(question.stationId).answer(question, set, context),
      })),
    }))
  return { sets, rows }
}
