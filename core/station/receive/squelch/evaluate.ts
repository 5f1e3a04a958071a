import type { Context } from '../../../context'
import { verdictWithout } from '../../../decision'
import { evaluateSlots, figureIn, NOTHING, observedFigure, observedLevel, openSlot } from '../../../judging'
import { printDb, printDbm, printSigned } from '../../../quantity'
import type { Found, Question, Slot, SlotResult, Step, StepResult } from '../../../step'
import { budget, contribution, type Contribution, repeatsContribution } from '../../../uncertainty'
import { judgedDerived, openDerived } from '../derivedResult'
import { twelveDecibelLevel } from '../twelveDecibelLevel'
import { type Edge, roundsOf, stepOf, whole } from './rounds'

/** Scatter reckoned with where there was only one round, ± dB (assumed; common practice, no source). */
const ONE_ROUND_DB = 1

/** Works out one step: the edges, what lies between them. */
export function evaluateSquelch(step: Step, context: Context): StepResult {
  return evaluateSlots(step, context, {
    slot: slot => slotResult(step, slot, context),
    ask: () => questionsOf(step, context),
    summary: slots => {
      const hysteresis = slots.find(({ slot }) => slot.kind.is === 'hysteresis')
      return hysteresis?.found
        ? {
            verdict: hysteresis.verdict,
            words: `${printDb(hysteresis.found.value)} between opening and closing`,
          }
        : null
    },
  })
}

function slotResult(step: Step, slot: Slot, context: Context): SlotResult {
  switch (slot.kind.is) {
    case 'hysteresis':
      return hysteresisResult(step, slot, context)
    case 'opens':
      return opensResult(step, slot, context)
    case 'step': {
      const figure = figureIn(step, slot, context)
      return figure
        ? observedFigure(slot, figure, { words: 'step near the edge' }, context)
        : openSlot(step, slot, context)
    }
    default:
      return observedLevel(step, slot, ({ value }) => `${printDbm(value)} at the socket`, context)
  }
}

function hysteresisResult(step: Step, slot: Slot, context: Context): SlotResult {
  if (context.skipReason(step) !== null) return openSlot(step, slot, context)
  const rounds = whole(roundsOf(step, 'threshold', context))
  if (rounds.length === 0)
    return openDerived(slot, 'Not measured', 'One round at least: where it opens, where it closes.')
  const { stepDb, isTyped } = stepOf(step, context)
  const differences = rounds.map(({ open, close }) => open.levelDbm - close.levelDbm)
  const found: Found = {
    value: mean(differences) - stepDb,
    unit: 'dB',
    budget: budget(
      [
        ...scatterLine(differences),
        ...(['opening', 'closing'] as const).map(edge =>
          stepLine(edge, { stepDb, isTyped, parted: partedBy(rounds, edge) }),
        ),
      ],
      context.distributions,
    ),
    isUpperBound: false,
    path: null,
    notes: [],
  }
  const notes = [
    `${rounds.length} ${rounds.length === 1 ? 'round' : 'rounds'}; generator and path stand in both edges and cancel.`,
    `Each edge lies up to one step of ${printDb(stepDb)} before the level at which it was seen: half a step is taken off at both, and half a step is left open.`,
  ]
  return judgedDerived(
    step,
    { slot, found, reading: rounds.at(-1)!.close.reading, notes },
    {
      claim: null,
      subject: { about: 'hysteresis' },
      wordsWithout: `${printDb(found.value)} between opening and closing`,
    },
    context,
  )
}

function opensResult(step: Step, slot: Slot, context: Context): SlotResult {
  const opens = roundsOf(step, 'threshold', context).flatMap(({ open }) => open ?? [])
  if (opens.length === 0) return openDerived(slot, 'Not measured', 'Nothing was read yet.')
  const { stepDb, isTyped } = stepOf(step, context)
  const last: Edge = opens.at(-1)!
  const levels = opens.map(({ levelDbm }) => levelDbm)
  const ofPath = last.found.budget.contributions.filter(({ group }) => group !== 'resolution')
  const lines = [...ofPath, ...scatterLine(levels), stepLine('opening', { stepDb, isTyped })]
  const value = mean(levels) - stepDb / 2
  const found: Found = {
    ...last.found,
    value,
    budget: budget(lines, context.distributions),
    path: { ...last.found.path, atInstrumentDbm: value + last.found.path.lossDb },
  }
  const beside = besideTwelve(step, found, context)
  const notes = beside ? [beside.words] : []
  return {
    ...NOTHING,
    slot,
    state: 'read',
    reading: last.reading,
    found,
    verdict: verdictWithout('observation', null),
    words: beside ? beside.short : printDbm(value),
    notes,
  }
}

/** Where it opens against what it still hears: at the threshold it should open below the 12 dB level. */
function besideTwelve(
  step: Step,
  { value }: Found,
  context: Context,
): { short: string; words: string } | null {
  const twelve = twelveDecibelLevel(step, context)
  if (!twelve) return null
  const aboveDb = value - twelve.value
  return {
    short: `${printDbm(value)}, ${printSigned(aboveDb, 1)} dB against the 12 dB level`,
    words: `The 12 dB level is ${printDbm(twelve.value)}. At the threshold setting a squelch opens below it (common practice, no source).`,
  }
}

/**
 * By how much rounds part the step: edges that fell on different levels lie within one step independently, and
 * their mean is known better; edges that always fell on the same one may all lie at the same end of it.
 */
function partedBy(rounds: readonly { open: Edge; close: Edge }[], edge: 'opening' | 'closing'): number {
  const levels = rounds.map(({ open, close }) => (edge === 'opening' ? open : close).levelDbm.toFixed(3))
  return new Set(levels).size > 1 ? Math.sqrt(rounds.length) : 1
}

function stepLine(
  edge: 'opening' | 'closing',
  { stepDb, isTyped, parted = 1 }: { stepDb: number; isTyped: boolean; parted?: number },
): Contribution {
  return contribution({
    id: `step:${edge}`,
    group: 'stepping',
    label: `Stepped by hand, ${edge}`,
    distribution: 'rectangular',
    halfWidth: stepDb / 2 / parted,
    assumed: !isTyped,
  })
}

function scatterLine(levels: readonly number[]): Contribution[] {
  if (levels.length > 1) {
    const line = repeatsContribution(levels)
    return line ? [line] : []
  }
  return [
    contribution({
      id: 'one-round',
      group: 'repeats',
      label: 'One round only: scatter not known',
      distribution: 'rectangular',
      halfWidth: ONE_ROUND_DB,
      assumed: true,
    }),
  ]
}

function questionsOf(step: Step, context: Context): Question[] {
  const rounds = whole(roundsOf(step, 'threshold', context))
  const turned = rounds.find(({ open, close }) => open.levelDbm < close.levelDbm)
  return turned
    ? [
        {
          slotId: 'threshold-open-1',
          words: 'It opened below where it closed. Were the two levels typed the wrong way round?',
        },
      ]
    : []
}

function mean(values: readonly number[]): number {
  return values.reduce((sum, value) => sum + value, 0) / values.length
}
