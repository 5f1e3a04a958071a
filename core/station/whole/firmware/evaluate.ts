import { type Context, perStep } from '../../../context'
import { verdictWithout } from '../../../decision'
import {
  answerSteps,
  evaluateSlots,
  figureIn,
  NOTHING,
  observedFigure,
  openSlot,
  type StationAnswer,
} from '../../../judging'
import { printDb, printFrequencyShort, printMhz } from '../../../quantity'
import type { RadioSet } from '../../../review'
import { type Rulebook, rulebooks } from '../../../rules'
import type { Question, Slot, SlotResult, Step, StepResult } from '../../../step'
import type { StationQuestion } from '../../contract'
import { openDerived } from '../../derivedResult'
import { type HarmonicChange, harmonicChanges } from './harmonicsOfOther'
import { planFirmware, RANGES } from './plan'
import { type RangePart, whoMayUse } from './whoMay'

/** Works out one set: what it says it runs, and who may use the ranges it was found on. */
export const evaluateFirmware = perStep((step: Step, context: Context): StepResult => {
  return evaluateSlots(step, {
    slot: slot => slotResult(step, slot, context),
    ask: () => RANGES.flatMap(n => turnedRound(step, n, context)),
    summary: slots => {
      const ranges = slots.filter(({ slot, state }) => slot.kind.is === 'who' && state === 'read').length
      return ranges > 0
        ? {
            verdict: verdictWithout('observation', null),
            words: `Transmits on ${ranges} ${ranges === 1 ? 'range' : 'ranges'}`,
          }
        : null
    },
  })
})

function slotResult(step: Step, slot: Slot, context: Context): SlotResult {
  if (slot.kind.is === 'who') return whoResult(step, slot, context)
  if (slot.kind.is === 'other-firmware') return changeResult(step, slot, context)
  const figure = figureIn(step, slot, context)
  if (!figure) return openSlot(step, slot, context)
  const words = figure.seen.unit === 'words' ? figure.text : 'as found'
  return observedFigure(slot, figure, { words }, context)
}

/** Rulebooks that say how strong a transmitter may be: those of receivers and of spurs alone have no service. */
function transmittingServices({ review }: Context): Rulebook[] {
  return [...rulebooks, ...review.ownRulebooks].filter(({ clauses }) =>
    clauses.some(({ about }) => about === 'carrier-power'),
  )
}

/** The harmonic that differs most between two entries of one unit. */
function changeResult(step: Step, slot: Slot, context: Context): SlotResult {
  if (context.skipReason(step) !== null) return openSlot(step, slot, context)
  const other = context.review.sets.find(({ id }) => id === slot.kind.setId)
  const changes = other ? harmonicChanges(step.set, other, context) : []
  const most = changes.reduce<HarmonicChange | null>(
    (a, b) => (a && Math.abs(a.strongerDb) >= Math.abs(b.strongerDb) ? a : b),
    null,
  )
  if (!other || !most)
    return openDerived(slot, 'Not compared', 'Harmonics of both, on one channel at one level.')
  const version = versionOf(other, context)
  const against = version ? `with ${version}` : 'of the other'
  const isSure = Math.abs(most.strongerDb) > most.budget.range
  return {
    ...NOTHING,
    slot,
    state: 'read',
    found: {
      value: most.strongerDb,
      unit: 'dB',
      budget: most.budget,
      isUpperBound: false,
      path: null,
      notes: [],
    },
    verdict: verdictWithout('observation', 'One unit beside itself; not a verdict.'),
    words:
      `×${most.n} of ${printMhz(most.carrierHz)} is ${printDb(Math.abs(most.strongerDb))} ` +
      `${most.strongerDb < 0 ? 'weaker' : 'stronger'} than ${against}`,
    notes: [
      `The greatest difference of ${changes.length} ` +
        `${changes.length === 1 ? 'harmonic' : 'harmonics'} that were read of both; ` +
        'what both readings share of the bench cancels.',
      ...(isSure ? [] : ['No more than the two readings leave open: the firmware need not be the cause.']),
    ],
  }
}

/** The firmware a set says it runs: after a change, where it was changed. */
function versionOf(set: RadioSet, context: Context): string | null {
  const [step] = planFirmware(set, context)
  const told = ['version-after', 'version-before'].map(id => step && figureIn(step, { id }, context))
  return told.find(figure => figure)?.text ?? null
}

interface FoundRange {
  fromHz: number
  toHz: number
}

function rangeOf(step: Step, n: number, context: Context): FoundRange | null {
  const from = figureIn(step, { id: `from-${n}` }, context)
  const to = figureIn(step, { id: `to-${n}` }, context)
  return from && to ? { fromHz: from.seen.value, toHz: to.seen.value } : null
}

function whoResult(step: Step, slot: Slot, context: Context): SlotResult {
  if (context.skipReason(step) !== null) return openSlot(step, slot, context)
  const n = Number(slot.kind.n)
  const range = rangeOf(step, n, context)
  if (!range) return openDerived(slot, 'Not known', 'Where the range begins, and where it ends.')
  if (range.toHz <= range.fromHz) return openDerived(slot, 'Not known', 'It ends before it begins.')
  const parts = whoMayUse(range, transmittingServices(context))
  const unknown = parts.filter(({ services }) => services.length === 0)
  return {
    ...NOTHING,
    slot,
    state: 'read',
    reading: figureIn(step, { id: `to-${n}` }, context),
    verdict: verdictWithout('observation', 'By the bands of service of the rulebooks.'),
    words: summaryOf(parts, unknown),
    notes: [
      ...parts.map(partWords),
      'By the bands of service of the rulebooks known here, from memory. Your licence and local rules decide.',
    ],
  }
}

function summaryOf(parts: readonly RangePart[], unknown: readonly RangePart[]): string {
  if (unknown.length === parts.length) return 'No service known here has it'
  const missing = unknown.map(({ fromHz, toHz }) => spanWords(fromHz, toHz))
  return missing.length > 0
    ? `No service known here has ${missing.join(', ')}`
    : `${new Set(parts.flatMap(({ services }) => services)).size} services have it`
}

const spanWords = (fromHz: number, toHz: number) =>
  `${printFrequencyShort(fromHz)} to ${printFrequencyShort(toHz)}`

function partWords({ fromHz, toHz, services }: RangePart): string {
  return `${spanWords(fromHz, toHz)}: ${services.join('; ') || 'no service known here'}.`
}

function turnedRound(step: Step, n: number, context: Context): Question[] {
  const range = rangeOf(step, n, context)
  return range && range.toHz <= range.fromHz
    ? [
        {
          slotId: `to-${n}`,
          words:
            `Range ${n} ends on ${printMhz(range.toHz)}, before it begins. ` +
            'Were the ends typed the wrong way round?',
        },
      ]
    : []
}

/** Sums up one set: the ranges it transmits on. */
export function answerFirmware(_question: StationQuestion, set: RadioSet, context: Context): StationAnswer {
  const results = planFirmware(set, context).map(step => evaluateFirmware(step, context))
  const answer = answerSteps(results, { without: 'Nothing is planned for this set.', lead: 'who-1' })
  const [result] = results
  return result && answer.gap === null ? { ...answer, words: result.words } : answer
}
