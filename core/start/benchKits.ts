import {
  type Chain,
  type Instrument,
  libraryPart,
  newAudioMeter,
  newChain,
  newLaboratoryGenerator,
  newPart,
  newPowerMeter,
  newReceiver,
  newSpectrumAnalyser,
  type Part,
} from '../chain'

/** Instruments with the ways to them. */
export interface KitOfBench {
  instruments: Instrument[]
  chains: Chain[]
}

/** A bench one may begin with; everything in it is typical, marked so, and can be changed. */
export interface BenchKit {
  id: string
  title: string
  detail: string
  make: () => KitOfBench
}

const named = (part: Part, name: string): Part => ({ ...part, name })
const chain = (id: string, name: string, instrumentId: string, parts: Part[]): Chain => ({
  ...newChain(id, name, instrumentId),
  parts,
})
const jumper = (id: string) => newPart(id, 'jumper')

/** 30 dB of ten watts, then 10 dB: what a handheld of 5 W may be read through for minutes. */
const fortyDb = (id: string): Part[] => [
  jumper(`${id}-jumper`),
  libraryPart('pad-30-10', `${id}-pad-30`),
  libraryPart('pad-10', `${id}-pad-10`),
]

/** Kits that can be chosen, any number of them. */
export const benchKits: readonly BenchKit[] = [
  {
    id: 'meter-and-load',
    title: 'In-line power meter and load',
    detail: 'watts, typed from its display',
    make: () => ({
      instruments: [{ ...newPowerMeter('kit-meter'), name: 'In-line power meter' }],
      chains: [
        chain('kit-power', 'Meter and load', 'kit-meter', [
          jumper('kit-power-jumper'),
          libraryPart('load-50', 'kit-power-load'),
        ]),
      ],
    }),
  },
  {
    id: 'pocket-analyser',
    title: 'Pocket analyser behind 40 dB',
    detail: 'harmonics and spurs',
    make: () => ({
      instruments: [{ ...newSpectrumAnalyser('kit-analyser'), name: 'Pocket analyser' }],
      chains: [chain('kit-clean', 'Analyser behind 40 dB', 'kit-analyser', fortyDb('kit-clean'))],
    }),
  },
  {
    id: 'sdr-receiver',
    title: 'SDR receiver',
    detail: 'recordings of I/Q behind 70 dB',
    make: () => ({
      instruments: [{ ...newReceiver('kit-receiver'), name: 'SDR receiver' }],
      chains: [
        chain('kit-recording', 'Receiver behind 70 dB', 'kit-receiver', [
          ...fortyDb('kit-recording'),
          named(libraryPart('pad-20', 'kit-recording-pad-20'), '20 dB pad'),
          named(libraryPart('pad-10', 'kit-recording-pad-10b'), '10 dB pad'),
        ]),
      ],
    }),
  },
  {
    id: 'service-monitor',
    title: 'Service monitor',
    detail: 'power, analyser, generator and audio in one',
    make: () => ({
      instruments: [
        { ...newPowerMeter('kit-monitor-power'), name: 'Service monitor, power', inLine: false },
        { ...newSpectrumAnalyser('kit-monitor-analyser'), name: 'Service monitor, analyser' },
        { ...newLaboratoryGenerator('kit-monitor-generator'), name: 'Service monitor, generator' },
        { ...newAudioMeter('kit-monitor-audio'), name: 'Service monitor, audio' },
      ],
      chains: [
        chain('kit-monitor-in', 'Monitor, power', 'kit-monitor-power', [jumper('kit-monitor-jumper-1')]),
        chain(
          'kit-monitor-clean',
          'Monitor, analyser behind 40 dB',
          'kit-monitor-analyser',
          fortyDb('kit-monitor'),
        ),
        chain('kit-monitor-out', 'Monitor, generator', 'kit-monitor-generator', [
          jumper('kit-monitor-jumper-2'),
        ]),
        chain('kit-monitor-ears', 'Speaker to the monitor', 'kit-monitor-audio', []),
      ],
    }),
  },
]
