import { contribution, type Contribution } from './contribution'
import { CELL_EDGES } from './display/signalUnderNoise'
import { DB_PER_UNIT_POWER } from './percentOfPower'

/** A harmonic that stands beside a carrier: which, and how far down. */
export interface HarmonicInMeter {
  n: number
  downDb: number
}

/** What harmonics do to a meter that feels the peak of the voltage. */
export interface PeakEffect {
  /** How much it reads high in the middle of what their angles may do, dB: to be taken off. */
  correctionDb: number
  lines: Contribution[]
}

/** Names a line of the budget. */
interface LineName {
  id: string
  label: string
  assumed?: boolean
}

/** Harmonics that bend the crest by less than this (n²·r together) move it one by one, and evenly. */
const BENDS_FROM = 0.1
/** Smaller ones, ± dB, are left out. */
const SMALLEST_DB = 0.005

/**
 * What harmonics leave open in a meter that feels the peak of the voltage: the highest value of
 * cos t + Σ r·cos(nt + φ), the angles φ being anything. Weak ones each move it by ±8.686·r dB, U-shaped; strong ones
 * bend the crest and are worked out together.
 */
export function peakMeterEffect(
  name: (harmonic: HarmonicInMeter | null) => LineName,
  harmonics: readonly HarmonicInMeter[],
): PeakEffect {
  const bend = harmonics.reduce((sum, { n, downDb }) => sum + n * n * ratioOf(downDb), 0)
  if (bend < BENDS_FROM)
    return {
      correctionDb: 0,
      lines: harmonics.map(one => evenPeakLine(name(one), one.downDb)).filter(isFelt),
    }
  const { edges, middleDb, deviationDb, key } = tableOf(harmonics)
  const line = contribution({
    ...name(null),
    group: 'harmonics',
    distribution: 'displayed',
    halfWidth: 2 * deviationDb,
    table: { key, edges },
  })
  return { correctionDb: middleDb, lines: [line] }
}

const ratioOf = (downDb: number) => 10 ** (-downDb / 20)
const isFelt = ({ halfWidth }: Contribution) => halfWidth >= SMALLEST_DB

/** A harmonic of any order, whatever its angle, to first order: U-shaped, and no way preferred. */
export function evenPeakLine(line: LineName, downDb: number): Contribution {
  return contribution({
    ...line,
    group: 'harmonics',
    distribution: 'u-shaped',
    halfWidth: 2 * DB_PER_UNIT_POWER * ratioOf(downDb),
  })
}

interface PeakTable {
  key: string
  edges: readonly number[]
  middleDb: number
  deviationDb: number
}

/** Strong harmonics are worked out to so much, dB: few tables stand for many readings. */
const ROUNDED_DB = 0.25
/** Weaker ones bend nothing, dB. */
const WEAK_FROM_DB = 50
const MOST_KNOWN = 2000
const known = new Map<string, PeakTable>()

function tableOf(harmonics: readonly HarmonicInMeter[]): PeakTable {
  const rounded = harmonics.flatMap(({ n, downDb }) =>
    downDb < WEAK_FROM_DB ? [{ n, downDb: Math.round(downDb / ROUNDED_DB) * ROUNDED_DB }] : [],
  )
  const key = `peak/${rounded.map(({ n, downDb }) => `${n}@${downDb}`).join('+')}`
  let table = known.get(key)
  if (!table) {
    if (known.size >= MOST_KNOWN) known.clear()
    known.set(key, (table = workedOut(key, rounded)))
  }
  return table
}

const ANGLES = 200
/** Steps that fill any number of angles evenly: the square roots of primes (Kronecker’s sequence). */
const IRRATIONAL = [2, 3, 5, 7, 11, 13, 17, 19, 23].map(Math.sqrt)

function workedOut(key: string, harmonics: readonly HarmonicInMeter[]): PeakTable {
  // What it reads high is what the truth lies under it.
  const errors = Array.from({ length: ANGLES }, (_unused, i) => -20 * Math.log10(peakOf(harmonics, i)))
  errors.sort((a, b) => a - b)
  const at = (p: number) => errors[Math.min(errors.length - 1, Math.floor(p * errors.length))]!
  const middle = at(0.5)
  const mean = errors.reduce((sum, one) => sum + one, 0) / errors.length
  const variance = errors.reduce((sum, one) => sum + (one - mean) ** 2, 0) / errors.length
  return {
    key,
    edges: CELL_EDGES.map(p => at(p) - middle),
    middleDb: -middle,
    deviationDb: Math.sqrt(variance),
  }
}

/** The highest value of the sum, in steps of two degrees about the carrier’s own crest. */
function peakOf(set: readonly HarmonicInMeter[], draw: number): number {
  const waves = set.map(({ n, downDb }, i) => ({
    n,
    ratio: ratioOf(downDb),
    angle: 2 * Math.PI * (((draw + 1) * IRRATIONAL[i % IRRATIONAL.length]!) % 1),
  }))
  let highest = 0
  for (let degree = -90; degree <= 90; degree += 2) {
    const t = (Math.PI * degree) / 180
    let volts = Math.cos(t)
    for (const { n, ratio, angle } of waves) volts += ratio * Math.cos(n * t + angle)
    highest = Math.max(highest, volts)
  }
  return highest
}
