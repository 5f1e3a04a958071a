export type { ReportBlock, ReportCell, ReportDocument, ReportSection } from './model'
export { buildReport, type ReportStamp } from './buildReport'
export { readingsCsv } from './readingsCsv'
