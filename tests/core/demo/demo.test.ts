import { createContext } from '#core/context'
import { describe, expect, it } from 'vitest'
import { demoReview, demoSetIds } from '#core/demo'
import { DemoTaker } from '#core/demo/demoTaker'
import { demoTakings } from '#core/demo/takings'
import { demoRadio } from '#core/demo/truth/demoRadio'
import { seededRandom } from '#core/virtual'
import { validateReview } from '#core/review'
import { stationById, stations } from '#core/station'

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

  it('was read on a bench whose truth is known: ranges hold it', () => {
    const context = createContext(review)
    const held: boolean[] = []
    for (const set of review.sets) {
      const radio = demoRadio(set)
      for (const id of ['carrier-power', 'harmonics'])
        for (const step of stationById(id).plan(set, context)) {
          if (step.band.mode === 'SSB') continue
          const { frequencyHz: carrierHz } = step.channel
          const keyed = { carrierHz, claimedW: 5, levelId: step.setting.level.id }
          for (const { slot, found } of stationById(id).evaluate(step, context).slots) {
            if (!found || found.isUpperBound) continue
            const n = slot.kind.is === 'harmonic' ? Number(slot.kind.n) : 1
            const truth = radio.harmonicDbm(keyed, n)
            held.push(truth >= found.value + found.budget.low && truth <= found.value + found.budget.high)
          }
        }
    }
    // Ninety-five in a hundred are promised; those of one meter and one way share what they are off by.
    expect(held.length).toBeGreaterThan(60)
    expect(held.filter(Boolean).length / held.length).toBeGreaterThan(0.9)
  })

  it('breaks nothing on the bench it is read on', () => {
    const taker = new DemoTaker(createContext(review), review.sets)
    for (const take of demoTakings) take(taker, review.sets)
    expect(taker.readings.length).toBe(review.readings.length)
    expect(taker.stand.damage()).toEqual([])
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
