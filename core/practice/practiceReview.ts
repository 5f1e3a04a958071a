import {
  libraryPart,
  newAudioMeter,
  newChain,
  newLaboratoryGenerator,
  newPart,
  newPowerMeter,
  newSpectrumAnalyser,
} from '../chain'
import { newBand, newChannel, newLevel, newRadioSet, newReview, type RadioSet, type Review } from '../review'
import { POWER_OVER_TIME_ID } from '../station'
import type { BenchPart } from './mistake'

/** Ids of what stands on a bench of practice. */
export const PRACTICE_IDS = {
  meter: 'practice-meter',
  analyser: 'practice-analyser',
  generator: 'practice-generator',
  interferer: 'practice-interferer',
  audio: 'practice-audio',
  bigPad: 'practice-pad-30',
  smallPad: 'practice-pad-10',
  load: 'practice-load',
  power: 'practice-power',
  clean: 'practice-clean',
  hear: 'practice-hear',
  other: 'practice-other',
  ears: 'practice-ears',
  combiner: 'practice-combiner',
} as const

/** The frequency of every evening, Hz: one radio, one channel, so that an evening is an evening. */
export const PRACTICE_HZ = 146.52e6
/** What its radios claim, W, and the one level they have. */
export const PRACTICE_W = 5
/** The level of every radio of practice. */
export const PRACTICE_LEVEL = 'high'

/** A review as somebody left it on the bench: the card from the box, the bench as they believed it to stand. */
export function practiceReview(given: {
  id: string
  title: string
  job: string
  at: string
  parts: ReadonlySet<BenchPart>
}): Review {
  const empty = newReview({ id: given.id, title: given.title, at: given.at })
  const samples = given.parts.has('two-samples') ? ['A', 'B'] : ['A']
  const bench = [
    ...(given.parts.has('meter') ? [meterBench()] : []),
    ...(given.parts.has('analyser') ? [analyserBench()] : []),
    ...(given.parts.has('receiving') ? [receivingBench(given.parts.has('two-generators'))] : []),
  ]
  return {
    ...empty,
    purpose: given.job,
    settings: {
      ...empty.settings,
      yardstickId: 'good-practice',
      alsoStations: given.parts.has('meter') ? [POWER_OVER_TIME_ID] : [],
    },
    sets: samples.map(sample => practiceRadio(sample)),
    instruments: bench.flatMap(({ instruments }) => instruments),
    chains: bench.flatMap(({ chains }) => chains),
  }
}

function practiceRadio(sample: string): RadioSet {
  const band = newBand({ id: 'practice-2m', name: '2 m', levelIds: [PRACTICE_LEVEL] })
  return {
    ...newRadioSet({ id: `practice-${sample.toLowerCase()}`, sample, levelId: PRACTICE_LEVEL }),
    make: 'Ludder',
    model: '1',
    levels: [newLevel(PRACTICE_LEVEL, 'High')],
    bands: [
      {
        ...band,
        channelSpacingHz: 12_500,
        claims: { [PRACTICE_LEVEL]: { kind: 'watts', powerW: PRACTICE_W } },
        channels: [newChannel({ id: 'practice-c1', name: '', frequencyHz: PRACTICE_HZ, harmonics: true })],
        receives: [
          {
            ...{ id: 'practice-claim', kind: 'sinad-12', value: 0.2, unit: 'µV', spacingHz: null },
            ...{ voltageIs: 'pd', takenAs: 'pd' },
          },
        ],
      },
    ],
  }
}

const jumper = (id: string) => newPart(id, 'jumper')

function meterBench(): Pick<Review, 'instruments' | 'chains'> {
  const { meter, power, load } = PRACTICE_IDS
  return {
    instruments: [
      {
        ...newPowerMeter(meter),
        ...{ name: 'In-line meter', assumed: false, accuracyPercent: 5, accuracyOf: 'reading' },
      },
    ],
    chains: [
      {
        ...newChain(power, 'Meter and load', meter),
        parts: [jumper('practice-j1'), libraryPart('load-50', load)],
      },
    ],
  }
}

function analyserBench(): Pick<Review, 'instruments' | 'chains'> {
  const { analyser, clean, bigPad, smallPad } = PRACTICE_IDS
  return {
    instruments: [
      { ...newSpectrumAnalyser(analyser), name: 'Pocket analyser', assumed: false, overloadDbm: 0 },
    ],
    chains: [
      {
        ...newChain(clean, 'Analyser behind 40 dB', analyser),
        parts: [jumper('practice-j2'), libraryPart('pad-30-10', bigPad), libraryPart('pad-10', smallPad)],
      },
    ],
  }
}

function receivingBench(hasTwo: boolean): Pick<Review, 'instruments' | 'chains'> {
  const { generator, interferer, audio, hear, other, ears, combiner } = PRACTICE_IDS
  const first = {
    ...newLaboratoryGenerator(generator),
    name: 'Generator',
    assumed: false,
    setIn: 'µV' as const,
  }
  const second = { ...newLaboratoryGenerator(interferer), name: 'Second generator', assumed: false }
  const speaker = newChain(ears, 'Speaker to the audio meter', audio)
  const listener = { ...newAudioMeter(audio), name: 'Audio meter', assumed: false }
  const together = hasTwo ? [newPart(combiner, 'combiner')] : []
  return {
    instruments: [first, ...(hasTwo ? [second] : []), listener],
    chains: [
      {
        ...newChain(hear, 'Generator to the radio', generator),
        parts: [...together, libraryPart('pad-10', 'practice-g10')],
      },
      ...(hasTwo
        ? [
            {
              ...newChain(other, 'Second generator', interferer),
              parts: [libraryPart('pad-10', 'practice-i10')],
              joins: { chainId: hear, partId: combiner },
            },
          ]
        : []),
      speaker,
    ],
  }
}
