import { assertPositive } from '../errors'
import { demandsOf, type Place, powerOf, scalarWords } from './demandsOf'
import { filled, reasonFor } from './limitReasons'
import { matchClauses, outOfBandWithinHz } from './matchClauses'
import { outOfService, cannotJudge, noFigure, headOf, outOfBand } from './noLimit'
import { type WorkedLimit } from './powerLimitDbm'
import type {
  CarrierFacts,
  DecidesByItself,
  EmissionFacts,
  LimitAnswer,
  LimitClause,
  LimitFound,
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
  const emitted: EmissionFacts = emission ?? { frequencyHz: 2 * carrier.frequencyHz, harmonic: 2 }
  const outside = outOfService(rulebook, carrier)
  if (outside) return outside
  const { applying, missing, hanging } = matchClauses(rulebook, about, carrier, emitted)
  const place: Place = { carrier, emission: emitted }
  const worked: WorkedClause[] = []
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
  if (usable.length === 0) {
    const awayHz = outOfBandWithinHz(rulebook, about, carrier, emitted)
    return awayHz === null
      ? noFigure(rulebook, carrier, about)
      : outOfBand(rulebook, { emissionHz: emitted.frequencyHz, awayHz })
  }
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
    decides: decidesByItself(rulebook, about),
    reason: [`${clause.clause}: ${scalarWords(limit)}.`, filled(clause.note, carrier, scalarWords(limit))]
      .filter(Boolean)
      .join(' '),
  }
}

function found(rulebook: Rulebook, place: Place, usable: readonly WorkedClause[]): LimitFound {
  const governing = usable.reduce((a, b) => (b.limit.limitDbm < a.limit.limitDbm ? b : a))
  return new GoverningLimit(rulebook, place, { usable, governing })
}

interface WorkedClause {
  clause: LimitClause
  limit: WorkedLimit
}

/** Words are made when somebody reads them: limits are worked out by the ten thousand. */
class GoverningLimit implements LimitFound {
  readonly kind = 'limit'
  readonly limitDbm: number
  readonly lowestDbm: number | null
  readonly slope: number
  readonly clause: string
  readonly rulebook: LimitFound['rulebook']
  readonly recalled: boolean
  readonly confidence: LimitFound['confidence']
  readonly referenceBandwidthHz: number | null
  readonly basis: LimitFound['basis']
  readonly decides: LimitFound['decides']

  private readonly place: Place
  private readonly worked: { usable: readonly WorkedClause[]; governing: WorkedClause }

  constructor(
    book: Rulebook,
    place: Place,
    worked: { usable: readonly WorkedClause[]; governing: WorkedClause },
  ) {
    this.place = place
    this.worked = worked
    const { clause, limit } = worked.governing
    this.limitDbm = limit.limitDbm
    this.lowestDbm = lowestOf(worked.usable)
    this.slope = limit.slope
    this.clause = clause.clause
    this.rulebook = headOf(book)
    this.recalled = clause.recalled
    this.confidence = clause.confidence
    this.basis = clause.basis
    this.decides = decidesByItself(book, clause.about)
    this.referenceBandwidthHz = referenceFor(clause, place.carrier, place.emission)
  }

  get demands() {
    const { usable, governing } = this.worked
    return usable.flatMap(one =>
      demandsOf(one.clause, this.place).map(({ words, limitDbm, governs }) => ({
        words: one === governing ? words : `${one.clause.clause}: ${words}`,
        limitDbm,
        governs: governs && one === governing,
      })),
    )
  }

  get reason() {
    const { usable, governing } = this.worked
    const others = usable.filter(one => one !== governing)
    return reasonFor(governing.clause, this.place, governing.limit, others)
  }
}

function decidesByItself({ decides }: Rulebook, about: Quantity): DecidesByItself | null {
  return decides ? { largest: decides.largest.find(one => one.about === about) ?? null } : null
}

/** The highest of the least powers that clauses ask for; null where none does. */
function lowestOf(usable: readonly WorkedClause[]): number | null {
  let lowest: number | null = null
  for (const { limit } of usable)
    if (limit.lowestDbm !== undefined && (lowest === null || limit.lowestDbm > lowest))
      lowest = limit.lowestDbm
  return lowest
}

function referenceFor(
  { referenceBandwidth, limit }: LimitClause,
  carrier: CarrierFacts,
  emission: EmissionFacts,
): number | null {
  const at =
    limit.kind === 'mask' ? Math.abs(emission.frequencyHz - carrier.frequencyHz) : emission.frequencyHz
  return (
    // Right at an edge the lower one holds, as of the limits themselves.
    referenceBandwidth?.find(
      ({ fromHz, toHz }, i) => (at > fromHz || (i === 0 && at === fromHz)) && at <= toHz,
    )?.bandwidthHz ?? null
  )
}
