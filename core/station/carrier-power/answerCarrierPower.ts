import { worstVerdict } from '../../decision'
import { verdictWithout } from '../../decision'
import { printMhz } from '../../quantity'
import type { RadioSet } from '../../review'
import type { StationAnswer, StationQuestion, StepResult } from '../contract'
import type { StationContext } from '../stationContext'
import { evaluateCarrierPower } from './evaluateCarrierPower'
import { CARRIER_POWER_ID, planCarrierPower } from './planCarrierPower'

/**
 * One row per power level name that any set has, “Does it make its watts, High?”, and one for what the
 * rulebooks allow.
 */
export function carrierPowerQuestions(sets: readonly RadioSet[], context: StationContext): StationQuestion[] {
  const names = new Map<string, string>()
  for (const set of sets)
    for (const level of set.levels)
      if (!names.has(level.name.toLowerCase())) names.set(level.name.toLowerCase(), level.name)
  const claims = [...names.values()].map((name): StationQuestion => ({
    id: `watts:${name.toLowerCase()}`,
    stationId: CARRIER_POWER_ID,
    against: 'claims',
    bandName: null,
    yardstick: false,
    question: names.size > 1 ? `Does it make its watts at ${name}?` : 'Does it make its watts?',
    detail: 'worst band and channel, against the claim',
  }))
  const titles = [
    ...new Set(
      sets.flatMap(set =>
        set.bands.flatMap(band =>
          context
            .rulebooksOf(band)
            .filter(book => book.clauses.some(({ about }) => about === 'carrier-power'))
            .map(book => book.title),
        ),
      ),
    ),
  ]
  return titles.length === 0
    ? claims
    : [
        ...claims,
        {
          id: LAWFUL,
          stationId: CARRIER_POWER_ID,
          against: 'limits',
          bandName: null,
          yardstick: false,
          question: 'Is its power within the law?',
          detail: `every level, ${titles.join(', ')}`,
        },
      ]
}

const LAWFUL = 'lawful-power'

/** The power of all levels against the most each rulebook allows: the worst of what was read. */
function answerLawfulPower(set: RadioSet, context: StationContext): StationAnswer {
  const results = planCarrierPower(set, context).map(step => evaluateCarrierPower(step, context))
  const judged = results.flatMap(result =>
    (result.slots[0]?.each ?? []).map(one => ({ member: { result, one }, verdict: one.verdict })),
  )
  const known = judged.filter(({ member: { one } }) => one.limit.kind !== 'no-figure')
  const open = results.filter(({ progress }) => progress.read === 0).length
  if (judged.length === 0)
    return {
      verdict: verdictWithout('not-covered', 'Not measured yet.'),
      words: 'Not measured',
      detail: `${open} to measure`,
      governs: null,
      each: [],
      results,
    }
  const worst = worstVerdict(known.length > 0 ? known : judged)!
  const { result, one } = worst.governs
  const titles = [...new Set(judged.map(({ member }) => member.one.limit.rulebook.title))]
  return {
    verdict: worst.verdict,
    words: one.words,
    results,
    governs: { step: result.step, slotId: 'carrier' },
    detail: [
      `${one.limit.clause}, ${result.step.level.name} on ${printMhz(result.step.channel.frequencyHz)}`,
      ...(open > 0 ? [`${open} of ${results.length} not measured`] : []),
    ].join('; '),
    each:
      titles.length < 2
        ? []
        : titles.map(title => {
            const own = worstVerdict(
              judged.filter(({ member }) => member.one.limit.rulebook.title === title),
            )!
            return { title, verdict: own.verdict, words: own.governs.one.words }
          }),
  }
}

/** Sums up one level of one set: the worst of its steps. */
export function answerCarrierPower(
  question: StationQuestion,
  set: RadioSet,
  context: StationContext,
): StationAnswer {
  if (question.id === LAWFUL) return answerLawfulPower(set, context)
  const levelName = question.id.slice('watts:'.length)
  const results = planCarrierPower(set, context)
    .filter(step => step.level.name.toLowerCase() === levelName)
    .map(step => evaluateCarrierPower(step, context))
  if (results.length === 0)
    return {
      verdict: verdictWithout('not-covered', 'This set has no such level.'),
      words: 'No such level',
      detail: '',
      governs: null,
      each: [],
      results,
    }
  const claimed = results.filter(result => result.step.claim.kind === 'watts')
  const worst = worstVerdict(
    (claimed.length > 0 ? claimed : results).map(result => ({ member: result, verdict: result.verdict })),
  )!
  const open = results.filter(result => result.progress.read === 0).length
  return {
    verdict: worst.verdict,
    words: worst.governs.words,
    each: [],
    results,
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
