import { type JudgingTimes, judgingTimes } from './judging'

declare global {
  /** What `npm run bench` calls in a page: the engine the application runs in is the browser's. */
  var judgingTimes: () => JudgingTimes
}

globalThis.judgingTimes = judgingTimes
