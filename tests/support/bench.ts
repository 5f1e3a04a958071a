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
import { parseLevel } from '#core/quantity'
import {
  type FigureReading,
  newBand,
  newChannel,
  newRadioSet,
  newReview,
  type RadioSet,
  type Reading,
  type Review,
} from '#core/review'

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

/** A reading as the application would keep it. */
export function reading(
  text: string,
  place: { stationId?: string; slot: string; frequencyHz: number; stepId: string } & Partial<Reading>,
): Reading {
  const read = parseLevel(text, { bareUnit: place.slot === 'carrier' ? 'W' : 'dBm' })
  if (!read.ok) throw new Error(read.message)
  count += 1
  return {
    id: `r${count}`,
    setId: 'set',
    stationId: place.stationId ?? place.stepId.split(':')[0]!,
    text,
    value: read.value,
    unit: read.unit,
    levelDbm: read.levelDbm,
    resolutionDb: read.resolutionDb,
    isUpperBound: read.isUpperBound,
    traceFloorDbm: null,
    doubt: null,
    instrumentId: 'an',
    chainId: 'ch',
    chainRevision: 1,
    calibrationIds: {},
    repeatsDbm: [],
    supply: 'battery full',
    ambientC: null,
    who: '',
    at: AT,
    source: { kind: 'typed' },
    supersedes: null,
    ...place,
  }
}

export const HARMONICS_STEP = 'harmonics:band:c1:high'
export const POWER_STEP = 'carrier-power:band:c1:high'

/** A harmonic reading of the one step. */
export function harmonic(n: number, text: string, change: Partial<Reading> = {}, mhz = 146.52): Reading {
  return reading(text, { slot: `x${n}`, frequencyHz: n * mhz * 1e6, stepId: HARMONICS_STEP, ...change })
}

export function withReadings(review: Review, readings: Reading[]): Context {
  return createContext({ ...review, readings })
}

/** A figure as the application would keep it. */
export function figure(
  value: number,
  place: { slot: string; stepId: string; unit: FigureReading['unit'] } & Partial<FigureReading>,
): FigureReading {
  count += 1
  return {
    id: `f${count}`,
    setId: 'set',
    stationId: place.stepId.split(':')[0]!,
    text: String(value),
    value,
    resolution: 0,
    isUpperBound: false,
    standardUncertainty: 0,
    noiseAdds: 0,
    method: '',
    instrumentId: 'an',
    chainId: 'ch',
    chainRevision: 1,
    supply: 'battery full',
    ambientC: null,
    who: '',
    at: AT,
    source: { kind: 'typed' },
    supersedes: null,
    ...place,
  }
}

export function withFigures(review: Review, figures: FigureReading[], readings: Reading[] = []): Context {
  return createContext({ ...review, figures, readings })
}
