import type { Chain, Instrument, Part } from '../chain'
import { demoGenerators, demoHearingChains } from './demoHearingBench'

/** The invented bench of the demo: one power meter, two analysers, an I/Q receiver, five chains. */
export const demoInstruments: readonly Instrument[] = [
  {
    id: 'meter',
    kind: 'power-meter',
    name: 'In-line power meter',
    note: 'borrowed from the club',
    fromHz: 25e6,
    toHz: 520e6,
    vswr: 1.1,
    assumed: false,
    resolution: 0.01,
    referencePpm: null,
    accuracyPercent: 5,
    accuracyOf: 'reading',
    fullScaleW: 50,
    maxInputW: 100,
    inLine: true,
    sensor: 'diode',
  },
  {
    id: 'pocket',
    kind: 'spectrum-analyser',
    name: 'Pocket analyser',
    note: '',
    fromHz: 100e3,
    toHz: 960e6,
    vswr: 1.5,
    assumed: true,
    resolution: 0.1,
    referencePpm: 5,
    damageDbm: 10,
    overloadDbm: -10,
    floorDbm: -88,
    resolutionBandwidthHz: 300e3,
    amplitudeAccuracyDb: 2,
    flatnessDb: null,
    scaleDbPer10Db: null,
    detection: { shows: 'mean', looks: null },
    floorDoubtDb: 2,
  },
  {
    id: 'club',
    kind: 'spectrum-analyser',
    name: 'Club analyser',
    note: 'calibrated in March',
    fromHz: 9e3,
    toHz: 3e9,
    vswr: 1.3,
    assumed: false,
    resolution: 0.1,
    referencePpm: 0.5,
    damageDbm: 30,
    overloadDbm: 0,
    floorDbm: -98,
    resolutionBandwidthHz: 100e3,
    amplitudeAccuracyDb: 1,
    flatnessDb: 0.6,
    scaleDbPer10Db: 0.1,
    detection: { shows: 'mean', looks: null },
    floorDoubtDb: 1,
  },
  {
    id: 'receiver',
    kind: 'receiver',
    name: 'I/Q receiver',
    note: 'records 96 thousand samples a second',
    fromHz: 1e6,
    toHz: 1.7e9,
    vswr: 1.5,
    assumed: false,
    resolution: 0.1,
    referencePpm: 0.5,
    damageDbm: 10,
    overloadDbm: -20,
    deviationPercent: 1,
    ratioDb: 0.5,
  },
  ...demoGenerators,
]

const jumper: Part = {
  id: 'jumper',
  kind: 'jumper',
  name: '0.5 m jumper',
  note: 'RG-223, SMA to N',
  vswr: 1.1,
  ratingW: null,
  zeroRatingAtC: null,
  peakW: null,
  fromHz: null,
  toHz: null,
  typical: false,
  calibrationId: null,
  loss: {
    kind: 'table',
    points: [
      { frequencyHz: 25e6, lossDb: 0.03 },
      { frequencyHz: 100e6, lossDb: 0.07 },
      { frequencyHz: 450e6, lossDb: 0.16 },
      { frequencyHz: 1e9, lossDb: 0.25 },
      { frequencyHz: 3e9, lossDb: 0.48 },
    ],
  },
  lossUncertainty: {
    halfWidthDb: 0.05,
    distribution: 'rectangular',
    assumed: false,
    shareOfLoss: 0,
    flatnessDb: null,
  },
}

const adapter: Part = {
  id: 'adapter',
  kind: 'adapter',
  name: 'Adapter',
  note: 'N to SMA',
  vswr: 1.1,
  ratingW: null,
  zeroRatingAtC: null,
  peakW: null,
  fromHz: null,
  toHz: null,
  typical: false,
  calibrationId: null,
  loss: { kind: 'figure', lossDb: 0.05 },
  lossUncertainty: {
    halfWidthDb: 0.05,
    distribution: 'rectangular',
    assumed: true,
    shareOfLoss: 0,
    flatnessDb: null,
  },
}

function pad(id: string, input: { nominalDb: number; ratingW: number; note: string }): Part {
  const { nominalDb, ratingW, note } = input
  return {
    id,
    kind: 'pad',
    name: `${nominalDb} dB pad`,
    note,
    vswr: 1.15,
    ratingW,
    zeroRatingAtC: 125,
    peakW: null,
    fromHz: null,
    toHz: null,
    typical: false,
    calibrationId: null,
    loss: {
      kind: 'table',
      points: [
        [25e6, 0.03],
        [150e6, 0.08],
        [450e6, 0.22],
        [1e9, 0.45],
        [3e9, 0.9],
      ].map(([frequencyHz = 0, extraDb = 0]) => ({ frequencyHz, lossDb: nominalDb + extraDb })),
    },
    lossUncertainty: {
      halfWidthDb: nominalDb >= 20 ? 0.3 : 0.2,
      distribution: 'normal',
      assumed: false,
      shareOfLoss: 0,
      flatnessDb: null,
    },
  }
}

const load: Part = {
  id: 'load',
  kind: 'load',
  name: '50 W load',
  note: 'N, with fins',
  vswr: 1.15,
  ratingW: 50,
  zeroRatingAtC: 125,
  peakW: null,
  fromHz: null,
  toHz: null,
  typical: false,
  calibrationId: null,
  loss: { kind: 'figure', lossDb: 0 },
  lossUncertainty: {
    halfWidthDb: 0,
    distribution: 'rectangular',
    assumed: false,
    shareOfLoss: 0,
    flatnessDb: null,
  },
}

/** Parts are given an id of their own in each chain. */
function chain(id: string, name: string, instrumentId: string, parts: Part[]): Chain {
  return {
    id,
    name,
    instrumentId,
    parts: parts.map(part => ({ ...part, id: `${id}-${part.id}` })),
    offsetOnInstrumentDb: 0,
    revision: 1,
    joins: null,
  }
}

/** The chains of the demo’s bench (invented). */
export const demoChains: readonly Chain[] = [
  chain('power', 'Power meter', 'meter', [jumper, load]),
  chain('pocket50', '50 dB, pocket analyser', 'pocket', [
    jumper,
    pad('pad30', { nominalDb: 30, ratingW: 10, note: '10 W up to 25 °C' }),
    pad('pad20', { nominalDb: 20, ratingW: 2, note: '2 W, N to N' }),
    adapter,
  ]),
  chain('club50', '50 dB, club analyser', 'club', [
    jumper,
    pad('pad30', { nominalDb: 30, ratingW: 10, note: '10 W up to 25 °C' }),
    pad('pad20', { nominalDb: 20, ratingW: 2, note: '2 W, N to N' }),
  ]),
  chain('mobile60', '60 dB for mobiles', 'club', [
    jumper,
    pad('pad40', { nominalDb: 40, ratingW: 50, note: '50 W, finned' }),
    pad('pad20', { nominalDb: 20, ratingW: 2, note: '2 W, N to N' }),
  ]),
  chain('rx70', '70 dB, I/Q receiver', 'receiver', [
    jumper,
    pad('pad40', { nominalDb: 40, ratingW: 50, note: '50 W, finned' }),
    pad('pad30', { nominalDb: 30, ratingW: 10, note: '10 W up to 25 °C' }),
  ]),
  ...demoHearingChains,
]
