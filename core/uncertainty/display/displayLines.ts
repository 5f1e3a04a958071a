import { entryOf } from '../../cache'
import { contribution, type Contribution } from '../contribution'
import { type Detection, lawsOf } from './detection'
import { CELL_EDGES, type FloorFrom, type SignalUnderNoise, signalUnderNoise } from './signalUnderNoise'

/** What a display that is no mean power is taken for. */
export interface DisplayEffect {
  /** To subtract from what is displayed, dB; 0 where it is only a bound. */
  correctionDb: number
  isUpperBound: boolean
  /** What it leaves open: the very same list where it is the same. */
  lines: readonly Contribution[]
}

/** Displays are worked out at these distances from the noise, and between them along a line, dB. */
const GRID_DB = 0.25
/** So far above it the noise matters to no display. */
const FREE_FROM_DB = 45
const NOTHING: readonly Contribution[] = []
const FREE: DisplayEffect = Object.freeze({ correctionDb: 0, isUpperBound: false, lines: NOTHING })

/** A display at one distance from the noise. */
interface KnownDisplay {
  under: SignalUnderNoise
  level: readonly Contribution[]
  /** `level` with so many hundredths of a decibel of doubt of the floor besides. */
  withFloor: Map<number, readonly Contribution[]>
  bound: DisplayEffect
}

/** One kind of display by its distance from the noise, in steps of the grid. */
type DisplayLadder = Map<number, KnownDisplay>

/**
 * What a display makes of a carrier above the noise, by the law of its detector and of what it does with sweeps; of
 * one nobody knows, the widest.
 * @param aboveDb - the display over the floor, dB. @param floorDoubtDb - how well the floor is known, ± dB.
 */
export function displayEffect(
  detection: Detection,
  { aboveDb, floorDoubtDb, from }: { aboveDb: number; floorDoubtDb: number; from: FloorFrom },
): DisplayEffect {
  if (aboveDb >= FREE_FROM_DB) return FREE
  const ladder = ladderOf(detection, from)
  const step = Math.floor(aboveDb / GRID_DB)
  const share = aboveDb / GRID_DB - step
  const below = at(ladder, step, { detection, from })
  const above = at(ladder, step + 1, { detection, from })
  const nearest = share < 0.5 ? below : above
  if (nearest.under.isUpperBound) return nearest.bound
  const rise = above.under.middleDb - below.under.middleDb
  // Rounded up, so that a few lists stand for many readings.
  const hundredths = Math.ceil((floorDoubtDb * Math.abs(rise / GRID_DB)) / SMALLEST_DB)
  const lines =
    hundredths < 2
      ? nearest.level
      : entryOf(nearest.withFloor, hundredths, () => [...nearest.level, floorLine(hundredths * SMALLEST_DB)])
  return { correctionDb: -(below.under.middleDb + share * rise), isUpperBound: false, lines }
}

/** What matters less than this, ± dB, is left out of the budget. */
const SMALLEST_DB = 0.01

function floorLine(halfWidthDb: number): Contribution {
  return contribution({
    id: 'floor',
    group: 'floor',
    label: 'Noise floor',
    distribution: 'rectangular',
    halfWidth: halfWidthDb,
  })
}

const ladders = new Map<string, DisplayLadder>()
/** The same by the very description of a display: putting a name together takes longer than looking. */
const byDetection: Record<FloorFrom, WeakMap<Detection, DisplayLadder>> = {
  display: new WeakMap(),
  'mean-power': new WeakMap(),
}
/** Kinds of display and distances of one: a bench has a few, and a file may name any number. */
const MOST_LADDERS = 100
const MOST_STEPS = 1000

function ladderOf(detection: Detection, from: FloorFrom): DisplayLadder {
  let ladder = byDetection[from].get(detection)
  if (!ladder) {
    if (ladders.size >= MOST_LADDERS) ladders.clear()
    ladder = entryOf(ladders, ladderName(detection, from), () => new Map())
    byDetection[from].set(detection, ladder)
  }
  return ladder
}

const ladderName = ({ shows, looks }: Detection, from: FloorFrom) => `${shows}/${looks}/${from}`

function at(
  ladder: DisplayLadder,
  step: number,
  { detection, from }: { detection: Detection; from: FloorFrom },
): KnownDisplay {
  let found = ladder.get(step)
  if (!found) {
    const under = signalUnderNoise(lawsOf(detection), step * GRID_DB, from)
    const name = `${ladderName(detection, from)}/${step}`
    const line = (kind: string, edges: readonly number[]) => displayLine(`${name}/${kind}`, edges, detection)
    // At most: what it may be more than is displayed.
    const atMost = under.edgesDb.map(edge => Math.max(0, edge + under.middleDb))
    found = {
      under,
      level: line('level', under.edgesDb),
      withFloor: new Map(),
      bound: { correctionDb: 0, isUpperBound: true, lines: line('bound', atMost) },
    }
    if (ladder.size >= MOST_STEPS) ladder.clear()
    ladder.set(step, found)
  }
  return found
}

function displayLine(key: string, edges: readonly number[], { shows }: Detection): Contribution[] {
  const halfWidth = 2 * deviationOf(edges)
  if (halfWidth < SMALLEST_DB) return []
  return [
    contribution({
      id: 'display',
      group: 'display',
      label: shows === 'unknown' ? 'How the display shows a level' : 'Scatter of the display',
      distribution: 'displayed',
      halfWidth,
      assumed: shows === 'unknown',
      table: { key, edges },
    }),
  ]
}

function deviationOf(edges: readonly number[]): number {
  let mean = 0
  let square = 0
  for (let i = 0; i + 1 < edges.length; i++) {
    const weight = CELL_EDGES[i + 1]! - CELL_EDGES[i]!
    const [from, to] = [edges[i]!, edges[i + 1]!]
    mean += (weight * (from + to)) / 2
    square += (weight * (from * from + from * to + to * to)) / 3
  }
  return Math.sqrt(Math.max(0, square - mean * mean))
}

/** Scatter of a display of mean power, dB, one standard deviation of the carrier under it. */
export function meanScatterDb(aboveDb: number, looks: number): number {
  const signal = 10 ** (aboveDb / 10) - 1
  return (10 / Math.LN10) * (Math.sqrt((1 + 2 * signal) / looks) / signal)
}
