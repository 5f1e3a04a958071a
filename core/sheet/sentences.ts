import { clopperPearson, type Verdict, type VerdictState, withUnit } from '../decision'
import type { Findings, MayIKey } from '../findings'
import { printDb, printNumber } from '../quantity'
import type { RadioSet } from '../review'
import { stationById } from '../station'

/** A sentence made by a rule, with the verdict it tells; null where it tells none. */
export interface SaidSentence {
  text: string
  state: VerdictState | null
}

/** So many misses of claims are named in one sentence. */
const MOST_CLAIMS = 3

/**
 * What can be said of a model, in order of weight: what is outside the law, what is inside, what cannot be said yet,
 * then the worst against claims, then what so few units can say of a model.
 */
export function sentencesOf(
  sets: readonly RadioSet[],
  { answers, found }: { answers: readonly MayIKey[]; found: Findings },
): SaidSentence[] {
  const tested = sets.filter(({ role }) => role !== 'control')
  return [
    ...byLaw(sets, answers),
    ...byClaims(sets, found),
    ...(tested.length > 0 ? ofTheModel(tested, answers) : []),
  ]
}

const WEIGHT = ['not-without', 'yes', 'not-yet', 'no-figure'] as const

/** Samples of which the very same is to be said stand together. */
function byLaw(sets: readonly RadioSet[], answers: readonly MayIKey[]): SaidSentence[] {
  return WEIGHT.flatMap(state => {
    const said = new Map<string, { bands: string; own: MayIKey[]; names: RadioSet[] }>()
    for (const set of sets) {
      const own = answers.filter(answer => answer.set.id === set.id && answer.state === state)
      if (own.length === 0) continue
      const bands = own.map(({ band }) => band.name).join(' and ')
      const key = state === 'not-without' ? overTheLimit(own) : bands
      const same = said.get(key) ?? { bands, own, names: [] }
      said.set(key, { ...same, names: [...same.names, set] })
    }
    return [...said.values()].map(one => lawSentence(state, { ...one, name: namesOf(one.names, sets) }))
  })
}

function lawSentence(
  state: MayIKey['state'],
  {
    name,
    names,
    bands,
    own,
  }: { name: string; names: readonly RadioSet[]; bands: string; own: readonly MayIKey[] },
): SaidSentence {
  const be = names.length > 1 ? 'are' : 'is'
  switch (state) {
    case 'not-without':
      return { text: `${name} ${be} ${overTheLimit(own)}.`, state: 'outside' }
    case 'yes':
      return { text: `${name} ${be} inside the law on ${bands}, as far as measured.`, state: 'inside' }
    case 'not-yet':
      return { text: `Of ${name} on ${bands} it cannot be said yet.`, state: 'not-covered' }
    case 'no-figure':
      return { text: `For ${name} on ${bands} the law has no figure.`, state: 'no-figure' }
  }
}

/** Each band with its own figure and rulebook: `7.9 dB over the limit on 2 m (US amateur)`. */
function overTheLimit(own: readonly MayIKey[]): string {
  return own
    .map(({ band, closest, closestRulebook }) => {
      const isInDb = closest?.unit === 'dB' && closest.margin !== null && closest.margin < 0
      const by = closestRulebook === null ? '' : ` (${closestRulebook})`
      return `${isInDb ? `${printDb(-closest.margin!)} ` : ''}over the limit on ${band.name}${by}`
    })
    .join(' and ')
}

/** The worst that misses a claim, each with the sample it was read on. */
function byClaims(sets: readonly RadioSet[], { rows }: Findings): SaidSentence[] {
  const missed = rows
    .filter(({ question }) => question.against === 'claims')
    .flatMap(({ question, answers }) =>
      answers
        .filter(({ set, answer }) => sets.includes(set) && answer.verdict.state === 'outside')
        .map(({ set, answer }) => ({ title: stationById(question.stationId).title, set, answer })),
    )
    .toSorted((a, b) => marginOf(a.answer) - marginOf(b.answer))
  if (missed.length === 0) return []
  const parts = missed
    .slice(0, MOST_CLAIMS)
    .map(({ title, set, answer }) =>
      [title.toLowerCase(), sets.length > 1 ? `of ${nameOf(set, sets)}` : '', saidWithUnit(answer)]
        .filter(Boolean)
        .join(' '),
    )
  const more = missed.length > parts.length ? `; and ${missed.length - parts.length} more` : ''
  return [{ text: `Against its maker’s figures: ${parts.join('; ')}${more}.`, state: null }]
}

interface Answered {
  words: string
  verdict: Verdict
}

const marginOf = ({ verdict }: Answered) => (verdict.margin ?? 0) / verdict.perStripDb

function saidWithUnit(answer: Answered): string {
  const words = withUnit(answer)
  return words.charAt(0).toLowerCase() + words.slice(1)
}

/** What so many units say of all that were made, on the band of which most were answered for. */
function ofTheModel(tested: readonly RadioSet[], answers: readonly MayIKey[]): SaidSentence[] {
  const bands = [...new Set(answers.map(({ band }) => band.name))]
  const clear = bands.map(name => {
    const states = answers
      .filter(({ set, band }) => band.name === name && tested.some(({ id }) => id === set.id))
      .map(({ state }) => state)
    const good = states.filter(state => state === 'yes').length
    return { name, good, units: good + states.filter(state => state === 'not-without').length }
  })
  const [most] = clear.toSorted((a, b) => b.units - a.units)
  if (!most || most.units === 0) return []
  const { low, high } = clopperPearson(most.good, most.units)
  const head = `${NUMBERS[most.units] ?? most.units} unit${most.units === 1 ? '' : 's'} cannot speak for the model`
  const shares = `between ${percent(low)} and ${percent(high)} in a hundred may be inside on ${most.name}`
  return [{ text: `${head}: ${shares}.`, state: null }]
}

const NUMBERS = ['No', 'One', 'Two', 'Three', 'Four', 'Five', 'Six', 'Seven', 'Eight', 'Nine']

const percent = (share: number) => printNumber(100 * share, share > 0 && share < 0.1 ? 1 : 0)

function nameOf(set: RadioSet, sets: readonly RadioSet[]): string {
  if (set.sample !== '') return `sample ${set.sample}`
  return sets.length > 1 ? `${set.make} ${set.model}`.trim() || 'one set' : 'this set'
}

function namesOf(named: readonly RadioSet[], sets: readonly RadioSet[]): string {
  const samples = named.map(({ sample }) => sample)
  return named.length > 1 && samples.every(Boolean)
    ? `samples ${samples.slice(0, -1).join(', ')} and ${samples.at(-1)}`
    : named.map(set => nameOf(set, sets)).join(' and ')
}

/** A sentence begins with a capital. */
export function asSentences(said: readonly SaidSentence[]): SaidSentence[] {
  return said.map(one => ({ ...one, text: one.text.charAt(0).toUpperCase() + one.text.slice(1) }))
}

/** What the rules say of a model as one text. */
export function madeSentences({ said }: { said: readonly SaidSentence[] }): string {
  return asSentences(said)
    .map(({ text }) => text)
    .join(' ')
}
