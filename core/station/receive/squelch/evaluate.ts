import { type Context, perStep } from '../../../context'
import { verdictWithout } from '../../../decision'
import { evaluateSlots, figureIn, NOTHING, observedFigure, observedLevel, openSlot } from '../../../judging'
import { printDb, printDbm, printSigned } from '../../../quantity'
import type { Found, Question, Slot, SlotResult, Step, StepResult } from '../../../step'
import { budget, contribution, type Contribution } from '../../../uncertainty'
import { type Located, steppedEdges } from '../../../hearing'
import { judgedDerived, openDerived } from '../../derivedResult'
import { twelveDecibelLevel } from '../twelveDecibelLevel'
import { type Edge, roundsOf, stepOf, whole } from './rounds'

/** Standard deviations of a normal error on either side of which 95 % lie. */
const OF_95 = 1.96

/** Works out one step: the edges, what lies between them. */
export const evaluateSquelch = perStep((step: Step, context: Context): StepResult => {
  return evaluateSlots(step, {
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
})

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
  const { apart } = edgesOf(step, context)
  const found: Found = {
    value: apart.value,
    unit: 'dB',
    budget: budget([steppedLine(apart, { isTyped, rounds: rounds.length })], context.distributions),
    isUpperBound: false,
    path: null,
    notes: [],
  }
  const notes = [
    `${rounds.length} ${rounds.length === 1 ? 'round' : 'rounds'}; generator and path stand in both edges and cancel.`,
    `Each edge lies up to one step of ${printDb(stepDb)} before the level at which it was seen; ` +
      'how far the rounds scatter tells the rest.',
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
  const { isTyped } = stepOf(step, context)
  const last: Edge = opens.at(-1)!
  const ofPath = last.found.budget.contributions.filter(({ group }) => group !== 'resolution')
  const { opening } = edgesOf(step, context)
  const lines = [...ofPath, steppedLine(opening, { isTyped, rounds: opens.length })]
  const { value } = opening
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
    words:
      `The 12 dB level is ${printDbm(twelve.value)}. ` +
      'At the threshold setting a squelch opens below it (common practice, no source).',
  }
}

/** Where the edges lie by all rounds: going up it opened within the last step, going down it closed within it. */
const edgesOf = perStep((step: Step, context: Context) => {
  const { stepDb } = stepOf(step, context)
  const rounds = roundsOf(step, 'threshold', context)
  const seen = (edge: Edge | null, downDb: number, upDb: number) =>
    edge ? [{ fromDbm: edge.levelDbm - downDb, toDbm: edge.levelDbm + upDb }] : []
  return steppedEdges(
    rounds.flatMap(({ open }) => seen(open, stepDb, 0)),
    rounds.flatMap(({ close }) => seen(close, 0, stepDb)),
  )
})

function steppedLine(
  { halfRange }: Located,
  { isTyped, rounds }: { isTyped: boolean; rounds: number },
): Contribution {
  return contribution({
    id: 'steps',
    group: 'stepping',
    label: rounds === 1 ? 'Stepped by hand, one round' : `Stepped by hand, scatter of ${rounds} rounds`,
    distribution: 'normal',
    halfWidth: (2 * halfRange) / OF_95,
    assumed: !isTyped || rounds === 1,
  })
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
