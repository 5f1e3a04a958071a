import { dbmFromWatts, printDb, printDbm, printFrequencyShort, printWatts } from '../quantity'
import type { CarrierFacts, EmissionFacts, PowerLimit } from './types'

/** A power limit worked out for one carrier and one emission. */
export interface WorkedLimit {
  limitDbm: number
  /** 1 where it follows the carrier, 0 where it stands still. */
  slope: number
  /** Least it may be, dBm, where there is a least; undefined: none. */
  lowestDbm?: number
}

/** One single demand on the way to a limit, in words. */
export interface WorkedDemand {
  words: string
  limitDbm: number
  governs: boolean
  /** “Nothing asked below”: a floor under the others, not a demand. */
  isRest: boolean
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
  switch (limit.kind) {
    case 'absolute':
      return { limitDbm: dbmFromWatts(limit.powerW), slope: 0 }
    case 'relative':
      return { limitDbm: dbmFromWatts(place.carrier.powerW) - limit.attenuationDb, slope: 1 }
    case 'offset-plus-log-power':
      return { limitDbm: 30 - limit.offsetDb, slope: 0 }
    case 'slope':
      return { limitDbm: dbmFromWatts(place.carrier.powerW) - slopeDb(limit, place), slope: 1 }
    case 'strictest':
    case 'loosest':
      return governingOf(limit, place)?.worked ?? null
    case 'not-below':
      return notBelow(limit, place)
    case 'by-emission':
    case 'mask': {
      const inner = partFor(limit, place)
      return inner && powerLimitDbm(inner, place)
    }
  }
}

const SAME_DB = 1e-9

function governingOf(
  limit: Extract<PowerLimit, { kind: 'strictest' | 'loosest' }>,
  place: LimitPlace,
): { limit: PowerLimit; worked: WorkedLimit } | null {
  let best: { limit: PowerLimit; worked: WorkedLimit } | null = null
  for (const one of limit.of) {
    const worked = powerLimitDbm(one, place)
    if (!worked) continue
    const better =
      best &&
      (limit.kind === 'strictest'
        ? worked.limitDbm < best.worked.limitDbm - SAME_DB
        : worked.limitDbm > best.worked.limitDbm + SAME_DB)
    if (!best || better) best = { limit: one, worked }
  }
  return best
}

function notBelow(limit: Extract<PowerLimit, { kind: 'not-below' }>, place: LimitPlace): WorkedLimit | null {
  const worked = powerLimitDbm(limit.limit, place)
  const restDbm = dbmFromWatts(limit.powerW)
  return worked && restDbm > worked.limitDbm ? { limitDbm: restDbm, slope: 0 } : worked
}

/** The part of a limit that speaks of this emission. */
function partFor(
  limit: Extract<PowerLimit, { kind: 'by-emission' | 'mask' }>,
  place: LimitPlace,
): PowerLimit | null {
  if (limit.kind === 'by-emission')
    return (
      limit.segments.find(
        // Right at an edge the lower segment holds.
        ({ fromHz, toHz }, i) =>
          (place.emission.frequencyHz > fromHz || (i === 0 && place.emission.frequencyHz === fromHz)) &&
          place.emission.frequencyHz <= toHz,
      )?.limit ?? null
    )
  const offsetHz = Math.abs(place.emission.frequencyHz - place.carrier.frequencyHz)
  const percent = place.bandwidthHz === null ? Number.NaN : (100 * offsetHz) / place.bandwidthHz
  const offset = limit.unit === 'Hz' ? offsetHz : percent
  return limit.steps.find(({ from, to }) => offset > from && offset <= to)?.limit ?? null
}

function slopeDb({ law, a, b }: Extract<PowerLimit, { kind: 'slope' }>, place: LimitPlace): number {
  const offsetKHz = Math.abs(place.emission.frequencyHz - place.carrier.frequencyHz) / 1e3
  return law === 'linear'
    ? a * (offsetKHz - b)
    : a * Math.log10((law === 'log' ? offsetKHz : offsetKHz ** 2) / b)
}

/**
 * Every single demand of a limit for this carrier and emission, in words, and which one governs. Empty where
 * it says nothing.
 */
export function limitDemands(limit: PowerLimit, place: LimitPlace): WorkedDemand[] {
  const worked = powerLimitDbm(limit, place)
  if (!worked) return []
  const single = (words: string): WorkedDemand[] => [
    { words, limitDbm: worked.limitDbm, governs: true, isRest: false },
  ]
  switch (limit.kind) {
    case 'absolute':
      return single(`at most ${printWatts(limit.powerW, 2)}`)
    case 'relative':
      return single(`at least ${printDb(limit.attenuationDb, 0)} down`)
    case 'offset-plus-log-power':
      return single(`${limit.offsetDb} + 10 log P down`)
    case 'slope':
      return single(`${slopeWords(limit)} = ${printDb(slopeDb(limit, place))} down`)
    case 'strictest':
    case 'loosest': {
      const governing = governingOf(limit, place)?.limit
      return limit.of.flatMap(one =>
        limitDemands(one, place).map(demand => ({ ...demand, governs: demand.governs && one === governing })),
      )
    }
    case 'not-below': {
      const restDbm = dbmFromWatts(limit.powerW)
      const rests = restDbm > powerLimitDbm(limit.limit, place)!.limitDbm
      return [
        ...limitDemands(limit.limit, place).map(demand => ({ ...demand, governs: demand.governs && !rests })),
        {
          words: `nothing asked below ${printWatts(limit.powerW, 2)}`,
          limitDbm: restDbm,
          governs: rests,
          isRest: true,
        },
      ]
    }
    case 'by-emission':
    case 'mask':
      return limitDemands(partFor(limit, place)!, place)
  }
}

function slopeWords({ law, a, b }: Extract<PowerLimit, { kind: 'slope' }>): string {
  if (law === 'linear') return `${a}·(f − ${b})`
  if (law === 'log') return `${a}·log(f/${b})`
  return `${a}·log(f²/${b})`
}

type Mask = Extract<PowerLimit, { kind: 'mask' }>

/** Where a step of a mask holds; the last of them has no end. */
function maskStepWords({ from, to }: Mask['steps'][number], unit: Mask['unit']): string {
  return unit === 'Hz'
    ? `${from / 1e3} to ${to >= 1e11 ? '∞' : to / 1e3} kHz off`
    : `${from} to ${to >= 1e6 ? '∞' : to} % of the bandwidth off`
}

/** A power limit in words, without a carrier: for lists and the editor. */
export function powerLimitWords(limit: PowerLimit): string {
  switch (limit.kind) {
    case 'absolute':
      return `at most ${printWatts(limit.powerW, 2)} (${printDbm(dbmFromWatts(limit.powerW), 0)})`
    case 'relative':
      return `at least ${printDb(limit.attenuationDb, 0)} down`
    case 'offset-plus-log-power':
      return `${limit.offsetDb} + 10 log P down (${printDbm(30 - limit.offsetDb, 0)})`
    case 'slope':
      return `${slopeWords(limit)} dB down, f in kHz from the carrier`
    case 'strictest':
      return limit.of.map(powerLimitWords).join(' and ')
    case 'loosest':
      return `${limit.of.map(powerLimitWords).join(' or ')}, whichever asks less`
    case 'not-below':
      return `${powerLimitWords(limit.limit)}; nothing asked below ${printWatts(limit.powerW, 2)}`
    case 'by-emission':
      return limit.segments
        .map(
          ({ fromHz, toHz, limit: inner }) =>
            `${printFrequencyShort(fromHz)} to ${printFrequencyShort(toHz)}: ${powerLimitWords(inner)}`,
        )
        .join('; ')
    case 'mask':
      return limit.steps
        .map(step => `${maskStepWords(step, limit.unit)}: ${powerLimitWords(step.limit)}`)
        .join('; ')
  }
}
