import { dbmFromWatts, printDb, printDbm, printFrequencyShort, printWatts } from '../quantity'
import type { CarrierFacts, EmissionFacts, PowerLimit } from './types'

/** A power limit worked out for one carrier and one emission. */
export interface WorkedLimit {
  limitDbm: number
  /** 1 where it follows the carrier, 0 where it stands still. */
  slope: number
  /** What was asked, in words, the governing one first. */
  words: string
  /** Every single demand on the way, and whether it governs. */
  demands: { words: string; limitDbm: number; governs: boolean }[]
}

/** What a limit is worked out for. */
export interface LimitPlace {
  carrier: CarrierFacts
  emission: EmissionFacts
  /** Authorised bandwidth for masks in percent, Hz. */
  bandwidthHz: number | null
}

/** Works a power limit out to dBm at the socket; null where it says nothing of this emission. */
export function powerLimitDbm(limit: PowerLimit, place: LimitPlace): WorkedLimit | null {
  const carrierDbm = dbmFromWatts(place.carrier.powerW)
  switch (limit.kind) {
    case 'absolute': return single(dbmFromWatts(limit.powerW), 0, `at most ${printWatts(limit.powerW, 2)}`)
    case 'relative': return single(carrierDbm - limit.attenuationDb, 1, `at least ${printDb(limit.attenuationDb, 0)} down`)
    case 'offset-plus-log-power': return single(30 - limit.offsetDb, 0, `${limit.offsetDb} + 10 log P down`)
    case 'slope': return slope(limit, place, carrierDbm)
    case 'strictest': return combine(limit.of, place, (a, b) => b.limitDbm < a.limitDbm - SAME_DB)
    case 'loosest': return combine(limit.of, place, (a, b) => b.limitDbm > a.limitDbm + SAME_DB)
    case 'not-below': return notBelow(limit, place)
    case 'by-emission': return first(limit.segments.find(({ fromHz, toHz }) => place.emission.frequencyHz >= fromHz && place.emission.frequencyHz < toHz)?.limit, place)
    case 'mask': return first(maskStep(limit, place)?.limit, place)
  }
}

const SAME_DB = 1e-9

function single(limitDbm: number, slope: number, words: string): WorkedLimit {
  return { limitDbm, slope, words, demands: [{ words, limitDbm, governs: true }] }
}

function first(limit: PowerLimit | undefined, place: LimitPlace): WorkedLimit | null {
  return limit ? powerLimitDbm(limit, place) : null
}

function combine(of: readonly PowerLimit[], place: LimitPlace, wins: (a: WorkedLimit, b: WorkedLimit) => boolean): WorkedLimit | null {
  const worked = of.flatMap(limit => powerLimitDbm(limit, place) ?? [])
  if (worked.length === 0) return null
  const governing = worked.reduce((a, b) => (wins(a, b) ? b : a))
  return { ...governing, demands: worked.flatMap(one => one.demands.map(demand => ({ ...demand, governs: demand.governs && one === governing }))) }
}

function notBelow(limit: Extract<PowerLimit, { kind: 'not-below' }>, place: LimitPlace): WorkedLimit | null {
  const worked = powerLimitDbm(limit.limit, place)
  if (!worked) return null
  const restDbm = dbmFromWatts(limit.powerW)
  const rests = restDbm > worked.limitDbm
  const words = `nothing asked below ${printWatts(limit.powerW, 2)}`
  return {
    limitDbm: rests ? restDbm : worked.limitDbm, slope: rests ? 0 : worked.slope, words: rests ? words : worked.words,
    demands: [...worked.demands.map(demand => ({ ...demand, governs: demand.governs && !rests })), { words, limitDbm: restDbm, governs: rests }],
  }
}

function maskStep(limit: Extract<PowerLimit, { kind: 'mask' }>, place: LimitPlace) {
  const offsetHz = Math.abs(place.emission.frequencyHz - place.carrier.frequencyHz)
  const offset = limit.unit === 'Hz' ? offsetHz : place.bandwidthHz === null ? Number.NaN : (100 * offsetHz) / place.bandwidthHz
  return limit.steps.find(({ from, to }) => offset > from && offset <= to)
}

function slope(limit: Extract<PowerLimit, { kind: 'slope' }>, place: LimitPlace, carrierDbm: number): WorkedLimit {
  const offsetKHz = Math.abs(place.emission.frequencyHz - place.carrier.frequencyHz) / 1e3
  const attenuationDb = limit.law === 'linear' ? limit.a * (offsetKHz - limit.b) : limit.a * Math.log10((limit.law === 'log' ? offsetKHz : offsetKHz ** 2) / limit.b)
  return single(carrierDbm - attenuationDb, 1, `${slopeWords(limit)} = ${printDb(attenuationDb)} down`)
}

function slopeWords({ law, a, b }: Extract<PowerLimit, { kind: 'slope' }>): string {
  return law === 'linear' ? `${a}·(f − ${b})` : law === 'log' ? `${a}·log(f/${b})` : `${a}·log(f²/${b})`
}

/** A power limit in words, without a carrier: for lists and the editor. */
export function powerLimitWords(limit: PowerLimit): string {
  switch (limit.kind) {
    case 'absolute': return `at most ${printWatts(limit.powerW, 2)} (${printDbm(dbmFromWatts(limit.powerW), 0)})`
    case 'relative': return `at least ${printDb(limit.attenuationDb, 0)} down`
    case 'offset-plus-log-power': return `${limit.offsetDb} + 10 log P down (${printDbm(30 - limit.offsetDb, 0)})`
    case 'slope': return `${slopeWords(limit)} dB down, f in kHz from the carrier`
    case 'strictest': return limit.of.map(powerLimitWords).join(' and ')
    case 'loosest': return `${limit.of.map(powerLimitWords).join(' or ')}, whichever asks less`
    case 'not-below': return `${powerLimitWords(limit.limit)}; nothing asked below ${printWatts(limit.powerW, 2)}`
    case 'by-emission': return limit.segments.map(({ fromHz, toHz, limit: inner }) => `${printFrequencyShort(fromHz)} to ${printFrequencyShort(toHz)}: ${powerLimitWords(inner)}`).join('; ')
    case 'mask': return limit.steps.map(({ from, to, limit: inner }) => `${limit.unit === 'Hz' ? `${from / 1e3} to ${to >= 1e11 ? '∞' : to / 1e3} kHz off` : `${from} to ${to >= 1e6 ? '∞' : to} % of the bandwidth off`}: ${powerLimitWords(inner)}`).join('; ')
  }
}
