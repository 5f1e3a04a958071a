/** Rejects when a worker does not start, or breaks: what was asked of it would never be answered. */
export function brokenWorker(worker: Worker, words: string): Promise<never> {
  const broken = new Promise<never>((_resolve, reject) =>
    worker.addEventListener('error', () => reject(new Error(words))),
  )
  // Nobody may be waiting when it breaks.
  broken.catch(() => {})
  return broken
}
