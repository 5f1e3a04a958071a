import type { ReportBlock, ReportDocument, ReportSection } from '#core/document'

/** More rows than this are laid out part by part: the whole would not fit into memory. */
const ROWS_A_PART = 1500

/** The sections of a report in parts of some rows each; long sections are cut between blocks. */
export function pdfParts({ sections }: ReportDocument): ReportSection[][] {
  const parts: ReportSection[][] = [[]]
  let rows = 0
  for (const section of sections)
    for (const [index, block] of section.blocks.entries()) {
      if (rows > ROWS_A_PART) {
        parts.push([])
        rows = 0
      }
      rows += rowsOf(block)
      const part = parts.at(-1)!
      const last = part.at(-1)
      if (last?.id === section.id) last.blocks.push(block)
      else {
        // A part begins on a page of its own anyway.
        const newPage = part.length > 0 && index === 0 ? section.newPage : undefined
        part.push({ ...section, newPage, title: index === 0 ? section.title : '', blocks: [block] })
      }
    }
  return parts
}

function rowsOf(block: ReportBlock): number {
  switch (block.kind) {
    case 'paragraph':
      return 1
    case 'list':
      return block.items.length
    default:
      return block.rows.length + 2
  }
}
