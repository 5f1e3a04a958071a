import { breathe } from './breathe'

let last: Promise<void> = Promise.resolve()

/**
 * A turn of the event loop for whoever asks, each its own, in the order they ask: what is drawn in it is drawn by
 * itself.
 */
export function oneATurn(): Promise<void> {
  last = last.then(breathe)
  return last
}
