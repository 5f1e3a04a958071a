import { worstVerdict } from '../decision'
import { printMhz } from '../quantity'
import { isRead, type SlotResult, type StepResult } from '../step'
import { noAnswer, type StationAnswer, sumByRulebook } from './answer'

/** How the steps of one set are summed up. */
export interface SummingUp {
  /** Why there is none where nothing is planned. */
  without: string
  /** Slot whose figure stands for the rest where none is judged. */
  lead?: string
}

/** Sums up steps of one set: the worst of the slots that were read, and what is still missing. */
export function answerSteps(results: StepResult[], summing: SummingUp): StationAnswer {
  if (results.length === 0) return noAnswer('not-on-set', { why: summing.without, words: 'Not on this set' })
  const members = results.flatMap(result =>
    result.slots
      .filter(isRead)
      .map(slot => ({ member: { result, slot }, verdict: slot.verdict, id: slot.slot.id })),
  )
  if (members.length === 0) return unread(results)
  const judged = members.filter(
    ({ verdict }) => verdict.state !== 'observation' && verdict.state !== 'no-figure',
  )
  const leading = members.filter(({ id }) => id === summing.lead)
  const worst = worstVerdict([judged, leading, members].find(({ length }) => length > 0)!)!
  const { result, slot } = worst.governs
  const open = results.filter(({ progress }) => progress.read < progress.possible).length
  return {
    verdict: worst.verdict,
    words: slot.words,
    gap: null,
    results,
    governs: { step: result.step, slotId: slot.slot.id },
    detail: [whereOf(result, slot), ...(open > 0 ? [`${open} of ${results.length} not finished`] : [])].join(
      '; ',
    ),
    each: sumByRulebook(members.flatMap(({ member }) => member.slot.each)),
  }
}

function whereOf({ step }: StepResult, { slot }: SlotResult): string {
  switch (step.covers) {
    case 'channel':
      return `${slot.label}, ${step.band.name}, ${printMhz(step.channel.frequencyHz)}`
    case 'band':
      return `${slot.label}, ${step.band.name}`
    case 'set':
      return slot.label
  }
}

function unread(results: StepResult[]): StationAnswer {
  const skipped = results.flatMap(({ slots }) => slots).find(isLeftOut)
  if (!skipped)
    return noAnswer('open', {
      why: 'Not measured yet.',
      words: 'Not measured',
      detail: `${results.length} to measure`,
      results,
    })
  const why = skipped.verdict.why ?? ''
  return noAnswer('left-out', { why, words: skipped.words, detail: why, results })
}

function isLeftOut({ state }: SlotResult): boolean {
  return state === 'left-out'
}
