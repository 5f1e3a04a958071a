export {
  buildReport,
  reportInSlices,
  reportOutline,
  type ReportOutline,
  type ReportStamp,
} from './buildReport'
export { readingsCsv } from './readingsCsv'
