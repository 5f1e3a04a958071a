import { describe, expect, it } from 'vitest'
import { createContext } from '#core/context'
import { demoReview } from '#core/demo'
import { isDone, planRun, runInSlices, runState, timeLeft, workThrough } from '#core/plan'
import { buildReport, reportInSlices } from '#core/report'
import { atOnce, type Sliced } from '#core/sliced'

const context = createContext(demoReview().review)
const stamp = { version: '1', at: 'now' }

/** The shares that some work tells of, and what came of it. */
function walked<T>(work: Sliced<T>): { shares: number[]; value: T } {
  const shares: number[] = []
  for (;;) {
    const step = work.next()
    if (step.done) return { shares, value: step.value }
    shares.push(step.value)
  }
}

describe('work in slices', () => {
  it('comes to the very same as work at once', () => {
    const run = walked(runInSlices(context)).value
    const { steps } = run
    expect(run).toEqual(planRun(context))
    expect(walked(reportInSlices(context, stamp)).value).toEqual(buildReport(context, stamp))
    const state = atOnce(runState(steps, context))
    expect(state.left).toEqual(timeLeft(steps, context))
    expect([...state.done]).toEqual(steps.filter(step => isDone(step, context)))
    expect(state.done.size).toBeGreaterThan(0)
    expect(state.left.openSteps).toBe(steps.length - state.done.size)
  })

  it('pauses often, and tells a share that never goes back', () => {
    const works: Sliced<unknown>[] = [
      runInSlices(context),
      runState(planRun(context).steps, context),
      workThrough(context, 'results'),
      reportInSlices(context, stamp),
    ]
    for (const work of works) {
      const { shares } = walked(work)
      expect(shares.length).toBeGreaterThan(5)
      expect(shares).toEqual(shares.toSorted((a, b) => a - b))
      expect(Math.min(...shares)).toBeGreaterThanOrEqual(0)
      expect(Math.max(...shares)).toBeLessThanOrEqual(1)
    }
  })
})
