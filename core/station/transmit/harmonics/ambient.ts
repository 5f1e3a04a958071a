import type { Context } from '../../../context'
import { printDb } from '../../../quantity'
import type { LevelReading, Reading } from '../../../review'
import { correctReading, detectionOf, type FoundLevel, isCorrected, isLevel, withMore } from '../../../step'
import {
  ASSUMED_MEAN_OF,
  contribution,
  type Contribution,
  floorEffect,
  meanScatterDb,
} from '../../../uncertainty'
import { momentOfId } from './harmonicSlots'

/** Nearer to the ambient level than this, a reading is only an upper bound, dB. */
const ABOVE_AMBIENT_DB = 3
/** So far above it, nothing of it is worth a word, dB. */
const FAR_ABOVE_AMBIENT_DB = 10
/** So far above it, it does not matter, dB. */
const FREE_OF_AMBIENT_DB = 30
/** How much what is there anyway may have changed between the two readings, ± dB (assumed). */
const AMBIENT_DOUBT_DB = 1

/** True where something was read with the radio unkeyed. */
export function anyAmbient(slotIds: readonly string[]): boolean {
  return slotIds.some(id => momentOfId(id) === 'ambient')
}

/** A reading, and what was read at the same place with the radio unkeyed, if anything. */
export interface BesideAmbient {
  reading: LevelReading
  found: FoundLevel
  ambient: Reading | undefined
}

/**
 * Takes what is there anyway off a reading, as a power, with its range; a display that does not show powers may have
 * added voltages, and is left open both ways. What hardly stands above it is only an upper bound.
 */
export function besideAmbient(
  { reading, found, ambient }: BesideAmbient,
  context: Context,
): { found: FoundLevel; notes: string[] } {
  const unkeyed = ambient && isLevel(ambient) && correctReading(ambient, context, { emission: 'unwanted' })
  if (!unkeyed || !isCorrected(unkeyed)) return { found, notes: [] }
  const aboveDb = found.path.atInstrumentDbm - unkeyed.path.atInstrumentDbm
  if (aboveDb < ABOVE_AMBIENT_DB) return atMost(found, aboveDb)
  const note = apartWords(aboveDb, unkeyed.isUpperBound)
  // What is only a bound stays one: nothing is taken off it.
  if (aboveDb >= FREE_OF_AMBIENT_DB || found.isUpperBound) return { found, notes: [note] }
  const { correctionDb, lines } = unkeyed.isUpperBound
    ? atMostAmbient(aboveDb)
    : takenOff({ reading, aboveDb }, context)
  return {
    found: withMore(found, { correctionDb, lines }, context),
    notes: [correctionDb >= 0.05 ? `${note} ${printDb(correctionDb, 2)} of it taken off, as a power.` : note],
  }
}

function atMost(found: FoundLevel, aboveDb: number): { found: FoundLevel; notes: string[] } {
  const side = aboveDb < 0 ? 'higher' : 'lower'
  return {
    found: { ...found, isUpperBound: true },
    notes: [
      `With the radio unkeyed it was ${printDb(Math.abs(aboveDb))} ${side}: it was there anyway, ` +
        'so the radio’s own is at most this.',
    ],
  }
}

function apartWords(aboveDb: number, isUpperBound: boolean): string {
  const atLeast = isUpperBound ? 'at least ' : ''
  return aboveDb >= FAR_ABOVE_AMBIENT_DB
    ? `With the radio unkeyed it was ${atLeast}${printDb(aboveDb, 0)} lower: this is the radio’s own.`
    : `With the radio unkeyed it was only ${atLeast}${printDb(aboveDb)} lower: part of it may not be the radio’s.`
}

interface TakenOff {
  correctionDb: number
  lines: Contribution[]
}

const LINE = { id: 'ambient', group: 'ambient', label: 'What is there anyway' } as const

function takenOff(
  { reading, aboveDb }: { reading: LevelReading; aboveDb: number },
  context: Context,
): TakenOff {
  const instrument = context.instrument(reading.instrumentId)
  const detection = instrument ? detectionOf(reading.seen, instrument) : null
  const effect = floorEffect({ readingDbm: aboveDb, floorDbm: 0, floorDoubtDb: AMBIENT_DOUBT_DB })
  if (detection?.shows === 'mean')
    return {
      correctionDb: effect.correctionDb,
      lines: [
        contribution({
          ...LINE,
          distribution: 'noise-removed',
          halfWidth: effect.remainderDb,
          parameter: aboveDb,
        }),
        contribution({
          ...LINE,
          id: 'ambient-scatter',
          label: 'Scatter of what is there anyway',
          distribution: 'normal',
          halfWidth: 2 * meanScatterDb(aboveDb, detection.looks ?? ASSUMED_MEAN_OF),
        }),
      ],
    }
  // Two voltages at any angle: |1 − a·exp(iθ)|, whose mean in decibels is nought.
  const ratio = 10 ** (-aboveDb / 20)
  return {
    correctionDb: 0,
    lines: [
      contribution({
        ...LINE,
        distribution: 'two-ports',
        halfWidth: (20 / Math.LN10) * ratio,
        parameter: ratio,
      }),
    ],
  }
}

/** The ambient level is itself only at most so much: anything from all of it to nothing is taken off. */
function atMostAmbient(aboveDb: number): TakenOff {
  const all = floorEffect({ readingDbm: aboveDb, floorDbm: 0, floorDoubtDb: 0 }).correctionDb
  return {
    correctionDb: all / 2,
    lines: [contribution({ ...LINE, distribution: 'rectangular', halfWidth: all / 2 })],
  }
}
