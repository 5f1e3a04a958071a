import type { Chain, SignalGenerator } from '../../chain'
import { channelWidthHz } from '../../hearing'
import type { Reading } from '../../review'
import { GENERATOR, INTERFERER } from '../../station'
import { between, part } from '../benchDraws'
import { drawPath, STUDY_HZ, type TruePath } from './hearingBench'
import { levelReading, sinadReading } from './hearingReadings'
import { hear, type PooledReceiver, ratioFor } from './receiverPool'
import { gaussian, THERMAL_NOISE_DBM_PER_HZ } from '../../virtual'

/** One bench that hears, with its readings and the truth of what is asked. */
export interface HearingBench {
  instruments: SignalGenerator[]
  chains: Chain[]
  readings: Reading[]
  trueValue: number
}

/** A family of benches that hear: what is drawn, and which slot of which station is looked at. */
export interface HearingKind {
  id: string
  stationId: string
  slotId: string
  title: string
  /** `bound`: a lower bound, that must hold at least as often as promised. */
  figure: 'level' | 'bound'
  draw: (pool: PooledReceiver, random: () => number) => HearingBench
}

interface Set {
  path: TruePath
  floorDbm: number
  twelveDbm: number
}

function drawSet(pool: PooledReceiver, random: () => number, stepDb = 0.1): Set {
  const path = drawPath(random, { id: 'gen', accuracyDb: between(random, 0.3, 1.5), stepDb })
  const floorDbm = THERMAL_NOISE_DBM_PER_HZ + between(random, 3, 12)
  return { path, floorDbm, twelveDbm: floorDbm + ratioFor(pool, 12) }
}

/**
 * Points at distances from a mark, as a person would set them on a generator of some step: steered by the SINAD
 * that is read, so the distances are true ones, whatever the generator shows.
 */
function points(
  pool: PooledReceiver,
  { path, floorDbm }: Set,
  given: { markDbm: number; distancesDb: readonly number[]; stepDb: number },
  random: () => number,
): Reading[] {
  return given.distancesDb.map((distance, index) => {
    const wanted = given.markDbm - path.throughDb + distance + between(random, -0.5, 0.5)
    const setDbm = Number((Math.round(wanted / given.stepDb) * given.stepDb).toFixed(2))
    const heard = hear(pool, setDbm + path.throughDb - floorDbm, random)
    return sinadReading(
      {
        stationId: 'sensitivity',
        slot: `p${index + 1}`,
        chains: { [GENERATOR]: 'gen' },
        setDbm,
        frequencyHz: STUDY_HZ,
        instrumentId: null,
      },
      heard,
    )
  })
}

/** As a coach spreads six readings: above, below, and near the mark. */
const COACHED = [5, -5, 0.5, -0.7, 1.2, -1.4] as const

function sensitivity(markDb: number, distancesDb: readonly number[], stepDb: number): HearingKind['draw'] {
  return (pool, random) => {
    const set = drawSet(pool, random, stepDb)
    const markDbm = set.floorDbm + ratioFor(pool, markDb)
    return {
      instruments: [set.path.generator],
      chains: [set.path.chain],
      readings: points(pool, set, { markDbm, distancesDb, stepDb }, random),
      trueValue: markDbm,
    }
  }
}

/** How far the ceiling of the interferer’s noise stands above the rejection, dB. */
type Ceiling = { from: number; to: number }

const SPACING_HZ = 12_500
const CARRIER_TO_NOISE_DB = 5

/** Interferer level, less the 12 dB level, at which leakage and phase noise make as much noise as there was. */
function fallsBackAt(rejectionDb: number, phaseNoiseDbc: number): number {
  const noise =
    10 ** ((CARRIER_TO_NOISE_DB + phaseNoiseDbc + 10 * Math.log10(channelWidthHz(SPACING_HZ))) / 10)
  return -10 * Math.log10(10 ** (-rejectionDb / 10) + noise)
}

function rejection(
  slot: { stationId: string; slotId: string; offsetHz: number },
  ceiling: Ceiling,
): HearingKind['draw'] {
  return (pool, random) => {
    const set = drawSet(pool, random)
    const rejectionDb = between(random, 45, 75)
    const ceilingDb = rejectionDb + between(random, ceiling.from, ceiling.to)
    const phaseNoise = 3 - CARRIER_TO_NOISE_DB - 10 * Math.log10(channelWidthHz(SPACING_HZ)) - ceilingDb
    const other = drawPath(random, {
      id: 'other',
      accuracyDb: between(random, 0.5, 2),
      stepDb: 0.5,
      parts: [part('pad', { lossDb: 10, halfWidthDb: 0.3, vswr: 1.15 })],
    })
    const ppm = 0.5
    const generator: SignalGenerator = {
      ...other.generator,
      phaseNoise: [{ offsetHz: 1000, dbcPerHz: phaseNoise }],
      referencePpm: ppm,
    }
    const isNeighbour = slot.stationId === 'neighbour'
    const slopeDb = isNeighbour ? 0.01 * between(random, -1, 1) * ppm * 1e-6 * STUDY_HZ : 0
    const criterionDb = between(random, -1, 1)
    const arrives = set.twelveDbm + fallsBackAt(rejectionDb + slopeDb, phaseNoise) + criterionDb
    const shown = Math.round((arrives - other.throughDb) / 0.5) * 0.5
    const place = {
      stationId: slot.stationId,
      slot: slot.slotId,
      chains: { [GENERATOR]: 'gen', [INTERFERER]: 'other' },
      setDbm: Number((set.twelveDbm + 3 - set.path.throughDb).toFixed(1)),
      frequencyHz: STUDY_HZ,
      instrumentId: 'other',
    }
    return {
      instruments: [set.path.generator, generator],
      chains: [set.path.chain, other.chain],
      readings: [
        ...points(pool, set, { markDbm: set.twelveDbm, distancesDb: COACHED, stepDb: 0.1 }, random),
        levelReading(place, shown),
      ],
      trueValue: rejectionDb,
    }
  }
}

/** Edges that come by chance near the threshold, seen on the steps of a generator. */
const hysteresis: HearingKind['draw'] = (pool, random) => {
  const stepDb = 0.5
  const set = drawSet(pool, random, stepDb)
  const openDbm = set.twelveDbm - between(random, 0, 4)
  const widthDb = between(random, 1, 6)
  const jitterDb = between(random, 0.1, 0.5)
  const place = (slot: string) => ({
    stationId: 'squelch',
    slot,
    chains: { [GENERATOR]: 'gen' },
    frequencyHz: STUDY_HZ,
    instrumentId: 'gen',
  })
  const seen = (edgeDbm: number, upwards: boolean) => {
    const at = (edgeDbm + jitterDb * gaussian(random) - set.path.throughDb) / stepDb
    return (upwards ? Math.ceil(at) : Math.floor(at)) * stepDb
  }
  const readings = [1, 2, 3].flatMap(round => [
    levelReading(place(`threshold-open-${round}`), seen(openDbm, true)),
    levelReading(place(`threshold-close-${round}`), seen(openDbm - widthDb, false)),
  ])
  return { instruments: [set.path.generator], chains: [set.path.chain], readings, trueValue: widthDb }
}

const NEIGHBOUR = { stationId: 'neighbour', slotId: 'tia-upper', offsetHz: SPACING_HZ }
const BLOCKING = { stationId: 'strong-signals', slotId: 'block1', offsetHz: 1e6 }
const FAR: Ceiling = { from: 15, to: 30 }
const NEAR: Ceiling = { from: 0, to: 8 }
const ABOVE: Ceiling = { from: -15, to: 0 }

/** The families of benches that hear. */
export const hearingKinds: readonly HearingKind[] = [
  {
    id: 'sinad-12-coached',
    stationId: 'sensitivity',
    slotId: 'sinad-12',
    title: '12 dB SINAD from six readings as the coach spreads them',
    figure: 'level',
    draw: sensitivity(12, COACHED, 0.1),
  },
  {
    id: 'sinad-12-near',
    stationId: 'sensitivity',
    slotId: 'sinad-12',
    title: '12 dB SINAD, all six readings near the threshold, generator in 1 dB steps',
    figure: 'level',
    draw: sensitivity(12, [-3, -2, -1, 0, 1, 2], 1),
  },
  {
    id: 'sinad-20-quiet',
    stationId: 'sensitivity',
    slotId: 'sinad-20',
    title: '20 dB SINAD, above the threshold',
    figure: 'level',
    draw: sensitivity(20, [5, -4, 0.5, -1, 1.5, 3], 0.1),
  },
  {
    id: 'rejection-far',
    stationId: 'neighbour',
    slotId: 'rejection-tia',
    title: 'Rejection, the noise of the interferer far away',
    figure: 'level',
    draw: rejection(NEIGHBOUR, FAR),
  },
  {
    id: 'rejection-near',
    stationId: 'neighbour',
    slotId: 'rejection-tia',
    title: 'Rejection near the ceiling: a lower bound',
    figure: 'bound',
    draw: rejection(NEIGHBOUR, NEAR),
  },
  {
    id: 'rejection-above',
    stationId: 'neighbour',
    slotId: 'rejection-tia',
    title: 'Rejection above the ceiling: a lower bound',
    figure: 'bound',
    draw: rejection(NEIGHBOUR, ABOVE),
  },
  {
    id: 'blocking-far',
    stationId: 'strong-signals',
    slotId: 'blocking',
    title: 'Blocking, the noise of the interferer far away',
    figure: 'level',
    draw: rejection(BLOCKING, FAR),
  },
  {
    id: 'hysteresis',
    stationId: 'squelch',
    slotId: 'hysteresis',
    title: 'Hysteresis from three rounds in steps of 0.5 dB',
    figure: 'level',
    draw: hysteresis,
  },
]
