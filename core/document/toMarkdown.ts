import type { Verdict } from '../decision'
import { printNumber, printSigned, UNIT_SPACE } from '../quantity'
import type { ReportBlock, ReportCell, ReportDocument } from './model'

/** A document as Markdown with tables, as forums and repositories read it; nothing added and nothing left out. */
export function toMarkdown({ title, subtitle, footer, sections }: ReportDocument): string {
  const parts = [
    `# ${line(title)}`,
    ...(subtitle ? [line(subtitle)] : []),
    ...sections.flatMap(section => [`## ${line(section.title)}`, ...section.blocks.map(blockText)]),
    '---',
    line(footer),
  ]
  return `${parts.filter(part => part !== '').join('\n\n')}\n`
}

function blockText(block: ReportBlock): string {
  switch (block.kind) {
    case 'paragraph':
      return line(block.text)
    case 'list':
      return block.items.map(item => `- ${line(item)}`).join('\n')
    case 'facts':
      return block.rows.map(([label, value]) => `- **${line(label)}**: ${line(value)}`).join('\n')
    case 'picture':
      return `*Picture*: ${line(block.caption)}.`
    case 'plot':
      return `*${line(block.plot.title)}*: ${line(block.plot.subtitle)}.`
    case 'table':
      return [
        `**${line(block.caption)}**`,
        '',
        rowText(block.head.map(({ text }) => text)),
        rowText(
          block.head.map(({ align }) => (align === 'right' ? '---:' : '---')),
          String,
        ),
        ...block.rows.map(cells => rowText(cells.map(cellText))),
      ].join('\n')
  }
}

function rowText(cells: readonly string[], escape: (text: string) => string = line): string {
  return `| ${cells.map(escape).join(' | ')} |`
}

function cellText(one: ReportCell): string {
  switch (one.kind) {
    case 'text':
      return one.text
    case 'verdict':
      return one.words
    case 'strip':
      return marginText(one.verdict)
  }
}

/** What a strip draws: how far inside (+) or outside (−), and what is left open. */
function marginText({ margin, range, unit }: Verdict): string {
  if (margin === null) return ''
  const decimals = unit === 'dB' ? 1 : decimalsFor(range ?? margin)
  const open = range === null ? '' : ` ±${printNumber(range, decimals)}`
  return `${printSigned(margin, decimals)}${open}${UNIT_SPACE}${unit}`
}

/** Two digits of what is left open, none after the point where that is large. */
function decimalsFor(size: number): number {
  const digits = 1 - Math.floor(Math.log10(Math.max(Math.abs(size), 1e-9)))
  return Math.min(4, Math.max(0, digits))
}

/** What would be markup in running text stays text. */
const line = (text: string): string => text.replace(/([\\`*_[\]<>#|])/g, '\\$1').replace(/\s*\n\s*/g, ' ')
