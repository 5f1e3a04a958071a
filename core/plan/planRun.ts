import type { RadioSet } from '../review'
import { stations, type StationContext, type Step } from '../station'

/** The run of one set: every step of every station in the order of work. */
export interface Run {
  steps: Step[]
  byStation: Map<string, Step[]>
}

/** Plans the run of a set. Steps keep the order of work of the stations. */
export function planRun(set: RadioSet, context: StationContext): Run {
  const byStation = new Map(stations.map(station => [station.id, station.plan(set, context)]))
  return { byStation, steps: [...stations].sort((a, b) => a.order - b.order).flatMap(station => byStation.get(station.id) ?? []) }
}
