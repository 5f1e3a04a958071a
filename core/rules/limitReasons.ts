import { printWatts, printMhz, printDbm, printSigned, printFrequencyShort } from '../quantity'
import { demandsOf, isPowerLimit, type Place } from './demandsOf'
import type { WorkedLimit } from './powerLimitDbm'
import type { LimitClause, CarrierFacts } from './types'

/** Why a limit is what it is, in plain words. */
export function reasonFor(
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
      'The rule counts radiated power (ERP); with the antenna’s ' +
        `${printSigned(carrier.antennaGainDbd ?? 0)} dB over a dipole that is ` +
        `${printDbm(limit.limitDbm, 2)} at the socket.`,
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

/** A clause’s note with the facts of this carrier put in. */
export function filled(note: string, carrier: CarrierFacts, limit: string): string {
  return note
    .replaceAll('{power}', printWatts(carrier.powerW))
    .replaceAll('{carrier}', printMhz(carrier.frequencyHz))
    .replaceAll('{limit}', limit)
}

function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1)
}
