import { harmonicList } from '../../../chain'
import type { Context } from '../../../context'
import { type Verdict, verdictWithout, verdictWords, worstVerdict } from '../../../decision'
import { noAnswer, type StationAnswer, sumByRulebook } from '../../../judging'
import { printMargin, printMhz } from '../../../quantity'
import type { RadioSet } from '../../../review'
import { isRead, type SlotResult, type Step, type StepResult } from '../../../step'
import type { StationQuestion } from '../../contract'
import { evaluateHarmonics } from './evaluate'
import { harmonicOf, isFirstLine } from './harmonicSlots'
import { HARMONICS_ID, planHarmonics } from './plan'

/**
 * One row per band name any set has, against law; and one against the yardstick when it is on and law may be
 * silent.
 */
export function harmonicsQuestions(sets: readonly RadioSet[], context: Context): StationQuestion[] {
  return bandsOf(sets).flatMap(name => {
    const row = (yardstick: boolean): StationQuestion => ({
      id: `clean:${bandKey(name)}${yardstick ? ':own' : ''}`,
      stationId: HARMONICS_ID,
      against: 'limits',
      bandName: name,
      yardstick,
      question: `Is it clean on ${name}?`,
      detail: yardstick
        ? `${context.yardstick?.title ?? ''}: the reviewer’s yardstick`
        : `harmonics into 50 Ω, ${rulebookTitles(name, sets, context)}`,
    })
    return lawIsSilent(name, sets, context) ? [row(false), row(true)] : [row(false)]
  })
}

/** Names of all bands: those of most sets first, then by frequency. */
function bandsOf(sets: readonly RadioSet[]): string[] {
  const bands = new Map<string, { name: string; lowestHz: number; sets: number }>()
  for (const band of sets.flatMap(set => set.bands)) {
    const lowestHz = Math.min(...band.channels.map(({ frequencyHz }) => frequencyHz), Infinity)
    const known = bands.get(bandKey(band.name)) ?? { name: band.name, lowestHz: Infinity, sets: 0 }
    bands.set(bandKey(band.name), {
      name: known.name,
      lowestHz: Math.min(lowestHz, known.lowestHz),
      sets: known.sets + 1,
    })
  }
  return [...bands.values()]
    .sort((a, b) => b.sets - a.sets || a.lowestHz - b.lowestHz)
    .map(({ name }) => name)
}

/** True where the yardstick is on and was laid at something law has no figure for. */
function lawIsSilent(bandName: string, sets: readonly RadioSet[], context: Context): boolean {
  return (
    context.yardstick !== null &&
    sets.some(set =>
      resultsFor(bandName, set, context).some(({ slots }) => slots.some(({ yardstick }) => yardstick)),
    )
  )
}

/** Sums up one band of one set: the worst of all its steps and harmonics. */
export function answerHarmonics(question: StationQuestion, set: RadioSet, context: Context): StationAnswer {
  const results = resultsFor(question.bandName ?? '', set, context)
  if (results.length === 0) return unplanned(question, set)
  const members = results.flatMap(({ step, slots }) =>
    slots.filter(({ slot }) => !isFirstLine(slot)).map(slot => memberOf({ step, slot }, question.yardstick)),
  )
  const measured = members.filter(({ member: { slot } }) => isRead(slot))
  if (measured.length === 0) return unread(members, results)
  if (!question.yardstick && measured.every(({ verdict }) => verdict.state === 'no-figure')) {
    const { member, verdict } = measured[0]!
    return {
      verdict,
      words: 'No figure in law',
      detail: member.slot.limit?.clause ?? '',
      gap: null,
      governs: placeOf(member),
      each: [],
      results,
    }
  }
  const worst = worstVerdict(members)!
  return {
    verdict: worst.verdict,
    words: verdictWords(worst.verdict),
    detail: detailFor(members, worst.governs, worst.verdict),
    gap: null,
    governs: placeOf(worst.governs),
    each: question.yardstick
      ? []
      : sumByRulebook(results.flatMap(({ slots }) => slots.flatMap(({ each }) => each))),
    results,
  }
}

function unplanned({ bandName }: StationQuestion, set: RadioSet): StationAnswer {
  const hasBand = set.bands.some(({ name }) => bandKey(name) === bandKey(bandName ?? ''))
  return hasBand
    ? noAnswer('open', {
        why: 'No channel of this band is chosen for harmonics.',
        words: 'Not covered',
        detail: 'no channel chosen',
      })
    : noAnswer('not-on-set', { why: 'This set does not have the band.', words: 'Not on this set' })
}

function unread(members: readonly Judged[], results: StepResult[]): StationAnswer {
  const skipped = members.every(({ member }) => member.slot.state === 'left-out')
  const why = members[0]?.verdict.why ?? ''
  return skipped
    ? noAnswer('left-out', { why, words: 'Left out', detail: why, results })
    : noAnswer('open', {
        why: 'Not measured yet.',
        words: 'Not measured',
        detail: `${members.length} to measure`,
        results,
      })
}

/** The rulebooks the sets of a band are judged by. */
function rulebookTitles(bandName: string, sets: readonly RadioSet[], context: Context): string {
  const bands = sets.flatMap(set => set.bands.filter(band => bandKey(band.name) === bandKey(bandName)))
  return [...new Set(bands.flatMap(band => context.rulebooksOf(band).map(book => book.title)))].join(', ')
}

interface Member {
  step: Step
  slot: SlotResult
}

/** A harmonic or spur of a step, and the verdict that counts for the question. */
interface Judged {
  member: Member
  verdict: Verdict
}

function memberOf(member: Member, yardstick: boolean): Judged {
  return { member, verdict: yardstick ? byYardstick(member.slot) : member.slot.verdict }
}

function byYardstick({ yardstick, verdict }: SlotResult): Verdict {
  if (yardstick) return yardstick.verdict
  if (verdict.state === 'no-figure') return verdictWithout('not-covered', null)
  return verdict.state === 'not-covered' ? verdict : verdictWithout('not-covered', 'Law has a figure here.')
}

function placeOf({ step, slot }: Member): { step: Step; slotId: string } {
  return { step, slotId: slot.slot.id }
}

function detailFor(members: readonly Judged[], governs: Member, verdict: Verdict): string {
  const several = members.some(({ member: other }) => other.step !== governs.step)
  const placeOf = ({ step: { setting, channel } }: Member) =>
    several ? `, ${setting.level.name} on ${printMhz(channel.frequencyHz)}` : ''
  const where = (found: Member) => found.slot.slot.label + placeOf(found)
  const gaps = gapsInWords(members)
  if (verdict.state !== 'not-covered') return [`at ${where(governs)}`, ...gaps].join('; ')
  const least = worstVerdict(members.filter(({ verdict: { state } }) => state === 'inside'))
  return [
    ...gaps,
    ...(least
      ? [
          `what was read is inside, least ${printMargin(least.verdict.margin ?? 0)} at ${where(least.governs)}`,
        ]
      : []),
  ].join('; ')
}

/**
 * What is missing: harmonics out of reach, whole steps not begun, single readings open, readings that could
 * not decide.
 */
function gapsInWords(members: readonly Judged[]): string[] {
  const begun = new Set(members.filter(({ member }) => isRead(member.slot)).map(({ member }) => member.step))
  const idle = [...new Set(members.map(({ member }) => member.step))].filter(step => !begun.has(step))
  const ofBegun = members.filter(({ member }) => begun.has(member.step))
  const inState = (state: SlotResult['state']) => ofBegun.filter(({ member }) => member.slot.state === state)
  const undecided = inState('read').filter(({ verdict }) => verdict.state === 'not-covered')
  return [
    ...listed(inState('out-of-reach'), 'out of reach'),
    ...listed(inState('open'), 'not measured'),
    ...listed(undecided, 'read but not told'),
    ...(idle.length > 0
      ? [`${[...new Set(idle.map(({ setting }) => setting.level.name))].join(', ')} not measured`]
      : []),
  ]
}

function listed(members: readonly Judged[], what: string): string[] {
  const numbers = new Set(members.flatMap(({ member }) => harmonicOf(member.slot.slot) ?? []))
  return numbers.size > 0 ? [`${harmonicList([...numbers])} ${what}`] : []
}

function bandKey(name: string): string {
  return name.trim().toLowerCase().replace(/\s+/g, ' ')
}

function resultsFor(bandName: string, set: RadioSet, context: Context): StepResult[] {
  return planHarmonics(set, context)
    .filter(({ band }) => bandKey(band.name) === bandKey(bandName))
    .map(step => evaluateHarmonics(step, context))
}
