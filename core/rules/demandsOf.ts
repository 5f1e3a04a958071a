import { type WorkedLimit, powerLimitDbm, type WorkedDemand, limitDemands } from './powerLimitDbm'
import { dbmFromWatts, printNumber } from '../quantity'
import type { LimitClause, EmissionFacts, CarrierFacts, PowerLimit, ScalarLimit } from './types'

/** True for the limits that work out to a power. */
export function isPowerLimit(limit: PowerLimit | ScalarLimit): limit is PowerLimit {
  return limit.kind !== 'at-most' && limit.kind !== 'at-least' && limit.kind !== 'within'
}

/** The limit of a clause at the socket, dBm; null where it is no power or does not speak of this place. */
export function powerOf(clause: LimitClause, place: Place): WorkedLimit | null {
  const { limit } = clause
  const gainDb = clause.basis === 'erp' ? (place.carrier.antennaGainDbd ?? 0) : 0
  if (!isPowerLimit(limit))
    return limit.unit === 'W'
      ? {
          limitDbm: dbmFromWatts(limit.kind === 'within' ? (limit.to ?? limit.value) : limit.value) - gainDb,
          slope: 0,
          ...(limit.kind === 'within' ? { lowestDbm: dbmFromWatts(limit.value) - gainDb } : {}),
        }
      : null
  const { carrier, emission } = place
  const worked = powerLimitDbm(limit, { carrier, emission, bandwidthHz: clause.bandwidthHz ?? null })
  return worked && gainDb !== 0 ? { limitDbm: worked.limitDbm - gainDb, slope: worked.slope } : worked
}

/** What is judged: the carrier, and the emission of it. */
export interface Place {
  carrier: CarrierFacts
  emission: EmissionFacts
}

/** The demands of a clause at the socket: radiated ones are taken back there by the antenna's gain. */
export function demandsOf(clause: LimitClause, place: Place): WorkedDemand[] {
  const { limit } = clause
  const gainDb = clause.basis === 'erp' ? (place.carrier.antennaGainDbd ?? 0) : 0
  if (!isPowerLimit(limit))
    return [
      {
        words: scalarWords(limit),
        limitDbm: powerOf(clause, place)?.limitDbm ?? Number.NaN,
        governs: true,
        isRest: false,
      },
    ]
  return limitDemands(limit, { ...place, bandwidthHz: clause.bandwidthHz ?? null }).map(demand => ({
    ...demand,
    limitDbm: demand.limitDbm - gainDb,
  }))
}

/** A scalar limit in words: `at most 2.5 kHz`, `6 W to 25 W`. */
export function scalarWords(limit: ScalarLimit): string {
  const figure = (value: number) =>
    `${printNumber(value, Math.min(3, (String(value).split('.')[1] ?? '').length))}\u00a0${limit.unit}`
  if (limit.kind === 'at-most') return `at most ${figure(limit.value)}`
  if (limit.kind === 'at-least') return `at least ${figure(limit.value)}`
  return `${figure(limit.value)} to ${figure(limit.to ?? limit.value)}`
}
