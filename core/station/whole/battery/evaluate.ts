import { type Context, perStep } from '../../../context'
import { decide, marginWords, verdictWithout } from '../../../decision'
import {
  answerSteps,
  evaluateSlots,
  figureIn,
  NOTHING,
  observedFigure,
  openSlot,
  type StationAnswer,
  workedOutFigure,
} from '../../../judging'
import { printNumber, printPlusMinus, UNIT_SPACE } from '../../../quantity'
import type { FigureReading, RadioSet } from '../../../review'
import type { ClaimJudgement, Found, Slot, SlotResult, Step, StepResult } from '../../../step'
import type { StationQuestion } from '../../contract'
import { openDerived } from '../../derivedResult'
import { chargeOf, labelledAh, labelledWh, measuredCapacity } from './capacity'
import { readCurrents, stateCurrents } from './currents'
import { efficiencyOf } from './efficiency'
import { lifeOf, meanCurrent } from './life'
import { ammeterOf, dutiesOf, type NamedDuty, USUAL_DUTIES } from './memo'
import { planBattery } from './plan'
import { batteryQuestions } from './questions'

/** The question about the pack; the other one is how long it lasts. */
export const HOLDS_LABEL = 'holds-label'

/** Works out one set: its currents, its capacity, and how long a charge lasts. */
export const evaluateBattery = perStep((step: Step, context: Context): StepResult => {
  return evaluateSlots(step, {
    slot: slot => slotResult(step, slot, context),
    ask: slots => batteryQuestions(step, slots, context),
    summary: slots => {
      const leading = [slots.find(isCapacity), slots.find(isUsualLife)].find(one => one?.found)
      return leading ? { verdict: leading.verdict, words: leading.words } : null
    },
  })
})

const isCapacity = ({ slot }: SlotResult) => slot.kind.is === 'capacity'
const isUsualLife = ({ slot }: SlotResult) => slot.id === USUAL_DUTIES[0]!.id

function slotResult(step: Step, slot: Slot, context: Context): SlotResult {
  switch (slot.kind.is) {
    case 'efficiency':
      return efficiencyResult(step, slot, context)
    case 'capacity':
      return capacityResult(step, slot, context)
    case 'life':
      return lifeResult(step, slot, context)
    case 'by-weight':
      return densityResult(step, slot, { sizeSlot: 'weight', perUnit: 'Wh/kg', what: 'weight' }, context)
    case 'by-volume':
      return densityResult(step, slot, { sizeSlot: 'volume', perUnit: 'Wh/l', what: 'volume' }, context)
    default:
      return typedResult(step, slot, context)
  }
}

function typedResult(step: Step, slot: Slot, context: Context): SlotResult {
  const figure = figureIn(step, slot, context)
  return figure ? observedFigure(slot, figure, { words: 'as read' }, context) : openSlot(step, slot, context)
}

interface Observed {
  found: Found
  reading: FigureReading
  words: string
  notes: readonly string[]
}

function observed(slot: Slot, { found, reading, words, notes }: Observed): SlotResult {
  const verdict = verdictWithout('observation', null)
  return { ...NOTHING, slot, state: 'read', reading, found, verdict, words, notes: [...notes] }
}

function efficiencyResult(step: Step, slot: Slot, context: Context): SlotResult {
  if (context.skipReason(step) !== null) return openSlot(step, slot, context)
  const efficiency = efficiencyOf(step, context)
  return efficiency
    ? observed(slot, { ...efficiency, words: 'of the supply leaves the socket', notes: [efficiency.words] })
    : openDerived(slot, 'Not known', 'Volts and amperes while keyed, and the carrier’s power at that level.')
}

function capacityResult(step: Step, slot: Slot, context: Context): SlotResult {
  if (context.skipReason(step) !== null) return openSlot(step, slot, context)
  const measured = measuredCapacity(step, context)
  if (!measured)
    return openDerived(slot, 'Not measured', 'A discharge: its mean current and its time, or its log.')
  const { found, reading, words } = measured
  const claim = againstLabel(found, step.set, context)
  const seen = observed(slot, { found, reading, words: 'the label says none', notes: [words] })
  return claim ? { ...seen, claim, verdict: claim.verdict, words: claim.words } : seen
}

/** What was measured against what the label claims: as much or more. */
function againstLabel(found: Found, { battery }: RadioSet, context: Context): ClaimJudgement | null {
  const labelAh = labelledAh(battery)
  if (labelAh === null) return null
  const verdict = decide({
    value: found.value,
    limit: labelAh,
    direction: 'lower',
    errors: context.distributions.of(found.budget.contributions),
    rule: context.review.settings.decisionRule,
    unit: 'Ah',
  })
  const claimedWords = `${printNumber(labelAh, 2)}${UNIT_SPACE}Ah`
  return { claimedWords, limit: labelAh, verdict, words: labelWords(claimedWords, verdict) }
}

function labelWords(claimedWords: string, verdict: ReturnType<typeof decide>): string {
  switch (verdict.state) {
    case 'inside':
      return `Holds the ${claimedWords} of its label`
    case 'outside':
      return `Short of its label by ${marginWords(verdict)}`
    default:
      return `Can’t tell from the ${claimedWords} of its label`
  }
}

function lifeResult(step: Step, slot: Slot, context: Context): SlotResult {
  if (context.skipReason(step) !== null) return openSlot(step, slot, context)
  const duty = dutiesOf(context).find(({ id }) => id === slot.kind.duty)
  const known = stateCurrents(step, readCurrents(step, context))
  const charge = chargeOf(step, step.set, context)
  if (!duty || !known)
    return openDerived(slot, 'Not known', 'Three currents: waiting, receiving with audio, keyed.')
  if (!charge) return openDerived(slot, 'Not known', 'A capacity: on the card’s label, or by a discharge.')
  const { currents, keyed, saver, latest } = known
  const { hours, own } = lifeOf(charge, currents, duty, ammeterOf(context))
  const found = workedOutFigure({ value: hours, unit: 'h', own }, context)
  return observed(slot, {
    found,
    reading: latest,
    words: `${printNumber(hours, 1)}${UNIT_SPACE}h ${printPlusMinus(found.budget.range, 'h')} on a charge`,
    notes: [
      `${charge.words}; ${dutyWords(duty)}, ${keyed.label.toLowerCase()}, ` +
        `${saver ? 'saver on while it waits' : 'saver off while it waits'}.`,
      shareWords(currents, duty),
      'Counted at the currents that were read; cold, age and a cut-off before the pack is empty take from it.',
    ],
  })
}

function dutyWords({ transmitPercent, audioPercent }: NamedDuty): string {
  return `${transmitPercent} % keyed, ${audioPercent} % receiving, the rest waiting`
}

function shareWords(currents: Parameters<typeof meanCurrent>[0], duty: NamedDuty): string {
  const { transmitA, audioA, waitsA, meanA } = meanCurrent(currents, duty)
  const share = (amperes: number) => `${Math.round((100 * amperes) / meanA)} %`
  return (
    `Of the charge ${share(transmitA)} goes into transmitting, ${share(audioA)} into receiving, ` +
    `${share(waitsA)} into waiting.`
  )
}

interface DensityOf {
  sizeSlot: 'weight' | 'volume'
  perUnit: 'Wh/kg' | 'Wh/l'
  what: string
}

function densityResult(
  step: Step,
  slot: Slot,
  { sizeSlot, perUnit, what }: DensityOf,
  context: Context,
): SlotResult {
  if (context.skipReason(step) !== null) return openSlot(step, slot, context)
  const size = figureIn(step, { id: sizeSlot }, context)
  const energyWh = labelledWh(step.set.battery)
  if (!size || energyWh === null)
    return openDerived(slot, 'Not known', `The label’s watt-hours, and the pack’s ${what}.`)
  const value = (1000 * energyWh) / size.seen.value
  const found = workedOutFigure(
    {
      value,
      unit: perUnit,
      own: [
        {
          id: 'digit',
          group: 'resolution',
          label: `Last digit of the ${what}`,
          distribution: 'rectangular',
          halfWidth: (value * size.seen.resolution) / 2 / size.seen.value,
        },
      ],
    },
    context,
  )
  return observed(slot, { found, reading: size, words: 'by its label', notes: [] })
}

/** Sums up one set: its pack against the label, or how long a charge lasts. */
export function answerBattery(question: StationQuestion, set: RadioSet, context: Context): StationAnswer {
  const results = planBattery(set, context).map(step => evaluateBattery(step, context))
  const wanted = question.id === HOLDS_LABEL ? isCapacity : isUsualLife
  const only = results.flatMap(result => {
    const slots = result.slots.filter(wanted)
    return slots.length > 0 ? [{ ...result, slots }] : []
  })
  const answer = answerSteps(only, { without: 'This set has no battery of its own.' })
  return { ...answer, results }
}
