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

/** What can be said of one set, question by question, in the order of work. */
export function answersFor(set: RadioSet, context: Context): StationAnswer[] {
  return wantedStations(context).flatMap(station =>
    station.questions([set], context).map(question => station.answer(question, set, context)),
  )
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
