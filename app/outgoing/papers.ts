import type { Model, Review } from '#core/review'
import type { OutgoingStamp } from '~/workers/paper.worker'
import { csvOf, htmlOf, modelPaperOf, type PaperJob } from '~/workers/paperWorker'

/** What a paper is made of. */
export interface PaperGiven {
  review: Review
  model: Model
  stamp: OutgoingStamp
}

/** A file that goes out. */
export interface Paper {
  id: string
  title: string
  /** What it is for. */
  words: string
  /** The end of its name, and what kind of file it is. */
  ending: string
  type: string
  /** About the model in hand, or about the whole review. */
  about: 'model' | 'review'
  make: (given: PaperGiven) => PaperJob<string | Blob>
}

const model =
  (kind: Parameters<typeof modelPaperOf>[0]): Paper['make'] =>
  ({ review, model: one, stamp }) =>
    modelPaperOf(kind, review, one.key, stamp)

/** Every paper that goes out besides sheet and report: the one place that lists them. */
export const papers: readonly Paper[] = [
  {
    id: 'html',
    title: 'Web page',
    words: 'the report as one page that needs nothing else, with the review in it',
    ending: '.html',
    type: 'text/html',
    about: 'review',
    make: ({ review, stamp }) => htmlOf(review, { ...stamp, writtenAt: new Date().toISOString() }),
  },
  {
    id: 'csv',
    title: 'Table of readings',
    words: 'CSV, a row for every judgement with its own limit and margin',
    ending: '-readings.csv',
    type: 'text/csv',
    about: 'review',
    make: ({ review }) => {
      const { done, cancel } = csvOf(review)
      // Spreadsheets take a file without a mark for Latin-1.
      return { done: done.then(text => `\uFEFF${text}`), cancel }
    },
  },
  {
    id: 'post',
    title: 'Forum post',
    words: 'Markdown: what is said, may it be keyed, every answer',
    ending: '-post.md',
    type: 'text/markdown',
    about: 'model',
    make: model('post'),
  },
  {
    id: 'video',
    title: 'Video description',
    words: 'plain text to stand under a video',
    ending: '-video.txt',
    type: 'text/plain',
    about: 'model',
    make: model('video'),
  },
  {
    id: 'letter-pdf',
    title: 'Letter to the maker',
    words: 'facts, ranges, clauses, serial numbers, an offer to repeat; PDF',
    ending: '-letter.pdf',
    type: 'application/pdf',
    about: 'model',
    make: model('letterPdf'),
  },
  {
    id: 'letter-text',
    title: 'Letter, as text',
    words: 'the same in Markdown, to be written on',
    ending: '-letter.md',
    type: 'text/markdown',
    about: 'model',
    make: model('letterText'),
  },
]
