import { breathe } from './breathe'

/** What browsers have for it; the library of types does not know it yet. */
interface Scheduler {
  postTask: (task: () => void, options: { priority: 'background' }) => Promise<void>
}

/** A turn of the event loop that comes once everything else has had its own: files, keys, what is to be drawn. */
export function spareTurn(): Promise<void> {
  const { scheduler } = globalThis as { scheduler?: Scheduler }
  return scheduler ? scheduler.postTask(() => {}, { priority: 'background' }) : breathe()
}
