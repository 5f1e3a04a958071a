import { assertPositive } from '../errors'
import { dbmFromWatts, printDb, printDbm, printFrequencyShort, printMhz, printWatts } from '../quantity'
import type { CarrierFacts, Demand, DemandAnswer, LimitAnswer, LimitClause, LimitFound, Rulebook } from './types'

/**
 * The limit a rulebook sets on an unwanted emission of a carrier, dBm at the antenna socket, with its
 * clause and reason; or the reason why it sets none. The clause is chosen by the fundamental's
 * frequency and mean power.
 * @throws CoreError `not-positive` for a carrier without frequency or power.
 */
export function evaluateLimit(rulebook: Rulebook, carrier: CarrierFacts): LimitAnswer {
  assertPositive('Carrier frequency', carrier.frequencyHz)
  assertPositive('Carrier power', carrier.powerW)
  const head = { id: rulebook.id, title: rulebook.title, edition: rulebook.edition, standing: rulebook.standing }
  const inService = rulebook.bands.length === 0 || rulebook.bands.some(band => carrier.frequencyHz >= band.fromHz && carrier.frequencyHz <= band.toHz)
  if (!inService)
    return { kind: 'no-figure', clause: rulebook.title, rulebook: head, reason: `${printMhz(carrier.frequencyHz)} lies in no band of ${rulebook.title}, so its rules do not speak of this carrier. Another rulebook may.` }
  const clause = rulebook.limits.find(limit => limit.confidence !== 'L' && applies(limit, carrier))
  if (clause) return limitFrom(clause, carrier, head)
  const silent = rulebook.noFigure.find(entry => carrier.frequencyHz >= entry.carrier.fromHz && carrier.frequencyHz <= entry.carrier.toHz)
  return {
    kind: 'no-figure',
    clause: silent?.clause ?? rulebook.title,
    rulebook: head,
    reason: silent?.words ?? `${rulebook.title} sets no figure for a carrier on ${printMhz(carrier.frequencyHz)}.`,
  }
}

function applies(limit: LimitClause, carrier: CarrierFacts): boolean {
  return carrier.frequencyHz >= limit.carrier.fromHz && carrier.frequencyHz <= limit.carrier.toHz
    && carrier.powerW > limit.power.aboveW && carrier.powerW <= limit.power.upToW
}

function limitFrom(clause: LimitClause, carrier: CarrierFacts, rulebook: LimitFound['rulebook']): LimitFound {
  const carrierDbm = dbmFromWatts(carrier.powerW)
  const asked = clause.demands.map(demand => ({ demand, limitDbm: demandDbm(demand, carrierDbm) }))
  const strictest = asked.reduce((a, b) => (b.limitDbm < a.limitDbm - 1e-9 ? b : a))
  const restDbm = clause.needNotBeBelowW === null ? null : dbmFromWatts(clause.needNotBeBelowW)
  const rests = restDbm !== null && restDbm > strictest.limitDbm
  const limitDbm = rests ? restDbm : strictest.limitDbm
  const demands: DemandAnswer[] = asked.map(({ demand, limitDbm: askedDbm }) => ({
    words: demandWords(demand), limitDbm: askedDbm, governs: !rests && askedDbm === strictest.limitDbm,
  }))
  if (restDbm !== null && clause.needNotBeBelowW !== null)
    demands.push({ words: `nothing asked below ${printWatts(clause.needNotBeBelowW, 2)}`, limitDbm: restDbm, governs: rests })
  return {
    kind: 'limit', limitDbm, slope: !rests && strictest.demand.kind === 'relative' ? 1 : 0,
    clause: clause.clause, rulebook, recalled: clause.recalled, confidence: clause.confidence,
    reason: reasonFor(clause, carrier, { asked, strictest, restDbm, rests }), demands,
  }
}

function demandDbm(demand: Demand, carrierDbm: number): number {
  return demand.kind === 'absolute' ? dbmFromWatts(demand.powerW) : carrierDbm - demand.attenuationDb
}

function demandWords(demand: Demand): string {
  return demand.kind === 'absolute' ? `at most ${printWatts(demand.powerW, 2)}` : `at least ${printDb(demand.attenuationDb, 0)} down`
}

interface Working {
  asked: { demand: Demand; limitDbm: number }[]
  strictest: { demand: Demand; limitDbm: number }
  restDbm: number | null
  rests: boolean
}

function reasonFor(clause: LimitClause, carrier: CarrierFacts, working: Working): string {
  const { asked, strictest, restDbm, rests } = working
  const opening = `${printWatts(carrier.powerW)} on ${printMhz(carrier.frequencyHz)} (clause for ${printFrequencyShort(clause.carrier.fromHz)} to ${printFrequencyShort(clause.carrier.toHz)}${powerRange(clause)}).`
  const each = asked.map(({ demand, limitDbm }) => `${demandWords(demand)} is ${printDbm(limitDbm, 2)}`).join('; ')
  const sentences = [opening, `${each.charAt(0).toUpperCase()}${each.slice(1)}.`]
  if (asked.length > 1) sentences.push(`Both apply, so the stricter holds: ${printDbm(strictest.limitDbm, 2)}.`)
  if (restDbm !== null && clause.needNotBeBelowW !== null)
    sentences.push(rests
      ? `But nothing need be brought below ${printWatts(clause.needNotBeBelowW, 2)}, so the limit is ${printDbm(restDbm, 2)}.`
      : `Nothing is asked below ${printWatts(clause.needNotBeBelowW, 2)} (${printDbm(restDbm, 0)}).`)
  return sentences.join(' ')
}

function powerRange(clause: LimitClause): string {
  if (Number.isFinite(clause.power.upToW)) return `, up to ${printWatts(clause.power.upToW, 2)}`
  return clause.power.aboveW > 0 ? `, above ${printWatts(clause.power.aboveW, 2)}` : ''
}
