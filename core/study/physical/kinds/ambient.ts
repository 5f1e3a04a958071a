import { between, pad } from '../bench'
import { displayedInNoiseDbm } from '../detectors'
import type { PhysicalKind } from '../physicalStudy'
import { harmonicTrial } from './harmonicTrial'

const LOSS_DB = 50
const AMBIENT_DBM = -70

/** Somebody else's signal in the place of a harmonic. */
export const ambientKinds: readonly PhysicalKind[] = [
  {
    id: 'ambient',
    stationId: 'harmonics',
    title: 'An ambient signal 4 to 9 dB below what is read, read with the radio unkeyed',
    told: 'both readings; mean power',
    draw: random =>
      harmonicTrial({
        random,
        analyser: { detection: { shows: 'mean', looks: null } },
        parts: [pad('pad', { lossDb: LOSS_DB })],
        // Together they read 10·log(1 + s): 4 to 9 dB above the ambient signal.
        harmonicDbm: AMBIENT_DBM + LOSS_DB + 10 * Math.log10(10 ** (between(random, 4, 9) / 10) - 1),
        carrierW: 5,
        shows: dbm =>
          displayedInNoiseDbm(
            { signalDbm: dbm, noiseDbm: AMBIENT_DBM + between(random, -0.5, 0.5) },
            { shows: 'mean', looks: 200 },
            random,
          ),
        more: ({ read }) => [read('x2:ambient', -200, 2 * 146.52e6)],
      }),
  },
]
