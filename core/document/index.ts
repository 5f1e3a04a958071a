export type { ReportBlock, ReportCell, ReportDocument, ReportSection } from './model'
export { blockLines } from './blockLines'
export { numberCell, textCell } from './cells'
