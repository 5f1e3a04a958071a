import {
  analyser,
  type BenchAnalyser,
  type BenchPart,
  between,
  type Card,
  CARRIER_HZ,
  clause,
  dbmOf,
  level,
  path,
  reviewOf,
} from '../bench'
import type { Reading, SeenLevel } from '../../../review'
import type { LimitClause, PowerLimit } from '../../../rules'
import type { Trial } from '../physicalStudy'
import { arrivesDbm, AT_CARRIER, trueLosses } from './socket'

/** A second harmonic read on a bench, in physics and as it is kept. */
export interface HarmonicTruth {
  random: () => number
  analyser?: Partial<BenchAnalyser>
  parts: BenchPart[]
  /** True harmonic into a perfect load, dBm. */
  harmonicDbm: number
  /** True carrier into a perfect load, W. */
  carrierW: number
  /** What the radio's output reflects at the harmonic, size; by default what it does at the carrier. */
  source?: number
  card?: Card
  /** Also reads the carrier in the ×1 line. */
  readsCarrier?: boolean
  /** The limit in law for a true harmonic so far inside; at the true harmonic itself by default. */
  limit?: (byDb: number) => PowerLimit
  clause?: Partial<LimitClause>
  /** What the display makes of what arrives, before the error of its scale; by default just that. */
  shows?: (arrivesDbm: number, frequencyHz: number) => number
  seen?: Partial<SeenLevel>
  /** Further readings of the same bench. */
  more?: (bench: { read: (slot: string, arrivesDbm: number, frequencyHz: number) => Reading }) => Reading[]
  slot?: string
  /** Frequency of what is judged, Hz; the second harmonic by default. */
  frequencyHz?: number
}

/** A radio whose harmonic stands right at its limit. */
export function harmonicTrial(truth: HarmonicTruth): Trial {
  const { random, parts, harmonicDbm, carrierW, shows = (dbm: number) => dbm, slot = 'x2' } = truth
  const instrument = analyser(truth.analyser)
  const chain = path(instrument, parts)
  const losses = trueLosses(parts, random)
  const frequencyHz = truth.frequencyHz ?? 2 * CARRIER_HZ
  const { amplitudeAccuracyDb, flatnessDb, vswr } = instrument
  const flat = flatnessDb ?? 0
  const shared = between(random, flat - amplitudeAccuracyDb, amplitudeAccuracyDb - flat)
  // Where nobody says what of it is flat, it is another error at every frequency.
  const ownError = () =>
    flatnessDb === null
      ? between(random, -amplitudeAccuracyDb, amplitudeAccuracyDb)
      : shared + between(random, -flat, flat)
  const read = (id: string, arrived: number, hz: number): Reading =>
    level(
      { stationId: 'harmonics', slot: id, chain },
      { levelDbm: shows(arrived, hz) + ownError(), frequencyHz: hz, ...(id === slot ? truth.seen : {}) },
    )
  const come = (dbm: number, source: number) => arrivesDbm(dbm, { parts, source, vswr }, losses, random)
  const readings = [
    ...(truth.readsCarrier ? [read('x1', come(dbmOf(carrierW), AT_CARRIER), CARRIER_HZ)] : []),
    read(slot, come(harmonicDbm, truth.source ?? between(random, 0.85, 0.95)), frequencyHz),
    ...(truth.more?.({ read }) ?? []),
  ]
  const limit =
    truth.limit ??
    ((byDb: number): PowerLimit => ({ kind: 'absolute', powerW: 10 ** ((harmonicDbm + byDb - 30) / 10) }))
  return {
    slot,
    reviewAt: byDb =>
      reviewOf({
        card: { claimedW: carrierW, ...truth.card },
        clause: clause(limit(byDb), truth.clause),
        instruments: [instrument],
        chains: [chain],
        readings,
      }),
  }
}
