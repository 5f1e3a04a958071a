export type { ReportBlock, ReportCell, ReportDocument, ReportSection } from './model'
export { blockLines } from './blockLines'
export { toMarkdown } from './toMarkdown'
export { numberCell, textCell } from './cells'
