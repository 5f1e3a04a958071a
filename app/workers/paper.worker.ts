import { expose } from 'comlink'
import { createContext } from '#core/context'
import { toMarkdown } from '#core/document'
import { buildReport, readingsCsv, reportInSlices, type ReportStamp } from '#core/report'
import { forumPost, letterOfFindings, type OutgoingWords, videoDescription, webPage } from '#core/outgoing'
import { modelsOf, type Review } from '#core/review'
import { sheetOf } from '#core/sheet'
import { makePdf } from '~/report/makePdf'
import type { Pictures } from '~/report/pdfDefinition'

/** What outgoing papers are stamped with. */
export interface OutgoingStamp extends OutgoingWords {
  version: string
  at: string
}

/** Share of the work that putting the report together is; setting it in pages is the rest. */
const TOGETHER = 0.3

const api = {
  /** The readings of a review as CSV. */
  csv: (review: Review): string => readingsCsv(createContext(review)),

  /** The report of a review as Markdown. */
  markdown: (review: Review, stamp: ReportStamp): string =>
    toMarkdown(buildReport(createContext(review), stamp)),

  /** The report of a review as one page of HTML, with the review in it. */
  html: (review: Review, stamp: ReportStamp & { writtenAt: string }, pictures: Pictures): string =>
    webPage(createContext(review), stamp, pictures),

  /** A post about a model, in Markdown. */
  post(review: Review, modelKey: string, stamp: OutgoingStamp): string {
    const { model, sheet, context } = sheetFor(review, modelKey, stamp)
    return forumPost(model, sheet, { context, mark: stamp.mark, closing: stamp.closing })
  },

  /** What stands under a video about a model. */
  video(review: Review, modelKey: string, stamp: OutgoingStamp): string {
    return videoDescription(sheetFor(review, modelKey, stamp).sheet, stamp)
  },

  /** A letter of findings about a model, in Markdown. */
  letterText: (review: Review, modelKey: string, stamp: OutgoingStamp): string =>
    toMarkdown(letterFor(review, modelKey, stamp)),

  /** The same as a PDF. */
  letterPdf: (review: Review, modelKey: string, stamp: OutgoingStamp): Promise<Blob> =>
    makePdf(letterFor(review, modelKey, stamp)),

  /** The report of a review as a PDF. @param onProgress - told how much is done, 0 to 1. */
  async pdf(
    review: Review,
    stamp: ReportStamp,
    pictures: Pictures,
    onProgress: (share: number) => void,
  ): Promise<Blob> {
    const work = reportInSlices(createContext(review), stamp)
    let told = 0
    for (;;) {
      const step = work.next()
      if (step.done)
        return makePdf(step.value, share => onProgress(TOGETHER + (1 - TOGETHER) * share), pictures)
      if (step.value > told + 0.02) onProgress(TOGETHER * (told = step.value))
    }
  },
}

function letterFor(review: Review, modelKey: string, stamp: OutgoingStamp) {
  return letterOfFindings(modelIn(review, modelKey), createContext(review), stamp)
}

function sheetFor(review: Review, modelKey: string, stamp: OutgoingStamp) {
  const context = createContext(review)
  const model = modelIn(review, modelKey)
  const ownWords = review.sheetWords[modelKey]?.text ?? null
  return { context, model, sheet: sheetOf(model, context, stamp, ownWords) }
}

function modelIn(review: Review, modelKey: string) {
  const found = modelsOf(review).find(({ key }) => key === modelKey)
  if (!found) throw new Error('This model is not in the review any more. Nothing was made.')
  return found
}

export type PaperWorker = typeof api

expose(api)
