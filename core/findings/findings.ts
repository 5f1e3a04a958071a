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

/** Works out the findings of a review, in the order of work; controls stand last. */
export function findings(context: Context): Findings {
  const sets = [...context.review.sets].sort(
    (a, b) => Number(a.role === 'control') - Number(b.role === 'control'),
  )
  const rows = wantedStations(context)
    .flatMap(station => station.questions(sets, context))
    .map(question => ({
      question,
      answers: sets.map(set => ({
        set,
        answer: stationById(question.stationId).answer(question, set, context),
      })),
    }))
  return { sets, rows }
}
