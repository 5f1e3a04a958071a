import { KEYING_CAUTION, KEYING_WORDS, type KeyingState } from '#core/findings'
import { toMarkdown, textCell } from '#core/document'
import type { Judgement } from './commands/judge'

/** A judgement as Markdown: may it be keyed, and every answer, radio by radio. */
export function judgementMarkdown({ review, sets }: Judgement): string {
  return toMarkdown({
    title: review.title,
    subtitle: '',
    footer: KEYING_CAUTION,
    sections: sets.map(({ name, keying, answers }) => ({
      id: name,
      title: name,
      blocks: [
        {
          kind: 'list',
          items: keying.map(
            ({ band, state, because }) =>
              `May I key it on ${band}? ${KEYING_WORDS[state as KeyingState].words}. ${because.join('. ')}`,
          ),
        },
        {
          kind: 'table',
          caption: 'Findings',
          widths: [1, 1, 1],
          head: [{ text: 'Question' }, { text: 'Finding' }, { text: 'Where' }],
          rows: answers.map(({ question, words, detail }) => [
            textCell(question),
            textCell(words),
            textCell(detail),
          ]),
        },
      ],
    })),
  })
}
