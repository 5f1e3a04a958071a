import { type Context, createContext } from '#core/context'
import {
  type Chain,
  type Instrument,
  newChain,
  newPart,
  newPowerMeter,
  newSpectrumAnalyser,
  type Part,
  type PowerMeter,
  type SpectrumAnalyser,
} from '#core/chain'
import { type FigureUnit, parseLevel } from '#core/quantity'
import {
  type FigureReading,
  type LevelReading,
  newBand,
  newChannel,
  newRadioSet,
  newReview,
  type RadioSet,
  type Reading,
  type Review,
  type SeenFigure,
  type SeenLevel,
} from '#core/review'
import { seenFigure, seenLevel } from '#core/step'

/** Small benches for tests: exact parts unless told otherwise. */
export const AT = '2026-11-20T10:00:00.000Z'

export function analyser(change: Partial<SpectrumAnalyser> = {}): SpectrumAnalyser {
  return {
    ...newSpectrumAnalyser('an'),
    name: 'Analyser',
    vswr: 1,
    assumed: false,
    resolution: 0,
    amplitudeAccuracyDb: 1,
    floorDbm: -100,
    detection: { shows: 'mean', looks: 1e6 },
    ...change,
  }
}

export function meter(change: Partial<PowerMeter> = {}): PowerMeter {
  return {
    ...newPowerMeter('pm'),
    name: 'Meter',
    vswr: 1,
    assumed: false,
    resolution: 0,
    accuracyPercent: 5,
    accuracyOf: 'reading',
    inLine: false,
    sensor: 'thermal',
    ...change,
  }
}

export function pad(lossDb: number, change: Partial<Part> = {}): Part {
  return {
    ...newPart(`pad${lossDb}`, 'pad'),
    name: `${lossDb} dB pad`,
    vswr: 1,
    ratingW: 50,
    loss: { kind: 'figure', lossDb },
    lossUncertainty: {
      halfWidthDb: 0,
      distribution: 'rectangular',
      assumed: false,
      shareOfLoss: 0,
      flatnessDb: null,
    },
    ...change,
  }
}

export function chainOf(parts: Part[], change: Partial<Chain> = {}): Chain {
  return { ...newChain('ch', 'Test chain', 'an'), parts, ...change }
}

export function radio(
  change: Partial<RadioSet> = {},
  at: { bandName?: string; mhz?: number; claimW?: number | null } = {},
): RadioSet {
  const { bandName = '2 m', mhz = 146.52, claimW = 5 } = at
  const band = newBand({ id: 'band', name: bandName, levelIds: ['high'] })
  band.channels = [newChannel({ id: 'c1', name: 'Valley', frequencyHz: mhz * 1e6, harmonics: true })]
  band.claims = { high: claimW === null ? { kind: 'not-said' } : { kind: 'watts', powerW: claimW } }
  return {
    ...newRadioSet({ id: 'set', sample: 'A', levelId: 'high' }),
    make: 'Osmere',
    model: 'Trek 2',
    bands: [band],
    ...change,
  }
}

export interface BenchInput {
  instrument?: Instrument
  parts?: Part[]
  chain?: Partial<Chain>
  set?: RadioSet
  settings?: Partial<Review['settings']>
}

/** A review of one radio, one instrument and one chain. */
export function reviewOf(input: BenchInput = {}): Review {
  const instrument = input.instrument ?? analyser()
  return {
    ...newReview({ id: 'rev', title: 'Test', at: AT }),
    sets: [input.set ?? radio()],
    instruments: [instrument],
    chains: [chainOf(input.parts ?? [pad(50)], { instrumentId: instrument.id, ...input.chain })],
    settings: { ...newReview({ id: 'x', title: 'x', at: AT }).settings, ...input.settings },
  }
}

let count = 0

/** What a test may say of a reading: where it belongs, and anything of it that is not as usual. */
export interface ReadingPlace extends Partial<Omit<Reading, 'seen' | 'text' | 'stepId' | 'slot'>> {
  slot: string
  stepId: string
  /** How it was seen, where not as usual. */
  seen?: Partial<SeenLevel>
  /** The chain it went through; `ch` by default. */
  chainId?: string
  calibrationIds?: Record<string, string>
}

/** A level as the application would keep it. */
export function reading(text: string, place: ReadingPlace & { frequencyHz: number }): LevelReading {
  const read = parseLevel(text, { bareUnit: place.slot === 'carrier' ? 'W' : 'dBm' })
  if (!read.ok) throw new Error(read.message)
  const { frequencyHz, seen, chainId = 'ch', calibrationIds = {}, ...own } = place
  return {
    ...taken(own),
    text,
    seen: seenLevel(read, { frequencyHz, ...seen }),
    through: { instrument: { chainId, chainRevision: 1, calibrationIds } },
    ...own,
  }
}

/** A figure as the application would keep it. */
export function figure(
  value: number,
  place: Omit<ReadingPlace, 'seen'> & { unit: FigureUnit; seen?: Partial<SeenFigure> },
): FigureReading {
  const { unit, seen, chainId = 'ch', calibrationIds: _none, ...own } = place
  return {
    ...taken(own),
    text: String(value),
    seen: seenFigure({ value, unit, ...seen }),
    through: { instrument: { chainId, chainRevision: 1, calibrationIds: {} } },
    ...own,
  }
}

function taken({
  stepId,
  slot,
}: {
  stepId: string
  slot: string
}): Omit<Reading, 'seen' | 'text' | 'through'> {
  count += 1
  return {
    id: `r${count}`,
    setId: 'set',
    stationId: stepId.split(':')[0]!,
    stepId,
    slot,
    instrumentId: 'an',
    applied: {},
    supply: 'battery full',
    ambientC: null,
    who: '',
    at: AT,
    source: { kind: 'typed' },
    supersedes: null,
  }
}

export const HARMONICS_STEP = 'harmonics:band:c1:high'
export const POWER_STEP = 'carrier-power:band:c1:high'

/** A harmonic reading of the one step. */
export function harmonic(
  n: number,
  text: string,
  change: Partial<ReadingPlace> = {},
  mhz = 146.52,
): LevelReading {
  return reading(text, { slot: `x${n}`, frequencyHz: n * mhz * 1e6, stepId: HARMONICS_STEP, ...change })
}

/** A review with readings, ready to be judged. */
export function withReadings(review: Review, readings: readonly Reading[]): Context {
  return createContext({ ...review, readings: [...readings] })
}
