import {
  type LevelReading,
  newBand,
  newChannel,
  newRadioSet,
  newReview,
  type Reading,
  type Review,
  type SeenFigure,
} from '../../review'
import type { LimitClause, PowerLimit, Rulebook } from '../../rules'

/** The records of a bench, as a review keeps them. */
export type BenchInstrument = Review['instruments'][number]
export type BenchMeter = Extract<BenchInstrument, { kind: 'power-meter' }>
export type BenchAnalyser = Extract<BenchInstrument, { kind: 'spectrum-analyser' }>
export type BenchReceiver = Extract<BenchInstrument, { kind: 'receiver' }>
export type BenchChain = Review['chains'][number]
export type BenchPart = BenchChain['parts'][number]

export const CARRIER_HZ = 146.52e6
const AT = '2026-11-27T10:00:00.000Z'

/** A number drawn evenly between two. */
export const between = (random: () => number, low: number, high: number): number =>
  low + (high - low) * random()

const INSTRUMENT = {
  note: '',
  fromHz: 1e5,
  toHz: 3e9,
  assumed: false,
  resolution: 0.001,
  referencePpm: null,
} as const

/** A meter that warms up, good to ±2 %, well matched. */
export function meter(change: Partial<BenchMeter> = {}): BenchMeter {
  return {
    ...INSTRUMENT,
    id: 'meter',
    kind: 'power-meter',
    name: 'meter',
    vswr: 1.02,
    accuracyPercent: 2,
    accuracyOf: 'reading',
    fullScaleW: 100,
    maxInputW: 200,
    inLine: false,
    sensor: 'thermal',
    ...change,
  }
}

/** An analyser good to ±0.5 dB, its noise far away. */
export function analyser(change: Partial<BenchAnalyser> = {}): BenchAnalyser {
  return {
    ...INSTRUMENT,
    id: 'analyser',
    kind: 'spectrum-analyser',
    name: 'analyser',
    vswr: 1.2,
    damageDbm: 20,
    overloadDbm: 10,
    floorDbm: -130,
    floorDoubtDb: 0.5,
    resolutionBandwidthHz: 100e3,
    amplitudeAccuracyDb: 0.5,
    flatnessDb: null,
    scaleDbPer10Db: 0,
    detection: { shows: 'mean', looks: 200 },
    ...change,
  }
}

/** What reads ratios of powers, good to ±0.3 dB. */
export function receiver(change: Partial<BenchReceiver> = {}): BenchReceiver {
  return {
    ...INSTRUMENT,
    id: 'receiver',
    kind: 'receiver',
    name: 'receiver',
    vswr: 1.2,
    damageDbm: 10,
    overloadDbm: -10,
    deviationPercent: 1,
    ratioDb: 0.3,
    ...change,
  }
}

/** A pad: its loss, how well that is known, and what its ends reflect. */
export function pad(id: string, given: { lossDb: number; halfWidthDb?: number; vswr?: number }): BenchPart {
  return {
    id,
    kind: 'pad',
    name: id,
    note: '',
    loss: { kind: 'figure', lossDb: given.lossDb },
    lossUncertainty: {
      halfWidthDb: given.halfWidthDb ?? 0.1,
      distribution: 'rectangular',
      assumed: false,
      shareOfLoss: 0,
      flatnessDb: null,
    },
    vswr: given.vswr ?? 1.1,
    ratingW: null,
    zeroRatingAtC: null,
    peakW: null,
    fromHz: null,
    toHz: null,
    typical: false,
    calibrationId: null,
  }
}

/** A path to an instrument, through parts. */
export function path(instrument: BenchInstrument, parts: BenchPart[] = []): BenchChain {
  return {
    id: `to-${instrument.id}`,
    name: `to ${instrument.name}`,
    instrumentId: instrument.id,
    parts,
    offsetOnInstrumentDb: 0,
    revision: 1,
    joins: null,
  }
}

/** A clause that is nothing but a limit, recalled from nowhere. */
export function clause(limit: PowerLimit, change: Partial<LimitClause> = {}): LimitClause {
  return {
    id: 'limit',
    clause: '1',
    about: 'unwanted',
    confidence: 'H',
    recalled: false,
    when: {},
    limit,
    basis: 'conducted',
    note: '',
    ...change,
  }
}

function rulebook(clauses: LimitClause[]): Rulebook {
  return {
    id: 'physical',
    title: 'physical',
    jurisdiction: '',
    edition: '',
    standing: 'law',
    owner: 'reviewer',
    basedOn: null,
    note: '',
    bands: [],
    clauses,
    noFigure: [],
  }
}

/** What stands on the card of the one radio. */
export interface Card {
  claimedW?: number
  antennaGainDbd?: number
}

/** One radio on one channel, one power, a bench, a limit and readings. */
export interface Kept {
  card?: Card
  clause: LimitClause
  instruments: BenchInstrument[]
  chains: BenchChain[]
  readings: Reading[]
}

/** The review of it, as the application would have kept it. */
export function reviewOf({ card = {}, clause: only, instruments, chains, readings }: Kept): Review {
  const plain = newBand({ id: '2m', name: '2 m', levelIds: ['high'] })
  const band = {
    ...plain,
    channels: [newChannel({ id: 'c', name: 'c', frequencyHz: CARRIER_HZ, harmonics: true })],
    channelSpacingHz: 25e3,
    claims:
      card.claimedW === undefined
        ? plain.claims
        : { high: { kind: 'watts', powerW: card.claimedW } as const },
    antennaGainDbd: card.antennaGainDbd ?? null,
  }
  const review = newReview({ id: 'physical', title: 'physical', at: AT })
  return {
    ...review,
    settings: { ...review.settings, rulebookIds: ['physical'] },
    ownRulebooks: [rulebook([only])],
    sets: [{ ...newRadioSet({ id: 'set', sample: '', levelId: 'high' }), bands: [band] }],
    instruments,
    chains,
    readings,
  }
}

/** Where something was read, and through what. */
export interface Where {
  stationId: string
  slot: string
  chain: BenchChain
}

const readingAt = ({ stationId, slot, chain }: Where) => ({
  id: `${stationId}:${slot}`,
  setId: 'set',
  stationId,
  stepId: `${stationId}:2m:c:high`,
  slot,
  text: '',
  instrumentId: chain.instrumentId,
  through: { instrument: { chainId: chain.id, chainRevision: 1, calibrationIds: {} } },
  applied: {},
  supply: '',
  ambientC: null,
  who: '',
  at: AT,
  source: { kind: 'typed' } as const,
  supersedes: null,
})

/** A level as displayed. */
export function level(
  where: Where,
  seen: { levelDbm: number; frequencyHz?: number } & Partial<LevelReading['seen']>,
): LevelReading {
  return {
    ...readingAt(where),
    seen: {
      as: 'level',
      value: seen.levelDbm,
      unit: 'dBm',
      resolutionDb: 0,
      isUpperBound: false,
      frequencyHz: CARRIER_HZ,
      traceFloorDbm: null,
      doubt: null,
      repeatsDbm: [],
      ...seen,
    },
  }
}

/** A figure as displayed. */
export function figure(where: Where, value: number, unit: SeenFigure['unit']): Reading {
  return {
    ...readingAt(where),
    seen: {
      as: 'figure',
      value,
      unit,
      resolution: 0,
      isUpperBound: false,
      standardUncertainty: 0,
      noiseAdds: 0,
      method: '',
    },
  }
}

export const dbmOf = (watts: number): number => 10 * Math.log10(watts) + 30
export const wattsOf = (dbm: number): number => 10 ** ((dbm - 30) / 10)
