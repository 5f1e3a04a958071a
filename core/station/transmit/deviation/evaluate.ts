import { fullDeviationHz } from '../../../band'
import { type Context, perStep } from '../../../context'
import {
  answerSteps,
  evaluateSlots,
  figureIn,
  judgeScalar,
  observedFigure,
  openSlot,
  type OwnContribution,
  type StationAnswer,
} from '../../../judging'
import { printHz } from '../../../quantity'
import type { FigureReading, RadioSet } from '../../../review'
import { deviationAtNullHz } from '../../../signal'
import type { Question, Slot, SlotResult, Step, StepResult } from '../../../step'
import type { StationQuestion } from '../../contract'
import { planDeviation } from './plan'

/** What a deviation meter is taken to be good to where nobody says, percent (assumed). */
const ASSUMED_PERCENT = 5

/** Judges the swings of one step by what its channel spacing allows. */
export const evaluateDeviation = perStep((step: Step, context: Context): StepResult => {
  return evaluateSlots(step, {
    slot: slot => slotResult(step, slot, context),
    ask: slots => slots.flatMap(result => askAbout(step, result)),
  })
})

function slotResult(step: Step, slot: Slot, context: Context): SlotResult {
  const reading = figureIn(step, slot, context)
  if (!reading) return openSlot(step, slot, context)
  switch (slot.kind.is) {
    case 'null-tone':
      return nullTone({ step, slot, reading }, context)
    case 'tone-squelch':
      return toneSquelch(step, { slot, reading }, context)
    default:
      return judgeScalar(
        { step, slot, reading },
        {
          about: 'deviation',
          own: accuracyOf(reading, context),
          notes: [shareWords(step, reading.seen.value)],
          wordsWithout: `${printHz(reading.seen.value)}; no figure in law`,
        },
        context,
      )
  }
}

/**
 * The carrier is gone at a modulation index of 2.4048: the tone’s frequency gives the deviation, without any
 * deviation meter.
 */
function nullTone(place: { step: Step; slot: Slot; reading: FigureReading }, context: Context): SlotResult {
  const toneHz = place.reading.seen.value
  const deviationHz = deviationAtNullHz(toneHz)
  return judgeScalar(
    place,
    {
      about: 'deviation',
      own: [nullDoubt(deviationHz)],
      value: deviationHz,
      notes: [
        `The carrier vanishes with a tone of ${printHz(toneHz, 4)}: ` +
          `2.4048 × that is ${printHz(deviationHz, 4)} of deviation.`,
      ],
      wordsWithout: `${printHz(deviationHz)}; no figure in law`,
    },
    context,
  )
}

function toneSquelch(
  step: Step,
  { slot, reading }: { slot: Slot; reading: FigureReading },
  context: Context,
): SlotResult {
  const share = Math.round((100 * reading.seen.value) / fullDeviationHz(step.band))
  return observedFigure(
    slot,
    reading,
    {
      own: accuracyOf(reading, context),
      words: `${printHz(reading.seen.value)}, ${share} % of full deviation`,
      notes: ['Ten to fifteen percent of full deviation is usual (common practice, no source).'],
    },
    context,
  )
}

function shareWords({ band }: Step, deviationHz: number): string {
  const full = fullDeviationHz(band)
  const channels =
    band.channelSpacingHz === null ? 'wide channels' : `channels of ${printHz(band.channelSpacingHz, 3)}`
  return `${Math.round((100 * deviationHz) / full)} % of the ${printHz(full, 2)} that ${channels} are made for.`
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
function accuracyOf({ instrumentId, seen }: FigureReading, context: Context): OwnContribution[] {
  const instrument = context.instrument(instrumentId)
  const receiver = instrument?.kind === 'receiver' ? instrument : null
  const percent = receiver?.deviationPercent ?? ASSUMED_PERCENT
  return [
    {
      id: `deviation:${instrument?.id ?? 'none'}`,
      group: 'reference',
      label: instrument?.name ?? 'Instrument not known',
      distribution: 'rectangular',
      halfWidth: (percent / 100) * seen.value,
      assumed: receiver?.assumed ?? true,
    },
  ]
}

function askAbout(step: Step, { slot, found }: SlotResult): Question[] {
  if (!found || slot.kind.is === 'null-tone') return []
  const ask = (words: string): Question[] => [{ slotId: slot.id, words }]
  const hz = found.value
  if (hz > 15_000)
    return ask(`${printHz(hz)} of deviation is more than any voice channel holds. Hz typed as kHz?`)
  if (slot.kind.is !== 'tone-squelch' && hz < 50)
    return ask(
      `${printHz(hz)} of deviation is next to nothing. kHz typed as Hz, or was the microphone covered?`,
    )
  if (slot.kind.is !== 'tone' || hz <= 1.2 * fullDeviationHz(step.band)) return []
  const spacing = step.band.channelSpacingHz === 12_500 ? 'wide' : 'another'
  return ask(
    `More than full deviation at normal level: is the radio set to ${spacing} spacing, or the tone too loud?`,
  )
}

/** Sums up the swings of one set; where none is judged, the loudest stands for the rest. */
export function answerDeviation(_question: StationQuestion, set: RadioSet, context: Context): StationAnswer {
  return answerSteps(
    planDeviation(set, context).map(step => evaluateDeviation(step, context)),
    { without: 'No FM band on this set.', lead: 'loudest' },
  )
}
