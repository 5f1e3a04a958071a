import { spacingOf } from '../../../band'
import { type Context, perStep } from '../../../context'
import { verdictWithout } from '../../../decision'
import {
  answerSteps,
  evaluateSlots,
  figureIn,
  foundFigure,
  governingOf,
  judgePower,
  judgeScalar,
  NOTHING,
  observedFigure,
  openSlot,
  ratioDoubt,
  type StationAnswer,
} from '../../../judging'
import { printDb, printDbc, printHz } from '../../../quantity'
import type { FigureReading, RadioSet } from '../../../review'
import { adjacentFilterHz } from '../../../signal'
import type { Question, Slot, SlotResult, Step, StepResult } from '../../../step'
import type { StationQuestion } from '../../contract'
import { carrierForLimit, carrierPower } from '../carrierForLimit'
import { planBandwidth } from './plan'

/** Wider than this, Hz, no voice channel is. */
const VERY_WIDE_HZ = 100e3

/** Judges the occupied bandwidth of one step, and the power in its adjacent channels. */
export const evaluateBandwidth = perStep((step: Step, context: Context): StepResult => {
  return evaluateSlots(step, {
    ask: slots => slots.flatMap(askAbout),
    slot: slot => {
      const reading = figureIn(step, slot, context)
      if (!reading) return openSlot(step, slot, context)
      const place = { step, slot, reading }
      if (slot.kind.is === 'occupied') return occupied(place, context)
      return slot.kind.is === 'transient' ? transient(place, context) : adjacent(place, context)
    },
  })
})

interface Place {
  step: Step
  slot: Slot
  reading: FigureReading
}

function occupied(place: Place, context: Context): SlotResult {
  return judgeScalar(
    place,
    {
      about: 'occupied-bandwidth',
      own: [],
      notes: ['Half a percent of the power lies below it and half above (ITU-R SM.328, from memory).'],
      wordsWithout: `${printHz(place.reading.seen.value)}; no figure in law`,
    },
    context,
  )
}

/** What a key-down puts beside the channel: shown and compared; no figure for it could be recalled. */
function transient({ slot, reading }: Place, context: Context): SlotResult {
  return observedFigure(
    slot,
    reading,
    {
      words: `up to ${printDbc(reading.seen.value)}`,
      notes: ['The highest four thousandths of a second around a key-down or a release, in either channel.'],
    },
    context,
  )
}

/**
 * Power in an adjacent channel: a ratio as read, judged against the law’s dBm or dBc through the carrier’s
 * power.
 */
function adjacent({ step, slot, reading }: Place, context: Context): SlotResult {
  const carrier = carrierForLimit(step, context)
  const found = foundFigure(reading, { own: ratioDoubt(reading, context) }, context)
  const shown = printDbc(reading.seen.value)
  const base = { ...NOTHING, slot, state: 'read' as const, reading, found }
  const notes = notesOf({ step, slot, reading })
  if (!carrier)
    return {
      ...base,
      verdict: verdictWithout(
        'not-covered',
        'The carrier’s power is not known, so no limit can be worked out.',
      ),
      words: shown,
      notes,
    }
  const each = judgePower(
    step,
    found,
    {
      about: 'adjacent-power',
      carrierW: carrierPower(carrier),
      emission: { frequencyHz: slot.frequencyHz, harmonic: null },
      isRatio: true,
      carrierLines: carrier.contributions,
      cannotWords: 'Cannot be judged yet',
    },
    context,
  )
  const { limit, verdict, words, ratio } = governingOf(each)
  return {
    ...base,
    limit,
    ratio,
    each,
    verdict,
    words: verdict.state === 'no-figure' ? `${shown}; no figure in law` : words,
    notes: [`${shown} of ${carrier.words}.`, ...(verdict.why ? [verdict.why] : []), ...notes],
  }
}

function notesOf({ step, slot, reading }: Place): string[] {
  const awayHz = Math.abs(slot.frequencyHz - step.channel.frequencyHz)
  const filterHz = adjacentFilterHz(spacingOf(step.band))
  return [
    `In a filter ${printHz(filterHz, 3)} wide, ${printHz(awayHz, 3)} from the carrier.`,
    ...(reading.seen.method ? [reading.seen.method] : []),
  ]
}

function askAbout({ slot, found }: SlotResult): Question[] {
  if (!found || slot.kind.is === 'transient') return []
  const ask = (words: string): Question[] => [{ slotId: slot.id, words }]
  if (slot.kind.is === 'occupied')
    return found.value > VERY_WIDE_HZ
      ? ask(
          `${printHz(found.value)} is very wide for a voice channel. kHz typed as MHz, or noise counted in?`,
        )
      : []
  return found.value >= 0
    ? ask(`${printDb(found.value)} would be stronger than the carrier itself. Was a minus sign lost?`)
    : []
}

/** Sums up how well one set keeps to its channels. */
export function answerBandwidth(_question: StationQuestion, set: RadioSet, context: Context): StationAnswer {
  return answerSteps(
    planBandwidth(set, context).map(step => evaluateBandwidth(step, context)),
    { without: 'Nothing is planned for this set.' },
  )
}
