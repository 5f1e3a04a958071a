import { type Context, perStep } from '../../../context'
import { verdictWithout } from '../../../decision'
import {
  answerSteps,
  figureIn,
  judgeClaim,
  judgeScalar,
  observedFigure,
  observedLevel,
  openSlot,
  type StationAnswer,
  stepResultOf,
} from '../../../judging'
import { printDb, printSigned, printWatts, UNIT_SPACE, wattsFromDbm } from '../../../quantity'
import type { FigureReading, RadioSet } from '../../../review'
import { isCorrected, isLevel, type Slot, type SlotResult, type Step, type StepResult } from '../../../step'
import type { StationQuestion } from '../../contract'
import { correctCarrier } from '../correctCarrier'
import { type Droop, droopOf } from './droop'
import { planPowerOverTime, USUAL_DROOP_DB } from './plan'

/** The question that is an observation; the others are judged. */
export const HOLDS = 'holds-power'
/** The question of the time-out, asked where a rulebook does. */
export const TIME_OUT = 'time-out'

/** A change smaller than this, dB, is said to be none. */
const HOLDS_DB = 0.05

/** Works out the log of one step: the droop, and what is left of the claim at its end. */
export const evaluatePowerOverTime = perStep((step: Step, context: Context): StepResult => {
  const slots = step.slots.map(slot => slotResult(step, slot, context))
  const droop = droopOf(slots, context.review.keyDowns)
  if (!droop) return stepResultOf(step, slots)
  const last = againstClaim(step, droop, context)
  return stepResultOf(
    step,
    slots.map(result => (result === droop.last ? last : result)),
    {
      summary: {
        verdict: last.claim?.verdict ?? verdictWithout('observation', null),
        words: droopWords(droop),
      },
    },
  )
})

function slotResult(step: Step, slot: Slot, context: Context): SlotResult {
  if (slot.field.as === 'level')
    return observedLevel(step, slot, ({ value }) => printWatts(wattsFromDbm(value)), context)
  const figure = figureIn(step, slot, context)
  if (figure && slot.kind.is === 'time-out') return timeOut({ step, slot, reading: figure }, context)
  return figure
    ? observedFigure(slot, figure, { words: figure.text }, context)
    : openSlot(step, slot, context)
}

/** How well a hand with a clock knows when a transmission ended, ± s (common practice, no source). */
const BY_HAND_S = 1

/** After how long the set ends a transmission by itself, against the rulebooks that ask for it. */
function timeOut(place: { step: Step; slot: Slot; reading: FigureReading }, context: Context): SlotResult {
  return judgeScalar(
    place,
    {
      about: 'time-out',
      own: [
        {
          id: 'clock',
          group: 'instrument',
          label: 'Clock and hand',
          distribution: 'rectangular',
          halfWidth: BY_HAND_S,
          assumed: true,
        },
      ],
      notes: [],
      wordsWithout: `${place.reading.text}; no figure in law`,
    },
    context,
  )
}

/** What is left of the claim at the end of the log. */
function againstClaim(step: Step, { last }: Droop, context: Context): SlotResult {
  const reading = last.reading && isLevel(last.reading) ? last.reading : null
  const corrected = reading && correctCarrier(reading, step, context)
  const found = corrected && isCorrected(corrected) ? corrected : last.found!
  const claim = judgeClaim(step, found, context)
  return claim ? { ...last, found, claim, verdict: claim.verdict, words: claim.words } : last
}

/** The droop in words: what it came to, after how long, and what is usual. */
function droopWords(droop: Droop): string {
  return `Power ${changeWords(droop.droopDb)} in ${Math.round(droop.seconds)}${UNIT_SPACE}s`
}

function changeWords(changeDb: number): string {
  if (Math.abs(changeDb) < HOLDS_DB) return 'holds'
  return changeDb < 0 ? `falls by ${printDb(-changeDb, 2)}` : `rises by ${printSigned(changeDb, 2)} dB`
}

/** What is said of the droop in full: its time constant, and what is usual. */
export function droopFullWords(droop: Droop): string {
  const tau = droop.timeConstantS === null ? '' : `, time constant about ${Math.round(droop.timeConstantS)} s`
  return `${droopWords(droop)}${tau}; ${USUAL_DROOP_DB} dB over five minutes is usual (common practice, no source).`
}

/** Sums up one set: the deepest droop, or the claim at the end. */
export function answerPowerOverTime(
  question: StationQuestion,
  set: RadioSet,
  context: Context,
): StationAnswer {
  const results = planPowerOverTime(set, context).map(step => evaluatePowerOverTime(step, context))
  const deepest = results
    .flatMap(result => {
      const droop = droopOf(result.slots, context.review.keyDowns)
      return droop ? [{ step: result.step, droop }] : []
    })
    .sort((a, b) => a.droop.droopDb - b.droop.droopDb)[0]
  if (question.id === TIME_OUT) return answerTimeOut(results)
  if (question.id !== HOLDS) return answerAtEnd(results)
  if (!deepest) return answerSteps(results, { without: 'Nothing is planned for this set.' })
  const { step, droop } = deepest
  const usual = -droop.droopDb > USUAL_DROOP_DB ? 'more than' : 'within'
  return {
    verdict: verdictWithout('observation', null),
    words: droopWords(droop),
    detail: `${step.band.name}; ${usual} the ${USUAL_DROOP_DB} dB that are usual over five minutes`,
    gap: null,
    governs: { step, slotId: droop.last.slot.id },
    each: [],
    results,
  }
}

/** The time-out alone: everything else of the log is left out. */
function answerTimeOut(results: StepResult[]): StationAnswer {
  const only = results.map(result => ({
    ...result,
    slots: result.slots.filter(({ slot }) => slot.kind.is === 'time-out'),
  }))
  return { ...answerSteps(only, { without: 'Nothing is planned for this set.' }), results }
}

/** The claim at the end: only slots that are judged count. */
function answerAtEnd(results: StepResult[]): StationAnswer {
  const judged = results.map(result => ({
    ...result,
    slots: result.slots.filter(
      ({ slot, claim, state }) => slot.kind.is !== 'time-out' && (claim !== null || state !== 'read'),
    ),
  }))
  return { ...answerSteps(judged, { without: 'Nothing is planned for this set.' }), results }
}
