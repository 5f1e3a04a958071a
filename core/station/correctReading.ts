import {
  accuracyInWords,
  type CalibrationAge,
  calibrationAges,
  type Chain,
  chainContributions,
  chainLossAt,
  type Instrument,
  instrumentContributions,
  reachAt,
} from '../chain'
import { printDb, printDbm, printSigned } from '../quantity'
import type { Reading } from '../review'
import {
  BETWEEN_POINTS_MEAN,
  type Budget,
  budget,
  contribution,
  type Contribution,
  CORRECT_BELOW_DB,
  floorEffect,
  repeatsContribution,
  steppedTraceLossDb,
} from '../uncertainty'
import type { StationContext } from './stationContext'

/** A reading taken back to the radio's socket. */
export interface CorrectedReading {
  levelDbm: number
  /** Level at the instrument's connector, without any offset typed on it. */
  atInstrumentDbm: number
  lossDb: number
  budget: Budget
  isUpperBound: boolean
  /** How the figure was arrived at, in words. */
  notes: string[]
}

/** Why a reading could not be corrected. */
export interface NotCorrected {
  why: string
}

/**
 * Takes a reading back to the socket: display less the offset typed on the instrument, plus the loss of
 * the chain at that frequency, less the noise it holds; with the budget of what that leaves open.
 */
export function correctReading(reading: Reading, context: StationContext): CorrectedReading | NotCorrected {
  const chain = context.chainOf(reading)
  if (!chain) return { why: 'The chain this reading was taken through is no longer on the bench.' }
  const instrument = context.instrument(chain.instrumentId)
  if (!instrument) return { why: `The chain “${chain.name}” has no instrument.` }
  const { calibrations, settings } = context.review
  return context.reuse(reading, [chain, instrument, calibrations, settings.calibrationMaxAgeDays], () =>
    correct(reading, chain, instrument, context),
  )
}

function correct(
  reading: Reading,
  chain: Chain,
  instrument: Instrument,
  context: StationContext,
): CorrectedReading | NotCorrected {
  const path = context.perChain(chain, instrument, reading.frequencyHz, () =>
    pathAt(chain, instrument, reading.frequencyHz),
  )
  if ('why' in path) return path

  const notes: string[] = []
  const displayed = reading.levelDbm - chain.offsetOnInstrumentDb
  if (chain.offsetOnInstrumentDb !== 0)
    notes.push(`The instrument adds ${printSigned(chain.offsetOnInstrumentDb, 2)} dB; taken off again.`)
  const floor = withoutNoise(reading, { chain, instrument, displayed, path }, notes)
  const steps = betweenPoints(reading, notes)
  const scatter = scatterOf(reading, notes)
  const total = totalBudget(
    path,
    { reading, instrument, displayed, own: [scatter, floor.contribution, steps].filter(one => one !== null) },
    context,
  )
  const atInstrumentDbm =
    displayed - floor.correctionDb + (steps ? steps.halfWidthDb * BETWEEN_POINTS_MEAN : 0)
  if (instrument.assumed)
    notes.push(
      context.once(
        `assumed:${instrument.id}`,
        () =>
          `The accuracy of ${instrument.name} (${accuracyInWords(instrument)}) is assumed, not stated by anybody.`,
      ),
    )
  for (const age of agesOf(chain, reading, context))
    if (age.stale)
      notes.push(
        `The path through ${age.partName} had been measured ${age.days} days before, more than the ${context.review.settings.calibrationMaxAgeDays} this review allows.`,
      )
  if (Math.abs(total.shiftDb) >= 0.005 && !floor.isUpperBound)
    notes.push(
      `What is left open is lopsided, so the middle of it is stated: ${printSigned(total.shiftDb, 2)} dB.`,
    )
  return {
    levelDbm: atInstrumentDbm + path.lossDb + total.shiftDb,
    atInstrumentDbm,
    lossDb: path.lossDb,
    budget: total,
    isUpperBound: floor.isUpperBound,
    notes,
  }
}

/** How old the calibrations were when a reading was taken. */
function agesOf(chain: Chain, reading: Reading, context: StationContext): CalibrationAge[] {
  const { calibrations, settings } = context.review
  if (calibrations.length === 0) return []
  const pinned = {
    ...chain,
    parts: chain.parts.map(part => ({ ...part, calibrationId: reading.calibrationIds[part.id] ?? null })),
  }
  return calibrationAges(pinned, { calibrations, at: reading.at, maxAgeDays: settings.calibrationMaxAgeDays })
}

interface Path {
  lossDb: number
  contributions: Contribution[]
  /** What noise leaves open, by its half-width. */
  noise: Map<number, Contribution>
  /**
   * Budgets by the weight of the last digit and what a reading adds of its own: the same few come again and
   * again.
   */
  budgets: Map<string, Budget>
}

/**
 * What the way from the socket to the instrument does at a frequency; the same for every reading through it.
 */
function pathAt(chain: Chain, instrument: Instrument, frequencyHz: number): Path | NotCorrected {
  const reach = reachAt(chain, instrument, frequencyHz)
  if (!reach.covered) return { why: reach.why }
  const loss = chainLossAt(chain, instrument, frequencyHz)
  return loss.known
    ? {
        lossDb: loss.lossDb,
        contributions: chainContributions(chain, instrument, frequencyHz),
        noise: new Map(),
        budgets: new Map(),
      }
    : { why: loss.why }
}

/**
 * An analyser's budget hangs on the level only by what the reading adds of its own, so equal ones are worked
 * out once.
 */
function totalBudget(
  path: Path,
  of: { reading: Reading; instrument: Instrument; displayed: number; own: Contribution[] },
  context: StationContext,
): Budget {
  const { reading, instrument, displayed, own } = of
  const make = () =>
    budget(
      [
        ...instrumentContributions(instrument, {
          atInstrumentDbm: displayed,
          resolutionDb: reading.resolutionDb,
        }),
        ...path.contributions,
        ...own,
      ],
      context.distributions,
    )
  if (instrument.kind !== 'spectrum-analyser') return make()
  let key = String(reading.resolutionDb)
  for (const one of own) key += `|${one.id}${one.halfWidthDb},${one.degreesOfFreedom},${one.parameter}`
  const known = path.budgets.get(key)
  if (known) return known
  const made = make()
  path.budgets.set(key, made)
  return made
}

function scatterOf(reading: Reading, notes: string[]): Contribution | null {
  if (reading.repeatsDbm.length < 2) return null
  notes.push(`Mean of ${reading.repeatsDbm.length} readings.`)
  return repeatsContribution(reading.repeatsDbm)
}

/**
 * A peak of a stepped trace stands between two points: what it reads low on average is added, the rest is
 * left open.
 */
function betweenPoints(reading: Reading, notes: string[]): Contribution | null {
  if (reading.doubt?.kind !== 'stepped-trace') return null
  const halfWidthDb = steppedTraceLossDb(reading.doubt.stepHz, reading.doubt.resolutionBandwidthHz)
  if (halfWidthDb > 0.05)
    notes.push(
      `A peak between two points of the trace reads up to ${printDb(halfWidthDb, 2)} low; the mean of that, ${printDb(halfWidthDb * BETWEEN_POINTS_MEAN, 2)}, is added.`,
    )
  return contribution({
    id: 'steps',
    group: 'steps',
    label: 'Between the trace’s points',
    distribution: 'between-points',
    halfWidthDb,
  })
}

interface WithoutNoise {
  correctionDb: number
  isUpperBound: boolean
  contribution: Contribution | null
}

/** Takes the analyser's noise off a reading, or calls it an upper bound. */
function withoutNoise(
  reading: Reading,
  at: { chain: Chain; instrument: Instrument; displayed: number; path: Path },
  notes: string[],
): WithoutNoise {
  const { chain, instrument, displayed, path } = at
  if (instrument.kind !== 'spectrum-analyser' || reading.isUpperBound)
    return { correctionDb: 0, isUpperBound: reading.isUpperBound, contribution: null }
  const floorDbm = Math.max(
    instrument.floorDbm,
    reading.traceFloorDbm === null ? -Infinity : reading.traceFloorDbm - chain.offsetOnInstrumentDb,
  )
  const floor = floorEffect({ readingDbm: displayed, floorDbm, floorDoubtDb: instrument.floorDoubtDb })
  if (floor.isUpperBound)
    notes.push(`Within 3 dB of the noise at ${printDbm(floorDbm, 0)}: the true level is at most this.`)
  else if (floor.aboveFloorDb < CORRECT_BELOW_DB)
    notes.push(
      `Stands ${printDb(floor.aboveFloorDb)} above the noise; ${printDb(floor.correctionDb, 2)} of noise taken off.`,
    )
  return {
    correctionDb: floor.correctionDb,
    isUpperBound: floor.isUpperBound,
    contribution: noiseContribution(floor.remainderDb, floor.aboveFloorDb, path.noise),
  }
}

/** Noise that matters less than this, ± dB, is left out of the budget. */
const SMALLEST_NOISE_DB = 0.003

/** Under this, ± dB, what the noise leaves open is even to 0.01 dB, and is rounded up to a hundredth. */
const EVEN_BELOW_DB = 0.1

function noiseContribution(
  remainderDb: number,
  aboveFloorDb: number,
  known: Map<number, Contribution>,
): Contribution | null {
  if (remainderDb < SMALLEST_NOISE_DB) return null
  if (remainderDb >= EVEN_BELOW_DB)
    return contribution({
      ...NOISE,
      distribution: 'noise-removed',
      halfWidthDb: remainderDb,
      parameter: aboveFloorDb,
    })
  const halfWidthDb = Math.ceil(100 * remainderDb) / 100
  let even = known.get(halfWidthDb)
  if (!even)
    known.set(halfWidthDb, (even = contribution({ ...NOISE, distribution: 'rectangular', halfWidthDb })))
  return even
}

const NOISE = { id: 'floor', group: 'floor', label: 'Noise floor' } as const

/** True for a reading that could be corrected. */
export function isCorrected(answer: CorrectedReading | NotCorrected): answer is CorrectedReading {
  return 'levelDbm' in answer
}
