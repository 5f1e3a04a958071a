import { printHz } from '../../quantity'
import { deviationAtNullHz, nullToneHz } from '../../signal'
import { takenSchema, type Band, type FigureReading, type RadioSet } from '../../review'
import { ANALYSER_CAUTIONS, TRANSMIT_CAUTIONS } from '../cautions'
import type { Question, Slot, SlotResult, Station, StationAnswer, Step, StepResult } from '../contract'
import { answerSteps } from '../figure/answerSteps'
import { evaluateSlots } from '../figure/evaluateSlots'
import { judgeByScalar } from '../figure/judgeByScalar'
import type { OwnContribution } from '../figure/figureResult'
import { observedFigure, openSlot } from '../figure/plainSlots'
import { planSteps } from '../figure/planSteps'
import { SETTINGS } from '../radioSettings'
import type { StationContext } from '../stationContext'
import { stepChecks } from '../stepChecks'

export const DEVIATION_ID = 'deviation'
export const DEVIATION_INSTRUMENTS = ['receiver', 'spectrum-analyser'] as const

/**
 * Peak deviation the channel spacing is made for, Hz: 2 kHz in 10 (EN 300 433), 2.5 kHz in 12.5, 4 kHz in 20,
 * 5 kHz in 25 kHz (EN 300 086; from memory).
 */
export function fullDeviationHz(band: Band): number {
  const spacing = band.channelSpacingHz ?? 25_000
  if (spacing <= 10_000) return 2_000
  if (spacing <= 12_500) return 2_500
  if (spacing <= 20_000) return 4_000
  return 5_000
}

function plan(set: RadioSet, context: StationContext): Step[] {
  return planSteps(set, context, {
    stationId: DEVIATION_ID,
    instruments: DEVIATION_INSTRUMENTS,
    band: ({ mode }) => mode === 'FM',
    level: 'lowest',
    perSpacing: true,
    keyDownS: 30,
    durationS: 240,
    slots: ({ channel: { frequencyHz } }) => [
      { id: 'tone', label: '1 kHz at normal level', frequencyHz, measures: 'Hz' },
      { id: 'loudest', label: 'Loudest voice or whistle', frequencyHz, measures: 'Hz' },
      { id: 'tone-squelch', label: 'Tone squelch alone', frequencyHz, measures: 'Hz', optional: true },
      {
        id: 'null-tone',
        label: 'Tone at the first carrier null',
        frequencyHz,
        measures: 'Hz',
        optional: true,
      },
    ],
    instruction:
      'Low power is enough. Feed 1 kHz at normal level, then let somebody shout or whistle into it.',
    radioSettings: [SETTINGS.toneOff, SETTINGS.timeOutOff],
    cautions: [
      ...ANALYSER_CAUTIONS,
      ...TRANSMIT_CAUTIONS,
      'Deviation is set inside the radio: leave it to the licensed or competent; adjusting may void its approval.',
    ],
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
  if (slot.id === 'null-tone') {
    // The carrier is gone at a modulation index of 2.4048: the tone’s frequency gives the deviation, without
    // any deviation meter.
    const deviationHz = deviationAtNullHz(reading.value)
    return judgeByScalar(
      step,
      slot,
      reading,
      {
        about: 'deviation',
        direction: 'upper',
        own: [nullDoubt(deviationHz)],
        value: deviationHz,
        notes: [
          `The carrier vanishes with a tone of ${printHz(reading.value, 4)}: 2.4048 × that is ${printHz(deviationHz, 4)} of deviation.`,
        ],
        wordsWithout: `${printHz(deviationHz)}; no figure in law`,
      },
      context,
    )
  }
  if (slot.id === 'tone-squelch')
    return observedFigure(
      slot,
      reading,
      {
        own: accuracyOf(reading, context),
        words: `${printHz(reading.value)}, ${Math.round((100 * reading.value) / fullDeviationHz(step.band))} % of full deviation`,
        notes: ['Ten to fifteen percent of full deviation is usual (common practice, no source).'],
      },
      context,
    )
  return judgeByScalar(
    step,
    slot,
    reading,
    {
      about: 'deviation',
      direction: 'upper',
      own: accuracyOf(reading, context),
      notes: [shareWords(step, reading.value)],
      wordsWithout: `${printHz(reading.value)}; no figure in law`,
    },
    context,
  )
}

function shareWords(step: Step, deviationHz: number): string {
  return `${Math.round((100 * deviationHz) / fullDeviationHz(step.band))} % of the ${printHz(fullDeviationHz(step.band), 2)} that ${step.band.channelSpacingHz === null ? 'wide channels' : `channels of ${printHz(step.band.channelSpacingHz, 3)}`} are made for.`
}

/**
 * How well a null can be set by eye: the index is known to about one part in a hundred (common practice, no
 * source).
 */
function nullDoubt(deviationHz: number): OwnContribution {
  return {
    id: 'null',
    group: 'estimate',
    label: 'Setting the null',
    distribution: 'rectangular',
    halfWidth: 0.01 * deviationHz,
    assumed: true,
  }
}

/** What the instrument leaves open of a deviation. */
export function accuracyOf(reading: FigureReading, context: StationContext): OwnContribution[] {
  const instrument = reading.instrumentId === null ? undefined : context.instrument(reading.instrumentId)
  const percent = instrument?.kind === 'receiver' ? instrument.deviationPercent : 5
  return [
    {
      id: `deviation:${instrument?.id ?? 'none'}`,
      group: 'reference',
      label: instrument?.name ?? 'Instrument not known',
      distribution: 'rectangular',
      halfWidth: (percent / 100) * reading.value,
      assumed: instrument?.kind !== 'receiver' || instrument.assumed,
    },
  ]
}

function askAbout(step: Step, { slot, figure }: SlotResult): Question[] {
  if (!figure || slot.id === 'null-tone') return []
  if (figure.value > 15_000)
    return [
      {
        slotId: slot.id,
        words: `${printHz(figure.value)} of deviation is more than any voice channel holds. Hz typed as kHz?`,
      },
    ]
  if (slot.id !== 'tone-squelch' && figure.value < 50)
    return [
      {
        slotId: slot.id,
        words: `${printHz(figure.value)} of deviation is next to nothing. kHz typed as Hz, or was the microphone covered?`,
      },
    ]
  if (slot.id === 'tone' && figure.value > 1.2 * fullDeviationHz(step.band))
    return [
      {
        slotId: slot.id,
        words: `More than full deviation at normal level: is the radio set to ${step.band.channelSpacingHz === 12_500 ? 'wide' : 'another'} spacing, or the tone too loud?`,
      },
    ]
  return []
}

function answer(_question: { id: string }, set: RadioSet, context: StationContext): StationAnswer {
  return answerSteps(
    plan(set, context).map(step => evaluate(step, context)),
    { without: 'No FM band on this set.', lead: 'loudest' },
  )
}

/** Tone for the first carrier null at full deviation of a band, Hz. */
export function firstNullToneHz(band: Band): number {
  return nullToneHz(fullDeviationHz(band))
}

/**
 * Deviation: how far the carrier swings with a normal tone, with the loudest voice, and with the tone
 * squelch.
 */
export const deviationStation = Object.freeze({
  id: DEVIATION_ID,
  version: 1,
  title: 'Deviation',
  order: 6,
  readingSchema: takenSchema,
  optional: false,
  judgedBy: ['deviation'],
  plan,
  evaluate,
  answer,
  checks: (step, context) => stepChecks(step, context, 1),
  questions: () => [
    {
      id: 'deviation',
      stationId: DEVIATION_ID,
      question: 'Does its deviation stay within its channel?',
      detail: 'normal tone and loudest voice',
      against: 'limits' as const,
      bandName: null,
      yardstick: false,
    },
  ],
} as const satisfies Station)
