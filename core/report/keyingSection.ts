import type { Context } from '../context'
import { verdictWithout } from '../decision'
import { type ReportCell, type ReportSection, textCell } from '../document'
import { findingsOrder, KEYING_CAUTION, KEYING_WORDS, mayIKey, type MayIKey } from '../findings'
import { setShortName } from '../review'

/** May each radio be keyed, band by band, as far as what was measured goes. */
export function keyingSection(context: Context): ReportSection {
  const answers = findingsOrder(context.review.sets).flatMap(set => mayIKey(set, context))
  return {
    id: 'keying',
    title: 'May I key it?',
    blocks: [
      ...(answers.length > 0
        ? [
            {
              kind: 'table' as const,
              caption: 'By the verdicts against limits; what was not measured is not clean',
              widths: [18, 12, 24, 46],
              head: [{ text: 'Radio' }, { text: 'Band' }, { text: 'Answer' }, { text: 'Because' }],
              rows: answers.map(rowOf),
            },
          ]
        : [{ kind: 'paragraph' as const, text: 'No radio has a band yet.' }]),
      { kind: 'paragraph', text: KEYING_CAUTION },
    ],
  }
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
