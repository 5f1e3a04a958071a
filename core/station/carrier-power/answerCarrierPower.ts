import { worstVerdict } from '../../decision'
import { verdictWithout } from '../../decision'
import { printMhz } from '../../quantity'
import type { RadioSet } from '../../review'
import type { StationAnswer, StationQuestion, StepResult } from '../contract'
import type { StationContext } from '../stationContext'
import { evaluateCarrierPower } from './evaluateCarrierPower'
import { CARRIER_POWER_ID, planCarrierPower } from './planCarrierPower'

/** One row per power level name that any set has: “Does it make its watts, High?” */
export function carrierPowerQuestions(sets: readonly RadioSet[]): StationQuestion[] {
  const names = new Map<string, string>()
  for (const set of sets) for (const level of set.levels) if (!names.has(level.name.toLowerCase())) names.set(level.name.toLowerCase(), level.name)
  return [...names.values()].map(name => ({
    id: `watts:${name.toLowerCase()}`, stationId: CARRIER_POWER_ID, against: 'claims', bandName: null, yardstick: false,
    question: names.size > 1 ? `Does it make its watts at ${name}?` : 'Does it make its watts?',
    detail: 'worst band and channel, against the claim',
  }))
}

/** Sums up one level of one set: the worst of its steps. */
export function answerCarrierPower(question: StationQuestion, set: RadioSet, context: StationContext): StationAnswer {
  const levelName = question.id.slice('watts:'.length)
  const results = planCarrierPower(set, context)
    .filter(step => step.level.name.toLowerCase() === levelName)
    .map(step => evaluateCarrierPower(step, context))
  if (results.length === 0)
    return { verdict: verdictWithout('not-covered', 'This set has no such level.'), words: 'No such level', detail: '', governs: null, each: [], results }
  const claimed = results.filter(result => result.step.claim.kind === 'watts')
  const worst = worstVerdict((claimed.length > 0 ? claimed : results).map(result => ({ member: result, verdict: result.verdict })))!
  const open = results.filter(result => result.progress.read === 0).length
  return {
    verdict: worst.verdict, words: worst.governs.words, each: [], results,
    governs: { step: worst.governs.step, slotId: 'carrier' },
    detail: detailFor(worst.governs, open, results.length),
  }
}

function detailFor(governs: StepResult, open: number, all: number): string {
  if (open === all) return `${all} to measure`
  const at = `${governs.step.band.name}, ${printMhz(governs.step.channel.frequencyHz)}`
  if (governs.progress.read === 0) return `${open} of ${all} not measured`
  return open > 0 ? `at ${at}; ${open} of ${all} not measured` : `at ${at}`
}
