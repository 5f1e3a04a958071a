import { expose } from 'comlink'
import { createContext } from '#core/context'
import { toMarkdown } from '#core/document'
import { buildReport, readingsCsv, reportInSlices, type ReportStamp } from '#core/report'
import type { Review } from '#core/review'
import { makePdf } from '~/report/makePdf'

/** Share of the work that putting the report together is; setting it in pages is the rest. */
const TOGETHER = 0.3

const api = {
  /** The readings of a review as CSV. */
  csv: (review: Review): string => readingsCsv(createContext(review)),

  /** The report of a review as Markdown. */
  markdown: (review: Review, stamp: ReportStamp): string =>
    toMarkdown(buildReport(createContext(review), stamp)),

  /** The report of a review as a PDF. @param onProgress - told how much is done, 0 to 1. */
  async pdf(review: Review, stamp: ReportStamp, onProgress: (share: number) => void): Promise<Blob> {
    const work = reportInSlices(createContext(review), stamp)
    let told = 0
    for (;;) {
      const step = work.next()
      if (step.done) return makePdf(step.value, share => onProgress(TOGETHER + (1 - TOGETHER) * share))
      if (step.value > told + 0.02) onProgress(TOGETHER * (told = step.value))
    }
  },
}

export type PaperWorker = typeof api

expose(api)
