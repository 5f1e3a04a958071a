/** What tabs tell each other about a review. */
export type TabMessage = 'saved' | 'hand-over' | 'handed-over' | 'removed' | 'replaced'

/** The channel of the tabs that have a review open. */
export function tabChannel(reviewId: string): BroadcastChannel {
  return new BroadcastChannel(`rigorous-meter:${reviewId}`)
}

/** Tells the tabs that have a review open, from one that has not. */
export function tellTabs(reviewId: string, message: TabMessage): void {
  const channel = tabChannel(reviewId)
  channel.postMessage(message)
  channel.close()
}
