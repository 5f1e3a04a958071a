import { wattsFromDbm } from '../quantity'
import type { LevelReading } from '../review'
import {
  type BenchKind,
  powerBench,
  meterOf,
  between,
  part,
  harmonicBench,
  analyserOf,
  typicalParts,
  type SimulatedReading,
  type SimulatedBench,
} from './benchDraws'

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
    applied: {},
    supply: '',
    ambientC: null,
    who: '',
    at,
    source: { kind: 'typed' },
    supersedes: null,
  }
}
