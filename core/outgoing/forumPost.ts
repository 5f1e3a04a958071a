import type { Context } from '../context'
import { type ReportBlock, type ReportDocument, textCell, toMarkdown } from '../document'
import { findings, type FindingsRow } from '../findings'
import { type Model, nameBeside, type RadioSet } from '../review'
import type { OutgoingWords } from './outgoingWords'
import { madeSentences, type Sheet } from '../sheet'

/** A post about a model in Markdown: what is said, may it be keyed, every answer, how it was measured. */
export function forumPost(model: Model, sheet: Sheet, given: OutgoingWords & { context: Context }): string {
  return toMarkdown(postOf(model, sheet, given))
}

function postOf(
  model: Model,
  sheet: Sheet,
  { context, mark, closing = '' }: OutgoingWords & { context: Context },
): ReportDocument {
  const { rows } = findings(context, model.sets)
  const { stamp, said, ownWords, lines, law, measured, notCovered, footer } = sheet
  return {
    title: sheet.title,
    subtitle: [sheet.subtitle, stamp[0]].filter(Boolean).join('; '),
    footer: [footer[0], mark === '' ? '' : `publication ${mark}`].filter(Boolean).join(', '),
    sections: [
      {
        id: 'said',
        title: 'What can be said',
        blocks: [
          {
            kind: 'paragraph',
            text: ownWords ?? madeSentences({ said }),
          },
        ],
      },
      {
        id: 'keying',
        title: 'May I key it?',
        blocks: [
          {
            kind: 'table',
            caption: 'Drawn from the verdicts; a measurement is no permission',
            widths: [1, 1, 2],
            head: [{ text: 'Band' }, { text: 'Answer' }, { text: 'Because' }],
            rows: lines.map(line => [textCell(line.label), textCell(line.words), textCell(line.because)]),
          },
          { kind: 'paragraph', text: law },
        ],
      },
      {
        id: 'answers',
        title: 'Figures',
        blocks: model.sets.map((set, i) => answersOf(set, i, { rows, sets: model.sets })),
      },
      {
        id: 'how',
        title: 'How',
        blocks: [
          { kind: 'paragraph', text: measured },
          { kind: 'paragraph', text: `Not covered: ${notCovered}` },
          ...(closing.trim() === '' ? [] : [{ kind: 'paragraph' as const, text: closing.trim() }]),
        ],
      },
    ],
  }
}

function answersOf(
  set: RadioSet,
  index: number,
  { rows, sets }: { rows: readonly FindingsRow[]; sets: readonly RadioSet[] },
): ReportBlock {
  const answered = rows
    .map(({ question, answers }) => ({ question, answer: answers[index]!.answer }))
    .filter(({ answer }) => answer.gap === null)
  return {
    kind: 'table',
    caption: nameBeside(set, sets),
    widths: [2, 2, 3],
    head: [{ text: 'Question' }, { text: 'Finding' }, { text: 'Where' }],
    rows: answered.map(({ question, answer }) => [
      textCell(question.question),
      textCell(answer.words),
      textCell(answer.detail),
    ]),
  }
}
