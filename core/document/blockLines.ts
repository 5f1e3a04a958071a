import type { ReportBlock } from './model'

/** Lines a drawing is as high as. */
const PLOT_LINES = 14

/** Lines that a block takes at least, its head and caption counted: a measure of its length on any medium. */
export function blockLines(block: ReportBlock): number {
  switch (block.kind) {
    case 'paragraph':
      return 1
    case 'list':
      return block.items.length
    case 'facts':
      return block.rows.length
    case 'plot':
    case 'picture':
      return PLOT_LINES
    case 'table':
      return block.rows.length + 2
  }
}
