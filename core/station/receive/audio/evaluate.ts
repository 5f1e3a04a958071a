import { type Context, perStep } from '../../../context'
import { verdictWithout } from '../../../decision'
import {
  answerSteps,
  evaluateSlots,
  figureIn,
  judgeReceiverClaim,
  NOTHING,
  observedFigure,
  openSlot,
  type OwnContribution,
  type StationAnswer,
  workedOutFigure,
} from '../../../judging'
import { printDb, printNumber, printOhm, printSigned, printWatts } from '../../../quantity'
import type { FigureReading, RadioSet } from '../../../review'
import type { Found, Question, Slot, SlotResult, Step, StepResult } from '../../../step'
import type { StationQuestion } from '../../contract'
import { openDerived } from '../../derivedResult'
import { audioClaim } from './claim'
import { deEmphasisDb } from './deEmphasis'
import { planAudio, REFERENCE_HZ } from './plan'

/** A loudspeaker’s usual resistance where nobody typed the load, and how well a load is known, ± %. */
const USUAL_LOAD = { ohm: 8, percent: 5 } as const

/** How well volts are known where the bench does not say, ± % (common practice, no source). */
const ASSUMED_VOLTS_PERCENT = 3

/** Distortion at which power is rated, % (TIA-603, from memory). */
export const RATED_DISTORTION_PERCENT = 10

/** Works out one set: power, hum, response. */
export const evaluateAudio = perStep((step: Step, context: Context): StepResult => {
  return evaluateSlots(step, {
    slot: slot => slotResult(step, slot, context),
    ask: () => questionsOf(step, context),
    summary: slots => {
      const power = slots.find(({ slot }) => slot.kind.is === 'power')
      return power?.found ? { verdict: power.verdict, words: power.words } : null
    },
  })
})

function slotResult(step: Step, slot: Slot, context: Context): SlotResult {
  switch (slot.kind.is) {
    case 'power':
      return powerResult(step, slot, context)
    case 'hum':
      return humResult(step, slot, context)
    case 'response':
      return responseResult(step, slot, context)
    case 'claim-thd':
      return distortionResult(step, slot, context)
    default: {
      const figure = figureIn(step, slot, context)
      return figure
        ? observedFigure(slot, figure, { words: 'as read' }, context)
        : openSlot(step, slot, context)
    }
  }
}

/** V²/R, with what voltmeter, load and last digits leave open. */
function powerResult(step: Step, slot: Slot, context: Context): SlotResult {
  if (context.skipReason(step) !== null) return openSlot(step, slot, context)
  const volts = figureIn(step, { id: 'rated-v' }, context)
  if (!volts) return openDerived(slot, 'Not measured', 'The volts across the load at 10 % distortion.')
  const load = loadOf(step, context)
  const powerW = volts.seen.value ** 2 / load.ohm
  const own: OwnContribution[] = [
    {
      id: 'volts',
      group: 'instrument',
      label: 'Voltmeter, twice: power goes with its square',
      distribution: 'rectangular',
      halfWidth: (2 * powerW * voltsPercent(volts, context).percent) / 100,
      assumed: voltsPercent(volts, context).assumed,
    },
    {
      id: 'load',
      group: 'reference',
      label: 'Load',
      distribution: 'rectangular',
      halfWidth: (powerW * USUAL_LOAD.percent) / 100,
      assumed: true,
    },
    {
      id: 'digit',
      group: 'resolution',
      label: 'Last digit of the volts',
      distribution: 'rectangular',
      halfWidth: (powerW * volts.seen.resolution) / volts.seen.value,
    },
  ]
  const found = workedOutFigure({ value: powerW, unit: 'W', own }, context)
  const claim = judgeReceiverClaim(found, audioClaim(step.set), context)
  return {
    ...NOTHING,
    slot,
    state: 'read',
    reading: volts,
    found,
    claim,
    verdict: claim?.verdict ?? verdictWithout('observation', null),
    words: claim?.words ?? `${printWatts(powerW)} into ${printOhm(load.ohm)}; the maker does not say`,
    notes: [
      `${printNumber(volts.seen.value, 2)} V across ` +
        `${printOhm(load.ohm)}${load.assumed ? ', assumed' : ''}; ` +
        `rated at ${RATED_DISTORTION_PERCENT} % distortion (TIA-603, from memory).`,
      ...(volts.seen.method ? [volts.seen.method] : []),
    ],
  }
}

function loadOf(step: Step, context: Context): { ohm: number; assumed: boolean } {
  const typed = figureIn(step, { id: 'load' }, context)
  return typed ? { ohm: typed.seen.value, assumed: false } : { ohm: USUAL_LOAD.ohm, assumed: true }
}

/** How well what read the volts knows them, ± %. */
function voltsPercent(
  { instrumentId }: FigureReading,
  context: Context,
): { percent: number; assumed: boolean } {
  const instrument = context.instrument(instrumentId)
  switch (instrument?.kind) {
    case 'ac-voltmeter':
      return { percent: instrument.accuracyPercent, assumed: instrument.assumed }
    case 'audio-meter':
      return { percent: instrument.voltsPercent, assumed: instrument.assumed }
    default:
      return { percent: ASSUMED_VOLTS_PERCENT, assumed: true }
  }
}

function distortionResult(step: Step, slot: Slot, context: Context): SlotResult {
  const figure = figureIn(step, slot, context)
  if (!figure) return openSlot(step, slot, context)
  const isMore = figure.seen.value > RATED_DISTORTION_PERCENT
  const words = isMore
    ? `more than the ${RATED_DISTORTION_PERCENT} % power is rated at`
    : 'at the claimed power'
  return observedFigure(slot, figure, { words }, context)
}

/** Two voltages of one meter as a ratio: its error cancels, the last digits stay. */
function ratioDb(over: FigureReading, under: FigureReading, context: Context): Found {
  const value = 20 * Math.log10(over.seen.value / under.seen.value)
  const digit = (id: string, { seen }: FigureReading): OwnContribution => ({
    id: `digit:${id}`,
    group: 'resolution',
    label: 'Last digit of the volts',
    distribution: 'rectangular',
    halfWidth: ((20 / Math.LN10) * seen.resolution) / 2 / seen.value,
  })
  return workedOutFigure({ value, unit: 'dB', own: [digit('over', over), digit('under', under)] }, context)
}

function humResult(step: Step, slot: Slot, context: Context): SlotResult {
  if (context.skipReason(step) !== null) return openSlot(step, slot, context)
  const tone = figureIn(step, { id: 'tone-v' }, context)
  const quiet = figureIn(step, { id: 'quiet-v' }, context)
  if (!tone || !quiet) return openDerived(slot, 'Not measured', 'Volts with the tone, and with the tone off.')
  const found = ratioDb(tone, quiet, context)
  return {
    ...NOTHING,
    slot,
    state: 'read',
    reading: quiet,
    found,
    verdict: verdictWithout('observation', null),
    words: `${printDb(found.value)} under the tone`,
    notes: ['One meter read both: its error cancels. Through what filter it reads is part of the figure.'],
  }
}

function responseResult(step: Step, slot: Slot, context: Context): SlotResult {
  const reading = figureIn(step, slot, context)
  if (!reading) return openSlot(step, slot, context)
  const reference = figureIn(step, { id: `response-${REFERENCE_HZ}` }, context)
  const hz = Number(slot.kind.hz)
  if (!reference || hz === REFERENCE_HZ)
    return observedFigure(
      slot,
      reading,
      { words: hz === REFERENCE_HZ ? 'what the others are counted from' : 'read 1 kHz as well' },
      context,
    )
  const found = ratioDb(reading, reference, context)
  const beside = found.value - deEmphasisDb(hz)
  return {
    ...NOTHING,
    slot,
    state: 'read',
    reading,
    found,
    verdict: verdictWithout('observation', null),
    words: `${printSigned(found.value, 1)} dB; ${printSigned(beside, 1)} dB beside 750 µs`,
    notes: ['Against 1 kHz. De-emphasis of 750 µs falls by 6 dB an octave (land mobile FM).'],
  }
}

function questionsOf(step: Step, context: Context): Question[] {
  const at = (id: string) => figureIn(step, { id }, context)?.seen.value ?? null
  const [tone, quiet, rated] = [at('tone-v'), at('quiet-v'), at('rated-v')]
  return [
    ...(tone !== null && quiet !== null && quiet >= tone
      ? [
          {
            slotId: 'quiet-v',
            words:
              'As much is heard with the tone off as with it. Is the squelch open, the tone on the channel?',
          },
        ]
      : []),
    ...(tone !== null && rated !== null && tone > 1.05 * rated
      ? [
          {
            slotId: 'tone-v',
            words: 'The usual volume is louder than the rated one: is it not distorted already?',
          },
        ]
      : []),
  ]
}

/** Sums up one set: its audio power against the claim. */
export function answerAudio(_question: StationQuestion, set: RadioSet, context: Context): StationAnswer {
  return answerSteps(
    planAudio(set, context).map(step => evaluateAudio(step, context)),
    { without: 'Nothing is planned for this set.', lead: 'power' },
  )
}
