import { type Verdict, verdictWithout } from '../../decision'
import { printDb, printDbc } from '../../quantity'
import { type RadioSet, takenSchema } from '../../review'
import type { Slot, SlotResult, Station, StationAnswer, Step, StepResult } from '../contract'
import { answerSteps } from '../figure/answerSteps'
import { evaluateSlots } from '../figure/evaluateSlots'
import { isRead, observedFigure, openSlot } from '../figure/plainSlots'
import { planSteps } from '../figure/planSteps'
import { SETTINGS } from '../radioSettings'
import type { StationContext } from '../stationContext'

export const OFF_AIR_ID = 'off-air'

/** Harmonics looked at off the air; a receive antenna stands between, so no chain leads to the analyser. */
export const OFF_AIR_HIGHEST = 5

/** A reading this near to the ambient sweep was there anyway, dB. */
export const AMBIENT_DB = 6

const CAUTIONS = [
  'You transmit on the air here: only on a frequency, at a power and with an identification your licence or the service allows, briefly, and where it disturbs nobody.',
  'Keep the antenna away from eyes and body at high power.',
  'The receive antenna feeds the analyser: begin with padding, and look at the level before you come closer.',
]

function plan(set: RadioSet, context: StationContext): Step[] {
  return planSteps(set, context, {
    stationId: OFF_AIR_ID,
    instruments: [],
    level: 'highest',
    keyDownS: 20,
    durationS: 180,
    slots: ({ channel: { frequencyHz } }) =>
      Array.from({ length: OFF_AIR_HIGHEST }, (_unused, i) => i + 1).flatMap((n): Slot[] => [
        {
          id: `a${n}`,
          label: n === 1 ? 'Ambient at the carrier' : `Ambient at ×${n}`,
          frequencyHz: n * frequencyHz,
          measures: 'dBm',
          optional: true,
        },
        {
          id: `x${n}`,
          label: n === 1 ? 'Carrier' : `×${n}`,
          frequencyHz: n * frequencyHz,
          measures: 'dBm',
          optional: n > 3,
        },
      ]),
    instruction:
      'Ambient first, unkeyed; then key up at the fixed place and read the carrier and its harmonics as the analyser shows them.',
    radioSettings: [SETTINGS.antenna, SETTINGS.toneOff, SETTINGS.dualWatchOff],
    cautions: CAUTIONS,
  })
}

function evaluate(step: Step, context: StationContext): StepResult {
  const read = (id: string) => context.figure(step.set.id, step.id, id)
  return evaluateSlots(step, context, {
    summary: summaryOf,
    slot: slot => {
      const carrier = read('x1')
      const figure = read(slot.id)
      if (!figure) return openSlot(step, slot, context)
      if (slot.id.startsWith('a') || slot.id === 'x1')
        return observedFigure(slot, figure, { words: slot.id === 'x1' ? 'the carrier' : 'unkeyed' }, context)
      const ambient = read(`a${slot.id.slice(1)}`)
      const above = ambient ? figure.value - ambient.value : null
      const notes =
        above !== null && above < AMBIENT_DB
          ? [`Only ${printDb(above)} above what was there unkeyed: it may be another’s.`]
          : []
      return observedFigure(
        slot,
        figure,
        {
          words: carrier
            ? `${above !== null && above < AMBIENT_DB ? 'at most ' : ''}${printDbc(figure.value - carrier.value)}`
            : 'carrier not read yet',
          notes,
        },
        context,
      )
    },
  })
}

function summaryOf(slots: readonly SlotResult[]): { verdict: Verdict; words: string } | null {
  const strongest = strongestOf(slots)
  return (
    strongest && {
      verdict: verdictWithout('observation', null),
      words: `${strongest.words} at ${strongest.slot.label}`,
    }
  )
}

/** The strongest harmonic against the carrier; null before both are read. */
function strongestOf(slots: readonly SlotResult[]): SlotResult | null {
  const carrier = slots.find(({ slot }) => slot.id === 'x1')
  const harmonics = slots.filter(result => /^x[2-9]/.test(result.slot.id) && isRead(result))
  return carrier?.figure && harmonics.length > 0
    ? harmonics.reduce((a, b) => (b.figure!.value > a.figure!.value ? b : a))
    : null
}

/** The strongest harmonic off the air of a step against its carrier, dBc; null before it is read. */
export function offAirDbc(result: StepResult): number | null {
  const strongest = strongestOf(result.slots)
  const carrier = result.slots.find(({ slot }) => slot.id === 'x1')?.figure
  return strongest?.figure && carrier ? strongest.figure.value - carrier.value : null
}

function answer(_question: { id: string }, set: RadioSet, context: StationContext): StationAnswer {
  const results = plan(set, context).map(step => evaluate(step, context))
  const worst = results
    .flatMap(result => {
      const dbc = offAirDbc(result)
      return dbc === null ? [] : [{ result, dbc }]
    })
    .sort((a, b) => b.dbc - a.dbc)[0]
  if (!worst) return answerSteps(results, { without: 'Nothing is planned for this set.' })
  const control = context.review.sets
    .filter(({ role, id }) => role === 'control' && id !== set.id)
    .flatMap(other => plan(other, context))
    .filter(({ channel }) => Math.abs(channel.frequencyHz / worst.result.step.channel.frequencyHz - 1) < 0.05)
    .flatMap(step => offAirDbc(evaluate(step, context)) ?? [])
  const beside =
    control.length > 0 ? `; the control radio shows ${printDbc(Math.max(...control))} at the same place` : ''
  return {
    verdict: verdictWithout('observation', null),
    words: worst.result.words,
    detail: `${worst.result.step.band.name}, compared only${beside}`,
    governs: { step: worst.result.step, slotId: 'x1' },
    each: [],
    results,
  }
}

/**
 * Off-air comparison: what leaves the supplied antenna at the harmonics, beside other radios at the same
 * place. Never a verdict.
 */
export const offAirStation = Object.freeze({
  id: OFF_AIR_ID,
  version: 1,
  title: 'Off-air comparison',
  order: 5.5,
  readingSchema: takenSchema,
  optional: true,
  judgedBy: [],
  plan,
  evaluate,
  answer,
  checks: () => [],
  questions: () => [
    {
      id: 'off-air',
      stationId: OFF_AIR_ID,
      question: 'What leaves its own antenna beside the carrier?',
      detail: 'off the air at a fixed place: compared, never judged',
      against: 'limits' as const,
      bandName: null,
      yardstick: false,
    },
  ],
} as const satisfies Station)
