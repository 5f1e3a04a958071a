import type { Context } from '../context'
import { verdictWithout } from '../decision'
import { type ReportBlock, type ReportCell, type ReportSection, textCell } from '../document'
import { findingsOrder, KEYING_CAUTION, KEYING_WORDS, mayIKey, type MayIKey } from '../findings'
import { type RadioSet, setShortName } from '../review'

/** Up to so many radios are answered for in one table; of more each stands with its own section. */
const MOST_TOGETHER = 24

/** Whether the answers stand together, in a section of their own. */
export function keyedTogether(sets: readonly RadioSet[]): boolean {
  return sets.length <= MOST_TOGETHER
}

/** May each radio be keyed, band by band, as far as what was measured goes. */
export function keyingSection(context: Context): ReportSection {
  return {
    id: 'keying',
    title: 'May I key it?',
    blocks: keyingBlocks(findingsOrder(context.review.sets), context),
  }
}

/** The answers for some radios as a table, and the caution that goes with them. */
export function keyingBlocks(sets: readonly RadioSet[], context: Context): ReportBlock[] {
  const answers = sets.flatMap(set => mayIKey(set, context))
  return [
    answers.length > 0
      ? {
          kind: 'table',
          caption: 'May I key it? By the verdicts against limits; what was not measured is not clean',
          widths: [18, 12, 24, 46],
          head: [{ text: 'Radio' }, { text: 'Band' }, { text: 'Answer' }, { text: 'Because' }],
          rows: answers.map(rowOf),
        }
      : { kind: 'paragraph', text: 'No radio has a band yet.' },
    { kind: 'paragraph', text: KEYING_CAUTION },
  ]
}

function rowOf(answer: MayIKey): ReportCell[] {
  const { words, mark } = KEYING_WORDS[answer.state]
  return [
    textCell(setShortName(answer.set)),
    textCell(answer.band.name),
    { kind: 'verdict', verdict: verdictWithout(mark, null), words },
    textCell(becauseWords(answer)),
  ]
}

function becauseWords({ because, rulebooks, notLookedAt }: MayIKey): string {
  return [
    ...because.map(({ words }) => words),
    ...(notLookedAt.length > 0 ? [`Not looked at: ${notLookedAt.join(', ')}`] : []),
    `By ${rulebooks.join(', ')}`,
  ].join('. ')
}
