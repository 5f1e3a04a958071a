import type { PracticeKept } from '~/storage/practiceStore'
import type { PracticeKnobs } from './session'

/** What a bench of practice tells the same bench in another tab. */
export type BenchNews = { kept: PracticeKept } | { knobs: PracticeKnobs }

/** The same evening in other tabs of this browser: what is turned in one stands so in all. */
export function otherTabs(
  reviewId: string,
  heard: (news: BenchNews) => void,
): { tell: (news: BenchNews) => void; close: () => void } {
  const channel = new BroadcastChannel(`rigorous-meter:practice:${reviewId}`)
  channel.onmessage = ({ data }: MessageEvent<BenchNews>) => heard(data)
  return {
    // What is reactive cannot be sent as it is.
    tell: news => channel.postMessage(JSON.parse(JSON.stringify(news))),
    close: () => channel.close(),
  }
}
