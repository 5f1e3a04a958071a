/** Work that can be done a slice at a time: it yields how much of it is done, 0 to 1, and returns what came of it. */
export type Sliced<T> = Generator<number, T, void>

/** Does all of it at once. */
export function atOnce<T>(work: Sliced<T>): T {
  for (;;) {
    const step = work.next()
    if (step.done) return step.value
  }
}
