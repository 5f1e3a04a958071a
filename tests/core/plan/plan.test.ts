import { describe, expect, it } from 'vitest'
import { demoReview } from '#core/demo'
import { isDone, keyDownState, planRun, restLeftS, timeLeft } from '#core/plan'
import { stationContext } from '#core/station'
import { reviewOf, withReadings } from '../../support/bench'

describe('the run', () => {
  const context = stationContext(demoReview().review)
  const [trekA] = context.review.sets

  it('puts carrier power before harmonics, every band, level and channel', () => {
    const run = planRun(trekA!, context)
    expect(run.byStation.get('carrier-power')).toHaveLength(12)
    expect(run.byStation.get('harmonics')).toHaveLength(4)
    expect(run.steps.map(({ stationId }) => stationId).lastIndexOf('carrier-power')).toBeLessThan(run.steps.findIndex(({ stationId }) => stationId === 'harmonics'))
  })

  it('leaves out levels the set does not have', () => {
    const review = reviewOf()
    review.sets[0]!.bands[0]!.claims.high = { kind: 'no-level' }
    expect(planRun(review.sets[0]!, withReadings(review, [])).steps).toEqual([])
  })

  it('counts the time of what is open', () => {
    const run = planRun(trekA!, context)
    const left = timeLeft(run.steps, context)
    expect(left.openSteps).toBe(run.steps.filter(step => !isDone(step, context)).length)
    expect(left.keyDownS).toBeLessThan(left.benchS)
    expect(timeLeft([], context)).toEqual({ benchS: 0, keyDownS: 0, openSteps: 0 })
  })
})

describe('the key-down clock', () => {
  it('asks for rest at the limit, as long as it was keyed', () => {
    expect(keyDownState(16, 60)).toEqual({ keyedS: 16, leftS: 44, mustRest: false })
    expect(keyDownState(60, 60).mustRest).toBe(true)
    expect(restLeftS(40, 15)).toBe(25)
    expect(restLeftS(40, 50)).toBe(0)
  })
})
