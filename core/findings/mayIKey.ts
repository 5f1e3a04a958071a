import type { Context } from '../context'
import type { Verdict, VerdictState } from '../decision'
import { governingOf } from '../judging'
import { printDb, printMhz, UNIT_SPACE } from '../quantity'
import type { Band, RadioSet } from '../review'
import { type Station, wantedStations } from '../station'
import { isRead, type Judgement, type SlotResult, type StepResult } from '../step'

/** Whether a radio may be keyed on a band, as far as what was measured goes. */
export type KeyingState = 'yes' | 'not-without' | 'not-yet' | 'no-figure'

/** What of the readings decides, and where it stands. */
export interface KeyingReason {
  words: string
  place: { stationId: string; stepId: string; slotId: string | null }
}

/** The answer for one radio on one band. */
export interface MayIKey {
  set: RadioSet
  band: Band
  state: KeyingState
  /** Rulebooks it is answered by. */
  rulebooks: string[]
  /** What decides: what is outside, what is missing, or what is inside. */
  because: KeyingReason[]
  /** Stations with limits of their own that were not looked at on this band. */
  notLookedAt: string[]
  /** The failing verdict furthest over its limit, else the one nearest to it; null where none has a margin. */
  closest: Verdict | null
  /** Title of the rulebook that verdict is by; null where none has a margin. */
  closestRulebook: string | null
}

/** An answer in words, in few words, and the mark it is shown with. */
export interface KeyingWords {
  words: string
  short: string
  mark: Exclude<VerdictState, 'too-close'>
}

/** The answers in words. */
export const KEYING_WORDS: Readonly<Record<KeyingState, KeyingWords>> = {
  yes: { words: 'Yes, on this evidence', short: 'Yes', mark: 'inside' },
  'not-without': { words: 'Not without a filter or a change', short: 'Not as it is', mark: 'outside' },
  'not-yet': { words: 'Cannot be said yet', short: 'Cannot be said yet', mark: 'not-covered' },
  'no-figure': { words: 'No figure in law', short: 'No figure in law', mark: 'no-figure' },
}

/** Said beside every answer: a measurement is no permission. */
export const KEYING_CAUTION =
  'A reading is no permission: who may transmit where, with what and how strong, ' +
  'your licence and local rules decide. The limits are recalled from memory. This is not legal advice.'

/**
 * May it be keyed, band by band? Drawn from verdicts against limits, never a judgement of its own:
 * - anything the radio sends that is outside by a rulebook: not without a filter or a change;
 * - else anything of the stations that are needed (`neededToKey`) not read, out of reach, hidden or too close to call,
 *   or anything else that was read and is too close: not yet;
 * - else no rulebook has a figure for what the needed stations read, whatever else has one: no figure in law;
 * - else yes, on this evidence.
 */
export function mayIKey(set: RadioSet, context: Context): MayIKey[] {
  const stations = wantedStations(context).filter(
    ({ group, verdicts }) => group === 'transmit' && verdicts === 'judged',
  )
  return set.bands.map(band => {
    const looks = stations.map(station => look(station, set, band, context))
    const outside = looks.flatMap(one => one.outside)
    const missing = looks.flatMap(one => one.missing)
    const inside = looks.flatMap(one => one.inside)
    const failing = looks.filter(one => one.outside.length > 0)
    const closest = closestOf((failing.length > 0 ? failing : looks).flatMap(one => one.closest ?? []))
    const answer = {
      ...{ set, band },
      rulebooks: context.rulebooksOf(band).map(({ title }) => title),
      notLookedAt: looks.flatMap(({ station, isOverlooked }) => (isOverlooked ? [station.title] : [])),
      closest: closest?.verdict ?? null,
      closestRulebook: closest?.limit.rulebook.title ?? null,
    }
    if (outside.length > 0) return { ...answer, state: 'not-without', because: outside }
    if (missing.length > 0) return { ...answer, state: 'not-yet', because: missing }
    const needed = looks.filter(({ station }) => station.neededToKey)
    const hasFigure = needed.length > 0 && needed.every(one => one.inside.length > 0)
    return { ...answer, state: hasFigure ? 'yes' : 'no-figure', because: inside }
  })
}

/** What one station says of a band. */
interface Look {
  station: Station
  /** Nothing of it was read, though a rulebook has a limit for it. */
  isOverlooked: boolean
  outside: KeyingReason[]
  missing: KeyingReason[]
  inside: KeyingReason[]
  closest: Judgement | null
}

function look(station: Station, set: RadioSet, band: Band, context: Context): Look {
  const results = station
    .plan(set, context)
    .filter(step => step.band.id === band.id)
    .map(step => station.evaluate(step, context))
  const needed = station.neededToKey === true
  const judged = results.flatMap(result => result.slots.map(slot => ({ result, slot, state: byLaw(slot) })))
  const inState = (state: VerdictState) => judged.filter(one => one.state === state)
  const failing = inState('outside')
  const deciding = failing.length > 0 ? failing : judged.filter(({ state }) => state !== null)
  const reason = ({ result, slot: { slot } }: (typeof judged)[number], tail: string): KeyingReason => ({
    words: `${station.title}, ${placeWords(result)}: ${slot.label} ${tail}`,
    place: { stationId: station.id, stepId: result.step.id, slotId: slot.id },
  })
  return {
    station,
    isOverlooked:
      !needed &&
      judged.every(({ state }) => state === null) &&
      results.some(({ step }) => station.demands(step, context).some(({ figure }) => figure)),
    outside: worstOf(failing).map(one => reason(one, outsideWords(governing(one.slot)))),
    missing: [
      ...worstOf(inState('too-close')).map(one => reason(one, 'is too close to call')),
      ...(needed ? unseen(station, results) : []),
    ],
    inside: summedInside(station, inState('inside')),
    closest: closestOf(deciding.map(({ slot }) => governing(slot))),
  }
}

/** Returns the judgement with the least margin; null where none has a margin. */
function closestOf(judgements: readonly Judgement[]): Judgement | null {
  const marginOf = ({ verdict: { margin, perStripDb } }: Judgement) => (margin ?? Infinity) / perStripDb
  return judgements
    .filter(({ verdict }) => verdict.margin !== null)
    .reduce<Judgement | null>((a, b) => (a !== null && marginOf(a) <= marginOf(b) ? a : b), null)
}

const governing = ({ each }: SlotResult) => governingOf(each)

/** What the law says of a figure that was read; null where it says nothing of such figures. */
function byLaw(slot: SlotResult): VerdictState | null {
  return isRead(slot) && slot.each.length > 0 ? governing(slot).verdict.state : null
}

/** The worst of several is named, the others are of its kind. */
function worstOf<T extends { slot: SlotResult }>(members: T[]): T[] {
  const marginOf = ({ slot }: T) => governing(slot).verdict.margin ?? 0
  const [first, ...others] = members
  return first ? [others.reduce((a, b) => (marginOf(b) < marginOf(a) ? b : a), first)] : []
}

/** What a needed station has not seen, step by step. */
function unseen(station: Station, results: readonly StepResult[]): KeyingReason[] {
  if (results.length === 0)
    return [
      {
        words: `${station.title}: nothing is planned on this band.`,
        place: { stationId: station.id, stepId: '', slotId: null },
      },
    ]
  return results.flatMap(result => {
    const asked = result.slots.filter(({ slot }) => !slot.optional)
    const count = (picked: (one: SlotResult) => boolean) => asked.filter(picked).length
    const gaps = [
      { many: count(({ state }) => state === 'open'), what: 'not read' },
      { many: count(({ state }) => state === 'left-out'), what: 'left out' },
      { many: count(({ state }) => state === 'out-of-reach'), what: 'out of the instrument’s reach' },
      {
        many: count(one => isRead(one) && one.verdict.state === 'not-covered'),
        what: 'hidden, or not to be judged',
      },
    ].filter(({ many }) => many > 0)
    return gaps.length === 0
      ? []
      : [
          {
            words:
              `${station.title}, ${placeWords(result)}: ` +
              `${gaps.map(({ many, what }) => `${many} of ${asked.length} ${what}`).join(', ')}`,
            place: { stationId: station.id, stepId: result.step.id, slotId: null },
          },
        ]
  })
}

function summedInside(
  station: Station,
  inside: readonly { result: StepResult; slot: SlotResult }[],
): KeyingReason[] {
  const [first] = inside
  return first
    ? [
        {
          words: `${station.title}: all ${inside.length} that were judged are inside${byHowMuch(inside)}`,
          place: { stationId: station.id, stepId: first.result.step.id, slotId: null },
        },
      ]
    : []
}

/** The least margin there is, where all are told in dB. */
function byHowMuch(inside: readonly { slot: SlotResult }[]): string {
  const judgements = inside.map(({ slot }) => governing(slot))
  const margin = closestOf(judgements)?.verdict.margin ?? null
  return margin !== null && judgements.every(({ verdict }) => verdict.unit === 'dB')
    ? ` by ${printDb(margin)} or more`
    : ''
}

function placeWords({ step }: StepResult): string {
  return step.covers === 'channel'
    ? `${printMhz(step.channel.frequencyHz)}, ${step.setting.level.name}`
    : step.band.name
}

/** How far outside, and by which rule. */
function outsideWords({ words, verdict, limit }: Judgement): string {
  const unit = verdict.unit === 'dB' && verdict.margin !== null ? `${UNIT_SPACE}dB` : ''
  return `is ${words.charAt(0).toLowerCase()}${words.slice(1)}${unit}, by ${limit.rulebook.title}, ${limit.clause}`
}
