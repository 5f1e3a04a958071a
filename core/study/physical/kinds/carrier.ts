import {
  between,
  clause,
  dbmOf,
  figure,
  level,
  meter,
  pad,
  path,
  receiver,
  reviewOf,
  wattsOf,
} from '../bench'
import type { PhysicalKind, Trial } from '../physicalStudy'
import { harmonicTrial } from './harmonicTrial'
import { arrivesDbm, AT_CARRIER, trueLosses } from './socket'

const CLAIMED_W = 50
const DOWN_DB = 60

/** Limits that hang on the carrier: on its claim, on an antenna, on a carrier that is badly known. */
export const carrierKinds: readonly PhysicalKind[] = [
  {
    id: 'claim-only',
    stationId: 'harmonics',
    title: 'The limit follows a carrier nobody has read: 50 W claimed, truly 1 to 3 dB short',
    told: 'the claim',
    widerIsFair: true,
    draw: random => {
      const carrierDbm = dbmOf(CLAIMED_W) - between(random, 1, 3)
      return harmonicTrial({
        random,
        parts: [pad('pad', { lossDb: 50 })],
        harmonicDbm: carrierDbm - DOWN_DB,
        carrierW: wattsOf(carrierDbm),
        card: { claimedW: CLAIMED_W },
        limit: byDb => ({ kind: 'relative', attenuationDb: DOWN_DB - byDb }),
      })
    },
  },
  {
    id: 'erp',
    stationId: 'carrier-power',
    title: 'Radiated power: the antenna’s gain is truly up to 2 dB off',
    told: 'a gain, not how well it is known',
    draw: erpTrial,
  },
  {
    id: 'neighbour-absolute',
    stationId: 'bandwidth',
    title: 'Neighbour power against a limit in watts, the carrier read to ±30 %',
    told: 'everything',
    draw: neighbourTrial,
  },
]

function erpTrial(random: () => number): Trial {
  const instrument = meter()
  const chain = path(instrument)
  const carrierDbm = dbmOf(between(random, 1, 4))
  const gainDb = between(random, -6, 1)
  const radiatedDbm = carrierDbm + gainDb + between(random, -2, 2)
  const arrives = arrivesDbm(
    carrierDbm,
    { parts: [], source: AT_CARRIER, vswr: instrument.vswr },
    trueLosses([], random),
    random,
  )
  const shown = arrives - 10 * Math.log10(1 + between(random, -0.02, 0.02))
  return {
    slot: 'carrier',
    reviewAt: byDb =>
      reviewOf({
        card: { antennaGainDbd: gainDb },
        clause: clause(
          { kind: 'absolute', powerW: wattsOf(radiatedDbm + byDb) },
          { about: 'carrier-power', basis: 'erp' },
        ),
        instruments: [instrument],
        chains: [chain],
        readings: [level({ stationId: 'carrier-power', slot: 'carrier', chain }, { levelDbm: shown })],
      }),
  }
}

function neighbourTrial(random: () => number): Trial {
  const poor = meter({ accuracyPercent: 30 })
  const monitor = receiver()
  const [toMeter, toMonitor] = [path(poor), path(monitor, [pad('pad', { lossDb: 50 })])]
  const carrierDbm = dbmOf(between(random, 2, 6))
  const ratioDb = between(random, -75, -60)
  const arrives = arrivesDbm(
    carrierDbm,
    { parts: [], source: AT_CARRIER, vswr: poor.vswr },
    trueLosses([], random),
    random,
  )
  // A meter of ±30 % of its reading: the truth lies within ±30 % of what it shows.
  const shown = arrives - 10 * Math.log10(1 + between(random, -0.3, 0.3))
  const shownRatioDb = ratioDb + between(random, -monitor.ratioDb, monitor.ratioDb)
  return {
    slot: 'acp-upper-1',
    reviewAt: byDb =>
      reviewOf({
        clause: clause(
          { kind: 'absolute', powerW: wattsOf(carrierDbm + ratioDb + byDb) },
          { about: 'adjacent-power' },
        ),
        instruments: [poor, monitor],
        chains: [toMeter, toMonitor],
        readings: [
          level({ stationId: 'carrier-power', slot: 'carrier', chain: toMeter }, { levelDbm: shown }),
          figure({ stationId: 'bandwidth', slot: 'acp-upper-1', chain: toMonitor }, shownRatioDb, 'dB'),
        ],
      }),
  }
}
