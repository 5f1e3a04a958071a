import { describe, expect, it } from 'vitest'
import { evaluateLimit, rulebooks, yardsticks } from '#core/rules'

describe.each([...rulebooks, ...yardsticks].map(book => [book.id, book] as const))('the data of %s', (_id, book) => {
  it('names a clause and a demand for every limit, over sane ranges', () => {
    for (const limit of book.limits) {
      expect(limit.clause.length).toBeGreaterThan(5)
      expect(limit.demands.length).toBeGreaterThan(0)
      expect(limit.carrier.toHz).toBeGreaterThan(limit.carrier.fromHz)
      expect(limit.power.upToW).toBeGreaterThan(limit.power.aboveW)
      for (const demand of limit.demands) expect(demand.kind === 'absolute' ? demand.powerW : demand.attenuationDb).toBeGreaterThan(0)
    }
  })

  it('answers for every frequency and power with a reason, and never with two clauses', () => {
    for (const mhz of [1.9, 7.1, 14.2, 28.5, 29.9999995, 52, 146.52, 223, 225, 225.0000005, 435, 915, 1296, 2400])
      for (const powerW of [0.001, 0.25, 5, 25, 25.0001, 1500]) {
        const carrier = { frequencyHz: mhz * 1e6, powerW }
        expect(evaluateLimit(book, carrier).reason.length).toBeGreaterThan(20)
        const fitting = book.limits.filter(limit => carrier.frequencyHz >= limit.carrier.fromHz && carrier.frequencyHz <= limit.carrier.toHz && powerW > limit.power.aboveW && powerW <= limit.power.upToW)
        expect(fitting.length).toBeLessThanOrEqual(1)
      }
  })

  it('has bands in order that do not overlap', () => {
    for (let i = 1; i < book.bands.length; i++) expect(book.bands[i]!.fromHz).toBeGreaterThanOrEqual(book.bands[i - 1]!.toHz)
  })

  it('is marked as recalled wherever it is law', () => {
    if (book.standing === 'law') expect(book.limits.every(({ recalled }) => recalled)).toBe(true)
    else expect(book.title).toMatch(/practice/i)
  })
})
