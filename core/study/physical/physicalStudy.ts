import { type Context, createContext, createSharedWork } from '../../context'
import type { Review } from '../../review'
import { stationById } from '../../station'
import type { Judgement } from '../../step'
import type { BenchAnalyser } from './bench'
import { physicalKinds } from './kinds'

/** A radio at its true limit on a bench whose physics is known. */
export interface Trial {
  /**
   * The review somebody would have kept of it, its limit moved by a hair: the radio is `byDb` inside, or outside
   * where that is negative.
   */
  reviewAt: (byDb: number) => Review
  /** Slot the verdict is asked for. */
  slot: string
}

/** A family of benches that lie in one way. */
export interface PhysicalKind {
  id: string
  title: string
  stationId: string
  /** What the product is told, or assumes where nobody told it. */
  told: string
  /** Where nobody can know, a stated range may be wider than it need be. */
  widerIsFair?: boolean
  draw: (random: () => number) => Trial
}

/** How one kind came out. */
export interface PhysicalRow {
  kind: string
  title: string
  told: string
  widerIsFair: boolean
  trials: number
  /** Trials with a verdict that has a margin: the others said that they cannot tell. */
  judged: number
  /** Share of the stated ranges of the margin that hold the truth, of those with a two-sided range. */
  share: number
  twoSided: number
  /** Share of all trials called inside though a hair outside, and outside though a hair inside. */
  wronglyInside: number
  wronglyOutside: number
  /** Mean half-width of the two-sided ranges, dB. */
  meanRangeDb: number
}

/** How many trials, and with which randomness. */
export interface PhysicalOptions {
  trials?: number
  seed?: number
  /** Made from the seed; uniform in [0, 1). */
  randomFrom: (seed: number) => () => number
  /** Only these kinds; all by default. */
  only?: readonly string[]
  /** What every analyser is said to be instead of the truth: shows that the study can fail. */
  toldInstead?: Partial<BenchAnalyser>
}

/** As many trials as `docs/coverage-physical.md` was made with. */
export const PHYSICAL_DEFAULTS = { trials: 4000, seed: 20261127 } as const

const HAIR_DB = 1e-6

/**
 * Puts radios at their true limit on benches built from physics, and asks the whole product, from the reading to the
 * verdict, what it says of them. The benches share no law with what they ask: see the folder's kinds.
 */
export function physicalStudy(options: PhysicalOptions): PhysicalRow[] {
  const {
    trials = PHYSICAL_DEFAULTS.trials,
    seed = PHYSICAL_DEFAULTS.seed,
    randomFrom,
    only,
    toldInstead,
  } = options
  const shared = createSharedWork()
  return physicalKinds.flatMap((kind, index) =>
    only && !only.includes(kind.id)
      ? []
      : studyKind(kind, {
          trials,
          random: randomFrom(seed + 6007 * index),
          distributions: shared.distributions,
          toldInstead,
        }),
  )
}

interface KindInput {
  trials: number
  random: () => number
  distributions: Context['distributions']
  toldInstead?: Partial<BenchAnalyser>
}

function studyKind(
  kind: PhysicalKind,
  { trials, random, distributions, toldInstead }: KindInput,
): PhysicalRow {
  const counts = { judged: 0, held: 0, twoSided: 0, inside: 0, outside: 0, rangeDb: 0 }
  for (let i = 0; i < trials; i++) {
    const trial = said(kind.draw(random), toldInstead)
    const called = (byDb: number) => judgementOf(kind, trial, { byDb, distributions }).verdict
    const { state, margin, marginLow, marginHigh, range, isBound } = called(HAIR_DB)
    if (state === 'outside') counts.outside++
    if (called(-HAIR_DB).state === 'inside') counts.inside++
    if (margin === null || marginLow === null || marginHigh === null) continue
    counts.judged++
    if (isBound || !Number.isFinite(marginHigh)) continue
    counts.twoSided++
    counts.rangeDb += range ?? 0
    if (marginLow <= 0 && marginHigh >= 0) counts.held++
  }
  return {
    kind: kind.id,
    title: kind.title,
    told: kind.told,
    widerIsFair: kind.widerIsFair ?? false,
    trials,
    judged: counts.judged,
    twoSided: counts.twoSided,
    share: counts.held / counts.twoSided,
    meanRangeDb: counts.rangeDb / counts.twoSided,
    wronglyInside: counts.inside / trials,
    wronglyOutside: counts.outside / trials,
  }
}

/** The same radio, its analysers said to be otherwise. */
function said(trial: Trial, toldInstead: Partial<BenchAnalyser> | undefined): Trial {
  if (!toldInstead) return trial
  return {
    ...trial,
    reviewAt: byDb => {
      const review = trial.reviewAt(byDb)
      return {
        ...review,
        instruments: review.instruments.map(one =>
          one.kind === 'spectrum-analyser' ? { ...one, ...toldInstead } : one,
        ),
      }
    },
  }
}

/** What the one rulebook says of the slot, as the product evaluates it. */
function judgementOf(
  { stationId }: PhysicalKind,
  { reviewAt, slot }: Trial,
  { byDb, distributions }: { byDb: number; distributions: Context['distributions'] },
): Judgement {
  const context = createContext(reviewAt(byDb), { ...createSharedWork(), distributions })
  const station = stationById(stationId)
  const step = station.plan(context.review.sets[0]!, context)[0]!
  const result = station.evaluate(step, context).slots.find(one => one.slot.id === slot)!
  return result.each[0] ?? { limit: result.limit!, verdict: result.verdict, words: result.words, ratio: null }
}
