import { dbmFromWatts, wattsFromDbm } from '../../quantity'
import { gaussian } from '../simulatedPath'
import { seededRandom } from '../seededRandom'
import { seedOf } from './seedOf'
import type { VirtualHearing } from './hearing'
import { type Speaks, virtualDeviation, type VirtualSpeaker, virtualSpeaker } from './voice'

/** How a radio is keyed. */
export interface Keyed {
  carrierHz: number
  /** What its maker says of the level it is switched to, W. */
  claimedW: number
  /** The level it is switched to, as its card names it. */
  levelId?: string
  /** How long it has been keyed, s; nought where nobody says. */
  forS?: number
  /** Spacing of the channels it is switched to, Hz; the usual one where nobody says. */
  spacingHz?: number
  /** What is at its microphone; nothing where nobody says. */
  speaks?: Speaks
}

/** What a radio draws from its supply, A. */
export interface VirtualCurrents {
  standbyA: number
  receivingA: number
  keyedA: (keyed: Keyed) => number
}

/** A radio of known truth: what it really does, whatever its maker says. */
export interface VirtualRadio {
  /** Power it really makes, dBm into 50 Ω. */
  carrierDbm: (keyed: Keyed) => number
  /** Level at n times the carrier, dBm; 1 is the carrier. */
  harmonicDbm: (keyed: Keyed, n: number) => number
  /** Where its carrier really stands, Hz. */
  carrierHz: (keyed: Keyed) => number
  /** What it sends that is neither carrier nor harmonic, dBm into 50 Ω. */
  spurs: (keyed: Keyed) => readonly { frequencyHz: number; levelDbm: number }[]
  /** Segments of its power display that light up, of ten; a painted one knows no power. */
  barOfTen: (keyed: Keyed) => number
  /** How far its carrier swings, Hz. */
  deviationHz: (keyed: Keyed) => number
  speaker: VirtualSpeaker
  hearing: VirtualHearing
  currents: VirtualCurrents
  /** Volts of its supply or battery. */
  supplyV: number
  /** VSWR of its own antenna at a frequency, beside the middle of its band. */
  antennaVswr: (frequencyHz: number, middleHz: number) => number
}

/** One radio in so many has a filter left out. */
const DIRTY_ONE_IN = 4
/** One radio in so many has a spur, at a step of its reference beside the carrier; one in so many a painted bar. */
const SPUR_ONE_IN = 3
const SPUR_STEPS_HZ = 13e6
const PAINTED_ONE_IN = 4
/** Harmonics whose levels are known. */
const HARMONICS = 12

/** Bands lie further apart than this, Hz. */
const BAND_HZ = 30e6

/** What a radio does otherwise on one band and level than on the next: its stages are tuned apart, dB. */
function ownOf(seed: number, { carrierHz, levelId = '' }: Keyed): { shortDb: number; dbc: number } {
  const random = seededRandom(seedOf(`${seed}:${Math.round(carrierHz / BAND_HZ)}:${levelId}`))
  return { shortDb: 0.5 * random() - 0.25, dbc: 4 * random() - 2 }
}

/** A radio from a seed: the same seed is the same radio. */
export function virtualRadio(seed: number): VirtualRadio {
  const random = seededRandom(seed)
  const shortDb = 1.6 * random() - 0.3
  const isDirty = random() < 1 / DIRTY_ONE_IN
  const firstDbc = (isDirty ? -38 : -58) + 5 * gaussian(random)
  const dbc = Array.from({ length: HARMONICS }, (_unused, i) => firstDbc - 4 * i + 3 * gaussian(random))
  // Drawn after all that was drawn before there was more to know of a radio: those stay the same.
  const warmth = { droopDb: 0.15 + 0.6 * random(), tauS: 40 + 60 * random(), ppm: 3 * random() - 1.5 }
  const carrierDbm = (keyed: Keyed) => {
    const { claimedW, forS = 0 } = keyed
    const droopDb = warmth.droopDb * (1 - Math.exp(-forS / warmth.tauS))
    return dbmFromWatts(claimedW) - shortDb - ownOf(seed, keyed).shortDb - droopDb
  }
  const efficiency = 0.35 + 0.2 * random()
  const supplyV = 7.4
  const resonance = 0.99 + 0.02 * random()
  const bestVswr = 1.1 + 0.5 * random()
  const hearing = virtualHearing(random)
  const currents = { standbyA: 0.05 + 0.04 * random(), receivingA: 0.15 + 0.1 * random() }
  const spur = {
    isThere: random() < 1 / SPUR_ONE_IN,
    dbc: -62 - 14 * random(),
    besideHz: SPUR_STEPS_HZ * (1 + Math.floor(4 * random())),
  }
  const isPainted = random() < 1 / PAINTED_ONE_IN
  const deviationHz = virtualDeviation(random)
  const speaker = virtualSpeaker(random)
  const blockingDb = { below: 68 + 14 * random(), above: 68 + 14 * random() }
  return {
    carrierDbm,
    harmonicDbm: (keyed, n) => {
      if (n === 1) return carrierDbm(keyed)
      return carrierDbm(keyed) + dbc[Math.min(n - 2, dbc.length - 1)]! + ownOf(seed, keyed).dbc
    },
    carrierHz: ({ carrierHz, forS = 0 }) =>
      carrierHz * (1 + 1e-6 * warmth.ppm * (1 + 0.3 * Math.exp(-forS / warmth.tauS))),
    spurs: keyed =>
      spur.isThere
        ? [{ frequencyHz: keyed.carrierHz + spur.besideHz, levelDbm: carrierDbm(keyed) + spur.dbc }]
        : [],
    barOfTen: keyed => {
      const share = wattsFromDbm(carrierDbm(keyed)) / keyed.claimedW
      return isPainted ? 10 : Math.max(1, Math.min(10, Math.round(10 * share)))
    },
    deviationHz,
    speaker,
    hearing: { ...hearing, blockingDb },
    currents: {
      ...currents,
      keyedA: keyed => wattsFromDbm(carrierDbm(keyed)) / efficiency / supplyV,
    },
    supplyV,
    antennaVswr: (frequencyHz, middleHz) =>
      bestVswr + 1.2e4 * (frequencyHz / (middleHz * resonance) - 1) ** 2,
  }
}

function virtualHearing(random: () => number): Omit<VirtualHearing, 'blockingDb'> {
  const equalDbm = -130 + 2 * gaussian(random)
  const openDbm = equalDbm + 5 + 2 * random()
  return {
    equalDbm,
    gainDb: 5 + 2 * random(),
    tunedHz: 600 * random() - 300,
    rejectionDb: { lower: 45 + 15 * random(), upper: 45 + 15 * random() },
    squelchDbm: { open: openDbm, close: openDbm - 2 - 3 * random() },
  }
}
