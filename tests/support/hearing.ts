import { type Chain, newChain, newLaboratoryGenerator, type Part, type SignalGenerator } from '#core/chain'
import type { Context } from '#core/context'
import { newBand, newChannel, type Reading, type ReceiverClaim, type Review } from '#core/review'
import { AUDIO, GENERATOR, INTERFERER } from '#core/station'
import { seenFigure, type Step } from '#core/step'
import { AT, pad, radio, reviewOf, withReadings } from './bench'

/** A generator without faults: ±1 dB, nothing reflected, no step of its own. */
export function generator(change: Partial<SignalGenerator> = {}): SignalGenerator {
  return {
    ...newLaboratoryGenerator('gen'),
    name: 'Generator',
    assumed: false,
    vswr: 1,
    resolution: 0,
    levelAccuracyDb: 1,
    ...change,
  }
}

/** One radio on 154 MHz in 12.5 kHz channels, a generator behind 10 dB, a second one into its combiner. */
export function hearingReview(
  given: { first?: SignalGenerator; second?: SignalGenerator | null; receives?: ReceiverClaim[] } = {},
): Review {
  const { first = generator(), second = null, receives = [] } = given
  const base = reviewOf()
  const set = radio()
  const chains: Chain[] = [
    { ...newChain('hear', 'Wanted', first.id), parts: [combiner(), pad(4, { id: 'first-pad' })] },
  ]
  if (second)
    chains.push({
      ...newChain('other', 'Interferer', second.id),
      parts: [pad(4, { id: 'second-pad' })],
      joins: { chainId: 'hear', partId: 'combiner' },
    })
  return {
    ...base,
    settings: { ...base.settings, rulebookIds: ['eu-land-mobile'], yardstickId: 'good-practice' },
    instruments: [first, ...(second ? [second] : [])],
    chains,
    sets: [
      {
        ...set,
        bands: [
          {
            ...newBand({ id: 'band', name: '2 m', levelIds: ['high'] }),
            claims: { high: { kind: 'watts', powerW: 5 } },
            channelSpacingHz: 12_500,
            channels: [newChannel({ id: 'c1', name: '', frequencyHz: 154e6, harmonics: true })],
            receives,
          },
        ],
      },
    ],
  }
}

/** 6 dB from each input, ±0.5 dB: what it does to both cancels. */
function combiner(): Part {
  return {
    ...pad(6, { id: 'combiner', kind: 'combiner', name: 'Combiner' }),
    lossUncertainty: {
      halfWidthDb: 0.5,
      distribution: 'rectangular',
      assumed: false,
      shareOfLoss: 0,
      flatnessDb: null,
    },
  }
}

/** What a box says: so many microvolts, as pd or emf or not said. */
export function microvoltClaim(value: number, change: Partial<ReceiverClaim> = {}): ReceiverClaim {
  return {
    id: `claim${value}`,
    kind: 'sinad-12',
    value,
    unit: 'µV',
    voltageIs: 'not-said',
    takenAs: 'pd',
    spacingHz: null,
    ...change,
  }
}

let count = 0

/** A level as a generator shows it. */
export function generatorLevel(levelDbm: number, frequencyHz = 154e6) {
  return {
    as: 'level' as const,
    value: levelDbm,
    unit: 'dBm' as const,
    levelDbm,
    resolutionDb: 0,
    isUpperBound: false,
    frequencyHz,
    traceFloorDbm: null,
    doubt: null,
    repeatsDbm: [],
  }
}

interface Place {
  stationId: string
  slot: string
  /** What the wanted generator is set to, dBm. */
  wantedDbm?: number
  frequencyHz?: number
}

function taken({
  stationId,
  slot,
  wantedDbm,
  frequencyHz,
}: Place): Omit<Reading, 'text' | 'seen' | 'instrumentId'> {
  count += 1
  const way = (chainId: string) => ({ chainId, chainRevision: 1, calibrationIds: {} })
  return {
    id: `h${count}`,
    setId: 'set',
    stationId,
    stepId: `${stationId}:band:c1:high`,
    slot,
    through: { [GENERATOR]: way('hear'), [INTERFERER]: way('other') },
    applied: wantedDbm === undefined ? {} : { [GENERATOR]: generatorLevel(wantedDbm, frequencyHz) },
    supply: '',
    ambientC: null,
    who: '',
    at: AT,
    source: { kind: 'typed' },
    supersedes: null,
  }
}

/** SINAD read while the generator stood at a level. */
export function sinad(value: number, place: Place, scatterDb = 0.2): Reading {
  const seen = seenFigure({ value, unit: 'dB', resolution: 0.1, standardUncertainty: scatterDb })
  return { ...taken(place), text: String(value), seen, instrumentId: null }
}

/** A level a generator was turned to. */
export function turnedTo(levelDbm: number, place: Place, by: 'gen' | 'gen2' = 'gen'): Reading {
  return { ...taken(place), text: String(levelDbm), seen: generatorLevel(levelDbm), instrumentId: by }
}

/** Points of a straight 2 dB per dB through 12 dB at a level of the socket, 10 dB of path. */
export function pointsAround(twelveDbm: number, offsetsDb: readonly number[]): Reading[] {
  return offsetsDb.map((offset, index) =>
    sinad(12 + 2 * offset, {
      stationId: 'sensitivity',
      slot: `p${index + 1}`,
      wantedDbm: twelveDbm + offset + 10,
    }),
  )
}

/** The first step of a station of the one radio. */
export function stepAt(
  plan: (set: Review['sets'][number], context: Context) => Step[],
  context: Context,
): Step {
  return plan(context.review.sets[0]!, context)[0]!
}

export { AUDIO, withReadings }
