import { createContext } from '#core/context'
import { describe, expect, it } from 'vitest'
import { demoReview } from '#core/demo'
import { stationById, stations } from '#core/station'

describe('the station contract, for every station', () => {
  const context = createContext(demoReview().review)

  it('has unique ids in rising order of work', () => {
    expect(new Set(stations.map(({ id }) => id)).size).toBe(stations.length)
    expect(stations.map(({ order }) => order)).toEqual(
      [...stations.map(({ order }) => order)].sort((a, b) => a - b),
    )
    expect(() => stationById('nothing')).toThrowError(expect.objectContaining({ code: 'unknown-id' }))
  })

  it.each(stations.map(station => [station.id, station] as const))(
    '%s: unique steps, readings pass its schema, results survive cloning',
    (_id, station) => {
      for (const set of context.review.sets) {
        const steps = station.plan(set, context)
        expect(new Set(steps.map(({ id }) => id)).size).toBe(steps.length)
        for (const step of steps) {
          const result = station.evaluate(step, context)
          expect(structuredClone(result)).toEqual(result)
          expect(step.keyDownS).toBeLessThanOrEqual(step.durationS)
          for (const { reading, figure, verdict } of result.slots) {
            const kept = reading ?? figure?.reading
            if (kept) expect(station.readingSchema.validate(kept).error).toBeUndefined()
            else expect(verdict.state).toBe('not-covered')
          }
        }
      }
    },
  )

  it.each(stations.map(station => [station.id, station] as const))(
    '%s: every question has an answer for every set',
    (_id, station) => {
      for (const question of station.questions(context.review.sets, context))
        for (const set of context.review.sets)
          expect(station.answer(question, set, context).words.length).toBeGreaterThan(3)
    },
  )
})
