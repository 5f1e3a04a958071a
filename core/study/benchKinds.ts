import {
  ASSUMED_RADIO_VSWR,
  type Chain,
  chainLossAt,
  type Instrument,
  newChain,
  newPart,
  newPowerMeter,
  newSpectrumAnalyser,
  type Part,
  type PowerMeter,
  type SpectrumAnalyser,
} from '../chain'
import { dbmFromWatts, wattsFromDbm } from '../quantity'
import type { LevelReading, ReadingDoubt } from '../review'
import {
  displayedDbm,
  displayedMeterDbm,
  drawAnalyser,
  drawPartErrors,
  gaussian,
  levelAtInstrument,
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

const between = (random: () => number, low: number, high: number) => low + (high - low) * random()
const oneOf = <T>(random: () => number, items: readonly T[]): T => items[Math.floor(random() * items.length)]!

interface PartDraw {
  lossDb: number
  halfWidthDb: number
  distribution?: 'rectangular' | 'normal'
  vswr: number
  flatnessDb?: number | null
}

function part(
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

function meterOf(change: Partial<PowerMeter>): PowerMeter {
  return { ...newPowerMeter('pm'), inLine: false, vswr: 1.1, assumed: false, ...change }
}

function analyserOf(change: Partial<SpectrumAnalyser>): SpectrumAnalyser {
  return { ...newSpectrumAnalyser('an'), assumed: false, toHz: 3e9, ...change }
}

function powerBench(
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

function harmonicBench(
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

const typicalParts = (random: () => number): Part[] => [
  part('jumper', { lossDb: 0.1, halfWidthDb: between(random, 0.03, 0.15), vswr: between(random, 1.05, 1.2) }),
  part('pad-a', { lossDb: 30, halfWidthDb: between(random, 0.3, 1), vswr: between(random, 1.1, 1.3) }),
  part('pad-b', {
    lossDb: 20,
    halfWidthDb: between(random, 0.2, 0.6),
    distribution: oneOf(random, ['rectangular', 'normal'] as const),
    vswr: between(random, 1.1, 1.3),
  }),
]

/** The families of benches the study goes through. Sizes as benches have them (handbook, section 5). */
export const benchKinds: readonly BenchKind[] = [
  {
    id: 'power-of-reading',
    stationId: 'carrier-power',
    figure: 'level',
    title: 'Meter of ± % of reading, jumper, mismatch',
    draw: random =>
      powerBench(random, {
        meter: meterOf({
          accuracyOf: 'reading',
          accuracyPercent: between(random, 3, 12),
          resolution: 0.01,
          vswr: between(random, 1.05, 1.3),
        }),
        parts: [part('jumper', { lossDb: 0.15, halfWidthDb: between(random, 0.03, 0.2), vswr: 1.1 })],
        powerW: between(random, 1, 10),
      }),
  },
  {
    id: 'power-of-scale',
    stationId: 'carrier-power',
    figure: 'level',
    title: 'Meter of ± % of full scale, low on its scale (skewed)',
    draw: random =>
      powerBench(random, {
        meter: meterOf({
          accuracyOf: 'full-scale',
          accuracyPercent: between(random, 5, 10),
          fullScaleW: 20,
          resolution: 0.01,
        }),
        parts: [part('jumper', { lossDb: 0.15, halfWidthDb: 0.1, vswr: 1.1 })],
        powerW: between(random, 4.5, 15),
      }),
  },
  {
    id: 'power-one-rectangle',
    stationId: 'carrier-power',
    figure: 'level',
    title: 'One rectangular part dominates: the meter',
    draw: random =>
      powerBench(random, {
        meter: meterOf({
          accuracyOf: 'reading',
          accuracyPercent: between(random, 5, 10),
          resolution: 0.001,
          vswr: 1.02,
        }),
        parts: [],
        powerW: between(random, 1, 10),
      }),
  },
  {
    id: 'power-repeats',
    stationId: 'carrier-power',
    figure: 'level',
    title: 'Scatter of 3 to 8 readings dominates (Student’s t)',
    draw: random =>
      powerBench(random, {
        meter: meterOf({ accuracyOf: 'reading', accuracyPercent: 1, resolution: 0.001, vswr: 1.02 }),
        parts: [],
        powerW: between(random, 1, 10),
        repeats: 3 + Math.floor(random() * 6),
        scatterDb: between(random, 0.2, 0.6),
      }),
  },
  {
    id: 'harmonics-typical',
    stationId: 'harmonics',
    figure: 'level',
    title: 'Pocket analyser, two pads, jumper',
    draw: random =>
      harmonicBench(random, {
        analyser: analyserOf({
          amplitudeAccuracyDb: between(random, 0.8, 2.5),
          vswr: between(random, 1.2, 2),
          floorDbm: -110,
          resolution: 0.1,
        }),
        parts: typicalParts(random),
      }),
  },
  {
    id: 'harmonics-one-rectangle',
    stationId: 'harmonics',
    figure: 'level',
    title: 'One rectangular part dominates: the analyser',
    draw: random =>
      harmonicBench(random, {
        analyser: analyserOf({ amplitudeAccuracyDb: 2, vswr: 1.2, floorDbm: -110, resolution: 0.01 }),
        parts: [part('pad', { lossDb: 50, halfWidthDb: 0.05, vswr: 1.05 })],
      }),
  },
  {
    id: 'harmonics-normal',
    stationId: 'harmonics',
    figure: 'level',
    title: 'Certificates dominate (normal)',
    draw: random =>
      harmonicBench(random, {
        analyser: analyserOf({ amplitudeAccuracyDb: 0.2, vswr: 1.2, floorDbm: -110, resolution: 0.01 }),
        parts: [
          part('pad-a', {
            lossDb: 30,
            halfWidthDb: between(random, 0.3, 0.8),
            distribution: 'normal',
            vswr: 1.15,
          }),
          part('pad-b', {
            lossDb: 20,
            halfWidthDb: between(random, 0.3, 0.8),
            distribution: 'normal',
            vswr: 1.15,
          }),
        ],
      }),
  },
  {
    id: 'harmonics-mismatch',
    stationId: 'harmonics',
    figure: 'level',
    title: 'Mismatch dominates: no pad between radio and analyser',
    draw: random =>
      harmonicBench(random, {
        analyser: analyserOf({
          amplitudeAccuracyDb: 0.2,
          vswr: between(random, 1.6, 3),
          floorDbm: -150,
          damageDbm: 60,
          overloadDbm: 50,
          resolution: 0.01,
        }),
        parts: [],
      }),
  },
  {
    id: 'harmonics-near-noise',
    stationId: 'harmonics',
    figure: 'level',
    title: '3 to 10 dB above the noise (skewed)',
    draw: random => {
      const analyser = analyserOf({
        amplitudeAccuracyDb: between(random, 0.5, 2),
        vswr: 1.5,
        floorDbm: -90,
        floorDoubtDb: between(random, 0.5, 1.5),
        resolution: 0.1,
      })
      return harmonicBench(random, {
        analyser,
        parts: typicalParts(random),
        harmonicDbm: lossDb => -90 + lossDb + between(random, 5.5, 9.5),
      })
    },
  },
  {
    id: 'harmonics-clipped',
    stationId: 'harmonics',
    figure: 'level',
    title: 'The noise may hide the signal (Monte Carlo takes over)',
    draw: random => {
      const analyser = analyserOf({
        amplitudeAccuracyDb: 0.1,
        vswr: 1.2,
        floorDbm: -90,
        floorDoubtDb: between(random, 4.5, 5),
        resolution: 0.01,
      })
      return harmonicBench(random, {
        analyser,
        parts: [part('pad', { lossDb: 50, halfWidthDb: 0.05, vswr: 1.05 })],
        harmonicDbm: lossDb => -90 + lossDb + between(random, 2.7, 4.5),
      })
    },
  },
  {
    id: 'harmonics-trace',
    stationId: 'harmonics',
    figure: 'level',
    title: 'Peaks of a stepped trace',
    draw: random =>
      harmonicBench(random, {
        analyser: analyserOf({
          amplitudeAccuracyDb: between(random, 0.2, 0.8),
          vswr: 1.3,
          floorDbm: -110,
          resolution: 0.01,
        }),
        parts: typicalParts(random),
        trace: { stepHz: between(random, 0.5, 1) * 300e3, resolutionBandwidthHz: 300e3 },
      }),
  },
  {
    id: 'harmonics-ratio',
    stationId: 'harmonics',
    figure: 'ratio',
    title: 'dBc through one chain: what both share cancels',
    draw: random =>
      harmonicBench(random, {
        analyser: analyserOf({
          amplitudeAccuracyDb: between(random, 1.5, 2.5),
          flatnessDb: between(random, 0.4, 1),
          vswr: 1.5,
          floorDbm: -120,
          resolution: 0.1,
        }),
        parts: [
          part('pad-a', { lossDb: 30, halfWidthDb: 1, flatnessDb: 0.3, vswr: 1.2 }),
          part('pad-b', { lossDb: 20, halfWidthDb: 0.6, flatnessDb: 0.2, vswr: 1.2 }),
        ],
        carrierW: between(random, 30, 60),
      }),
  },
  {
    id: 'harmonics-bound',
    stationId: 'harmonics',
    figure: 'bound',
    title: 'Upper bounds, within 3 dB of the noise',
    draw: random => {
      const analyser = analyserOf({
        amplitudeAccuracyDb: between(random, 0.5, 2),
        vswr: 1.5,
        floorDbm: -90,
        floorDoubtDb: 1,
        resolution: 0.1,
      })
      return harmonicBench(random, {
        analyser,
        parts: typicalParts(random),
        harmonicDbm: lossDb => -90 + lossDb + between(random, -15, -3),
      })
    },
  },
]

/** A simulated reading as the application would keep it. */
export function asReading(
  seen: SimulatedReading,
  bench: SimulatedBench,
  place: { setId: string; stepId: string; stationId: string },
  at: string,
): LevelReading {
  const watts = seen.slot === 'carrier'
  return {
    id: `${place.stepId}:${seen.slot}`,
    ...place,
    slot: seen.slot,
    text: '',
    seen: {
      as: 'level',
      value: watts ? wattsFromDbm(seen.levelDbm) : seen.levelDbm,
      unit: watts ? 'W' : 'dBm',
      levelDbm: seen.levelDbm,
      resolutionDb: seen.resolutionDb,
      isUpperBound: false,
      frequencyHz: seen.frequencyHz,
      traceFloorDbm: null,
      doubt: seen.doubt,
      repeatsDbm: seen.repeatsDbm,
    },
    instrumentId: bench.instrument.id,
    through: { instrument: { chainId: bench.chain.id, chainRevision: 1, calibrationIds: {} } },
    supply: '',
    ambientC: null,
    who: '',
    at,
    source: { kind: 'typed' },
    supersedes: null,
  }
}
