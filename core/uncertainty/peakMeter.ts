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

/** A harmonic that bends the crest by less than this (n²·r) moves it by itself, and evenly. */
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
  const bends = (one: HarmonicInMeter) => one.n * one.n * ratioOf(one.downDb) >= BENDS_FROM
  const strong = harmonics.filter(bends)
  const weak = harmonics.filter(one => !bends(one))
  const lines = weak.map(one => evenPeakLine(name(one), one.downDb)).filter(isFelt)
  if (strong.length === 0) return { correctionDb: 0, lines }
  const { edges, middleDb, deviationDb, key } = tableOf(strong)
  const line = contribution({
    ...name(null),
    group: 'harmonics',
    distribution: 'displayed',
    halfWidth: 2 * deviationDb,
    table: { key, edges },
  })
  return { correctionDb: middleDb, lines: [...lines, line] }
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
  const volts = Float64Array.from(crestOf(1).cos)
  set.forEach(({ n, downDb }, i) => {
    const angle = 2 * Math.PI * (((draw + 1) * IRRATIONAL[i % IRRATIONAL.length]!) % 1)
    const [along, across] = [ratioOf(downDb) * Math.cos(angle), ratioOf(downDb) * Math.sin(angle)]
    const { cos, sin } = crestOf(n)
    for (let k = 0; k < volts.length; k++) volts[k]! += along * cos[k]! - across * sin[k]!
  })
  return volts.reduce((highest, value) => Math.max(highest, value), 0)
}

const CREST_DEGREES = Array.from({ length: 91 }, (_unused, i) => 2 * i - 90)
const crests = new Map<number, { cos: Float64Array; sin: Float64Array }>()

/** cos nt and sin nt about the carrier’s crest. */
function crestOf(n: number) {
  let crest = crests.get(n)
  if (!crest) {
    const at = (wave: (angle: number) => number) =>
      Float64Array.from(CREST_DEGREES, degree => wave((n * Math.PI * degree) / 180))
    crests.set(n, (crest = { cos: at(Math.cos), sin: at(Math.sin) }))
  }
  return crest
}
