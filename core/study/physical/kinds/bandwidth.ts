import { between, pad } from '../bench'
import type { PhysicalKind } from '../physicalStudy'
import { harmonicTrial } from './harmonicTrial'

const SPUR_HZ = 173.3e6
const WIDE_HZ = 100e3
const NARROW_HZ = 10e3

/** Spurs read in another bandwidth than the limit counts in. */
export const bandwidthKinds: readonly PhysicalKind[] = [
  {
    id: 'bandwidth',
    stationId: 'harmonics',
    title: 'A spur read in 10 kHz against a limit in 100 kHz: a plain carrier or noise, nobody says',
    told: 'the bandwidth',
    widerIsFair: true,
    draw: random => {
      const isNoise = random() < 0.5
      // What the rule counts: all of it in 100 kHz; noise shows a tenth of that in 10 kHz.
      const less = isNoise ? 10 * Math.log10(WIDE_HZ / NARROW_HZ) : 0
      return harmonicTrial({
        random,
        analyser: { resolutionBandwidthHz: NARROW_HZ },
        parts: [pad('pad', { lossDb: 50 })],
        harmonicDbm: between(random, -40, -20),
        carrierW: 5,
        slot: `s${SPUR_HZ}`,
        frequencyHz: SPUR_HZ,
        clause: { referenceBandwidth: [{ fromHz: 0, toHz: 3e11, bandwidthHz: WIDE_HZ }] },
        shows: dbm => dbm - less,
      })
    },
  },
]
