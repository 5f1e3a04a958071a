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
import type { Context } from '../context'
import { kept } from '../derive'
import { printDb, printSigned } from '../quantity'
import type { LevelReading, Reading, RoleId, SeenLevel, Through } from '../review'
import {
  BETWEEN_POINTS_MEAN,
  type Budget,
  budget,
  contribution,
  type Contribution,
  repeatsContribution,
  steppedTraceLossDb,
} from '../uncertainty'
import type { Found } from './results'
import { INSTRUMENT_ROLE, type Role } from './step'
import { withoutNoise } from './withoutNoise'

/** A level taken to the radio’s socket. */
export type FoundLevel = Found & { path: NonNullable<Found['path']> }

/** Why a reading could not be corrected. */
export interface NotCorrected {
  why: string
}

/** Which of a reading’s chains it is corrected through, and which way the signal went. */
export interface CorrectedThrough {
  role?: RoleId
  signal?: Role['signal']
}

/**
 * Takes a level to the socket. From the radio: display less the offset typed on the instrument, plus the loss
 * of the chain at that frequency, less the noise it holds. To the radio: the generator’s level less that loss.
 * With the budget of what that leaves open.
 */
export function correctReading(
  reading: LevelReading,
  context: Context,
  through: CorrectedThrough = {},
): FoundLevel | NotCorrected {
  const { role = INSTRUMENT_ROLE, signal = 'from-radio' } = through
  // By far the most: a name that is put together anew each time is slow to compare.
  const usual = role === INSTRUMENT_ROLE && signal === 'from-radio'
  return context.derive(reading, usual ? 'socket' : `socket:${role}:${signal}`, () =>
    correctedThrough(reading, { seen: reading.seen, role, signal }, context),
  )
}

/**
 * What a generator was set to while something was seen, taken to the socket.
 * @param role - the role the generator plays; null where it was not in play.
 */
export function correctApplied(
  reading: Reading,
  role: RoleId,
  context: Context,
): FoundLevel | NotCorrected | null {
  const seen = reading.applied[role]
  if (!seen) return null
  return context.derive(reading, `applied:${role}`, () =>
    correctedThrough(reading, { seen, role, signal: 'to-radio' }, context),
  )
}

function correctedThrough(
  reading: Reading,
  { seen, role, signal }: { seen: SeenLevel; role: RoleId; signal: Role['signal'] },
  context: Context,
): FoundLevel | NotCorrected {
  const way = reading.through[role]
  const chain = way && context.chainOf(way)
  if (!way || !chain) return { why: 'The chain this reading was taken through is no longer on the bench.' }
  const instrument = context.instrument(chain.instrumentId)
  if (!instrument) return { why: `The chain “${chain.name}” has no instrument.` }
  return correct({ reading, seen, way, chain, instrument, signal }, context)
}

/** True for a reading of a level. */
export function isLevel(reading: Reading): reading is LevelReading {
  return reading.seen.as === 'level'
}

interface ToCorrect {
  reading: Reading
  seen: SeenLevel
  way: Through
  chain: Chain
  instrument: Instrument
  signal: Role['signal']
}

function correct(given: ToCorrect, context: Context): FoundLevel | NotCorrected {
  const { seen, chain, instrument } = given
  const path = pathOf(chain, seen.frequencyHz, context)
  if ('why' in path) return path
  const notes: string[] = []
  const displayed = seen.levelDbm - chain.offsetOnInstrumentDb
  if (chain.offsetOnInstrumentDb !== 0)
    notes.push(`The instrument adds ${printSigned(chain.offsetOnInstrumentDb, 2)} dB; taken off again.`)
  const floor = withoutNoise({ seen, chain, instrument, displayed, evenNoise: path.noise }, notes)
  const steps = betweenPoints(seen, notes)
  const scatter = scatterOf(seen, notes)
  const own = linesOf(scatter, floor.contribution, steps)
  const total = totalBudget(path, { seen, instrument, displayed, own }, context)
  const atInstrumentDbm = displayed - floor.correctionDb + (steps ? steps.halfWidth * BETWEEN_POINTS_MEAN : 0)
  addDoubts(given, context, notes)
  if (Math.abs(total.shift) >= 0.005 && !floor.isUpperBound)
    notes.push(
      `What is left open is lopsided, so the middle of it is stated: ${printSigned(total.shift, 2)} dB.`,
    )
  const lossDb = given.signal === 'to-radio' ? -path.lossDb : path.lossDb
  return {
    value: atInstrumentDbm + lossDb + total.shift,
    unit: 'dBm',
    path: { atInstrumentDbm, lossDb: path.lossDb, signal: given.signal },
    budget: total,
    isUpperBound: floor.isUpperBound,
    // A list that grew holds room for more; tens of thousands of them stay.
    notes: notes.slice(),
  }
}

const NO_LINES: readonly Contribution[] = []

/** The lines there are of what a reading adds of its own: mostly none, or what noise leaves open. */
function linesOf(
  scatter: Contribution | null,
  noise: Contribution | null,
  steps: Contribution | null,
): readonly Contribution[] {
  if (scatter || steps) return [scatter, noise, steps].filter(one => one !== null)
  return noise ? [noise] : NO_LINES
}

/** What is assumed of the instrument, and calibrations out of date. */
function addDoubts(given: ToCorrect, context: Context, notes: string[]): void {
  const { instrument } = given
  if (instrument.assumed)
    notes.push(
      context.derive(
        instrument,
        'assumed',
        () =>
          `The accuracy of ${instrument.name} (${accuracyInWords(instrument)}) is assumed, not stated by anybody.`,
      ),
    )
  for (const age of agesOf(given, context))
    if (age.stale)
      notes.push(
        `The path through ${age.partName} had been measured ${age.days} days before, more than the ${context.review.settings.calibrationMaxAgeDays} this review allows.`,
      )
}

/** How old the calibrations were when a reading was taken. */
function agesOf({ chain, reading, way }: ToCorrect, context: Context): CalibrationAge[] {
  const { calibrations } = context.review
  if (calibrations.length === 0) return []
  const { settings } = context.review
  const pinned = {
    ...chain,
    parts: chain.parts.map(part => ({ ...part, calibrationId: way.calibrationIds[part.id] ?? null })),
  }
  return calibrationAges(pinned, { calibrations, at: reading.at, maxAgeDays: settings.calibrationMaxAgeDays })
}

interface Path {
  lossDb: number
  contributions: Contribution[]
  /** What noise leaves open where it is even, by its half-width: few, and shared by many readings. */
  noise: Map<number, Contribution>
  /** Budgets of readings that add no more than such noise: the same few come again and again. */
  budgets: Map<Contribution | null, Map<number | string, Budget>>
}

/** The ways through a chain as it stands, by frequency. */
function pathOf(chain: Chain, frequencyHz: number, context: Context): Path | NotCorrected {
  const paths = context.derive(chain, 'paths', () => ({
    instrument: context.instrument(chain.instrumentId)!,
    at: new Map<number, Path | NotCorrected>(),
  }))
  return kept(paths.at, frequencyHz, () => pathAt(chain, paths.instrument, frequencyHz))
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
 * An analyser's budget hangs on the level only by what the reading adds of its own, a meter's on the level
 * besides; equal ones are worked out once.
 */
function totalBudget(
  path: Path,
  {
    seen,
    instrument,
    displayed,
    own,
  }: { seen: SeenLevel; instrument: Instrument; displayed: number; own: readonly Contribution[] },
  context: Context,
): Budget {
  const first = own[0] ?? null
  const isOwn = own.length > 1 || (first !== null && path.noise.get(first.halfWidth) !== first)
  const key = instrument.kind === 'power-meter' ? `${seen.resolutionDb}@${displayed}` : seen.resolutionDb
  const known = isOwn ? undefined : path.budgets.get(first)?.get(key)
  if (known) return known
  const made = budget(
    [
      ...instrumentContributions(instrument, {
        atInstrumentDbm: displayed,
        resolutionDb: seen.resolutionDb,
      }),
      ...path.contributions,
      ...own,
    ],
    context.distributions,
  )
  if (!isOwn) kept(path.budgets, first, () => new Map<number | string, Budget>()).set(key, made)
  return made
}

function scatterOf(seen: SeenLevel, notes: string[]): Contribution | null {
  if (seen.repeatsDbm.length < 2) return null
  notes.push(`Mean of ${seen.repeatsDbm.length} readings.`)
  return repeatsContribution(seen.repeatsDbm)
}

/**
 * A peak of a stepped trace stands between two points: what it reads low on average is added, the rest is
 * left open.
 */
function betweenPoints({ doubt }: SeenLevel, notes: string[]): Contribution | null {
  if (doubt?.kind !== 'stepped-trace') return null
  const halfWidthDb = steppedTraceLossDb(doubt.stepHz, doubt.resolutionBandwidthHz)
  if (halfWidthDb > 0.05)
    notes.push(
      `A peak between two points of the trace reads up to ${printDb(halfWidthDb, 2)} low; the mean of that, ${printDb(halfWidthDb * BETWEEN_POINTS_MEAN, 2)}, is added.`,
    )
  return contribution({
    id: 'steps',
    group: 'steps',
    label: 'Between the trace’s points',
    distribution: 'between-points',
    halfWidth: halfWidthDb,
  })
}

/** True for a reading that could be corrected. */
export function isCorrected(answer: FoundLevel | NotCorrected): answer is FoundLevel {
  return 'value' in answer
}
