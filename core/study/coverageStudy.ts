import { decide, DECISION_RULES, type DecisionRule } from '../decision'
import { newBand, newChannel, newRadioSet, newReview, type Review } from '../review'
import { type Context, createContext, createSharedWork } from '../context'
import { correctReading, isCorrected, isLevel } from '../step'
import {
  type Budget,
  budget,
  createDistributions,
  type Distributions,
  ratioContributions,
} from '../uncertainty'
import { asReading, benchKinds } from './benchKinds'
import { type BenchKind, type SimulatedBench } from './benchDraws'

/** How one kind of bench came out. */
export interface CoverageRow {
  kind: string
  stationId: string
  title: string
  figure: BenchKind['figure']
  benches: number
  /** Benches whose reading could not be used as meant (a bound where a level was meant). */
  left: number
  /** Share of stated 95 % ranges that hold the truth. */
  share: number
  /** The same for the GUM figure, for comparison. */
  gumShare: number
  /** Mean half-width, dB. */
  meanRangeDb: number
  /** By rule: how often a radio right at its limit is called inside, and outside. */
  atTheLimit: Record<DecisionRule, { inside: number; outside: number }>
}

/** How many benches are simulated, and with which randomness. */
export interface CoverageOptions {
  benches?: number
  seed?: number
  /** Made from the seed; uniform in [0, 1). */
  randomFrom: (seed: number) => () => number
  onProgress?: (fraction: number) => void
}

/** As many benches as `docs/coverage.md` was made with. */
export const COVERAGE_DEFAULTS = { benches: 10_000, seed: 20261124 } as const

const AT = '2026-11-24T00:00:00.000Z'
const HAIR_DB = 1e-9

/**
 * Simulates benches whose truth is known and asks the product for the range of each: the share of stated 95 %
 * ranges that
 * hold the truth, and how often each decision rule is wrong about a radio right at its limit.
 * The product is used as it is: readings, chains, corrections, budgets, decisions.
 */
export function coverageStudy(options: CoverageOptions): CoverageRow[] {
  const {
    benches = COVERAGE_DEFAULTS.benches,
    seed = COVERAGE_DEFAULTS.seed,
    randomFrom,
    onProgress,
  } = options
  const frame = frameReview()
  const distributions = createDistributions()
  return benchKinds.map((kind, index) => {
    const row = studyKind(kind, { benches, random: randomFrom(seed + 7919 * index), frame, distributions })
    onProgress?.((index + 1) / benchKinds.length)
    return row
  })
}

interface KindInput {
  benches: number
  random: () => number
  frame: Review
  distributions: Distributions
}

function studyKind(kind: BenchKind, { benches, random, frame, distributions }: KindInput): CoverageRow {
  const counts = { held: 0, gumHeld: 0, used: 0, rangeDb: 0 }
  const atTheLimit = Object.fromEntries(
    DECISION_RULES.map(rule => [rule, { inside: 0, outside: 0 }]),
  ) as CoverageRow['atTheLimit']
  for (let i = 0; i < benches; i++) {
    const bench = kind.draw(random)
    const figure = measure(kind, bench, contextOf(bench, frame, distributions), distributions)
    if (!figure) continue
    counts.used++
    const { valueDb, trueDb, total } = figure
    const errorDb = trueDb - valueDb
    const bound = kind.figure === 'bound'
    if (errorDb <= total.high && (bound || errorDb >= total.low)) counts.held++
    if (errorDb <= total.gumRange && (bound || errorDb >= -total.gumRange)) counts.gumHeld++
    counts.rangeDb += total.range
    const errors = distributions.of(total.contributions)
    for (const rule of DECISION_RULES) {
      const called = (limitDb: number) =>
        decide({ value: valueDb, limit: limitDb, direction: 'upper', errors, rule, isUpperBound: bound })
          .state
      if (called(trueDb - HAIR_DB) === 'inside') atTheLimit[rule].inside++
      if (called(trueDb + HAIR_DB) === 'outside') atTheLimit[rule].outside++
    }
  }
  const share = (count: number) => count / counts.used
  return {
    kind: kind.id,
    stationId: kind.stationId,
    title: kind.title,
    figure: kind.figure,
    benches: counts.used,
    left: benches - counts.used,
    share: share(counts.held),
    gumShare: share(counts.gumHeld),
    meanRangeDb: share(counts.rangeDb),
    atTheLimit: Object.fromEntries(
      DECISION_RULES.map(rule => [
        rule,
        { inside: share(atTheLimit[rule].inside), outside: share(atTheLimit[rule].outside) },
      ]),
    ) as CoverageRow['atTheLimit'],
  }
}

interface Figure {
  valueDb: number
  trueDb: number
  total: Budget
}

/** The figure a kind looks at, with its budget, as the product states it. */
function measure(
  kind: BenchKind,
  bench: SimulatedBench,
  context: Context,
  distributions: Distributions,
): Figure | null {
  const corrected = context.review.readings.filter(isLevel).map(reading => correctReading(reading, context))
  const last = corrected.at(-1)
  const seen = bench.readings.at(-1)!
  if (!last || !isCorrected(last) || last.isUpperBound !== (kind.figure === 'bound')) return null
  if (kind.figure !== 'ratio') return { valueDb: last.value, trueDb: seen.trueDbm, total: last.budget }
  const first = corrected[0]
  if (!first || !isCorrected(first)) return null
  return {
    valueDb: last.value - first.value,
    trueDb: seen.trueDbm - bench.readings[0]!.trueDbm,
    total: budget(ratioContributions(last.budget.contributions, first.budget.contributions), distributions),
  }
}

function frameReview(): Review {
  const band = {
    ...newBand({ id: '2m', name: '2 m', levelIds: ['high'] }),
    channels: [newChannel({ id: 'c', name: 'c', frequencyHz: 146.52e6, harmonics: true })],
  }
  return {
    ...newReview({ id: 'study', title: 'study', at: AT }),
    sets: [{ ...newRadioSet({ id: 'set', sample: '', levelId: 'high' }), bands: [band] }],
  }
}

function contextOf(bench: SimulatedBench, frame: Review, distributions: Distributions): Context {
  const readings = bench.readings.map(seen =>
    asReading(
      seen,
      bench,
      {
        setId: 'set',
        stationId: seen.slot === 'carrier' ? 'carrier-power' : 'harmonics',
        stepId: `${seen.slot === 'carrier' ? 'carrier-power' : 'harmonics'}:2m:c:high`,
      },
      AT,
    ),
  )
  return createContext(
    { ...frame, instruments: [bench.instrument], chains: [bench.chain], readings },
    { ...createSharedWork(), distributions },
  )
}
