import {
  type Instrument,
  type Chain,
  type Part,
  newPart,
  type PowerMeter,
  newPowerMeter,
  type SpectrumAnalyser,
  newSpectrumAnalyser,
  newChain,
  ASSUMED_RADIO_VSWR,
  chainLossAt,
} from '../chain'
import { dbmFromWatts } from '../quantity'
import type { ReadingDoubt } from '../review'
import {
  levelAtInstrument,
  drawPartErrors,
  displayedMeterDbm,
  gaussian,
  drawAnalyser,
  displayedDbm,
} from '../virtual'

/** One bench with its truth, and the readings somebody would have taken at it. */
export interface SimulatedBench {
  instrument: Instrument
  chain: Chain
  readings: SimulatedReading[]
}

/** A reading as displayed, and what the radio really gave. */
export interface SimulatedReading {
  slot: 'carrier' | 'x1' | 'x2'
  frequencyHz: number
  levelDbm: number
  resolutionDb: number
  repeatsDbm: number[]
  doubt: ReadingDoubt | null
  /** What it would give a perfect load, dBm. */
  trueDbm: number
}

/** A family of benches: what is drawn, and which figure is looked at. */
export interface BenchKind {
  id: string
  stationId: 'carrier-power' | 'harmonics'
  title: string
  /**
   * `ratio`: the harmonic relative to the carrier. `bound`: an upper bound, that must hold at least as often
   * as promised.
   */
  figure: 'level' | 'ratio' | 'bound'
  draw: (random: () => number) => SimulatedBench
}

const CARRIER_HZ = 146.52e6
/** A number drawn evenly between two. */
export const between = (random: () => number, low: number, high: number) => low + (high - low) * random()
const oneOf = <T>(random: () => number, items: readonly T[]): T => items[Math.floor(random() * items.length)]!

interface PartDraw {
  lossDb: number
  halfWidthDb: number
  distribution?: 'rectangular' | 'normal'
  vswr: number
  flatnessDb?: number | null
}

/** A pad with exact figures: losses and half-widths in dB. */
export function part(
  id: string,
  { lossDb, halfWidthDb, distribution = 'rectangular', vswr, flatnessDb = null }: PartDraw,
): Part {
  return {
    ...newPart(id, 'pad'),
    name: id,
    loss: { kind: 'figure', lossDb },
    lossUncertainty: { halfWidthDb, distribution, assumed: false, shareOfLoss: 0, flatnessDb },
    vswr,
  }
}

/** A meter whose figures are stated, not assumed. */
export function meterOf(change: Partial<PowerMeter>): PowerMeter {
  return { ...newPowerMeter('pm'), inLine: false, sensor: 'thermal', vswr: 1.1, assumed: false, ...change }
}

/** An analyser to 3 GHz whose figures are stated, not assumed. */
export function analyserOf(change: Partial<SpectrumAnalyser>): SpectrumAnalyser {
  return {
    ...newSpectrumAnalyser('an'),
    assumed: false,
    toHz: 3e9,
    detection: { shows: 'mean', looks: 1e6 },
    ...change,
  }
}

/** One simulated bench that reads a carrier of `powerW` through `parts`, with its truth. */
export function powerBench(
  random: () => number,
  input: { meter: PowerMeter; parts: Part[]; powerW: number; repeats?: number; scatterDb?: number },
): SimulatedBench {
  const { meter, parts, powerW, repeats = 1, scatterDb = 0 } = input
  const chain: Chain = { ...newChain('ch', 'study', meter.id), parts }
  const trueDbm = dbmFromWatts(powerW)
  const arrivesDbm = levelAtInstrument(
    chain,
    meter,
    {
      levelDbm: trueDbm,
      frequencyHz: CARRIER_HZ,
      sourceVswr: ASSUMED_RADIO_VSWR,
      errors: drawPartErrors(chain, meter, CARRIER_HZ, random),
    },
    random,
  )
  const share = random()
  const shown = Array.from({ length: repeats }, () =>
    displayedMeterDbm(meter, arrivesDbm + scatterDb * gaussian(random), () => share),
  )
  const levelDbm = shown.reduce((sum, level) => sum + level, 0) / repeats
  return {
    instrument: meter,
    chain,
    readings: [
      {
        slot: 'carrier',
        frequencyHz: CARRIER_HZ,
        levelDbm,
        resolutionDb: 0,
        repeatsDbm: repeats > 1 ? shown : [],
        doubt: null,
        trueDbm,
      },
    ],
  }
}

interface HarmonicDraw {
  analyser: SpectrumAnalyser
  parts: Part[]
  /** True level of the harmonic at the radio, dBm; by default well above the noise. */
  harmonicDbm?: (lossDb: number) => number
  trace?: { stepHz: number; resolutionBandwidthHz: number }
  carrierW?: number
}

/** One simulated bench that reads carrier and second harmonic, with their truth. */
export function harmonicBench(
  random: () => number,
  { analyser, parts, harmonicDbm = () => between(random, -25, -5), trace, carrierW = 5 }: HarmonicDraw,
): SimulatedBench {
  const chain: Chain = { ...newChain('ch', 'study', analyser.id), parts }
  const truth = drawAnalyser(analyser, random)
  const errors = drawPartErrors(chain, analyser, CARRIER_HZ, random)
  const read = (slot: 'x1' | 'x2', trueDbm: number): SimulatedReading => {
    const frequencyHz = CARRIER_HZ * Number(slot.slice(1))
    const arrives = levelAtInstrument(
      chain,
      analyser,
      { levelDbm: trueDbm, frequencyHz, sourceVswr: ASSUMED_RADIO_VSWR, errors },
      random,
    )
    const off = trace ? trace.stepHz * (random() - 0.5) : 0
    const stepped = trace ? 40 * Math.log10(2) * (off / trace.resolutionBandwidthHz) ** 2 : 0
    return {
      slot,
      frequencyHz,
      trueDbm,
      levelDbm: displayedDbm(analyser, truth, arrives - stepped, random),
      resolutionDb: analyser.resolution,
      repeatsDbm: [],
      doubt: trace ? { kind: 'stepped-trace', ...trace } : null,
    }
  }
  const loss = chainLossAt(chain, analyser, 2 * CARRIER_HZ)
  return {
    instrument: analyser,
    chain,
    readings: [read('x1', dbmFromWatts(carrierW)), read('x2', harmonicDbm(loss.known ? loss.lossDb : 0))],
  }
}

/** A jumper and two pads, as good as such parts are. */
export const typicalParts = (random: () => number): Part[] => [
  part('jumper', { lossDb: 0.1, halfWidthDb: between(random, 0.03, 0.15), vswr: between(random, 1.05, 1.2) }),
  part('pad-a', { lossDb: 30, halfWidthDb: between(random, 0.3, 1), vswr: between(random, 1.1, 1.3) }),
  part('pad-b', {
    lossDb: 20,
    halfWidthDb: between(random, 0.2, 0.6),
    distribution: oneOf(random, ['rectangular', 'normal'] as const),
    vswr: between(random, 1.1, 1.3),
  }),
]
