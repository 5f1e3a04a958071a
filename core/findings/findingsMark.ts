import type { Context } from '../context'
import type { VerdictState } from '../decision'
import { worstState } from '../plan'
import type { RadioSet } from '../review'
import { wantedStations } from '../station'

/** What can be said of a set so far. */
export interface FindingsMark {
  /** The worst that can be said of it; null while nothing can. */
  state: VerdictState | null
  /** Questions that have an answer, of all there are. */
  done: number
  planned: number
}

/** Counts the answers of one set, with the worst of them. O(questions) where its results are known. */
export function findingsMark(set: RadioSet, context: Context): FindingsMark {
  const states = wantedStations(context).flatMap(station =>
    station.questions([set], context).map(question => station.answer(question, set, context).verdict.state),
  )
  const said = states.filter(state => state !== 'not-covered')
  return { state: worstState(said), done: said.length, planned: states.length }
}
