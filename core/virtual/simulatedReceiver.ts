import { fullDeviationHz } from '../band'
import type { Band } from '../review'
import { seededRandom } from './seededRandom'
import type { SimulatedFm, SimulatedLine } from './simulatedRecording'

/** A recording the simulated receiver makes: what is in it, and how it is described. */
export interface ReceiverRecording {
  name: string
  sampleRateHz: number
  /** Middle of the recording, Hz. */
  centreHz: number
  signal:
    | { kind: 'fm'; fm: SimulatedFm }
    | { kind: 'lines'; sampleRateHz: number; seconds: number; noiseDb: number; lines: SimulatedLine[] }
}

const FM_RATE_HZ = 96_000
const SSB_RATE_HZ = 48_000
const SECONDS = 4

/** Two tones 700 and 1900 Hz above the carrier and their odd products: offset from the first, Hz, and level, dB. */
const COMB: readonly [hz: number, levelDb: number][] = [
  [0, -12],
  [1200, -12.2],
  [-1200, -40],
  [2400, -41],
  [-2400, -51],
  [3600, -53],
  [-3600, -58],
  [4800, -60],
]

/** What the receiver’s stand-in records of a radio on a channel; the same place gives the same recording. */
export function receiverRecording({
  setId,
  placeId,
  band,
  frequencyHz,
}: {
  setId: string
  placeId: string
  band: Band
  frequencyHz: number
}): ReceiverRecording {
  const random = seededRandom(seedOf(`${setId}${placeId}`))
  const centreHz = Math.round(frequencyHz / 1000) * 1000 - 10_000
  const offsetHz = frequencyHz - centreHz + (random() - 0.5) * 4e-6 * frequencyHz
  const deviationHz = fullDeviationHz(band) * (0.55 + 0.2 * random())
  const isSsb = band.mode === 'SSB'
  return {
    name: `simulated-${setId}-${Math.round(frequencyHz / 1e3)}`,
    sampleRateHz: isSsb ? SSB_RATE_HZ : FM_RATE_HZ,
    centreHz,
    signal: isSsb ? twoTones(offsetHz, random) : voiceChannel(offsetHz, deviationHz),
  }
}

function twoTones(offsetHz: number, random: () => number): ReceiverRecording['signal'] {
  return {
    kind: 'lines',
    sampleRateHz: SSB_RATE_HZ,
    seconds: SECONDS,
    noiseDb: -75,
    lines: COMB.map(([hz, levelDb], index) => ({
      frequencyHz: offsetHz + 700 + hz,
      levelDb: index === 2 ? levelDb + 4 * random() : levelDb,
    })),
  }
}

function voiceChannel(offsetHz: number, deviationHz: number): ReceiverRecording['signal'] {
  return {
    kind: 'fm',
    fm: {
      sampleRateHz: FM_RATE_HZ,
      seconds: SECONDS,
      offsetHz,
      levelDb: -8,
      noiseDb: -62,
      quietS: 0.4,
      tones: [
        { frequencyHz: 1000, deviationHz },
        { frequencyHz: 88.5, deviationHz: 0.13 * deviationHz },
      ],
    },
  }
}

function seedOf(text: string): number {
  return [...text].reduce((sum, letter) => (sum * 31 + letter.charCodeAt(0)) >>> 0, 7)
}

/** SigMF metadata of a recording of the stand-in. */
export function receiverMeta({ sampleRateHz, centreHz }: ReceiverRecording): object {
  return {
    global: {
      'core:datatype': 'cf32_le',
      'core:version': '1.0.0',
      'core:sample_rate': sampleRateHz,
      'core:description': 'Made by the simulated receiver',
    },
    captures: [{ 'core:sample_start': 0, 'core:frequency': centreHz }],
    annotations: [],
  }
}
