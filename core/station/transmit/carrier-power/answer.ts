import type { Context } from '../../../context'
import { worstVerdict } from '../../../decision'
import { noAnswer, type StationAnswer, sumByRulebook } from '../../../judging'
import { printMhz } from '../../../quantity'
import type { RadioSet } from '../../../review'
import { isRead, type StepResult } from '../../../step'
import { onlyQuestion, type StationQuestion } from '../../contract'
import { evaluateCarrierPower } from './evaluate'
import { CARRIER_POWER_ID, CARRIER_SLOT, planCarrierPower } from './plan'

const LAWFUL = 'lawful-power'
const WATTS = 'watts:'

/**
 * One row per power level name that any set has, “Does it make its watts, High?”, and one for what the
 * rulebooks allow.
 */
export function carrierPowerQuestions(sets: readonly RadioSet[], context: Context): StationQuestion[] {
  const names = new Map<string, string>()
  for (const { name } of sets.flatMap(({ levels }) => levels))
    if (!names.has(name.toLowerCase())) names.set(name.toLowerCase(), name)
  const claims = [...names.values()].map(name =>
    onlyQuestion(CARRIER_POWER_ID, {
      id: `${WATTS}${name.toLowerCase()}`,
      against: 'claims',
      question: names.size > 1 ? `Does it make its watts at ${name}?` : 'Does it make its watts?',
      detail: 'worst band and channel, against the claim',
    }),
  )
  const titles = booksOnPower(sets, context)
  if (titles.length === 0) return claims
  const lawful = onlyQuestion(CARRIER_POWER_ID, {
    id: LAWFUL,
    against: 'limits',
    question: 'Is its power within the law?',
    detail: `every level, ${titles.join(', ')}`,
  })
  return [...claims, lawful]
}

/** Titles of the rulebooks of any band that speak of carrier power. */
function booksOnPower(sets: readonly RadioSet[], context: Context): string[] {
  const books = sets.flatMap(({ bands }) => bands).flatMap(band => context.rulebooksOf(band))
  const speaking = books.filter(({ clauses }) => clauses.some(({ about }) => about === 'carrier-power'))
  return [...new Set(speaking.map(({ title }) => title))]
}

/** Sums up one level of one set: the worst of its steps. */
export function answerCarrierPower(
  question: StationQuestion,
  set: RadioSet,
  context: Context,
): StationAnswer {
  const all = planCarrierPower(set, context)
  if (question.id === LAWFUL) return answerLawful(all.map(step => evaluateCarrierPower(step, context)))
  const levelName = question.id.slice(WATTS.length)
  const results = all
    .filter(({ setting }) => setting.level.name.toLowerCase() === levelName)
    .map(step => evaluateCarrierPower(step, context))
  if (results.length === 0)
    return noAnswer('not-on-set', { why: 'This set has no such level.', words: 'No such level' })
  const claimed = results.filter(({ step }) => step.claim.kind === 'watts')
  const members = claimed.length > 0 ? claimed : results
  const worst = worstVerdict(members.map(member => ({ member, verdict: member.verdict })))!
  const open = openOf(results)
  return {
    verdict: worst.verdict,
    words: worst.governs.words,
    gap: open === results.length ? gapOf(results) : null,
    each: [],
    results,
    governs: { step: worst.governs.step, slotId: CARRIER_SLOT },
    detail: detailFor(worst.governs, { open, all: results.length }),
  }
}

function gapOf(results: readonly StepResult[]): StationAnswer['gap'] {
  return results.every(({ slots }) => slots[0]?.state === 'left-out') ? 'left-out' : 'open'
}

function openOf(results: readonly StepResult[]): number {
  return results.filter(({ progress }) => progress.read === 0).length
}

function detailFor(governs: StepResult, { open, all }: { open: number; all: number }): string {
  if (open === all) return `${all} to measure`
  const missing = `${open} of ${all} not measured`
  if (governs.progress.read === 0) return missing
  const at = `at ${governs.step.band.name}, ${printMhz(governs.step.channel.frequencyHz)}`
  return open > 0 ? `${at}; ${missing}` : at
}

/** The power of all levels against the most each rulebook allows: the worst of what was read. */
function answerLawful(results: StepResult[]): StationAnswer {
  const judged = results.flatMap(result =>
    result.slots
      .slice(0, 1)
      .filter(isRead)
      .flatMap(({ each }) => each.map(one => ({ member: { result, one }, verdict: one.verdict }))),
  )
  const open = openOf(results)
  if (judged.length === 0)
    return noAnswer('open', {
      why: 'Not measured yet.',
      words: 'Not measured',
      detail: `${open} to measure`,
      results,
    })
  const known = judged.filter(({ member }) => member.one.limit.kind !== 'no-figure')
  const worst = worstVerdict(known.length > 0 ? known : judged)!
  const { result, one } = worst.governs
  const { step } = result
  return {
    verdict: worst.verdict,
    words: one.words,
    gap: null,
    results,
    governs: { step, slotId: CARRIER_SLOT },
    detail: [
      `${one.limit.clause}, ${step.setting.level.name} on ${printMhz(step.channel.frequencyHz)}`,
      ...(open > 0 ? [`${open} of ${results.length} not measured`] : []),
    ].join('; '),
    each: sumByRulebook(judged.map(({ member }) => member.one)),
  }
}
