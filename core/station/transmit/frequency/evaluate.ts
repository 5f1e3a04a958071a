import { type Context, perStep } from '../../../context'
import {
  answerSteps,
  evaluateSlots,
  figureIn,
  judgeScalar,
  openSlot,
  type OwnContribution,
  type StationAnswer,
} from '../../../judging'
import { printHz, printPpm, printSigned } from '../../../quantity'
import type { FigureReading, RadioSet } from '../../../review'
import { type Question, type Slot, slotOf, type SlotResult, type Step, type StepResult } from '../../../step'
import type { StationQuestion } from '../../contract'
import { planFrequency } from './plan'

/** Reference taken for an instrument whose maker says nothing, ppm (assumed). */
const ASSUMED_REFERENCE_PPM = 5

/** A carrier this far off, as a share of its frequency, raises a question. */
const FAR_OFF = 50e-6

/** Further than this, Hz, it is hardly an error of the radio at all. */
const ANOTHER_FREQUENCY_HZ = 1e6

/** Judges how far the carrier of one step stands from its channel. */
export const evaluateFrequency = perStep((step: Step, context: Context): StepResult => {
  return evaluateSlots(step, {
    slot: slot => slotResult(step, slot, context),
    ask: slots => slots.flatMap(result => askAbout(step, result)),
  })
})

function slotResult(step: Step, slot: Slot, context: Context): SlotResult {
  const reading = figureIn(step, slot, context)
  if (!reading) return openSlot(step, slot, context)
  const wantedHz = step.channel.frequencyHz
  const errorHz = reading.seen.value - wantedHz
  const reference = referenceOf(reading, wantedHz, context)
  const words = `${printSigned(errorHz, Math.abs(errorHz) < 100 ? 1 : 0)} Hz, ${printPpm(errorHz / wantedHz)}`
  return judgeScalar(
    { step, slot, reading },
    {
      about: 'frequency-error',
      isError: true,
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
  context: Context,
): { line: OwnContribution; words: string } {
  const instrument = context.instrument(reading.instrumentId)
  const known = instrument?.referencePpm ?? null
  const ppm = known ?? ASSUMED_REFERENCE_PPM
  const halfWidth = ppm * 1e-6 * wantedHz
  const statedAs = known === null ? 'not stated; taken as' : 'good to'
  return {
    line: {
      id: `reference:${instrument?.id ?? 'none'}`,
      group: 'reference',
      label: `${instrument?.name ?? 'Instrument'}, reference`,
      distribution: 'rectangular',
      halfWidth,
      assumed: known === null,
    },
    words:
      `The reference of ${instrument?.name ?? 'the instrument'} is ${statedAs} ±${ppm} ppm, ` +
      `±${printHz(halfWidth, 2)} here.`,
  }
}

function askAbout(step: Step, { slot, found, reading }: SlotResult): Question[] {
  if (!found || !reading) return []
  const ask = (words: string): Question[] => [{ slotId: slot.id, words }]
  const errorHz = Math.abs(found.value)
  if (errorHz > ANOTHER_FREQUENCY_HZ)
    return ask(
      `${reading.text} is ${printHz(errorHz, 2)} from the channel. ` +
        'The frequency itself is wanted here, or its error with a sign: +120 Hz.',
    )
  return errorHz > FAR_OFF * step.channel.frequencyHz
    ? ask(`${printHz(errorHz, 2)} off: was another channel set, or a shift or clarifier on?`)
    : []
}

/** How far the frequency moved from cold to warm, Hz; null before both are read. */
export function warmUpDriftHz(result: Pick<StepResult, 'slots'>): number | null {
  const [cold, warm] = ['cold', 'warm'].map(id => slotOf(result, id)?.found)
  return cold && warm ? warm.value - cold.value : null
}

/** Sums up one set, with how far it moves while it warms up. */
export function answerFrequency(_question: StationQuestion, set: RadioSet, context: Context): StationAnswer {
  const results = planFrequency(set, context).map(step => evaluateFrequency(step, context))
  const found = answerSteps(results, { without: 'Nothing is planned for this set.', lead: 'warm' })
  const drifts = results.flatMap(result => warmUpDriftHz(result) ?? [])
  if (drifts.length === 0) return found
  const mostHz = Math.max(...drifts.map(Math.abs))
  return { ...found, detail: `${found.detail}; moves by ${printHz(mostHz, 2)} warming up` }
}
