import { between, dbmOf, pad } from '../bench'
import type { PhysicalKind } from '../physicalStudy'
import { harmonicTrial } from './harmonicTrial'

const DOWN_DB = 60
/** The scale is off by up to so much for every decibel. */
const PER_DB = 0.02
const REFERENCE_DBM = -10

/** Scales that are not quite straight. */
export const scaleKinds: readonly PhysicalKind[] = [
  {
    id: 'scale',
    stationId: 'harmonics',
    title: 'dBc through one chain, flatness stated; the scale is up to ±1 dB off over 50 dB',
    told: 'flatness, nothing of the scale',
    draw: random => {
      const perDb = between(random, -PER_DB, PER_DB)
      const carrierW = between(random, 4, 6)
      return harmonicTrial({
        random,
        analyser: { amplitudeAccuracyDb: 1.5, flatnessDb: 0.2, scaleDbPer10Db: null },
        parts: [pad('pad', { lossDb: 50, halfWidthDb: 0.05 })],
        harmonicDbm: dbmOf(carrierW) - DOWN_DB,
        carrierW,
        readsCarrier: true,
        limit: byDb => ({ kind: 'relative', attenuationDb: DOWN_DB - byDb }),
        shows: dbm => dbm + perDb * (dbm - REFERENCE_DBM),
      })
    },
  },
]
