import { between, pad } from '../bench'
import type { PhysicalKind } from '../physicalStudy'
import { harmonicTrial } from './harmonicTrial'

/** Benches that do not lie: what the others are held against. */
export const plainKinds: readonly PhysicalKind[] = [
  {
    id: 'plain',
    stationId: 'harmonics',
    title: 'Two pads and an analyser, all as stated; the limit stands still',
    told: 'everything',
    draw: random =>
      harmonicTrial({
        random,
        analyser: { amplitudeAccuracyDb: between(random, 0.5, 2), vswr: 1.5 },
        parts: [
          pad('pad-a', { lossDb: 30, halfWidthDb: 0.5 }),
          pad('pad-b', { lossDb: 20, halfWidthDb: 0.5 }),
        ],
        harmonicDbm: between(random, -40, -10),
        carrierW: 5,
      }),
  },
]
