import type { Context } from '../context'
import { verdictWithout, type VerdictState, worstVerdict } from '../decision'
import type { RadioSet } from '../review'
import type { Station } from '../station'
import { isDone } from './timeLeft'

/** Where a station stands for a set: its worst verdict so far, and how much of it is done. */
export interface StationMark {
  /** null where nothing was read yet. */
  state: VerdictState | null
  done: number
  planned: number
}

/** The mark of a station in the order of work. */
export function stationMark(station: Station, set: RadioSet, context: Context): StationMark {
  const results = station.plan(set, context).map(step => station.evaluate(step, context))
  const begun = results.filter(({ progress }) => progress.read > 0)
  const worst = worstVerdict(begun.map(member => ({ member, verdict: member.verdict })))
  const done = results.filter(({ step, progress }) => progress.possible > 0 && isDone(step, context))
  return { state: worst?.verdict.state ?? null, done: done.length, planned: results.length }
}

/** The worst of several marks; null where none has one. */
export function worstState(states: readonly (VerdictState | null)[]): VerdictState | null {
  const members = states.flatMap(state => (state === null ? [] : [{ member: state, verdict: markOf(state) }]))
  return worstVerdict(members)?.governs ?? null
}

/** Only the state of it counts. */
function markOf(state: VerdictState) {
  return { ...verdictWithout('observation', null), state }
}
