import { generatorsOf, type ReadAction } from '../station'
import type { Kept, Step } from '../step'
import { makeSafe } from '../link'
import { type Desk, StoppedError } from './desk'
import { perform } from './perform'

/** What a run without hands came to; what was kept stays kept. */
export type RunEnd =
  { is: 'done'; kept: number } | { is: 'stopped'; kept: number } | { is: 'failed'; kept: number; why: string }

/** What a run needs to know and to do. */
export interface RunWithoutHands {
  step: () => Step | null
  /** What is to be read next, by what stands in the review now. */
  next: () => ReadAction | null
  desk: Desk
  /** Keeps a reading at once: what comes after may fail. @returns false where it was refused. */
  keep: (kept: Kept) => boolean
  /** After each reading: how many there are. */
  progress: (kept: number) => void
  /** How a failure is said. */
  said: (error: unknown) => string
  /** At most so many readings; no end by default. */
  most?: number
}

/** Nothing reads more often than this in one go: a station that always wants more would never end. */
const MOST_READINGS = 200

/** Reads one figure after the other until nothing is wanted; whatever happens, every generator is made safe. */
export async function runWithoutHands(run: RunWithoutHands): Promise<RunEnd> {
  const roles = new Set<string>()
  let kept = 0
  try {
    for (; kept < Math.min(run.most ?? MOST_READINGS, MOST_READINGS);) {
      if (!(await run.desk.goesOn())) return { is: 'stopped', kept }
      const action = run.next()
      const step = run.step()
      if (!action || !step) break
      for (const { role } of generatorsOf(action)) roles.add(role)
      const one = await perform(action, step, run.desk)
      // Stopped in the middle of it: whoever stopped may be at another step by now.
      if (!(await run.desk.goesOn())) return { is: 'stopped', kept }
      if (!run.keep(one)) return { is: 'failed', kept, why: 'The review does not take it.' }
      kept += 1
      run.progress(kept)
    }
    return { is: 'done', kept }
  } catch (error) {
    return error instanceof StoppedError
      ? { is: 'stopped', kept }
      : { is: 'failed', kept, why: run.said(error) }
  } finally {
    await madeSafe(run.desk, roles)
  }
}

async function madeSafe(desk: Desk, roles: ReadonlySet<string>): Promise<void> {
  for (const role of roles) {
    const generator = desk.at(role)
    if (generator) await makeSafe(generator.line, generator.book)
  }
}
