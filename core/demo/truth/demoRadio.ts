import { dbmFromWatts } from '../../quantity'
import type { Band, RadioSet } from '../../review'
import { type Keyed, seedOf, type VirtualRadio, virtualRadio } from '../../virtual'
import { paintedBars } from './bars'
import { hearingTruth } from './hearing'
import { matchTruth } from './matches'
import { modulationTruth } from './modulation'
import { speakerTruth } from './speakers'
import { supplyTruth } from './supplies'
import { transmitterTruth } from './transmitters'

/**
 * Seed of the demo’s bench: its instruments, ways, and whatever the scenario leaves open. Of a few hundred it was
 * chosen for a meter that is nearly right, so that the figures of the scenario are those that are read.
 */
export const DEMO_SEED = 20261119

/** What a radio makes that the scenario says nothing of, dBm: far under any noise. */
const NOTHING_DBM = -150
/** It is warm after some minutes, s. */
const WARM_TAU_S = 60

/** A radio of the demo as it truly is: what the scenario says of it, and the seed for the rest. */
export function demoRadio(set: RadioSet): VirtualRadio {
  const base = virtualRadio(seedOf(`${DEMO_SEED}:${set.id}`))
  const supply = supplyTruth[set.id]
  const modulation = modulationTruth[set.id]
  const carrierDbm = (keyed: Keyed) => carrierOf(set, keyed) ?? base.carrierDbm(keyed)
  return {
    ...base,
    carrierDbm,
    harmonicDbm: (keyed, n) => (n === 1 ? carrierDbm(keyed) : harmonicOf(set, keyed, n)),
    spurs: () => [],
    barOfTen: keyed => paintedBars[set.id] ?? base.barOfTen(keyed),
    carrierHz: keyed => {
      if (!modulation) return base.carrierHz(keyed)
      const { cold, warm } = modulation.errorHz
      return keyed.carrierHz + warm + (cold - warm) * Math.exp(-(keyed.forS ?? 0) / WARM_TAU_S)
    },
    deviationHz: keyed => {
      if (!modulation) return base.deviationHz(keyed)
      const { tone, loudest, squelch } = modulation.deviationHz
      return { tone, loudest, nothing: squelch }[keyed.speaks ?? 'nothing']
    },
    speaker: speakerTruth[set.id] ?? base.speaker,
    hearing: { ...base.hearing, ...hearingTruth[set.id] },
    currents: supply
      ? { ...supply, keyedA: keyed => supply.keyedA[placeOf(set, keyed)?.levelId ?? ''] ?? 0 }
      : base.currents,
    supplyV: supply?.volts ?? base.supplyV,
    antennaVswr: (frequencyHz, middleHz) =>
      matchOf(set, frequencyHz) ?? base.antennaVswr(frequencyHz, middleHz),
  }
}

/** On which band, channel and level a radio is keyed. */
function placeOf(set: RadioSet, { carrierHz, levelId = '' }: Keyed) {
  for (const band of set.bands) {
    const index = channelsOf(band).findIndex(hz => hz === carrierHz)
    if (index >= 0) return { bandId: band.id, index, levelId }
  }
  return null
}

const channelsOf = ({ channels }: Band) =>
  channels.map(({ frequencyHz }) => frequencyHz).sort((a, b) => a - b)

function carrierOf(set: RadioSet, keyed: Keyed): number | null {
  const place = placeOf(set, keyed)
  const truth = transmitterTruth[set.id]
  const powerW = place && truth?.powerW[place.bandId]?.[place.levelId]?.[place.index]
  if (!truth || powerW === null || powerW === undefined) return null
  const { fallDb, tauS } = truth.droop ?? { fallDb: 0, tauS: 1 }
  return dbmFromWatts(powerW) - fallDb * (1 - Math.exp(-(keyed.forS ?? 0) / tauS))
}

function harmonicOf(set: RadioSet, keyed: Keyed, n: number): number {
  const place = placeOf(set, keyed)
  return (
    (place && transmitterTruth[set.id]?.harmonicsDbm[place.bandId]?.[place.levelId]?.[n - 2]) ?? NOTHING_DBM
  )
}

function matchOf(set: RadioSet, frequencyHz: number): number | null {
  for (const band of set.bands) {
    const index = channelsOf(band).indexOf(frequencyHz)
    const found = index >= 0 && matchTruth[set.id]?.[band.id]?.[index]
    if (found) return found
  }
  return null
}
