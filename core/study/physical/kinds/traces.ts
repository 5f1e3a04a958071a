import { between, pad } from '../bench'
import { gaussianPair } from '../gaussianPair'
import type { PhysicalKind } from '../physicalStudy'
import { harmonicTrial } from './harmonicTrial'

const SWEEPS = 3
const SCATTER_DB = 1

/** Traces that say several things of one frequency. */
export const traceKinds: readonly PhysicalKind[] = [
  {
    id: 'contradicting-trace',
    stationId: 'harmonics',
    title: 'A trace with three levels at one frequency, 1 dB apart by chance; the highest is taken',
    told: 'all three levels',
    widerIsFair: true,
    draw: random => {
      const scatter = Array.from({ length: SWEEPS }, () => SCATTER_DB * gaussianPair(random)[0])
      const highest = Math.max(...scatter)
      return harmonicTrial({
        random,
        parts: [pad('pad', { lossDb: 50 })],
        harmonicDbm: between(random, -40, -20),
        carrierW: 5,
        shows: dbm => dbm + highest,
        seen: { sweeps: { levels: SWEEPS, spreadDb: highest - Math.min(...scatter) } },
      })
    },
  },
]
