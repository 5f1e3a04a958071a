import type { OutgoingWords } from './outgoingWords'
import { madeSentences, type Sheet } from '../sheet'

/** What stands under a video about a model: plain text, nothing in it that a platform would turn into markup. */
export function videoDescription(sheet: Sheet, { mark, closing = '' }: OutgoingWords): string {
  const { title, subtitle, stamp, said, ownWords, lines, law, measured, notCovered } = sheet
  return [
    `${title}: ${subtitle}.`,
    ownWords ?? madeSentences({ said }),
    ['May I key it?', ...lines.map(line => `– ${line.label}: ${line.words}. ${line.because}`), law].join(
      '\n',
    ),
    `How it was measured: ${measured}`,
    `Not covered: ${notCovered}`,
    [
      stamp[0] ?? '',
      mark === ''
        ? ''
        : `Publication ${mark}: the review file that goes with it can be checked figure by figure.`,
      'Measured with Rigorous Meter.',
    ]
      .filter(Boolean)
      .join('\n'),
    closing.trim(),
  ]
    .filter(Boolean)
    .join('\n\n')
    .concat('\n')
}
