import { verdictWithout, worstVerdict } from '../../decision'
import { printMhz } from '../../quantity'
import type { SlotResult, StationAnswer, StepResult } from '../contract'
import { isRead } from './plainSlots'

/**
 * Sums up steps of one set: the worst of the slots that were read, and what is still missing.
 * @param of.lead - slot whose figure stands for the rest where none is judged.
 */
export function answerSteps(
  results: StepResult[],
  of: { without: string; pick?: (slot: SlotResult) => boolean; lead?: string },
): StationAnswer {
  if (results.length === 0)
    return {
      verdict: verdictWithout('not-covered', of.without),
      words: 'Not on this set',
      detail: '',
      governs: null,
      each: [],
      results,
    }
  const members = results.flatMap(result =>
    result.slots
      .filter(slot => isRead(slot) && (of.pick?.(slot) ?? true))
      .map(slot => ({ member: { result, slot }, verdict: slot.verdict })),
  )
  const open = results.filter(({ progress }) => progress.read < progress.possible).length
  if (members.length === 0) {
    const skipped = results.flatMap(({ slots }) =>
      slots.filter(({ words }) => words === 'Left out').map(({ verdict }) => verdict),
    )[0]
    return {
      verdict: skipped ?? verdictWithout('not-covered', 'Not measured yet.'),
      words: skipped ? 'Left out' : 'Not measured',
      detail: skipped?.why ?? `${results.length} to measure`,
      governs: null,
      each: [],
      results,
    }
  }
  const judged = members.filter(
    ({ verdict }) => verdict.state !== 'observation' && verdict.state !== 'no-figure',
  )
  const leading = members.filter(({ member }) => member.slot.slot.id === of.lead)
  const worst = worstVerdict(judged.length > 0 ? judged : leading.length > 0 ? leading : members)!
  const { result, slot } = worst.governs
  return {
    verdict: worst.verdict,
    words: slot.words,
    results,
    governs: { step: result.step, slotId: slot.slot.id },
    detail: [
      `${slot.slot.label}, ${result.step.band.name}, ${printMhz(result.step.channel.frequencyHz)}`,
      ...(open > 0 ? [`${open} of ${results.length} not finished`] : []),
    ].join('; '),
    each: eachRulebook(members.map(({ member }) => member.slot)),
  }
}

function eachRulebook(slots: readonly SlotResult[]): StationAnswer['each'] {
  const judged = slots.flatMap(({ each }) => each)
  const titles = [...new Set(judged.map(({ limit }) => limit.rulebook.title))]
  return titles.length < 2
    ? []
    : titles.map(title => {
        const worst = worstVerdict(
          judged
            .filter(({ limit }) => limit.rulebook.title === title)
            .map(member => ({ member, verdict: member.verdict })),
        )!
        return { title, verdict: worst.verdict, words: worst.governs.words }
      })
}
