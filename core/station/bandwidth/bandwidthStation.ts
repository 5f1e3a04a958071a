import { decide, isGraver, verdictWithout, verdictWords } from '../../decision'
import { dbmFromWatts, printDb, printDbc, printHz } from '../../quantity'
import { type Band, type FigureReading, takenSchema, type RadioSet } from '../../review'
import { evaluateLimit } from '../../rules'
import { adjacentFilterHz } from '../../signal'
import { ANALYSER_CAUTIONS, TRANSMIT_CAUTIONS } from '../cautions'
import { carrierFacts } from '../carrierFacts'
import type {
  JudgedBy,
  Question,
  Slot,
  SlotResult,
  Station,
  StationAnswer,
  Step,
  StepResult,
} from '../contract'
import { answerSteps } from '../figure/answerSteps'
import { evaluateSlots } from '../figure/evaluateSlots'
import { figureResult } from '../figure/figureResult'
import { judgeByScalar } from '../figure/judgeByScalar'
import { openSlot } from '../figure/plainSlots'
import { planSteps } from '../figure/planSteps'
import { ratioDoubt } from '../figure/ratioDoubt'
import { carrierForLimit } from '../harmonics/carrierForLimit'
import { SETTINGS } from '../radioSettings'
import type { StationContext } from '../stationContext'
import { stepChecks } from '../stepChecks'

export const BANDWIDTH_ID = 'bandwidth'
export const BANDWIDTH_INSTRUMENTS = ['receiver', 'spectrum-analyser'] as const

/** The four neighbouring channels: which side, and how many channels away. */
export const NEIGHBOURS = [
  { id: 'acp-lower-1', side: -1, step: 1 },
  { id: 'acp-upper-1', side: 1, step: 1 },
  { id: 'acp-lower-2', side: -1, step: 2 },
  { id: 'acp-upper-2', side: 1, step: 2 },
] as const

/** Channel spacing a band is read with: the card’s, else 25 kHz. */
export function spacingOf(band: Band): number {
  return band.channelSpacingHz ?? 25_000
}

function plan(set: RadioSet, context: StationContext): Step[] {
  return planSteps(set, context, {
    stationId: BANDWIDTH_ID,
    instruments: BANDWIDTH_INSTRUMENTS,
    level: 'highest',
    perSpacing: true,
    keyDownS: 20,
    durationS: 180,
    slots: ({ band, channel: { frequencyHz } }) => [
      { id: 'obw', label: 'Occupied bandwidth, 99\u00a0%', frequencyHz, measures: 'Hz' },
      ...NEIGHBOURS.map(({ id, side, step }): Slot => ({
        id,
        label: `${step === 1 ? 'Next' : 'Second'} channel ${side < 0 ? 'below' : 'above'}`,
        frequencyHz: frequencyHz + side * step * spacingOf(band),
        measures: 'dB',
        optional: step === 2,
      })),
    ],
    instruction:
      'Modulate as loudly as in use, record half a minute of I/Q, and bring it in; or type what an analyser works out.',
    radioSettings: [SETTINGS.toneOff, SETTINGS.timeOutOff],
    cautions: [...ANALYSER_CAUTIONS, ...TRANSMIT_CAUTIONS],
  })
}

function evaluate(step: Step, context: StationContext): StepResult {
  return evaluateSlots(step, context, {
    dependsOn: [carrierForLimit(step, context)?.powerW],
    ask: slots => slots.flatMap(askAbout),
    slot: slot => {
      const reading = context.figure(step.set.id, step.id, slot.id)
      if (!reading) return openSlot(step, slot, context)
      return slot.id === 'obw'
        ? judgeByScalar(
            step,
            slot,
            reading,
            {
              about: 'occupied-bandwidth',
              direction: 'upper',
              own: [],
              notes: [
                'Half a percent of the power lies below it and half above (ITU-R SM.328, from memory).',
              ],
              wordsWithout: `${printHz(reading.value)}; no figure in law`,
            },
            context,
          )
        : neighbour(step, slot, reading, context)
    },
  })
}

/**
 * Power in a neighbouring channel: a ratio as read, judged against the law’s dBm or dBc through the carrier’s
 * power.
 */
function neighbour(step: Step, slot: Slot, reading: FigureReading, context: StationContext): SlotResult {
  const carrier = carrierForLimit(step, context)
  const figure = figureResult(reading, { own: ratioDoubt(reading, context), limit: null }, context)
  const notes = [
    `In a filter ${printHz(adjacentFilterHz(spacingOf(step.band)), 3)} wide, ${printHz(Math.abs(slot.frequencyHz - step.channel.frequencyHz), 3)} from the carrier.`,
    ...(reading.method ? [reading.method] : []),
  ]
  const base = { slot, reading: null, corrected: null, figure, yardstick: null, ratio: null, missing: null }
  if (!carrier)
    return {
      ...base,
      limit: null,
      each: [],
      verdict: verdictWithout(
        'not-covered',
        'The carrier’s power is not known, so no limit can be worked out.',
      ),
      words: printDbc(reading.value),
      notes,
    }
  const carrierDbm = dbmFromWatts(carrier.powerW)
  const errors = context.distributions.of(figure.budget.contributions)
  const each = context.rulebooksOf(step.band).map((rulebook): JudgedBy => {
    const limit = evaluateLimit(
      rulebook,
      carrierFacts(step, carrier.powerW),
      { frequencyHz: slot.frequencyHz, harmonic: null },
      'adjacent-power',
    )
    if (limit.kind !== 'limit') {
      const verdict = verdictWithout(limit.kind === 'no-figure' ? 'no-figure' : 'not-covered', limit.reason)
      return {
        limit,
        verdict,
        words: limit.kind === 'no-figure' ? verdictWords(verdict) : 'Cannot be judged yet',
      }
    }
    const verdict = decide({
      valueDb: reading.value,
      limitDb: limit.limitDbm - carrierDbm,
      direction: 'upper',
      errors,
      isUpperBound: reading.isUpperBound,
      rule: context.review.settings.decisionRule,
    })
    return { limit, verdict, words: verdictWords(verdict) }
  })
  const withFigure = each.filter(({ limit }) => limit.kind === 'limit')
  const governing =
    withFigure.length > 0 ? withFigure.reduce((a, b) => (isGraver(b.verdict, a.verdict) ? b : a)) : each[0]!
  return {
    ...base,
    limit: governing.limit,
    each,
    verdict: governing.verdict,
    words:
      governing.verdict.state === 'no-figure'
        ? `${printDbc(reading.value)}; no figure in law`
        : governing.words,
    notes: [`${printDbc(reading.value)} of ${carrier.words}.`, ...notes],
  }
}

function askAbout({ slot, figure }: SlotResult): Question[] {
  if (!figure) return []
  if (slot.id === 'obw' && figure.value > 100e3)
    return [
      {
        slotId: slot.id,
        words: `${printHz(figure.value)} is very wide for a voice channel. kHz typed as MHz, or noise counted in?`,
      },
    ]
  return slot.measures === 'dB' && figure.value >= 0
    ? [
        {
          slotId: slot.id,
          words: `${printDb(figure.value)} would be stronger than the carrier itself. Was a minus sign lost?`,
        },
      ]
    : []
}

function answer(_question: { id: string }, set: RadioSet, context: StationContext): StationAnswer {
  return answerSteps(
    plan(set, context).map(step => evaluate(step, context)),
    { without: 'Nothing is planned for this set.' },
  )
}

/** Occupied bandwidth and the power that falls into the neighbouring channels. */
export const bandwidthStation = Object.freeze({
  id: BANDWIDTH_ID,
  version: 1,
  title: 'Bandwidth and neighbours',
  order: 6.4,
  readingSchema: takenSchema,
  optional: false,
  judgedBy: ['occupied-bandwidth', 'adjacent-power'],
  plan,
  evaluate,
  answer,
  checks: (step, context) => stepChecks(step, context, 1),
  questions: () => [
    {
      id: 'keeps-channel',
      stationId: BANDWIDTH_ID,
      question: 'Does it keep to its channel?',
      detail: 'occupied bandwidth and power in the neighbouring channels',
      against: 'limits' as const,
      bandName: null,
      yardstick: false,
    },
  ],
} as const satisfies Station)
