import { createContext } from '#core/context'
import { describe, expect, it } from 'vitest'
import { demoReview, demoSetIds } from '#core/demo'
import { seededRandom } from '#core/virtual'
import { validateReview } from '#core/review'
import { stations } from '#core/station'

describe('the demo review', () => {
  const { review, traces, curves, pictures, clips } = demoReview()

  it('passes the schema and is the same every time', () => {
    expect(validateReview(review)).toEqual(review)
    expect(demoReview()).toEqual({ review, traces, curves, pictures, clips })
    expect(demoSetIds()).toHaveLength(6)
  })

  it('asks one question, about the label that contradicts itself on purpose: nothing else in it is absurd', () => {
    const context = createContext(review)
    const asked = review.sets.flatMap(set =>
      stations.flatMap(station =>
        station.plan(set, context).flatMap(step => station.evaluate(step, context).questions),
      ),
    )
    expect(asked.map(({ words }) => words.split(':')[0])).toEqual(['The label contradicts itself'])
  })

  it('keys up nothing unsafe', () => {
    const context = createContext(review)
    for (const set of review.sets)
      for (const station of stations)
        for (const step of station.plan(set, context))
          if (step.work === 'transmits')
            expect(station.checks(step, context).filter(({ severity }) => severity === 'danger')).toEqual([])
          // A generator that would not survive is locked, not forgotten.
          else if (station.checks(step, context).some(({ severity }) => severity === 'danger'))
            expect(step.interlocks.length).toBeGreaterThan(0)
  })

  it('has its trace with it', () => expect([...traces.keys()]).toEqual(review.traces.map(({ id }) => id)))
})

describe('seededRandom', () => {
  it('repeats itself and stays in [0, 1)', () => {
    const draw = (seed: number) => Array.from({ length: 1000 }, seededRandom(seed))
    expect(draw(7)).toEqual(draw(7))
    expect(draw(7)).not.toEqual(draw(8))
    expect(draw(7).every(x => x >= 0 && x < 1)).toBe(true)
    expect(draw(7).reduce((sum, x) => sum + x, 0) / 1000).toBeCloseTo(0.5, 1)
  })
})
