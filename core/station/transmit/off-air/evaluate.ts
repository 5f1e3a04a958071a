import { type Context, perStep } from '../../../context'
import { verdictWithout } from '../../../decision'
import {
  answerSteps,
  evaluateSlots,
  figureIn,
  observedFigure,
  openSlot,
  type StationAnswer,
  type StepSummary,
} from '../../../judging'
import { printDb, printDbc } from '../../../quantity'
import type { FigureReading, RadioSet } from '../../../review'
import { isRead, type Slot, type SlotResult, type Step, type StepResult } from '../../../step'
import type { StationQuestion } from '../../contract'
import { planOffAir } from './plan'

/** A reading this near to the ambient sweep was there anyway, dB. */
const AMBIENT_DB = 6

/** Two carriers this near, as a share, are on the same band. */
const SAME_BAND = 0.05

/** Shows one step: each harmonic against the carrier, and what was there unkeyed. */
export const evaluateOffAir = perStep((step: Step, context: Context): StepResult => {
  return evaluateSlots(step, {
    summary: summaryOf,
    slot: slot => slotResult(step, slot, context),
  })
})

function slotResult(step: Step, slot: Slot, context: Context): SlotResult {
  const reading = figureIn(step, slot, context)
  if (!reading) return openSlot(step, slot, context)
  if (slot.kind.is === 'ambient') return observedFigure(slot, reading, { words: 'unkeyed' }, context)
  if (isCarrier(slot)) return observedFigure(slot, reading, { words: 'the carrier' }, context)
  return observedFigure(slot, reading, harmonicWords(step, slot, reading, context), context)
}

function harmonicWords(
  step: Step,
  slot: Slot,
  reading: FigureReading,
  context: Context,
): { words: string; notes: string[] } {
  const other = (wanted: (slot: Slot) => boolean) => {
    const found = step.slots.find(wanted)
    return found && figureIn(step, found, context)?.seen.value
  }
  const levelDbm = reading.seen.value
  const carrierDbm = other(isCarrier)
  const ambientDbm = other(({ kind }) => kind.is === 'ambient' && kind.n === slot.kind.n)
  const aboveDb = ambientDbm === undefined ? Infinity : levelDbm - ambientDbm
  const bound = aboveDb < AMBIENT_DB
  return {
    words:
      carrierDbm === undefined
        ? 'carrier not read yet'
        : `${bound ? 'at most ' : ''}${printDbc(levelDbm - carrierDbm)}`,
    notes: bound ? [`Only ${printDb(aboveDb)} above what was there unkeyed: it may be another’s.`] : [],
  }
}

function isCarrier({ kind }: Slot): boolean {
  return kind.is === 'keyed' && kind.n === 1
}

function summaryOf(slots: readonly SlotResult[]): StepSummary['summary'] {
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
  if (!carrierOf(slots)) return null
  const harmonics = slots.filter(
    result => result.slot.kind.is === 'keyed' && !isCarrier(result.slot) && isRead(result),
  )
  if (harmonics.length === 0) return null
  return harmonics.reduce((a, b) => (b.found!.value > a.found!.value ? b : a))
}

function carrierOf(slots: readonly SlotResult[]): SlotResult['found'] {
  return slots.find(({ slot }) => isCarrier(slot))?.found ?? null
}

/** The strongest harmonic off the air of a step against its carrier, dBc; null before it is read. */
export function offAirDbc({ slots }: StepResult): number | null {
  const strongest = strongestOf(slots)?.found
  const carrier = carrierOf(slots)
  return strongest && carrier ? strongest.value - carrier.value : null
}

/** Each harmonic above the carrier’s own line against the carrier, dBc, ×2 first; null where not read. */
export function offAirLines({ slots }: StepResult): (number | null)[] | null {
  const carrier = carrierOf(slots)
  if (!carrier) return null
  return slots
    .filter(({ slot }) => slot.kind.is === 'keyed' && !isCarrier(slot))
    .map(({ found }) => (found ? found.value - carrier.value : null))
}

/** Sums up one set: its strongest harmonic, beside the control radio’s at the same place. */
export function answerOffAir(_question: StationQuestion, set: RadioSet, context: Context): StationAnswer {
  const results = planOffAir(set, context).map(step => evaluateOffAir(step, context))
  const worst = results
    .flatMap(result => {
      const dbc = offAirDbc(result)
      return dbc === null ? [] : [{ result, dbc }]
    })
    .sort((a, b) => b.dbc - a.dbc)[0]
  if (!worst) return answerSteps(results, { without: 'Nothing is planned for this set.' })
  const { step } = worst.result
  const control = controlDbc(step, context)
  const beside = control === null ? '' : `; the control radio shows ${printDbc(control)} at the same place`
  return {
    verdict: verdictWithout('observation', null),
    words: worst.result.words,
    detail: `${step.band.name}, compared only${beside}`,
    gap: null,
    governs: { step, slotId: step.slots.find(isCarrier)!.id },
    each: [],
    results,
  }
}

/** What the control radio shows on the band of a step, dBc. */
function controlDbc(step: Step, context: Context): number | null {
  const found = context.review.sets
    .filter(({ role, id }) => role === 'control' && id !== step.set.id)
    .flatMap(other => planOffAir(other, context))
    .filter(({ channel }) => Math.abs(channel.frequencyHz / step.channel.frequencyHz - 1) < SAME_BAND)
    .flatMap(other => offAirDbc(evaluateOffAir(other, context)) ?? [])
  return found.length > 0 ? Math.max(...found) : null
}
