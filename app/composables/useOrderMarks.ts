import type { VerdictState } from '#core/decision'
import { findingsMark } from '#core/findings'
import { benchMark, stationMark, timeLeft, type TimeLeft, worstState } from '#core/plan'
import { atOnce, type Sliced } from '#core/sliced'
import { stationById, stations, wantedStations } from '#core/station'
import { stepPlaces } from '#core/step'
import { type Place, type PlaceGroup, places } from '~/keys/places'
import { pageIdle } from './pageIdle'

/** What stands beside a place: its mark and a few words. */
export interface PlaceMark {
  state: VerdictState | null
  words: string
  done: number
  planned: number
}

/** The marks of all places for the radio in hand, and what is left to do. */
export interface OrderMarks {
  marks: ReadonlyMap<string, PlaceMark>
  left: TimeLeft | null
  cardDone: boolean
}

const NOTHING: OrderMarks = { marks: new Map(), left: null, cardDone: false }

/** Longest that the marks wait for a page that has nothing else to do, ms. */
const LATEST_MS = 150

/**
 * Marks of the order of work. They are worked out once what was kept is saved and the page has nothing else to do,
 * a station at a time, so that neither a verdict on the screen nor the disk nor a key waits for them.
 */
export function useOrderMarks() {
  const store = useReviewStore()
  const { set } = useReviewRoute()
  // By what is there once a turn has ended: a burst of changes is one.
  const now = shallowRef({ context: store.context, set: set.value })
  watch([() => store.context, set], ([context, inHand]) => (now.value = { context, set: inHand }))
  const worked = useSliced(() => {
    const { context, set: inHand } = now.value
    return {
      work: marksInSlices(context, inHand),
      isSmall: context === null,
      after: store.savedSoon().then(() => pageIdle(LATEST_MS)),
    }
  })
  return { order: computed(() => worked.value.value ?? NOTHING) }
}

type MaybeContext = ReturnType<typeof useReviewStore>['context']
type MaybeSet = ReturnType<typeof useReviewRoute>['set']['value']

/** Marks of all places of a review for a set. */
export function marksOf(context: MaybeContext, set: MaybeSet): OrderMarks {
  return atOnce(marksInSlices(context, set))
}

/** The same, a station at a time: what is asked of all stations comes after, when each is worked out and kept. */
function* marksInSlices(context: MaybeContext, set: MaybeSet): Sliced<OrderMarks> {
  if (!context) return NOTHING
  const all = places()
  const marks = new Map<string, PlaceMark>()
  for (const { id } of all) {
    if (id in FIXED) continue
    marks.set(id, markOfStation(id, set, context))
    yield marks.size / all.length
  }
  const cardDone = set !== null && set.model !== '' && stepPlaces(set).length > 0
  const left = set
    ? timeLeft(
        wantedStations(context).flatMap(station => station.plan(set, context)),
        context,
      )
    : null
  for (const [id, markOf] of Object.entries(FIXED)) {
    marks.set(id, markOf({ context, set, left, cardDone }))
    yield marks.size / all.length
  }
  return { marks, left, cardDone }
}

interface Known {
  context: NonNullable<MaybeContext>
  set: MaybeSet
  left: TimeLeft | null
  cardDone: boolean
}

const mark = (state: VerdictState | null, words: string): PlaceMark => ({
  state,
  words,
  done: state === 'inside' ? 1 : 0,
  planned: 1,
})

const FIXED: Record<string, (known: Known) => PlaceMark> = {
  card: ({ cardDone }) => mark(cardDone ? 'inside' : null, cardDone ? '' : 'open'),
  rulebooks: ({ context }) => {
    const { rulebookIds, yardstickId } = context.review.settings
    return mark('inside', `${rulebookIds.length}${yardstickId ? ' + own' : ''}`)
  },
  bench: ({ context, set }) =>
    mark(set ? benchMark(set, context) : null, String(context.review.chains.length)),
  run: ({ left }) => {
    const isDone = left !== null && left.plannedSteps > 0 && left.openSteps === 0
    return mark(isDone ? 'inside' : null, runWords(left))
  },
  findings: ({ context, set }) => (set ? counted(findingsMark(set, context)) : NO_MARK),
}

const NO_MARK: PlaceMark = { state: null, words: '', done: 0, planned: 0 }

/** A mark with its count in words. */
function counted({ state, done, planned }: Omit<PlaceMark, 'words'>): PlaceMark {
  return { state, words: countWords(done, planned), done, planned }
}

function countWords(done: number, planned: number): string {
  return planned === 0 ? '–' : `${done}/${planned}`
}

function runWords(left: TimeLeft | null): string {
  if (!left || left.plannedSteps === 0) return '–'
  return left.openSteps > 0 ? `${left.openSteps} open` : 'done'
}

function markOfStation(id: string, set: MaybeSet, context: Known['context']): PlaceMark {
  if (!set || !stations.some(station => station.id === id)) return NO_MARK
  return counted(stationMark(stationById(id), set, context))
}

/** A group of the order of work with its places, its worst mark and its count. */
export interface MarkedGroup {
  id: PlaceGroup
  places: { place: Place; mark: PlaceMark | undefined }[]
  state: VerdictState | null
  count: string
}

/** Groups the places, each head with its worst mark and its count. */
export function groupsOf({ marks }: OrderMarks): MarkedGroup[] {
  const all = places()
  return [...new Set(all.map(({ group }) => group))].map(id => {
    const own = all.filter(({ group }) => group === id).map(place => ({ place, mark: marks.get(place.id) }))
    const counted = own.flatMap(one => one.mark ?? [])
    const planned = counted.reduce((sum, one) => sum + one.planned, 0)
    const done = counted.reduce((sum, one) => sum + one.done, 0)
    return {
      id,
      places: own,
      state: worstState(counted.map(({ state }) => state)),
      count: countWords(done, planned),
    }
  })
}
