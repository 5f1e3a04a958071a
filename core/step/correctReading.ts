import {
  accuracyInWords,
  type CalibrationAge,
  calibrationAges,
  type Chain,
  chainLossAt,
  type EmissionClass,
  type Instrument,
} from '../chain'
import type { Context } from '../context'
import { printSigned } from '../quantity'
import type { LevelReading, Reading, RoleId, SeenLevel, Through } from '../review'
import { BETWEEN_POINTS_MEAN, budget, type Contribution } from '../uncertainty'
import { betweenPoints, linesOf, scatterOf, sweepsApart } from './ownLines'
import type { Found } from './results'
import { INSTRUMENT_ROLE, type Role } from './step'
import { type NotCorrected, totalBudget, wayToSocket } from './wayToSocket'
import { withoutNoise } from './withoutNoise'

/** A level taken to the radio’s socket. */
export type FoundLevel = Found & { path: NonNullable<Found['path']> }

/** Which of a reading’s chains it is corrected through, and which way the signal went. */
export interface CorrectedThrough {
  role?: RoleId
  signal?: Role['signal']
  /** Whether it is the carrier, the default, or what the radio sends beside it. */
  emission?: EmissionClass
  /** What is to be taken off besides, or left open: then whoever asks keeps the answer. */
  also?: AlsoKnown
}

/** What whoever asks knows of a reading besides: dB to be taken off, lines of its budget, and what is said of it. */
export interface AlsoKnown {
  correctionDb: number
  lines: readonly Contribution[]
  notes: readonly string[]
}

const NOTHING_ELSE: AlsoKnown = Object.freeze({ correctionDb: 0, lines: [], notes: [] })

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
  const { role = INSTRUMENT_ROLE, signal = 'from-radio', emission = 'carrier', also } = through
  if (!also && role === INSTRUMENT_ROLE && signal === 'from-radio')
    return context.once(emission === 'carrier' ? correctedCarrier : correctedUnwanted, reading)
  const { seen } = reading
  return correctedThrough(reading, { seen, role, signal, emission, also: also ?? NOTHING_ELSE }, context)
}

/** By far the most: they are asked for again and again. */
const correctedCarrier = (reading: LevelReading, context: Context) =>
  correctedThrough(reading, { ...USUAL, seen: reading.seen, emission: 'carrier' }, context)
const correctedUnwanted = (reading: LevelReading, context: Context) =>
  correctedThrough(reading, { ...USUAL, seen: reading.seen, emission: 'unwanted' }, context)

const USUAL = { role: INSTRUMENT_ROLE, signal: 'from-radio', also: NOTHING_ELSE } as const

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
  return correctedThrough(
    reading,
    { seen, role, signal: 'to-radio', emission: 'carrier', also: NOTHING_ELSE },
    context,
  )
}

function correctedThrough(
  reading: Reading,
  { seen, role, signal, emission, also }: Required<CorrectedThrough> & { seen: SeenLevel },
  context: Context,
): FoundLevel | NotCorrected {
  const way = reading.through[role]
  const chain = way && context.chainOf(way)
  if (!way || !chain) return { why: 'The chain this reading was taken through is no longer on the bench.' }
  const instrument = context.instrument(chain.instrumentId)
  if (!instrument) return { why: `The chain “${chain.name}” has no instrument.` }
  return correct({ reading, seen, way, chain, instrument, signal, emission, also }, context)
}

/** A level at the socket to begin with, dBm: display, offset and loss alone; null where its chain is gone. */
export function roughlyDbm(reading: LevelReading, context: Context): number | null {
  const way = reading.through[INSTRUMENT_ROLE]
  const chain = way && context.chainOf(way)
  const instrument = chain && context.instrument(chain.instrumentId)
  if (!instrument) return null
  const loss = chainLossAt(chain, instrument, reading.seen.frequencyHz)
  return loss.known ? reading.seen.levelDbm - chain.offsetOnInstrumentDb + loss.lossDb : null
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
  emission: EmissionClass
  also: AlsoKnown
}

function correct(given: ToCorrect, context: Context): FoundLevel | NotCorrected {
  const { seen, chain, instrument } = given
  const path = wayToSocket(chain, seen.frequencyHz, given.emission, context)
  if ('why' in path) return path
  const notes: string[] = []
  const displayed = seen.levelDbm - chain.offsetOnInstrumentDb
  if (chain.offsetOnInstrumentDb !== 0)
    notes.push(`The instrument adds ${printSigned(chain.offsetOnInstrumentDb, 2)} dB; taken off again.`)
  const floor = withoutNoise({ seen, chain, instrument, displayed, known: path.leavesOpen.noise }, notes)
  const steps = betweenPoints(seen, notes)
  const more = linesOf(scatterOf(seen, notes), steps, sweepsApart(seen, notes), ...given.also.lines)
  const total = totalBudget(
    path.leavesOpen,
    { seen, instrument, displayed, noise: floor.lines, more },
    context,
  )
  const atInstrumentDbm =
    displayed -
    floor.correctionDb -
    given.also.correctionDb -
    (seen.sweeps?.spreadDb ?? 0) / 2 +
    (steps ? steps.halfWidth * BETWEEN_POINTS_MEAN : 0)
  notes.push(...given.also.notes)
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
    notes: notes.length === 0 ? notes : notes.slice(),
  }
}

/** What is assumed of the instrument, and calibrations out of date. */
function addDoubts(given: ToCorrect, context: Context, notes: string[]): void {
  const { instrument } = given
  if (instrument.assumed) notes.push(context.forGood(assumedWords, instrument))
  for (const age of agesOf(given, context))
    if (age.stale)
      notes.push(
        `The path through ${age.partName} had been measured ${age.days} days before, ` +
          `more than the ${context.review.settings.calibrationMaxAgeDays} this review allows.`,
      )
}

function assumedWords(instrument: Instrument): string {
  return `The accuracy of ${instrument.name} (${accuracyInWords(instrument)}) is assumed, not stated by anybody.`
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

/**
 * A level with something more to be taken off it, or left open: its budget is made anew.
 * @param more.correctionDb - to subtract, dB.
 */
export function withMore(
  found: FoundLevel,
  more: { correctionDb?: number; lines: readonly Contribution[]; notes?: readonly string[] },
  context: Context,
): FoundLevel {
  const { correctionDb = 0, lines, notes = [] } = more
  const total = budget([...found.budget.contributions, ...lines], context.distributions)
  return {
    ...found,
    value: found.value - found.budget.shift - correctionDb + total.shift,
    path: { ...found.path, atInstrumentDbm: found.path.atInstrumentDbm - correctionDb },
    budget: total,
    notes: [...found.notes, ...notes],
  }
}

/** True for a reading that could be corrected. */
export function isCorrected(answer: FoundLevel | NotCorrected): answer is FoundLevel {
  return 'value' in answer
}
