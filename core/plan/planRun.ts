import { stepKey, type RadioSet } from '../review'
import type { Context } from '../context'
import { atOnce, type Sliced } from '../sliced'
import { stationById, wantedStations } from '../station'
import { chainsKey, type Step } from '../step'
import { knobTurns, runCosts, type RunCosts } from './runCosts'

/** The run of a review: every step of every radio, in the order to go through them. */
export interface Run {
  steps: Step[]
  /** What this order costs, and what going radio by radio as the card lists things would. */
  costs: RunCosts
  naive: RunCosts
  /** The reviewer moved steps by hand. */
  ownOrder: boolean
}

/** Key of a step in the run. */
export function runKey(step: Step): string {
  return stepKey(step.set.id, step.id)
}

/**
 * Plans the run. The stations keep the practitioners’ order; within it steps through the same chain stand
 * together, then those of the
 * same radio, then those that turn the fewest knobs. A radio that must be cold comes before it was keyed warm
 * by its neighbours in the
 * same station. The reviewer’s own order, where there is one, goes before; new steps join at their proposed
 * place.
 * @see handbook, section 9.
 */
export function planRun(context: Context, sets: readonly RadioSet[] = context.review.sets): Run {
  return atOnce(runInSlices(context, sets))
}

/** The same, radio by radio. */
export function* runInSlices(context: Context, sets: readonly RadioSet[] = context.review.sets): Sliced<Run> {
  const listed: Step[] = []
  for (const [index, set] of sets.entries()) {
    for (const station of wantedStations(context)) listed.push(...station.plan(set, context))
    yield (LISTED * index) / sets.length
  }
  const proposed = proposedOrder(listed)
  yield LISTED
  const own = context.review.runOrder
  const steps = own.length === 0 ? proposed : ownOrder(proposed, own)
  yield LISTED
  const costs = runCosts(steps)
  yield LISTED
  const naive = runCosts(listed)
  const ownOrdered = own.length > 0 && steps.some((step, i) => step !== proposed[i])
  return { steps, costs, naive, ownOrder: ownOrdered }
}

/** Share of the work that listing the steps is; putting them in order is the rest. */
const LISTED = 0.8

/** The order proposed for steps, whatever order they come in. */
export function proposedOrder(steps: readonly Step[]): Step[] {
  const places = new Map(steps.map((step, index) => [step, index]))
  const blocks: Step[][] = []
  const byStation = grouped(steps, step => step.stationId).sort(
    (a, b) => stationById(a[0]!.stationId).order - stationById(b[0]!.stationId).order,
  )
  // Stations that follow one another through the same chain share one block, so the chain stays standing and
  // each radio is put on it once.
  for (const station of byStation) {
    for (const chain of grouped(station, chainsKey)) {
      const last = blocks.at(-1)
      if (last && chainsKey(last[0]!) === chainsKey(chain[0]!)) last.push(...chain)
      else blocks.push(chain)
    }
  }
  return blocks.flatMap(block =>
    grouped(block, step => step.set.id).flatMap(ofSet =>
      grouped(ofSet, step => step.stationId).flatMap(station => fewestTurns(station, places)),
    ),
  )
}

/**
 * Steps one after another so that each turns as few knobs as can be; what must be cold goes first, equals
 * keep their order.
 */
function fewestTurns(steps: readonly Step[], places: ReadonlyMap<Step, number>): Step[] {
  const left = [...steps].sort(
    (a, b) => Number(b.thermal === 'cold') - Number(a.thermal === 'cold') || places.get(a)! - places.get(b)!,
  )
  const ordered: Step[] = []
  while (left.length > 0) {
    const from = ordered.at(-1) ?? null
    let best = 0
    for (let i = 1; i < left.length; i++)
      if (from && knobTurns(from, left[i]!) < knobTurns(from, left[best]!)) best = i
    ordered.push(...left.splice(best, 1))
  }
  return ordered
}

function grouped(steps: readonly Step[], key: (step: Step) => string): Step[][] {
  const groups = new Map<string, Step[]>()
  for (const step of steps) {
    const group = groups.get(key(step))
    if (group) group.push(step)
    else groups.set(key(step), [step])
  }
  return [...groups.values()]
}

/** Known steps as the reviewer put them; each new one after the step it would have followed. */
function ownOrder(proposed: readonly Step[], own: readonly string[]): Step[] {
  const byKey = new Map(proposed.map(step => [runKey(step), step]))
  const ordered = own.flatMap(key => byKey.get(key) ?? [])
  const placed = new Set(ordered)
  for (const [index, step] of proposed.entries()) {
    if (placed.has(step)) continue
    const before = proposed.slice(0, index).findLast(other => placed.has(other))
    ordered.splice(before ? ordered.indexOf(before) + 1 : 0, 0, step)
    placed.add(step)
  }
  return ordered
}
