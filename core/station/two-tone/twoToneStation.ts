import { claimWords, decide, verdictWithout } from '../../decision'
import { dbmFromWatts, printClaimW, printDb, printWatts, wattsFromDbm } from '../../quantity'
import { takenSchema, type RadioSet } from '../../review'
import { PEP_ABOVE_MEAN_DB, TONE_BELOW_PEP_DB } from '../../signal'
import { ANALYSER_CAUTIONS, TRANSMIT_CAUTIONS } from '../cautions'
import type { Question, Slot, SlotResult, Station, StationAnswer, Step, StepResult } from '../contract'
import { correctReading, isCorrected } from '../correctReading'
import { answerSteps } from '../figure/answerSteps'
import { evaluateSlots } from '../figure/evaluateSlots'
import { isRead, observedFigure, observedLevel, openSlot } from '../figure/plainSlots'
import { planSteps } from '../figure/planSteps'
import { ratioDoubt } from '../figure/ratioDoubt'
import { fullSupply, SETTINGS } from '../radioSettings'
import type { StationContext } from '../stationContext'
import { stepChecks } from '../stepChecks'

export const TWO_TONE_ID = 'two-tone'
export const TWO_TONE_INSTRUMENTS = ['power-meter', 'receiver', 'spectrum-analyser'] as const

/** What the bench must have for it, ticked off before the first reading. */
export const TWO_TONE_EQUIPMENT: readonly { id: string; words: string }[] = [
  { id: 'tones', words: 'Two audio generators, 700 and 1900 Hz (or 700 and 1700), not harmonically related' },
  {
    id: 'equal',
    words: 'Both tones equal to within half a dB, their own products 20 dB below what is expected',
  },
  {
    id: 'interface',
    words:
      'Isolating interface into the microphone socket: no ground loop, level low enough that nothing clips',
  },
  { id: 'load', words: 'Load rated for the mean power, half of the peak envelope power' },
  { id: 'meter', words: 'Meter that reads peak envelope power, or mean power (then PEP is twice that)' },
  {
    id: 'receiver',
    words:
      'Receiver or analyser driven so low that its own products lie 10 dB under the radio’s: 10 dB more in front, and the products must fall by no more than 10 dB',
  },
  { id: 'rate', words: 'Receiver at its lowest useful sample rate, for more effective bits' },
]

const ORDERS = [3, 5, 7] as const

function plan(set: RadioSet, context: StationContext): Step[] {
  return planSteps(set, context, {
    stationId: TWO_TONE_ID,
    instruments: TWO_TONE_INSTRUMENTS,
    band: ({ mode }) => mode === 'SSB',
    level: 'highest',
    keyDownS: 20,
    durationS: 600,
    needsFullSupply: true,
    slots: ({ channel: { frequencyHz } }) => [
      { id: 'pep', label: 'Peak envelope power', frequencyHz, measures: 'level' },
      { id: 'mean', label: 'Mean power', frequencyHz, measures: 'level', optional: true },
      ...ORDERS.map((order): Slot => ({
        id: `imd${order}`,
        label: `IMD${order}, below either tone`,
        frequencyHz,
        measures: 'dB',
        optional: order > 3,
      })),
      { id: 'imbalance', label: 'Upper against lower tone', frequencyHz, measures: 'dB', optional: true },
    ],
    instruction:
      'Raise both tones until the power stops growing, go back a little, and read power and products.',
    radioSettings: [fullSupply(set), SETTINGS.usb],
    cautions: [
      ...ANALYSER_CAUTIONS,
      ...TRANSMIT_CAUTIONS,
      'Two tones are a heavy load on the final stage: key briefly, and rest as long as you keyed.',
    ],
  })
}

function evaluate(step: Step, context: StationContext): StepResult {
  return evaluateSlots(step, context, { slot: slot => slotResult(step, slot, context), ask: askAbout })
}

function slotResult(step: Step, slot: Slot, context: StationContext): SlotResult {
  if (slot.id === 'pep') return peakPower(step, slot, context)
  if (slot.measures === 'level')
    return observedLevel(
      step,
      slot,
      ({ levelDbm }) =>
        `${printWatts(wattsFromDbm(levelDbm + PEP_ABOVE_MEAN_DB))} PEP if both tones are clean`,
      context,
    )
  const reading = context.figure(step.set.id, step.id, slot.id)
  if (!reading) return openSlot(step, slot, context)
  if (slot.id === 'imbalance')
    return observedFigure(
      slot,
      reading,
      {
        words: printDb(reading.value, 2),
        own: ratioDoubt(reading, context),
        notes: ['Tones more than half a dB apart flatter or spoil the products.'],
      },
      context,
    )
  return observedFigure(
    slot,
    reading,
    {
      words: imdWords(reading.value, reading.isUpperBound),
      own: ratioDoubt(reading, context),
      notes: [
        'Two schools: against either tone, or against the peak envelope power, which is 6.02 dB more flattering. Stored against either tone; both are said.',
      ],
    },
    context,
  )
}

/** A product in both conventions. */
export function imdWords(belowToneDb: number, atLeast = false): string {
  return `${atLeast ? 'at least ' : ''}${printDb(belowToneDb)} below either tone, ${printDb(belowToneDb + TONE_BELOW_PEP_DB)} below PEP`
}

/** PEP is what makers of SSB radios claim; it is judged like any claim. */
function peakPower(step: Step, slot: Slot, context: StationContext): SlotResult {
  const shown = observedLevel(
    step,
    slot,
    ({ levelDbm }) => `${printWatts(wattsFromDbm(levelDbm))} PEP`,
    context,
  )
  const reading = context.reading(step.set.id, step.id, slot.id)
  const corrected = reading && correctReading(reading, context)
  if (!corrected || !isCorrected(corrected) || step.claim.kind !== 'watts') return shown
  const claimedDbm = dbmFromWatts(step.claim.powerW)
  const verdict = decide({
    valueDb: corrected.levelDbm,
    limitDb: claimedDbm - context.review.settings.claimToleranceDb,
    direction: 'lower',
    errors: context.distributions.of(corrected.budget.contributions),
    isUpperBound: corrected.isUpperBound,
    rule: context.review.settings.decisionRule,
  })
  return {
    ...shown,
    verdict,
    words: claimWords(verdict, {
      claimedW: step.claim.powerW,
      measuredW: wattsFromDbm(corrected.levelDbm),
      differenceDb: corrected.levelDbm - claimedDbm,
    }),
    notes: [`Against the claimed ${printClaimW(step.claim.powerW)} PEP.`, ...shown.notes],
  }
}

function askAbout(slots: readonly SlotResult[]): Question[] {
  const level = (id: string) => slots.find(({ slot }) => slot.id === id)?.corrected?.levelDbm
  const [pep, mean] = [level('pep'), level('mean')]
  const questions: Question[] = []
  if (pep !== undefined && mean !== undefined && Math.abs(pep - mean - PEP_ABOVE_MEAN_DB) > 0.7)
    questions.push({
      slotId: 'mean',
      words: `PEP stands ${printDb(pep - mean)} above the mean; two equal clean tones make 3.0 dB. Are the tones unequal, is the stage flat-topping, or does the meter not catch the peaks?`,
    })
  for (const { slot, figure } of slots)
    if (figure && slot.id.startsWith('imd') && figure.value <= 0)
      questions.push({
        slotId: slot.id,
        words: `${slot.label.split(',')[0]!} is typed as dB below a tone: a positive figure, like 31.`,
      })
  return questions
}

function answer(_question: { id: string }, set: RadioSet, context: StationContext): StationAnswer {
  const results = plan(set, context).map(step => evaluate(step, context))
  const products = results.flatMap(result =>
    result.slots
      .filter(slot => slot.slot.id.startsWith('imd') && isRead(slot))
      .map(slot => ({ result, slot })),
  )
  if (products.length === 0) return answerSteps(results, { without: 'No SSB band on this set.' })
  const worst = products.reduce((a, b) => (b.slot.figure!.value < a.slot.figure!.value ? b : a))
  return {
    verdict: verdictWithout('observation', null),
    words: `${worst.slot.slot.label.split(',')[0]!} ${worst.slot.words}`,
    detail: worst.result.step.band.name,
    governs: { step: worst.result.step, slotId: worst.slot.slot.id },
    each: [],
    results,
  }
}

/** Two-tone test: peak and mean power and the intermodulation of an SSB transmitter. */
export const twoToneStation = Object.freeze({
  id: TWO_TONE_ID,
  version: 1,
  title: 'Two-tone, SSB',
  order: 6.6,
  readingSchema: takenSchema,
  optional: true,
  judgedBy: ['claim'],
  plan,
  evaluate,
  answer,
  checks: (step, context) => stepChecks(step, context, 1),
  questions: () => [
    {
      id: 'imd',
      stationId: TWO_TONE_ID,
      question: 'How clean is its sideband?',
      detail: 'two tones; products against either tone and against PEP',
      against: 'limits' as const,
      bandName: null,
      yardstick: false,
    },
  ],
} as const satisfies Station)
