import type { Context } from '../context'
import type { VerdictState } from '../decision'
import type { Plot } from '../plot'
import type { RadioSet } from '../review'
import { stationPlots, wantedStations } from '../station'

/** Drawings on one page, and how few are filled up with a station’s second. */
const MOST_PLOTS = 6
const FEW_PLOTS = 4

const ORDER: readonly VerdictState[] = [
  'observation',
  'no-figure',
  'not-covered',
  'inside',
  'too-close',
  'outside',
]

/**
 * The drawings of a sheet, in order of weight: of each station the gravest. What draws a curve or bars goes before
 * strips, then what is graver, then the order of work.
 */
export function sheetPlots(sets: readonly RadioSet[], context: Context): Plot[] {
  const ofStations = wantedStations(context)
    .map((station, order) => ({ order, plots: byGravity(stationPlots(station, sets, context)) }))
    .filter(({ plots }) => plots.length > 0)
  const first = ofStations.map(({ order, plots }) => ({ order, plot: plots[0]! }))
  const second = ofStations.flatMap(({ order, plots }) => plots.slice(1).map(plot => ({ order, plot })))
  const byWeight = first.toSorted(
    (a, b) =>
      Number(b.plot.kind === 'chart') - Number(a.plot.kind === 'chart') ||
      gravity(b.plot) - gravity(a.plot) ||
      a.order - b.order,
  )
  const more = first.length < FEW_PLOTS ? second.slice(0, FEW_PLOTS - first.length) : []
  return [...byWeight.slice(0, MOST_PLOTS), ...more].map(({ plot }) => plot)
}

const byGravity = (plots: readonly Plot[]) => plots.toSorted((a, b) => gravity(b) - gravity(a))

/** How grave the worst is that a drawing shows; a drawing of curves counts as much as one that is inside. */
function gravity(plot: Plot): number {
  const states =
    plot.kind === 'strips'
      ? plot.rows.flatMap(({ verdict }) => verdict?.state ?? 'observation')
      : plot.series.flatMap(({ points }) => points.flatMap(({ state }) => state ?? 'inside'))
  return Math.max(0, ...states.map(state => ORDER.indexOf(state)))
}
