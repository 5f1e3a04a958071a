import type { Context } from '../context'
import type { Verdict, VerdictState } from '../decision'
import {
  findings,
  findingsOrder,
  KEYING_CAUTION,
  KEYING_WORDS,
  type MayIKey,
  mayIKey,
  openOf,
} from '../findings'
import type { Plot } from '../plot'
import type { Model, RadioSet } from '../review'
import { measuredWords } from './measured'
import { sheetPlots } from './sheetPlots'
import { type SaidSentence, sentencesOf } from './sentences'

/** A line of “May I key it?” on a sheet. */
export interface SheetLine {
  label: string
  state: Exclude<VerdictState, 'too-close'>
  words: string
  because: string
  /** null where nothing has a margin. */
  verdict: Verdict | null
}

/** One page about a model, its samples together, as it is drawn on any medium. */
export interface Sheet {
  title: string
  subtitle: string
  /** When, by whom, which review. */
  stamp: string[]
  said: readonly SaidSentence[]
  /** The reviewer’s own words stand in place of the sentences made by rules. */
  ownWords: string | null
  law: string
  lines: SheetLine[]
  plots: Plot[]
  measured: string
  notCovered: string
  footer: [left: string, right: string]
}

/** What a sheet is made with. */
export interface SheetStamp {
  version: string
  /** Mark of the review it is made of, short; empty where there is none yet. */
  mark: string
}

/**
 * The sheet of a model: a sentence, may it be keyed, four to six drawings, how it was measured, what was not covered.
 * @param ownWords - the reviewer’s words in place of the sentences; null: those made by rules.
 */
export function sheetOf(
  model: Model,
  context: Context,
  stamp: SheetStamp,
  ownWords: string | null = null,
): Sheet {
  const { sets } = model
  const answers = sets.flatMap(set => mayIKey(set, context))
  const found = findings(context, sets)
  const laws = [...new Set(answers.flatMap(({ rulebooks }) => rulebooks))]
  const { review } = context
  return {
    title: model.name,
    subtitle: cardWords(sets),
    stamp: [
      [daysOf(sets, context), review.reviewer && `by ${review.reviewer}`].filter(Boolean).join(' '),
      stamp.mark === '' ? 'the review goes with it' : `sheet ${stamp.mark}, the review goes with it`,
    ].filter(Boolean),
    said: sentencesOf(sets, { answers, found }),
    ownWords: ownWords?.trim() || null,
    law: laws.length > 0 ? `By ${laws.join(', ')}. ${KEYING_CAUTION}` : KEYING_CAUTION,
    lines: linesOf(answers, sets),
    plots: sheetPlots(sets, context),
    measured: measuredWords(sets, context),
    notCovered: notCoveredWords(findingsOrder(sets).map(set => ({ set, open: openOf(found, set) }))),
    footer: [`Rigorous Meter ${stamp.version} · ${laws.join(', ')}`, review.title],
  }
}

function cardWords(sets: readonly RadioSet[]): string {
  const each = (pick: (set: RadioSet) => string) => [...new Set(sets.map(pick).filter(Boolean))]
  const [{ kind }] = sets as [RadioSet]
  const bands = each(({ bands: own }) => own.map(({ name }) => name).join(' and ')).join('; ')
  const samples = sets.map(({ sample }) => sample).filter(Boolean)
  const how = [...each(({ price }) => price), ...each(({ howObtained }) => howObtained)].join(', ')
  return [
    `${kind} for ${bands || 'no band yet'}`,
    how,
    samples.length > 1 ? `samples ${samples.join(', ')}` : samples.map(name => `sample ${name}`).join(''),
    each(({ firmware }) => firmware && `firmware ${firmware}`).join(', '),
    sets.some(({ role }) => role === 'control') ? 'the control radio' : '',
  ]
    .filter(Boolean)
    .join('; ')
}

/** Days on which something of these radios was read. */
function daysOf(sets: readonly RadioSet[], { review }: Context): string {
  const ids = new Set(sets.map(({ id }) => id))
  const days = review.readings.flatMap(({ setId, at }) => (ids.has(setId) ? [at.slice(0, 10)] : [])).sort()
  const [first, last] = [days[0], days.at(-1)]
  if (!first || !last) return 'nothing read yet'
  return first === last ? `read ${first}` : `read ${first} to ${last}`
}

/** Bands on which all samples come to the same for the same reason stand in one line. */
function linesOf(answers: readonly MayIKey[], sets: readonly RadioSet[]): SheetLine[] {
  const lines: SheetLine[] = []
  const bands = [...new Set(answers.map(({ band }) => band.name))]
  for (const name of bands) {
    const own = answers.filter(({ band }) => band.name === name)
    const kinds = new Map<string, MayIKey[]>()
    for (const answer of own) {
      const key = `${answer.state}|${answer.because.map(({ words }) => words).join('|')}`
      kinds.set(key, [...(kinds.get(key) ?? []), answer])
    }
    for (const same of kinds.values()) lines.push(lineOf(name, same, sets.length > 1 && kinds.size > 1))
  }
  return lines
}

function lineOf(bandName: string, same: readonly MayIKey[], isSampleNamed: boolean): SheetLine {
  const [first] = same as [MayIKey]
  const { words, mark } = KEYING_WORDS[first.state]
  const samples = same.map(({ set }) => set.sample).filter(Boolean)
  const named = isSampleNamed && samples.length > 0
  const plural = samples.length > 1 ? 's' : ''
  return {
    label: named ? `${bandName}, sample${plural} ${samples.join(', ')}` : bandName,
    state: mark,
    words,
    because: becauseWords(first),
    verdict: first.state === 'yes' || first.state === 'not-without' ? first.closest : null,
  }
}

/** So many reasons have room. */
const MOST_REASONS = 2

function becauseWords({ because, notLookedAt }: MayIKey): string {
  const reasons = because.map(({ words }) => words)
  return [
    ...reasons.slice(0, MOST_REASONS),
    reasons.length > MOST_REASONS ? `and ${reasons.length - MOST_REASONS} more` : '',
    notLookedAt.length > 0 ? `not looked at: ${notLookedAt.join(', ').toLowerCase()}` : '',
  ]
    .filter(Boolean)
    .join('; ')
}

function notCoveredWords(open: readonly { set: RadioSet; open: string[] }[]): string {
  const lists = new Map<string, string[]>()
  for (const { set, open: own } of open) {
    const words = own.join(', ')
    if (words !== '') lists.set(words, [...(lists.get(words) ?? []), set.sample || 'it'])
  }
  if (lists.size === 0) return 'Every planned reading within reach is in.'
  const isSame = lists.size === 1 && [...lists.values()][0]!.length === open.length
  return `${[...lists]
    .map(([words, samples]) =>
      isSame || open.length === 1 ? words : `sample ${samples.join(', ')}: ${words}`,
    )
    .join('; ')}.`
}
