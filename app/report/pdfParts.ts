import { blockLines, type ReportDocument, type ReportSection } from '#core/document'

/** More lines than this are laid out part by part: the whole would not fit into memory. */
const LINES_A_PART = 2600

/** The sections of a report in parts of some lines each; long sections are cut between blocks. */
export function pdfParts({ sections }: ReportDocument): ReportSection[][] {
  const parts: ReportSection[][] = [[]]
  let lines = 0
  for (const section of sections)
    for (const [index, block] of section.blocks.entries()) {
      if (lines > LINES_A_PART) {
        parts.push([])
        lines = 0
      }
      lines += blockLines(block)
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
