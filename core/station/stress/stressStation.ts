import { type Verdict, verdictWithout } from '../../decision'
import { printDb, printWatts, wattsFromDbm } from '../../quantity'
import { takenSchema, type RadioSet } from '../../review'
import { budget, ratioContributions } from '../../uncertainty'
import { TRANSMIT_CAUTIONS } from '../cautions'
import type { Slot, SlotResult, Station, StationAnswer, Step, StepResult } from '../contract'
import { answerSteps } from '../figure/answerSteps'
import { evaluateSlots } from '../figure/evaluateSlots'
import { observedFigure, observedLevel, openSlot } from '../figure/plainSlots'
import { planSteps } from '../figure/planSteps'
import { fullSupply, SETTINGS } from '../radioSettings'
import type { StationContext } from '../stationContext'
import { stepChecks } from '../stepChecks'

export const STRESS_ID = 'stress'
export const STRESS_INSTRUMENTS = ['power-meter', 'spectrum-analyser'] as const

/** Change of power that repeating the reading alone may bring, dB (common practice, no source). */
export const REPEATABILITY_DB = 0.2

const SLOTS = [
  ['before', 'Power before', 'level', false],
  ['x2-before', '×2 before', 'dBm', true],
  ['long', 'Five minutes into 50 Ω', 'mark', false],
  ['open', 'Open at the socket, 5 s', 'mark', false],
  ['short', 'Short at the socket, 5 s', 'mark', false],
  ['after', 'Power after', 'level', false],
  ['x2-after', '×2 after', 'dBm', true],
] as const

/** Planned only for a set whose owner accepts the risk. */
function plan(set: RadioSet, context: StationContext): Step[] {
  if (set.stressConsent === null) return []
  return planSteps(set, context, {
    stationId: STRESS_ID,
    instruments: STRESS_INSTRUMENTS,
    level: 'highest',
    keyDownS: 310,
    durationS: 900,
    needsFullSupply: true,
    slots: ({ channel: { frequencyHz } }) =>
      SLOTS.map(([id, label, measures, optional]): Slot => ({
        id,
        label,
        measures,
        optional,
        frequencyHz: id.startsWith('x2') ? 2 * frequencyHz : frequencyHz,
      })),
    instruction:
      'Power before; five minutes keyed into 50 Ω, with the rests the clock asks for; then open, then short, five seconds each; power after, through the same chain.',
    radioSettings: [fullSupply(set), SETTINGS.timeOutOff],
    cautions: [
      ...TRANSMIT_CAUTIONS,
      'Open and short may destroy the final stage. Only with the owner’s consent, which is on record with its date.',
      'Disconnect meter and analyser before open and short: they are not in the path then.',
    ],
  })
}

function evaluate(step: Step, context: StationContext): StepResult {
  return evaluateSlots(step, context, {
    summary: slots => survival(slots, context),
    slot: slot => {
      if (slot.measures === 'level')
        return observedLevel(step, slot, ({ levelDbm }) => printWatts(wattsFromDbm(levelDbm)), context)
      const figure = context.figure(step.set.id, step.id, slot.id)
      if (!figure || (slot.measures === 'mark' && figure.value === 0)) return openSlot(step, slot, context)
      return observedFigure(
        slot,
        figure,
        { words: slot.measures === 'mark' ? `done ${figure.at.slice(0, 10)}` : figure.text },
        context,
      )
    },
  })
}

/**
 * Before against after through one chain: what both share cancels; more than repeating would bring is a
 * change.
 */
function survival(
  slots: readonly SlotResult[],
  context: StationContext,
): { verdict: Verdict; words: string } | null {
  const [before, after] = ['before', 'after'].map(id => slots.find(({ slot }) => slot.id === id)?.corrected)
  if (!before || !after) return null
  const changeDb = after.levelDbm - before.levelDbm
  const ratio = budget(
    ratioContributions(after.budget.contributions, before.budget.contributions),
    context.distributions,
  )
  const allowed = Math.max(REPEATABILITY_DB, ratio.rangeDb)
  const verdict = verdictWithout('observation', null)
  return Math.abs(changeDb) <= allowed
    ? { verdict, words: `Power as before, within ${printDb(allowed, 2)}` }
    : {
        verdict,
        words: `Power ${changeDb < 0 ? 'fell' : 'rose'} by ${printDb(Math.abs(changeDb), 2)}: more than repeating explains`,
      }
}

function answer(_question: { id: string }, set: RadioSet, context: StationContext): StationAnswer {
  if (set.stressConsent === null)
    return {
      verdict: verdictWithout('not-covered', 'The owner’s consent is not on record.'),
      words: 'Not done',
      detail: 'no consent on record',
      governs: null,
      each: [],
      results: [],
    }
  const results = plan(set, context).map(step => evaluate(step, context))
  const done = results.find(({ words }) => words.startsWith('Power '))
  if (!done) return answerSteps(results, { without: 'Nothing is planned for this set.' })
  return {
    verdict: done.verdict,
    words: done.words,
    detail: `${done.step.band.name}; consent by ${set.stressConsent.by || 'the owner'}, ${set.stressConsent.at.slice(0, 10)}`,
    governs: { step: done.step, slotId: 'after' },
    each: [],
    results,
  }
}

/**
 * Stress: long key-down, open and short at the socket, power before and after. Only with the owner’s consent.
 */
export const stressStation = Object.freeze({
  id: STRESS_ID,
  version: 1,
  title: 'Open and short',
  order: 10,
  readingSchema: takenSchema,
  optional: true,
  judgedBy: [],
  plan,
  evaluate,
  answer,
  checks: (step, context) => stepChecks(step, context, 1),
  questions: () => [
    {
      id: 'survives',
      stationId: STRESS_ID,
      question: 'Does it survive open and short?',
      detail: 'with the owner’s consent; power before and after',
      against: 'claims' as const,
      bandName: null,
      yardstick: false,
    },
  ],
} as const satisfies Station)
