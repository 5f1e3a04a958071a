import { spacingOf } from '../../../band'
import { type Context, perStep } from '../../../context'
import { claimsFor } from '../../../hearing'
import { evaluateSlots, figureIn, observedFigure, observedLevel, openSlot } from '../../../judging'
import { printDb, printDbm, printFrequencyShort, printHz, printSigned } from '../../../quantity'
import type { Question, Slot, SlotResult, Step, StepResult } from '../../../step'
import { judgedDerived, openDerived } from '../../derivedResult'
import { asLowerBound, ceilingWords } from '../lowerBound'
import { type School, SCHOOLS, SIDES } from './plan'
import { lowerOf, rejectionOf, rejectionsOf } from './rejection'

/** A carrier that is just heard is known by ear to this, dB (common practice, no source). */
const BY_EAR_DB = 3

/** Steps of a walk-off, Hz, and the offset by which a signal is to be gone (common practice, no source). */
const WALK_STEP_HZ = 5_000
const WALK_CRITERION_HZ = 15_000

/** Rejections further apart than this with more pad in front were the generators’ own, dB. */
const SAME_DB = 1.5

/** Works out one step: each side by each school, and the lower of both. */
export const evaluateNeighbour = perStep((step: Step, context: Context): StepResult => {
  return evaluateSlots(step, {
    slot: slot => slotResult(step, slot, context),
    ask: () => questionsOf(step, context),
    summary: slots => {
      const judged = slots.find(({ slot, state }) => slot.kind.is === 'rejection' && state === 'read')
      return judged ? { verdict: judged.verdict, words: judged.words } : null
    },
  })
})

function slotResult(step: Step, slot: Slot, context: Context): SlotResult {
  switch (slot.kind.is) {
    case 'rejection':
      return rejectionResult(step, slot, context)
    case 'interferer':
    case 'pads':
      return sideResult(step, slot, context)
    case 'through':
      return observedLevel(
        step,
        slot,
        ({ value }) => `${printDbm(value)}, to ±${BY_EAR_DB} dB by ear: compares sets`,
        context,
      )
    default:
      return walkResult(step, slot, context)
  }
}

function sideResult(step: Step, slot: Slot, context: Context): SlotResult {
  const side = rejectionOf(step, slot, context)
  const words = side
    ? `${side.ceiling.isLowerBound ? 'at least ' : ''}${printDb(side.found.value)} above what it counts from`
    : 'not worked out'
  return observedLevel(step, slot, () => words, context)
}

function rejectionResult(step: Step, slot: Slot, context: Context): SlotResult {
  if (context.skipReason(step) !== null) return openSlot(step, slot, context)
  const school = slot.kind.school as School
  const { title, method, wanted, until } = SCHOOLS[school]
  const sides = rejectionsOf(step, school, context)
  const lower = lowerOf(sides)
  if (!lower) return openDerived(slot, 'Not measured', `Wanted at ${wanted}, interferer up until ${until}.`)
  const reading = context.readingsOf(step).get(lower.slot.id) ?? null
  const notes = [
    `${title}: the lower of ` +
      `${sides.length === 2 ? 'both sides' : 'one side; the other is still to be read'}, ${lower.slot.label}.`,
    ...(lower.ceiling.isLowerBound ? [] : [ceilingWords(lower.ceiling)]),
    'Comparable only with figures of the same school.',
  ]
  const result = judgedDerived(
    step,
    { slot, found: lower.found, reading, notes },
    {
      claim: school === 'tia' ? claimsFor(step.band, 'selectivity', step.band.channelSpacingHz) : null,
      subject: { about: 'adjacent-selectivity', method },
      wordsWithout: `${printDb(lower.found.value)} by ${title}`,
    },
    context,
  )
  return lower.ceiling.isLowerBound ? asLowerBound(result, lower) : result
}

function walkResult(step: Step, slot: Slot, context: Context): SlotResult {
  const figure = figureIn(step, slot, context)
  if (!figure) return openSlot(step, slot, context)
  const awayHz = figure.seen.value
  const verdict = awayHz <= WALK_CRITERION_HZ ? 'gone within' : 'still there at'
  const words = `${printHz(awayHz, 3)} away, ± half a step: ${verdict} ${printFrequencyShort(WALK_CRITERION_HZ)}`
  const middle = ownErrorHz(step, context)
  return observedFigure(
    slot,
    figure,
    {
      words,
      notes: middle === null ? [] : [ownErrorWords(middle)],
      own: [
        {
          id: 'walk-step',
          group: 'stepping',
          label: 'Half a step of the walk',
          distribution: 'rectangular',
          halfWidth: WALK_STEP_HZ / 2,
        },
      ],
    },
    context,
  )
}

/** The middle of both sides of a walk-off, Hz from the channel: the receiver’s own frequency error. */
export function ownErrorHz(step: Step, context: Context): number | null {
  const [below, above] = SIDES.map(({ id }) => figureIn(step, { id: `walk-${id}` }, context)?.seen.value)
  return below === undefined || above === undefined ? null : (above - below) / 2
}

function ownErrorWords(middleHz: number): string {
  return (
    `The middle of both sides is ${printSigned(middleHz, 0)} Hz from the channel: ` +
    `the receiver’s own frequency error, to ±${printFrequencyShort(WALK_STEP_HZ / 2)}.`
  )
}

function questionsOf(step: Step, context: Context): Question[] {
  const padSlot = step.slots.find(({ kind }) => kind.is === 'pads')
  const again = padSlot && rejectionOf(step, padSlot, context)
  const before = rejectionsOf(step, 'tia', context).find(({ side }) => side === 'upper')
  const questions: Question[] = []
  if (again && before && again.found.value - before.found.value > SAME_DB)
    questions.push({
      slotId: 'pads',
      words:
        'With more pad in front of the combiner the rejection is ' +
        `${printDb(again.found.value - before.found.value)} better: ` +
        'the generators make products in each other. Keep the pads and read both sides again.',
    })
  const sides = rejectionsOf(step, 'tia', context)
  if (sides.length === 2 && Math.abs(sides[0]!.found.value - sides[1]!.found.value) > 10)
    questions.push({
      slotId: sides[0]!.slot.id,
      words:
        'Both sides differ by ' +
        `${printDb(Math.abs(sides[0]!.found.value - sides[1]!.found.value))}: ` +
        `is the receiver on frequency, are both generators, at ${printFrequencyShort(spacingOf(step.band))}?`,
    })
  return questions
}
