import { proxy, wrap } from 'comlink'
import type { ReportStamp } from '#core/report'
import type { Review } from '#core/review'
import { loadPicture } from '~/storage'
import { brokenWorker } from './brokenWorker'
import type { OutgoingStamp, PaperWorker } from './paper.worker'

/** A piece of paper that is being made: it can be let go. */
export interface PaperJob<T> {
  done: Promise<T>
  cancel: () => void
}

/** Makes something in a worker of its own, which goes with it. */
function job<T>(make: (worker: PaperWorker) => Promise<T> | T): PaperJob<T> {
  const worker = new Worker(new URL('./paper.worker.ts', import.meta.url), { type: 'module' })
  const broken = brokenWorker(
    worker,
    'The part of the program that makes files did not start. Nothing is lost; try again.',
  )
  const asked = make(wrap<PaperWorker>(worker) as unknown as PaperWorker)
  return {
    done: Promise.race([asked, broken]).finally(() => worker.terminate()),
    cancel: () => worker.terminate(),
  }
}

/** The pictures of a review, by id; one that cannot be read is left out, and told of where it would stand. */
async function picturesOf({ id, pictures }: Review): Promise<Map<string, string>> {
  const found = new Map<string, string>()
  for (const head of pictures) {
    const dataUrl = await loadPicture(id, head.id).catch(() => null)
    if (dataUrl !== null) found.set(head.id, dataUrl)
  }
  return found
}

/** The report of a review as a PDF. @param onProgress - told how much is done, 0 to 1. */
export const pdfOf = (review: Review, stamp: ReportStamp, onProgress: (share: number) => void) =>
  job(async worker => worker.pdf(review, stamp, await picturesOf(review), proxy(onProgress)))

/** The readings of a review as CSV. */
export const csvOf = (review: Review) => job(worker => worker.csv(review))

/** The report of a review as Markdown. */
export const markdownOf = (review: Review, stamp: ReportStamp) =>
  job(worker => worker.markdown(review, stamp))

/** The report of a review as one page of HTML. */
export const htmlOf = (review: Review, stamp: ReportStamp & { writtenAt: string }) =>
  job(async worker => worker.html(review, stamp, await picturesOf(review)))

/** What is made for one model of a review. */
export type ModelPaper = 'post' | 'video' | 'letterText' | 'letterPdf'

/** A paper about one model: text, or a PDF. */
export const modelPaperOf = (
  kind: ModelPaper,
  review: Review,
  modelKey: string,
  stamp: OutgoingStamp,
): PaperJob<string | Blob> => job<string | Blob>(worker => worker[kind](review, modelKey, stamp))
