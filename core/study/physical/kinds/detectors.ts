import { type BenchAnalyser, between, pad } from '../bench'
import { type Display, displayedInNoiseDbm } from '../detectors'
import type { PhysicalKind, Trial } from '../physicalStudy'
import { harmonicTrial } from './harmonicTrial'

const NOISE_DBM = -90
const LOSS_DB = 50

interface Detecting {
  id: string
  title: string
  told: string
  display: (random: () => number) => Display
  detection: BenchAnalyser['detection']
  widerIsFair?: boolean
}

const HELD = 16
const AVERAGED = 20

const DETECTING: readonly Detecting[] = [
  {
    id: 'display-mean',
    title: 'Mean power of 200 looks',
    told: 'mean power',
    display: () => ({ shows: 'mean', looks: 200 }),
    detection: { shows: 'mean', looks: null },
  },
  {
    id: 'display-held',
    title: 'Max hold of 16 sweeps',
    told: 'highest of 16',
    display: () => ({ shows: 'highest', looks: HELD }),
    detection: { shows: 'highest', looks: HELD },
  },
  {
    id: 'display-logarithm',
    title: 'Average of 20 sweeps on a logarithmic scale',
    told: 'logarithmic average of 20',
    display: () => ({ shows: 'logarithm', looks: AVERAGED }),
    detection: { shows: 'logarithm', looks: AVERAGED },
  },
  {
    id: 'display-sample',
    title: 'One sweep, sampled',
    told: 'one sample',
    display: () => ({ shows: 'sample' }),
    detection: { shows: 'sample', looks: null },
  },
  {
    id: 'display-held-unsaid',
    title: 'Max hold of 4 to 64 sweeps, their number not noted',
    told: 'highest of nobody knows how many',
    display: random => ({ shows: 'highest', looks: Math.round(4 * 2 ** (4 * random())) }),
    detection: { shows: 'highest', looks: null },
    widerIsFair: true,
  },
  {
    id: 'display-unknown',
    title: 'Any of these',
    told: 'nothing',
    display: anyDisplay,
    detection: { shows: 'unknown', looks: null },
    widerIsFair: true,
  },
]

function anyDisplay(random: () => number): Display {
  const all = DETECTING.filter(({ detection }) => detection.shows !== 'unknown')
  return all[Math.floor(random() * all.length)]!.display(random)
}

/** Ways a display makes one level of a carrier 3 to 15 dB above the noise. */
export const detectorKinds: readonly PhysicalKind[] = DETECTING.map(
  ({ id, title, told, display, detection, widerIsFair = false }): PhysicalKind => ({
    id,
    stationId: 'harmonics',
    title: `${title}, 3 to 15 dB above the noise`,
    told,
    widerIsFair,
    draw: random => trialOf(display(random), detection, random),
  }),
)

function trialOf(display: Display, detection: BenchAnalyser['detection'], random: () => number): Trial {
  const floorDoubtDb = 0.5
  const noiseDbm = NOISE_DBM + between(random, -floorDoubtDb, floorDoubtDb)
  return harmonicTrial({
    random,
    analyser: { floorDbm: NOISE_DBM, floorDoubtDb, detection },
    parts: [pad('pad', { lossDb: LOSS_DB })],
    harmonicDbm: NOISE_DBM + LOSS_DB + between(random, 3, 15),
    carrierW: 5,
    shows: signalDbm => displayedInNoiseDbm({ signalDbm, noiseDbm }, display, random),
  })
}
