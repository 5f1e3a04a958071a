import { assertPositive } from '../errors'
import {
  dbmFromWatts,
  printDbm,
  printFrequencyShort,
  printMhz,
  printNumber,
  printSigned,
  printWatts,
} from '../quantity'
import { matchClauses } from './matchClauses'
import { limitDemands, powerLimitDbm, type WorkedDemand, type WorkedLimit } from './powerLimitDbm'
import type {
  CannotJudge,
  CarrierFacts,
  EmissionFacts,
  LimitAnswer,
  LimitClause,
  LimitFound,
  MissingFact,
  NoFigureFound,
  PowerLimit,
  Quantity,
  Rulebook,
  RulebookHead,
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

interface Place {
  carrier: CarrierFacts
  emission: EmissionFacts
}

/** The demands of a clause at the socket: radiated ones are taken back there by the antenna's gain. */
function demandsOf(clause: LimitClause, place: Place): WorkedDemand[] {
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

function reasonFor(
  clause: LimitClause,
  place: Place,
  limit: WorkedLimit,
  others: { clause: LimitClause; limit: WorkedLimit }[],
): string {
  const { carrier } = place
  const demands = demandsOf(clause, place)
  const rest = demands.find(({ isRest }) => isRest)
  const asked = demands.filter(demand => demand !== rest)
  const loosens = clause.limit.kind === 'loosest' || hasLoosest(clause.limit)
  const sentences = [
    `${printWatts(carrier.powerW)} on ${printMhz(carrier.frequencyHz)}${conditionWords(clause, carrier)}.`,
    capital(`${asked.map(({ words, limitDbm }) => `${words} is ${printDbm(limitDbm, 2)}`).join('; ')}.`),
  ]
  const governing =
    asked.find(({ governs }) => governs) ??
    asked.reduce((a, b) => ((loosens ? b.limitDbm > a.limitDbm : b.limitDbm < a.limitDbm) ? b : a))
  if (asked.length > 1)
    sentences.push(
      loosens
        ? `Whichever asks less holds: ${printDbm(governing.limitDbm, 2)}.`
        : `Both apply, so the stricter holds: ${printDbm(governing.limitDbm, 2)}.`,
    )
  if (rest)
    sentences.push(
      rest.governs
        ? `But ${rest.words.replace('asked', 'need be brought')}, so the limit is ${printDbm(rest.limitDbm, 2)}.`
        : `${capital(rest.words.replace('nothing asked', 'nothing is asked'))} (${printDbm(rest.limitDbm, 0)}).`,
    )
  for (const other of others)
    sentences.push(`${other.clause.clause} would ask for ${printDbm(other.limit.limitDbm, 2)} only.`)
  if (clause.basis === 'erp')
    sentences.push(
      `The rule counts radiated power (ERP); with the antenna’s ${printSigned(carrier.antennaGainDbd ?? 0)} dB over a dipole that is ${printDbm(limit.limitDbm, 2)} at the socket.`,
    )
  if (clause.note) sentences.push(filled(clause.note, carrier, printDbm(limit.limitDbm, 2)))
  return sentences.join(' ')
}

function hasLoosest(limit: LimitClause['limit']): boolean {
  if (!isPowerLimit(limit)) return false
  if (limit.kind === 'loosest') return true
  if (limit.kind === 'not-below') return hasLoosest(limit.limit)
  if (limit.kind === 'mask') return limit.steps.some(step => hasLoosest(step.limit))
  return limit.kind === 'by-emission' && limit.segments.some(segment => hasLoosest(segment.limit))
}

function conditionWords({ when }: LimitClause, carrier: CarrierFacts): string {
  const range = when.carrierHz?.find(([from, to]) => carrier.frequencyHz >= from && carrier.frequencyHz <= to)
  const words = [
    ...(range
      ? [
          range[1] >= 299e9
            ? `above ${printFrequencyShort(range[0])}`
            : `${printFrequencyShort(range[0])} to ${printFrequencyShort(Math.round(range[1]))}`,
        ]
      : []),
    ...(when.powerW
      ? [
          when.powerW[1] === null
            ? `above ${printWatts(when.powerW[0], 2)}`
            : `up to ${printWatts(when.powerW[1], 2)}`,
        ]
      : []),
    ...(when.modes ? [when.modes.join('/')] : []),
    ...(when.channelSpacingHz
      ? [`channels of ${when.channelSpacingHz.map(printFrequencyShort).join(' or ')}`]
      : []),
  ]
  return words.length > 0 ? ` (clause for ${words.join(', ')})` : ''
}

function filled(note: string, carrier: CarrierFacts, limit: string): string {
  return note
    .replaceAll('{power}', printWatts(carrier.powerW))
    .replaceAll('{carrier}', printMhz(carrier.frequencyHz))
    .replaceAll('{limit}', limit)
}

function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1)
}

/** What a rulebook answers with of itself. */
function headOf({ id, title, edition, standing, owner }: Rulebook): RulebookHead {
  return { id, title, edition, standing, owner }
}

function outOfService(rulebook: Rulebook, carrier: CarrierFacts): NoFigureFound | null {
  if (
    rulebook.bands.length === 0 ||
    rulebook.bands.some(band => carrier.frequencyHz >= band.fromHz && carrier.frequencyHz <= band.toHz)
  )
    return null
  return {
    kind: 'no-figure',
    clause: rulebook.title,
    rulebook: headOf(rulebook),
    get reason() {
      return `${printMhz(carrier.frequencyHz)} lies in no band of ${rulebook.title}, so its rules do not speak of this carrier. Another rulebook may.`
    },
  }
}

function noFigure(rulebook: Rulebook, carrier: CarrierFacts, about: Quantity): NoFigureFound {
  const silent = rulebook.noFigure.find(
    entry =>
      entry.about === about &&
      carrier.frequencyHz >= entry.carrierHz[0] &&
      carrier.frequencyHz <= entry.carrierHz[1],
  )
  const vague = rulebook.clauses.find(clause => clause.about === about && clause.confidence === 'L')
  return {
    kind: 'no-figure',
    clause: silent?.clause ?? vague?.clause ?? rulebook.title,
    rulebook: headOf(rulebook),
    reason:
      silent?.words ??
      (vague
        ? `${vague.clause} has a figure, but it is recalled too vaguely to judge by (confidence L). Put the current text into a rulebook of your own.`
        : `${rulebook.title} sets no figure for a carrier on ${printMhz(carrier.frequencyHz)}.`),
  }
}

const ASKS: Record<MissingFact, string> = {
  'antenna-gain':
    'the gain of the antenna (its rule counts radiated power, which cannot be judged from the socket alone)',
  'channel-spacing': 'the channel spacing',
  mode: 'the mode (FM, AM or SSB)',
}

function cannotJudge(rulebook: Rulebook, clause: LimitClause, asks: MissingFact[]): CannotJudge {
  return {
    kind: 'cannot-judge',
    asks,
    clause: clause.clause,
    rulebook: headOf(rulebook),
    reason: `${clause.clause} cannot be applied before the card says ${asks.map(ask => ASKS[ask]).join(' and ')}.`,
  }
}
