import { claimWords, decide, verdictWithout } from '../../decision'
import { dbmFromWatts, printDb, printSigned, printWatts, UNIT_SPACE, wattsFromDbm } from '../../quantity'
import { type RadioSet, takenSchema } from '../../review'
import { TRANSMIT_CAUTIONS } from '../cautions'
import type { Slot, SlotResult, Station, StationAnswer, Step, StepResult } from '../contract'
import { answerSteps } from '../figure/answerSteps'
import { observedFigure, observedLevel, openSlot } from '../figure/plainSlots'
import { planSteps } from '../figure/planSteps'
import { stepResultOf } from '../figure/stepResult'
import { fullSupply, SETTINGS } from '../radioSettings'
import type { StationContext } from '../stationContext'
import { stepChecks } from '../stepChecks'
import { stepDependencies } from '../stepDependencies'
import { type Droop, droopOf } from './droop'

export const POWER_OVER_TIME_ID = 'power-over-time'

/** Instruments that can log a power, the best first. */
export const POWER_OVER_TIME_INSTRUMENTS = ['power-meter', 'spectrum-analyser'] as const

/** Moments of the log, s: close together while the power moves. */
export const LOG_MOMENTS_S = [0, 10, 20, 30, 45, 60, 90, 120, 150, 180, 210, 240, 270, 300] as const

/** What is usual over five minutes, dB (common practice, no source). */
export const USUAL_DROOP_DB = 0.3

const KEY_DOWN_S = 300

/** A slot of the log. */
export function momentSlot(seconds: number, frequencyHz: number): Slot {
  return {
    id: `t${seconds}`,
    label: `${Math.floor(seconds / 60)}:${String(Math.round(seconds % 60)).padStart(2, '0')}`,
    frequencyHz,
    measures: 'level',
    optional: seconds > 60,
  }
}

function plan(set: RadioSet, context: StationContext): Step[] {
  return planSteps(set, context, {
    stationId: POWER_OVER_TIME_ID,
    instruments: POWER_OVER_TIME_INSTRUMENTS,
    level: 'highest',
    keyDownS: KEY_DOWN_S,
    durationS: 480,
    needsFullSupply: true,
    slots: ({ channel: { frequencyHz } }) => [
      ...LOG_MOMENTS_S.map(seconds => momentSlot(seconds, frequencyHz)),
      ...(
        [
          ['battery-start', 'Battery, start', 'V'],
          ['battery-end', 'Battery, end', 'V'],
          ['case-start', 'Case, start', '°C'],
          ['case-end', 'Case, end', '°C'],
        ] as const
      ).map(([id, label, measures]): Slot => ({ id, label, frequencyHz, measures, optional: true })),
    ],
    instruction: 'Key down and log the power until the clock asks for rest, five minutes at most.',
    radioSettings: [fullSupply(set), SETTINGS.timeOutOff, SETTINGS.dualWatchOff],
    cautions: [
      ...TRANSMIT_CAUTIONS,
      'Five minutes keyed heat the case, the load and the pads: hands off, and stop at any smell.',
    ],
  })
}

function evaluate(step: Step, context: StationContext): StepResult {
  return context.reuse(step, stepDependencies(step, context), () => {
    const slots = step.slots.map((slot): SlotResult => {
      if (slot.measures === 'level')
        return observedLevel(step, slot, ({ levelDbm }) => printWatts(wattsFromDbm(levelDbm)), context)
      const figure = context.figure(step.set.id, step.id, slot.id)
      return figure
        ? observedFigure(slot, figure, { words: figure.text }, context)
        : openSlot(step, slot, context)
    })
    const droop = droopOf(slots)
    const claim = droop && againstClaim(step, droop, context)
    const judged = claim
      ? slots.map(result => (result.slot.id === droop.last.slot.id ? { ...result, ...claim } : result))
      : slots
    return stepResultOf(step, judged, {
      summary: droop && {
        verdict: claim?.verdict ?? verdictWithout('observation', null),
        words: droopWords(droop),
      },
    })
  })
}

/** What is left of the claim at the end of the log. */
function againstClaim(
  step: Step,
  droop: Droop,
  context: StationContext,
): Pick<SlotResult, 'verdict' | 'words'> | null {
  if (step.claim.kind !== 'watts') return null
  const corrected = droop.last.corrected!
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
    verdict,
    words: claimWords(verdict, {
      claimedW: step.claim.powerW,
      measuredW: wattsFromDbm(corrected.levelDbm),
      differenceDb: corrected.levelDbm - claimedDbm,
    }),
  }
}

/** The droop in words: what it came to, after how long, and what is usual. */
export function droopWords(droop: Droop): string {
  const fallen =
    Math.abs(droop.droopDb) < 0.05
      ? 'holds'
      : droop.droopDb < 0
        ? `falls by ${printDb(-droop.droopDb, 2)}`
        : `rises by ${printSigned(droop.droopDb, 2)} dB`
  return `Power ${fallen} in ${Math.round(droop.seconds)}${UNIT_SPACE}s`
}

const HOLDS = 'holds-power'

function answer(question: { id: string }, set: RadioSet, context: StationContext): StationAnswer {
  const results = plan(set, context).map(step => evaluate(step, context))
  const worst = results
    .flatMap(result => {
      const droop = droopOf(result.slots)
      return droop ? [{ result, droop }] : []
    })
    .sort((a, b) => a.droop.droopDb - b.droop.droopDb)[0]
  if (question.id !== HOLDS)
    return answerSteps(results, {
      without: 'Nothing is planned for this set.',
      pick: ({ verdict }) => verdict.state !== 'observation',
    })
  if (!worst) return answerSteps(results, { without: 'Nothing is planned for this set.' })
  return {
    verdict: verdictWithout('observation', null),
    words: droopWords(worst.droop),
    governs: { step: worst.result.step, slotId: worst.droop.last.slot.id },
    each: [],
    results,
    detail: `${worst.result.step.band.name}; ${-worst.droop.droopDb > USUAL_DROOP_DB ? 'more than' : 'within'} the ${USUAL_DROOP_DB} dB that are usual over five minutes`,
  }
}

/** Power over time: how far the power falls while the radio is kept keyed. */
export const powerOverTimeStation = Object.freeze({
  id: POWER_OVER_TIME_ID,
  version: 1,
  title: 'Power over time',
  order: 4.5,
  readingSchema: takenSchema,
  optional: true,
  judgedBy: ['claim'],
  plan,
  evaluate,
  answer,
  checks: (step, context) => stepChecks(step, context, 1),
  questions: () => [
    {
      id: HOLDS,
      stationId: POWER_OVER_TIME_ID,
      question: 'Does its power hold when it is kept keyed?',
      detail: 'observation',
      against: 'claims' as const,
      bandName: null,
      yardstick: false,
    },
    {
      id: 'claim-at-end',
      stationId: POWER_OVER_TIME_ID,
      question: 'Does it still make its watts at the end?',
      detail: 'last moment of the log, against the claim',
      against: 'claims' as const,
      bandName: null,
      yardstick: false,
    },
  ],
} as const satisfies Station)
