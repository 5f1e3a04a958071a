import { assertPositive } from '../errors'
import { dbmFromWatts, printNumber } from '../quantity'
import { filled, reasonFor } from './limitReasons'
import { matchClauses } from './matchClauses'
import { outOfService, cannotJudge, noFigure, headOf } from './noLimit'
import { limitDemands, powerLimitDbm, type WorkedDemand, type WorkedLimit } from './powerLimitDbm'
import type {
  CarrierFacts,
  EmissionFacts,
  LimitAnswer,
  LimitClause,
  LimitFound,
  PowerLimit,
  Quantity,
  Rulebook,
  ScalarAnswer,
  ScalarLimit,
} from './types'

/** The quantities whose limit is a power in dBm. */
export type PowerQuantity = 'unwanted' | 'adjacent-power' | 'carrier-power'

/**
 * The limit a rulebook sets on an emission of a carrier, dBm at the antenna socket, with its clause and
 * reason; or
 * the reason why it sets none, or why it cannot be applied. Clauses are chosen by the fundamental's
 * frequency, mean
 * power, mode and channel spacing; where several apply at once, the strictest holds and the others are told.
 * @param emission - the emission judged; the second harmonic by default.
 * @throws CoreError `not-positive` for a carrier without frequency or power.
 */
export function evaluateLimit(
  rulebook: Rulebook,
  carrier: CarrierFacts,
  emission?: EmissionFacts,
  about: PowerQuantity = 'unwanted',
): LimitAnswer {
  assertPositive('Carrier frequency', carrier.frequencyHz)
  assertPositive('Carrier power', carrier.powerW)
  const of: EmissionFacts = emission ?? { frequencyHz: 2 * carrier.frequencyHz, harmonic: 2 }
  const outside = outOfService(rulebook, carrier)
  if (outside) return outside
  const { applying, missing, hanging } = matchClauses(rulebook, about, carrier, of)
  const place: Place = { carrier, emission: of }
  const worked: { clause: LimitClause; limit: WorkedLimit }[] = []
  for (const clause of applying) {
    const limit = powerOf(clause, place)
    if (limit) worked.push({ clause, limit })
  }
  const radiated =
    (carrier.antennaGainDbd ?? null) === null
      ? worked.find(({ clause }) => clause.basis === 'erp')
      : undefined
  const usable = radiated ? worked.filter(({ clause }) => clause.basis === 'conducted') : worked
  if (radiated && usable.length === 0) return cannotJudge(rulebook, radiated.clause, ['antenna-gain'])
  if (usable.length === 0 && hanging) return cannotJudge(rulebook, hanging, missing)
  if (usable.length === 0) return noFigure(rulebook, carrier, about)
  return found(rulebook, place, usable)
}

/** A figure that is no power limit: accuracy, deviation, sensitivity, rejection… */
export function evaluateScalar(
  rulebook: Rulebook,
  about: Exclude<Quantity, PowerQuantity>,
  carrier: CarrierFacts,
): ScalarAnswer {
  const outside = outOfService(rulebook, carrier)
  if (outside) return outside
  const { applying, missing, hanging } = matchClauses(rulebook, about, carrier)
  const clause = applying[0]
  if (!clause) return hanging ? cannotJudge(rulebook, hanging, missing) : noFigure(rulebook, carrier, about)
  const limit = clause.limit as ScalarLimit
  return {
    kind: 'scalar',
    limit,
    clause: clause.clause,
    rulebook: headOf(rulebook),
    recalled: clause.recalled,
    confidence: clause.confidence,
    reason: [`${clause.clause}: ${scalarWords(limit)}.`, filled(clause.note, carrier, scalarWords(limit))]
      .filter(Boolean)
      .join(' '),
  }
}

/** True for the limits that work out to a power. */
export function isPowerLimit(limit: PowerLimit | ScalarLimit): limit is PowerLimit {
  return limit.kind !== 'at-most' && limit.kind !== 'at-least' && limit.kind !== 'within'
}

/** A scalar limit in words: `at most 2.5 kHz`, `6 W to 25 W`. */
export function scalarWords(limit: ScalarLimit): string {
  const figure = (value: number) =>
    `${printNumber(value, Math.min(3, (String(value).split('.')[1] ?? '').length))}\u00a0${limit.unit}`
  if (limit.kind === 'at-most') return `at most ${figure(limit.value)}`
  if (limit.kind === 'at-least') return `at least ${figure(limit.value)}`
  return `${figure(limit.value)} to ${figure(limit.to ?? limit.value)}`
}

function powerOf(clause: LimitClause, place: Place): WorkedLimit | null {
  const { limit } = clause
  const gainDb = clause.basis === 'erp' ? (place.carrier.antennaGainDbd ?? 0) : 0
  if (!isPowerLimit(limit))
    return limit.unit === 'W'
      ? {
          limitDbm: dbmFromWatts(limit.kind === 'within' ? (limit.to ?? limit.value) : limit.value) - gainDb,
          slope: 0,
        }
      : null
  const worked = powerLimitDbm(limit, { ...place, bandwidthHz: clause.bandwidthHz ?? null })
  return worked && gainDb !== 0 ? { limitDbm: worked.limitDbm - gainDb, slope: worked.slope } : worked
}

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

function found(
  rulebook: Rulebook,
  place: Place,
  usable: { clause: LimitClause; limit: WorkedLimit }[],
): LimitFound {
  const governing = usable.reduce((a, b) => (b.limit.limitDbm < a.limit.limitDbm ? b : a))
  const { clause, limit } = governing
  return {
    kind: 'limit',
    limitDbm: limit.limitDbm,
    slope: limit.slope,
    clause: clause.clause,
    rulebook: headOf(rulebook),
    recalled: clause.recalled,
    confidence: clause.confidence,
    referenceBandwidthHz: referenceFor(clause, place.carrier, place.emission),
    // Words are made when somebody reads them: limits are worked out by the ten thousand.
    get demands() {
      return usable.flatMap(one =>
        demandsOf(one.clause, place).map(({ words, limitDbm, governs }) => ({
          words: one === governing ? words : `${one.clause.clause}: ${words}`,
          limitDbm,
          governs: governs && one === governing,
        })),
      )
    },
    get reason() {
      return reasonFor(
        clause,
        place,
        limit,
        usable.filter(one => one !== governing),
      )
    },
  }
}

function referenceFor(
  { referenceBandwidth, limit }: LimitClause,
  carrier: CarrierFacts,
  emission: EmissionFacts,
): number | null {
  const at =
    limit.kind === 'mask' ? Math.abs(emission.frequencyHz - carrier.frequencyHz) : emission.frequencyHz
  return referenceBandwidth?.find(({ fromHz, toHz }) => at >= fromHz && at < toHz)?.bandwidthHz ?? null
}
