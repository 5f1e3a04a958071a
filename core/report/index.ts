export { buildReport, type ReportStamp } from './buildReport'
export { readingsCsv } from './readingsCsv'
