import MarkdownIt from 'markdown-it'
import { describe, expect, it } from 'vitest'
import { verdictWithout } from '#core/decision'
import { type ReportBlock, textCell, toMarkdown } from '#core/document'
import { plain } from '../../support/results'

const documentOf = (...blocks: ReportBlock[]) =>
  toMarkdown({
    ...{ title: 'A *review*', subtitle: 'somebody', footer: 'the foot' },
    sections: [{ id: 'one', title: 'Section <one>', blocks }],
  })

/** CommonMark with tables, by another program. */
const html = (text: string) => new MarkdownIt({ html: true }).render(text)

describe('a document as Markdown', () => {
  it('keeps what stands in names from being markup', () => {
    const read = html(documentOf({ kind: 'paragraph', text: '_a_ | [b](c) <img src=x> `d` # e' }))
    expect(read).toContain('<h1>A *review*</h1>')
    expect(read).toContain('<h2>Section &lt;one&gt;</h2>')
    expect(read).toContain('<p>_a_ | [b](c) &lt;img src=x&gt; `d` # e</p>')
  })

  it('a table stays one, whatever its cells hold', () => {
    const read = html(
      documentOf({
        ...{ kind: 'table', caption: 'Figures', widths: [1, 1] },
        head: [{ text: 'What' }, { text: 'Figure', align: 'right' }],
        rows: [[textCell('a | b\nc'), textCell('5 W')]],
      }),
    )
    expect(read.match(/<tr>/g)).toHaveLength(2)
    expect(read).toContain('<td>a | b c</td>')
    expect(read).toContain('text-align:right')
  })

  it('a strip is its margin with its range, to the digits of the range; without a margin it is empty', () => {
    const strip = (verdict: object) =>
      plain(
        documentOf({
          ...{ kind: 'table', caption: 'Figures', widths: [1], head: [{ text: 'Margin' }] },
          rows: [[{ kind: 'strip', verdict: { ...verdictWithout('outside', null), ...verdict } }]],
        }),
      ).split('\n')
    const row = (verdict: object) => strip(verdict)[strip(verdict).indexOf('| --- |') + 1]
    expect(row({ margin: -7.04, range: 2.3, unit: 'dB' })).toBe('| −7.0 ±2.3 dB |')
    expect(row({ margin: -0.17, range: 0.021, unit: 'Ah' })).toBe('| −0.170 ±0.021 Ah |')
    expect(row({ margin: 130, range: 48, unit: 'Hz' })).toBe('| +130 ±48 Hz |')
    expect(row({ margin: null })).toBe('|  |')
  })
})
