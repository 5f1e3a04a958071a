import type { VerdictState } from '#core/decision'
import { findingsMark } from '#core/findings'
import { benchMark, stationMark, timeLeft, type TimeLeft, worstState } from '#core/plan'
import { stationById, stations, wantedStations } from '#core/station'
import { stepPlaces } from '#core/step'
import { type Place, type PlaceGroup, places } from '~/keys/places'

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
 * so that neither a verdict on the screen nor the disk waits for them.
 */
export function useOrderMarks() {
  const store = useReviewStore()
  const { set } = useReviewRoute()
  const order = shallowRef<OrderMarks>(NOTHING)
  let isWaiting = false

  function schedule(): void {
    if (isWaiting) return
    isWaiting = true
    void store.savedSoon().then(() =>
      whenIdle(() => {
        isWaiting = false
        order.value = marksOf(store.context, set.value)
      }),
    )
  }
  watch([() => store.context, set], schedule, { immediate: true })

  return { order }
}

function whenIdle(work: () => void): void {
  if (typeof requestIdleCallback === 'function') requestIdleCallback(work, { timeout: LATEST_MS })
  else setTimeout(work, LATEST_MS / 3)
}

type MaybeContext = ReturnType<typeof useReviewStore>['context']
type MaybeSet = ReturnType<typeof useReviewRoute>['set']['value']

/** Marks of all places of a review for a set. */
export function marksOf(context: MaybeContext, set: MaybeSet): OrderMarks {
  if (!context) return NOTHING
  const cardDone = set !== null && set.model !== '' && stepPlaces(set).length > 0
  const left = set
    ? timeLeft(
        wantedStations(context).flatMap(station => station.plan(set, context)),
        context,
      )
    : null
  const marks = new Map(
    places().map(({ id }): [string, PlaceMark] => [id, markOf(id, { context, set, left, cardDone })]),
  )
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

function markOf(placeId: string, known: Known): PlaceMark {
  const fixed = FIXED[placeId]
  if (fixed) return fixed(known)
  if (!known.set || !stations.some(({ id }) => id === placeId)) return NO_MARK
  return counted(stationMark(stationById(placeId), known.set, known.context))
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
