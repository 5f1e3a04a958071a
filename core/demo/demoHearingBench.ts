import type { AudioMeter, Chain, Part, SignalGenerator } from '../chain'
import { newAudioMeter, newLaboratoryGenerator, newPocketGenerator } from '../chain'

/** The invented generators and the sound card of the demo. */
export const demoGenerators: readonly (SignalGenerator | AudioMeter)[] = [
  {
    ...newLaboratoryGenerator('generator'),
    name: 'Club generator',
    note: 'calibrated in March',
    assumed: false,
    levelAccuracyDb: 0.7,
    phaseNoise: [
      { offsetHz: 10e3, dbcPerHz: -116 },
      { offsetHz: 25e3, dbcPerHz: -122 },
      { offsetHz: 1e6, dbcPerHz: -140 },
    ],
  },
  newPocketGenerator('pocket-generator'),
  { ...newAudioMeter('sound'), name: 'Sound card', note: 'line input, 10:1 divider', assumed: false },
]

const plain: Omit<Part, 'id' | 'kind' | 'name' | 'loss' | 'lossUncertainty'> = {
  note: '',
  vswr: 1.15,
  ratingW: 1,
  zeroRatingAtC: null,
  peakW: null,
  fromHz: null,
  toHz: null,
  typical: false,
  calibrationId: null,
}

function part(
  id: string,
  kind: Part['kind'],
  given: { name: string; lossDb: number; halfWidthDb: number },
): Part {
  return {
    ...plain,
    id,
    kind,
    name: given.name,
    loss: { kind: 'figure', lossDb: given.lossDb },
    lossUncertainty: {
      halfWidthDb: given.halfWidthDb,
      distribution: 'rectangular',
      assumed: false,
      shareOfLoss: 0,
      flatnessDb: null,
    },
  }
}

const cable = (id: string) => part(id, 'jumper', { name: '1 m cable', lossDb: 0.6, halfWidthDb: 0.1 })
const tenDb = (id: string) => part(id, 'pad', { name: '10 dB pad', lossDb: 10, halfWidthDb: 0.2 })

function path(
  id: string,
  name: string,
  given: Pick<Chain, 'instrumentId' | 'parts'> & Partial<Chain>,
): Chain {
  return { id, name, offsetOnInstrumentDb: 0, revision: 1, joins: null, ...given }
}

/** One generator alone; two through one combiner, a pad at each; the speaker into the sound card. */
export const demoHearingChains: readonly Chain[] = [
  path('hear', 'Generator alone', { instrumentId: 'generator', parts: [cable('hear-cable')] }),
  path('hear-two', 'Wanted, through the combiner', {
    instrumentId: 'generator',
    parts: [
      cable('two-cable'),
      part('two-combiner', 'combiner', { name: 'Combiner', lossDb: 6.1, halfWidthDb: 0.3 }),
      tenDb('two-pad'),
    ],
  }),
  path('hear-other', 'Interferer, into the combiner', {
    instrumentId: 'pocket-generator',
    parts: [tenDb('other-pad')],
    joins: { chainId: 'hear-two', partId: 'two-combiner' },
  }),
  path('ears', 'Speaker into 8 Ω and the sound card', { instrumentId: 'sound', parts: [] }),
]
