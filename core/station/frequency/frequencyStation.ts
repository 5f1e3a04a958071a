import { printHz, printPpm, printSigned } from '../../quantity'
import { takenSchema, type FigureReading, type RadioSet } from '../../review'
import { ANALYSER_CAUTIONS, TRANSMIT_CAUTIONS } from '../cautions'
import type { Question, Slot, SlotResult, Station, StationAnswer, Step, StepResult } from '../contract'
import { answerSteps } from '../figure/answerSteps'
import { evaluateSlots } from '../figure/evaluateSlots'
import type { OwnContribution } from '../figure/figureResult'
import { judgeByScalar } from '../figure/judgeByScalar'
import { openSlot } from '../figure/plainSlots'
import { planSteps } from '../figure/planSteps'
import { SETTINGS } from '../radioSettings'
import type { StationContext } from '../stationContext'
import { stepChecks } from '../stepChecks'

export const FREQUENCY_ID = 'frequency'
export const FREQUENCY_INSTRUMENTS = ['receiver', 'spectrum-analyser'] as const

/** Reference taken for an instrument whose maker says nothing, ppm (assumed). */
export const ASSUMED_REFERENCE_PPM = 5

function plan(set: RadioSet, context: StationContext): Step[] {
  return planSteps(set, context, {
    stationId: FREQUENCY_ID,
    instruments: FREQUENCY_INSTRUMENTS,
    level: 'lowest',
    keyDownS: 20,
    durationS: 300,
    firstIsCold: true,
    slots: ({ channel: { frequencyHz } }, isFirst) => [
      {
        id: 'cold',
        label: 'Cold, right after switching on',
        frequencyHz,
        measures: 'Hz',
        optional: !isFirst,
      },
      { id: 'warm', label: 'Warm, after ten minutes', frequencyHz, measures: 'Hz' },
    ],
    instruction: 'No modulation. Read the carrier’s frequency cold, then again once the radio is warm.',
    radioSettings: [SETTINGS.toneOff, SETTINGS.microphoneOut],
    cautions: [...ANALYSER_CAUTIONS, ...TRANSMIT_CAUTIONS],
  })
}

function evaluate(step: Step, context: StationContext): StepResult {
  return evaluateSlots(step, context, {
    slot: slot => slotResult(step, slot, context),
    ask: slots => slots.flatMap(result => askAbout(step, result)),
  })
}

function slotResult(step: Step, slot: Slot, context: StationContext): SlotResult {
  const reading = context.figure(step.set.id, step.id, slot.id)
  if (!reading) return openSlot(step, slot, context)
  const wantedHz = step.channel.frequencyHz
  const errorHz = reading.value - wantedHz
  const reference = referenceOf(reading, wantedHz, context)
  const words = `${printSigned(errorHz, Math.abs(errorHz) < 100 ? 1 : 0)} Hz, ${printPpm(errorHz / wantedHz)}`
  return judgeByScalar(
    step,
    slot,
    reading,
    {
      about: 'frequency-error',
      direction: 'both',
      own: [reference.line],
      value: errorHz,
      notes: [`${words} off the channel’s ${printHz(wantedHz, 9)}.`, reference.words],
      wordsWithout: `${words}; no figure in law`,
    },
    context,
  )
}

/** What the instrument’s own reference leaves open: a 1 ppm reference cannot judge 1 ppm. */
function referenceOf(
  reading: FigureReading,
  wantedHz: number,
  context: StationContext,
): { line: OwnContribution; words: string } {
  const instrument = reading.instrumentId === null ? undefined : context.instrument(reading.instrumentId)
  const known = instrument?.referencePpm ?? null
  const ppm = known ?? ASSUMED_REFERENCE_PPM
  const halfWidth = ppm * 1e-6 * wantedHz
  return {
    line: {
      id: `reference:${instrument?.id ?? 'none'}`,
      group: 'reference',
      label: `${instrument?.name ?? 'Instrument'}, reference`,
      distribution: 'rectangular',
      halfWidth,
      assumed: known === null,
    },
    words: `The reference of ${instrument?.name ?? 'the instrument'} is ${known === null ? 'not stated; taken as' : 'good to'} ±${ppm} ppm, ±${printHz(halfWidth, 2)} here.`,
  }
}

function askAbout(step: Step, { slot, figure }: SlotResult): Question[] {
  if (!figure) return []
  const error = Math.abs(figure.value)
  if (error > 1e6)
    return [
      {
        slotId: slot.id,
        words: `${figure.reading.text} is ${printHz(error, 2)} from the channel. The frequency itself is wanted here, or its error with a sign: +120 Hz.`,
      },
    ]
  return error > 50e-6 * step.channel.frequencyHz
    ? [
        {
          slotId: slot.id,
          words: `${printHz(error, 2)} off: was another channel set, or a shift or clarifier on?`,
        },
      ]
    : []
}

/** How far the frequency moved from cold to warm, Hz; null before both are read. */
export function warmUpDriftHz(result: StepResult): number | null {
  const [cold, warm] = ['cold', 'warm'].map(id => result.slots.find(({ slot }) => slot.id === id)?.figure)
  return cold && warm ? warm.value - cold.value : null
}

function answer(_question: { id: string }, set: RadioSet, context: StationContext): StationAnswer {
  const results = plan(set, context).map(step => evaluate(step, context))
  const found = answerSteps(results, { without: 'Nothing is planned for this set.', lead: 'warm' })
  const drifts = results.flatMap(result => warmUpDriftHz(result) ?? [])
  return drifts.length === 0
    ? found
    : {
        ...found,
        detail: `${found.detail}; moves by ${printHz(Math.max(...drifts.map(Math.abs)), 2)} warming up`,
      }
}

/** Frequency error: how far the carrier stands from its channel, cold and warm. */
export const frequencyStation = Object.freeze({
  id: FREQUENCY_ID,
  version: 1,
  title: 'Frequency error',
  order: 6.2,
  readingSchema: takenSchema,
  optional: false,
  judgedBy: ['frequency-error'],
  plan,
  evaluate,
  answer,
  checks: (step, context) => stepChecks(step, context, 1),
  questions: () => [
    {
      id: 'on-frequency',
      stationId: FREQUENCY_ID,
      question: 'Is it on frequency?',
      detail: 'cold and warm, with the reference’s own doubt',
      against: 'limits' as const,
      bandName: null,
      yardstick: false,
    },
  ],
} as const satisfies Station)
