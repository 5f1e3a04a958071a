import { contribution, type Contribution } from '../contribution'
import { type Detection, lawsOf } from './detection'
import { CELL_EDGES, type FloorFrom, type SignalUnderNoise, signalUnderNoise } from './signalUnderNoise'

/** What a display that is no mean power is taken for. */
export interface DisplayEffect {
  /** To subtract from what is displayed, dB; 0 where it is only a bound. */
  correctionDb: number
  isUpperBound: boolean
  /** What it leaves open. */
  lines: readonly Contribution[]
  /** Names the lines: equal where they are. */
  key: string
}

/** Displays are worked out at these distances from the noise, and between them along a line, dB. */
const GRID_DB = 0.25
/** So far above it the noise matters to no display. */
const FREE_FROM_DB = 45
const NOTHING: readonly Contribution[] = []

interface KnownDisplay {
  key: string
  under: SignalUnderNoise
  level: readonly Contribution[]
  bound: readonly Contribution[]
}

const known = new Map<string, KnownDisplay>()
const MOST_KNOWN = 5000

/**
 * What a display makes of a carrier above the noise, by the law of its detector and of what it does with sweeps; of
 * one nobody knows, the widest.
 * @param aboveDb - the display over the floor, dB. @param floorDoubtDb - how well the floor is known, ± dB.
 */
export function displayEffect(
  detection: Detection,
  { aboveDb, floorDoubtDb, from }: { aboveDb: number; floorDoubtDb: number; from: FloorFrom },
): DisplayEffect {
  if (aboveDb >= FREE_FROM_DB) return { correctionDb: 0, isUpperBound: false, lines: NOTHING, key: '' }
  const step = Math.floor(aboveDb / GRID_DB)
  const share = aboveDb / GRID_DB - step
  const [below, above] = [at(detection, step, from), at(detection, step + 1, from)]
  const nearest = share < 0.5 ? below : above
  if (nearest.under.isUpperBound)
    return { correctionDb: 0, isUpperBound: true, lines: nearest.bound, key: `${nearest.key}/bound` }
  const [low, high] = [below.under.middleDb, above.under.middleDb]
  // Rounded up, so that a few lists stand for many readings.
  const hundredths = Math.ceil((floorDoubtDb * Math.abs((high - low) / GRID_DB)) / SMALLEST_DB)
  return {
    correctionDb: -(low + share * (high - low)),
    isUpperBound: false,
    lines: hundredths < 2 ? nearest.level : [...nearest.level, floorLine(hundredths * SMALLEST_DB)],
    key: `${nearest.key}/${hundredths}`,
  }
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

function at(detection: Detection, step: number, from: FloorFrom): KnownDisplay {
  const key = `${detection.shows}/${detection.looks}/${from}/${step}`
  let found = known.get(key)
  if (!found) {
    const under = signalUnderNoise(lawsOf(detection), step * GRID_DB, from)
    const line = (kind: string, edges: readonly number[]) => displayLine(`${key}/${kind}`, edges, detection)
    found = {
      key,
      under,
      level: line('level', under.edgesDb),
      // At most: what it may be more than is displayed.
      bound: line(
        'bound',
        under.edgesDb.map(edge => Math.max(0, edge + under.middleDb)),
      ),
    }
    if (known.size >= MOST_KNOWN) known.clear()
    known.set(key, found)
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
