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

/** Which harmonics a line stands for: one by its order, those that bend the crest, or the many that do little. */
export type PeakLineOf = number | 'strong' | 'weak'

/** A harmonic that moves the crest aside by less than this, dB at most, moves the meter evenly. */
const BENDS_FROM_DB = 0.01
/** Weaker ones, ± dB, are put together where there are several. */
const ALONE_FROM_DB = 0.1
/** Smaller ones, ± dB, are left out. */
const SMALLEST_DB = 0.005
/** Many weak ones are rounded up to so much, dB: few lines stand for many readings. */
const WEAK_IN_STEPS_OF_DB = 0.02

/**
 * What harmonics leave open in a meter that feels the peak of the voltage: the highest value of
 * cos t + Σ r·cos(nt + φ), the angles φ being anything. Weak ones each move it by ±8.686·r dB, U-shaped, and many
 * of them normally; strong ones move the crest aside as well, by up to 4.343·(nr)² dB, and are worked out together.
 */
export function peakMeterEffect(
  name: (which: PeakLineOf) => LineName,
  harmonics: readonly HarmonicInMeter[],
): PeakEffect {
  const strong = harmonics.filter(bends)
  const lines = weakLines(
    name,
    harmonics.filter(one => !bends(one)),
  )
  if (strong.length === 0) return { correctionDb: 0, lines }
  const { edges, middleDb, deviationDb, key } = tableOf(strong)
  const line = contribution({
    ...name('strong'),
    group: 'harmonics',
    distribution: 'displayed',
    halfWidth: 2 * deviationDb,
    table: { key, edges },
  })
  return { correctionDb: middleDb, lines: [...lines, line] }
}

const ratioOf = (downDb: number) => 10 ** (-downDb / 20)
const evenDb = (downDb: number) => 2 * DB_PER_UNIT_POWER * ratioOf(downDb)

function bends({ n, downDb }: HarmonicInMeter): boolean {
  return DB_PER_UNIT_POWER * (n * ratioOf(downDb)) ** 2 >= BENDS_FROM_DB
}

/** Each by its name where it is felt by itself, the others as one. */
function weakLines(name: (which: PeakLineOf) => LineName, weak: readonly HarmonicInMeter[]): Contribution[] {
  const felt = weak.filter(({ downDb }) => evenDb(downDb) >= SMALLEST_DB)
  const little = felt.filter(({ downDb }) => evenDb(downDb) < ALONE_FROM_DB)
  const together = little.length > 1 ? little : []
  const alone = felt.filter(one => !together.includes(one))
  return [
    ...alone.map(({ n, downDb }) => evenPeakLine(name(n), downDb)),
    ...(together.length > 0 ? [togetherLine(name('weak'), together)] : []),
  ]
}

function togetherLine(line: LineName, weak: readonly HarmonicInMeter[]): Contribution {
  const variance = weak.reduce((sum, { downDb }) => sum + evenDb(downDb) ** 2 / 2, 0)
  return contribution({
    ...line,
    group: 'harmonics',
    distribution: 'normal',
    halfWidth: Math.ceil((2 * Math.sqrt(variance)) / WEAK_IN_STEPS_OF_DB) * WEAK_IN_STEPS_OF_DB,
  })
}

/** A harmonic of any order, whatever its angle, to first order: U-shaped, and no way preferred. */
export function evenPeakLine(line: LineName, downDb: number): Contribution {
  return contribution({
    ...line,
    group: 'harmonics',
    distribution: 'u-shaped',
    halfWidth: evenDb(downDb),
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
