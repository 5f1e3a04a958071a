export type { ReportBlock, ReportCell, ReportDocument, ReportSection } from './model'
export { numberCell, textCell } from './cells'
