import { STATION_GROUPS, type StationGroup, stations } from '#core/station'

/** Groups of the order of work: what is prepared, the stations by what they are about, what comes out. */
export type PlaceGroup = 'prepare' | StationGroup | 'outcome'

/** A place of a review. */
export interface Place {
  id: string
  title: string
  group: PlaceGroup
  /** Letter after G that goes there; the others are found by `/`. */
  letter?: string
}

export const GROUP_TITLES: Record<PlaceGroup, string> = {
  prepare: 'Prepare',
  transmit: 'Transmits',
  receive: 'Hears',
  whole: 'Whole set',
  outcome: 'Outcome',
}

const PREPARE: readonly Place[] = [
  { id: 'card', title: 'Card and claims', group: 'prepare', letter: 'c' },
  { id: 'rulebooks', title: 'Rulebooks', group: 'prepare', letter: 'u' },
  { id: 'bench', title: 'Bench check', group: 'prepare', letter: 'b' },
  { id: 'run', title: 'The run', group: 'prepare', letter: 'l' },
]

const OUTCOME: readonly Place[] = [
  { id: 'findings', title: 'Findings', group: 'outcome', letter: 'f' },
  { id: 'sheet', title: 'Sheet', group: 'outcome', letter: 'a' },
  { id: 'report', title: 'Report', group: 'outcome', letter: 'r' },
  { id: 'publish', title: 'Publish', group: 'outcome', letter: 'o' },
]

/** The places of a review, in the order of work. */
export function places(): readonly Place[] {
  const ofStations = stations.map(({ id, title, shortTitle, group, letter }): Place => ({
    id,
    title: shortTitle ?? title,
    group,
    letter,
  }))
  return [
    ...PREPARE,
    ...STATION_GROUPS.flatMap(group => ofStations.filter(place => place.group === group)),
    ...OUTCOME,
  ]
}

/** Places that are reached from another one belong to it. */
const PART_OF: Record<string, string> = { rulebook: 'rulebooks' }

/** The place an address stands for; null away from a review. */
export function placeAt(path: string): Place | null {
  const last = path.split('/').at(-1) ?? ''
  const id = PART_OF[last] ?? last
  return places().find(place => place.id === id) ?? null
}
