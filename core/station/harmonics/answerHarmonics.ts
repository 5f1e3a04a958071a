import { harmonicList } from '../../chain'
import { type Verdict, verdictWithout, verdictWords, worstVerdict } from '../../decision'
import { printMargin, printMhz } from '../../quantity'
import type { RadioSet } from '../../review'
import type { SlotResult, StationAnswer, StationQuestion, Step, StepResult } from '../contract'
import type { StationContext } from '../stationContext'
import { evaluateHarmonics } from './evaluateHarmonics'
import { HARMONICS_ID, planHarmonics } from './planHarmonics'

/**
 * One row per band name any set has, against law; and one against the yardstick when it is on and law may be
 * silent.
 */
export function harmonicsQuestions(sets: readonly RadioSet[], context: StationContext): StationQuestion[] {
  const bands = new Map<string, { name: string; lowestHz: number; sets: number }>()
  for (const set of sets)
    for (const band of set.bands) {
      const lowestHz = Math.min(...band.channels.map(channel => channel.frequencyHz), Infinity)
      const known = bands.get(bandKey(band.name))
      bands.set(bandKey(band.name), {
        name: known?.name ?? band.name,
        lowestHz: Math.min(lowestHz, known?.lowestHz ?? Infinity),
        sets: (known?.sets ?? 0) + 1,
      })
    }
  return [...bands.values()]
    .sort((a, b) => b.sets - a.sets || a.lowestHz - b.lowestHz)
    .flatMap(band => {
      const row = (yardstick: boolean): StationQuestion => ({
        id: `clean:${bandKey(band.name)}${yardstick ? ':own' : ''}`,
        stationId: HARMONICS_ID,
        against: 'limits',
        bandName: band.name,
        yardstick,
        question: `Is it clean on ${band.name}?`,
        detail: yardstick
          ? `${context.yardstick?.title ?? ''}: the reviewer’s yardstick`
          : `harmonics into 50 Ω, ${rulebookTitles(band.name, sets, context)}`,
      })
      const silent =
        context.yardstick !== null &&
        sets.some(set =>
          resultsFor(band.name, set, context).some(result => result.slots.some(slot => slot.yardstick)),
        )
      return silent ? [row(false), row(true)] : [row(false)]
    })
}

/** Sums up one band of one set: the worst of all its steps and harmonics. */
export function answerHarmonics(
  question: StationQuestion,
  set: RadioSet,
  context: StationContext,
): StationAnswer {
  const results = resultsFor(question.bandName ?? '', set, context)
  if (results.length === 0) {
    const hasBand = set.bands.some(band => bandKey(band.name) === bandKey(question.bandName ?? ''))
    const why = hasBand
      ? 'No channel of this band is chosen for harmonics.'
      : 'This set does not have the band.'
    return {
      verdict: verdictWithout('not-covered', why),
      words: hasBand ? 'Not covered' : 'Not on this set',
      detail: hasBand ? 'no channel chosen' : '',
      governs: null,
      each: [],
      results,
    }
  }
  const members = results.flatMap(result =>
    result.slots
      .filter(slot => slot.slot.id !== 'x1')
      .map(slot => member(result.step, slot, question.yardstick)),
  )
  const measured = members.filter(({ member: { slot } }) => slot.reading !== null)
  if (measured.length === 0)
    return {
      verdict: verdictWithout('not-covered', 'Not measured yet.'),
      words: 'Not measured',
      detail: `${members.length} to measure`,
      governs: null,
      each: [],
      results,
    }
  if (!question.yardstick && measured.every(({ verdict }) => verdict.state === 'no-figure')) {
    const governs = measured[0]!.member
    return {
      verdict: measured[0]!.verdict,
      words: 'No figure in law',
      detail: governs.slot.limit?.clause ?? '',
      governs: place(governs),
      each: [],
      results,
    }
  }
  const worst = worstVerdict(members)!
  return {
    verdict: worst.verdict,
    words: verdictWords(worst.verdict),
    detail: detailFor(members, worst.governs, worst.verdict),
    governs: place(worst.governs),
    each: question.yardstick ? [] : eachRulebook(results),
    results,
  }
}

/** The rulebooks the sets of a band are judged by. */
function rulebookTitles(bandName: string, sets: readonly RadioSet[], context: StationContext): string {
  const bands = sets.flatMap(set => set.bands.filter(band => bandKey(band.name) === bandKey(bandName)))
  return [...new Set(bands.flatMap(band => context.rulebooksOf(band).map(book => book.title)))].join(', ')
}

/**
 * What each rulebook says of the band, where there is more than one: the worst of the readings judged by it.
 */
function eachRulebook(results: readonly StepResult[]): StationAnswer['each'] {
  const judged = results.flatMap(result => result.slots.flatMap(slot => slot.each))
  const titles = [...new Set(judged.map(({ limit }) => limit.rulebook.title))]
  if (titles.length < 2) return []
  return titles.map(title => {
    const worst = worstVerdict(
      judged
        .filter(({ limit }) => limit.rulebook.title === title)
        .map(member => ({ member, verdict: member.verdict })),
    )!
    return { title, verdict: worst.verdict, words: worst.governs.words }
  })
}

interface Member {
  step: Step
  slot: SlotResult
}

function member(step: Step, slot: SlotResult, yardstick: boolean): { member: Member; verdict: Verdict } {
  const verdict = yardstick
    ? (slot.yardstick?.verdict ??
      (slot.verdict.state === 'no-figure'
        ? verdictWithout('not-covered', null)
        : slot.verdict.state === 'not-covered'
          ? slot.verdict
          : verdictWithout('not-covered', 'Law has a figure here.')))
    : slot.verdict
  return { member: { step, slot }, verdict }
}

function place(member: Member): { step: Step; slotId: string } {
  return { step: member.step, slotId: member.slot.slot.id }
}

function detailFor(
  members: { member: Member; verdict: Verdict }[],
  governs: Member,
  verdict: Verdict,
): string {
  const several = members.some(({ member: other }) => other.step !== governs.step)
  const where = (found: Member) =>
    `${found.slot.slot.label}${several ? `, ${found.step.level.name} on ${printMhz(found.step.channel.frequencyHz)}` : ''}`
  const gaps = gapsInWords(members)
  if (verdict.state !== 'not-covered') return [`at ${where(governs)}`, ...gaps].join('; ')
  const least = worstVerdict(members.filter(({ verdict: { state } }) => state === 'inside'))
  return [
    ...gaps,
    ...(least
      ? [
          `what was read is inside, least ${printMargin(least.verdict.marginDb ?? 0)} at ${where(least.governs)}`,
        ]
      : []),
  ].join('; ')
}

/**
 * What is missing: harmonics out of reach, whole steps not begun, single readings open, readings that could
 * not decide.
 */
function gapsInWords(members: { member: Member; verdict: Verdict }[]): string[] {
  const numbers = (wanted: (member: Member, verdict: Verdict) => boolean) => [
    ...new Set(
      members.filter(one => wanted(one.member, one.verdict)).map(one => harmonicNumber(one.member.slot)),
    ),
  ]
  const begun = new Set(members.filter(one => one.member.slot.reading).map(one => one.member.step))
  const idle = [...new Set(members.map(one => one.member.step))].filter(step => !begun.has(step))
  const outOfReach = numbers(member => member.slot.missing === 'out-of-reach' && begun.has(member.step))
  const open = numbers(member => member.slot.missing === 'open' && begun.has(member.step))
  const undecided = numbers(
    (member, verdict) => member.slot.reading !== null && verdict.state === 'not-covered',
  )
  return [
    ...(outOfReach.length > 0 ? [`${harmonicList(outOfReach)} out of reach`] : []),
    ...(open.length > 0 ? [`${harmonicList(open)} not measured`] : []),
    ...(undecided.length > 0 ? [`${harmonicList(undecided)} read but not told`] : []),
    ...(idle.length > 0
      ? [`${[...new Set(idle.map(step => step.level.name))].join(', ')} not measured`]
      : []),
  ]
}

function harmonicNumber(slot: SlotResult): number {
  return Number(slot.slot.id.slice(1))
}

function bandKey(name: string): string {
  return name.trim().toLowerCase().replace(/\s+/g, ' ')
}

function resultsFor(bandName: string, set: RadioSet, context: StationContext): StepResult[] {
  return planHarmonics(set, context)
    .filter(step => bandKey(step.band.name) === bandKey(bandName))
    .map(step => evaluateHarmonics(step, context))
}
