import { expose } from 'comlink'
import { rulebookFlips } from '#core/findings'

const api = {
  /** The verdicts of a review that turn between two editions of a rulebook. */
  flips: rulebookFlips,
}

export type ComparisonWorker = typeof api

expose(api)
