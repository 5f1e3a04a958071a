import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  budget,
  contribution,
  createDistributions,
  type Distribution,
  errorDistribution,
  improvements,
  mismatchContribution,
  monteCarlo,
  powerShareContribution,
  ratioContributions,
  repeats,
  repeatsContribution,
} from '#core/uncertainty'

const one = (
  distribution: Distribution,
  halfWidthDb: number,
  more: Partial<Parameters<typeof contribution>[0]> = {},
) =>
  contribution({
    id: `${distribution}:${halfWidthDb}`,
    group: 'part',
    label: distribution,
    distribution,
    halfWidth: halfWidthDb,
    ...more,
  })
const meter = (percent: number, readingW: number, scaleW: number) =>
  powerShareContribution({ id: 'meter:m', label: 'Meter' }, percent, { scaleW, readingW })

describe('the budget’s own distribution', () => {
  const kinds = fc.constantFrom<Distribution>('normal', 'rectangular', 'triangular', 'u-shaped')
  const parts = fc
    .array(fc.tuple(kinds, fc.double({ min: 0.05, max: 3, noNaN: true })), { minLength: 1, maxLength: 6 })
    .map(list => list.map(([kind, half], i) => one(kind, half, { id: `${i}` })))

  it('is a distribution: rising, symmetric, half at nought, 95 % between its ends', () => {
    fc.assert(
      fc.property(
        parts,
        fc.double({ min: -4, max: 4, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (list, x, more) => {
          const found = errorDistribution(list)
          const p = found.probabilityBelow
          return (
            p(x + more) >= p(x) - 2e-4 &&
            Math.abs(p(x) + p(-x) - 1) < 2e-3 &&
            Math.abs(p(found.high) - 0.975) < 2e-3 &&
            found.shift === 0
          )
        },
      ),
      { numRuns: 60 },
    )
  })

  it('never lies wider than all half-widths together', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0.05, max: 3, noNaN: true }), { minLength: 1, maxLength: 5 }),
        widths =>
          errorDistribution(widths.map((w, i) => one('rectangular', w, { id: `${i}` }))).high <=
          widths.reduce((a, b) => a + b, 0) + 1e-9,
      ),
    )
  })

  it('is narrower than the GUM figure where one rectangle dominates, and the same where normals do', () => {
    expect(budget([one('rectangular', 2), one('rectangular', 0.05)])).toMatchObject({
      range: expect.closeTo(1.9, 1),
      gumRange: expect.closeTo(2.26, 2),
    })
    const normals = budget([one('normal', 2), one('normal', 1)])
    expect(normals.range).toBeCloseTo(normals.gumRange, 4)
  })

  it('is skewed and centred for a meter low on its scale: its middle is stated', () => {
    const low = budget([meter(10, 5, 20), one('rectangular', 0.01)])
    expect(-low.low).toBeGreaterThan(low.high + 0.4)
    expect(errorDistribution(low.contributions).probabilityBelow(0)).toBeCloseTo(0.5, 3)
    expect(low.shift).toBeLessThan(0)
    // 10 % of 20 W at 5 W is ±2 W: the true power lies between 3 and 7 W, 95 % of it between 3.1 and 6.9 W.
    expect(low.high + low.shift).toBeCloseTo(10 * Math.log10(6.9 / 5), 1)
    expect(low.low + low.shift).toBeCloseTo(10 * Math.log10(3.1 / 5), 1)
  })

  it('takes a small share of the reading as rectangular in dB', () => {
    expect(meter(2, 5, 5).distribution).toBe('rectangular')
    expect(meter(10, 5, 5)).toMatchObject({ distribution: 'power-share', parameter: expect.closeTo(0.1, 9) })
  })

  it('takes large mismatch exactly and keeps it inside its limits', () => {
    const bare = mismatchContribution({ id: 'm', label: 'm' }, { vswr1: 2, vswr2: 3 })
    expect(bare.distribution).toBe('two-ports')
    const found = errorDistribution([bare, one('rectangular', 0.01)])
    expect(found.high + found.shift).toBeLessThan(20 * Math.log10(1 + 1 / 6) + 0.01)
    expect(found.low + found.shift).toBeGreaterThan(20 * Math.log10(1 - 1 / 6) - 0.01)
    expect(mismatchContribution({ id: 'm', label: 'm' }, { vswr1: 1.2, vswr2: 1.2 }).distribution).toBe(
      'u-shaped',
    )
  })

  it('hands over to Monte Carlo where the noise may hide the signal, and the lower end is open or far', () => {
    const hidden = one('noise-removed', 5 / (10 ** 0.35 - 1), { parameter: 3.5 })
    const found = budget([hidden, one('rectangular', 1)])
    expect(found.method).toBe('monte-carlo')
    expect(found.high).toBeGreaterThan(1)
    expect(-found.low).toBeGreaterThan(2 * found.high)
    expect(budget([hidden, one('rectangular', 1)])).toEqual(found)
  })

  it('is certain without contributions', () => {
    const none = errorDistribution([one('rectangular', 0)])
    expect([
      none.probabilityBelow(0),
      none.probabilityBelow(-1e-9),
      none.low,
      none.high,
      none.method,
    ]).toEqual([1, 0, 0, 0, 'none'])
  })

  it('is found again in a store, by list and by content', () => {
    const store = createDistributions()
    const list = [one('rectangular', 1), one('normal', 1)]
    expect(store.of(list)).toBe(store.of(list))
    expect(store.of(list)).toBe(store.of([...list]))
    expect(store.of([one('rectangular', 2)])).not.toBe(store.of(list))
  })
})

describe('the simulation', () => {
  it('is the same for the same seed, another for another', () => {
    const run = (seed: number) =>
      monteCarlo([one('rectangular', 1), one('normal', 1)], { trials: 20_000, seed }).shortest
    expect(run(5)).toEqual(run(5))
    expect(run(5)).not.toEqual(run(6))
  })
  it('refuses a silly number of trials', () =>
    expect(() => monteCarlo([], { trials: 5 })).toThrowError(
      expect.objectContaining({ code: 'out-of-range' }),
    ))
})

describe('repeats', () => {
  it('refuses fewer than two, and add nothing where all agree', () => {
    expect(() => repeats([1])).toThrowError(expect.objectContaining({ code: 'too-few' }))
    expect(repeatsContribution([2, 2, 2])).toBeNull()
    expect(repeatsContribution([1, 2, 3])).toMatchObject({
      degreesOfFreedom: 2,
      distribution: 'student-t',
      standardUncertainty: expect.closeTo(1 / Math.sqrt(3), 9),
    })
  })
})

describe('a ratio', () => {
  it('drops what both share, keeps what only one has, and turns skewed shapes of the other even', () => {
    const shared = one('rectangular', 2, { id: 'level', sharedKey: 'an' })
    const kept = ratioContributions(
      [shared, one('rectangular', 0.5)],
      [shared, one('power-share', 0.4, { parameter: 0.1 })],
    )
    expect(kept.map(({ id, distribution }) => [id, distribution])).toEqual([
      ['rectangular:0.5', 'rectangular'],
      ['carrier:power-share:0.4', 'rectangular'],
    ])
  })
})

describe('what would help most', () => {
  it('names the greatest gain first, and nothing that gains nothing', () => {
    const list = improvements(
      budget([
        one('rectangular', 2, { id: 'analyser:a', group: 'instrument', label: 'Analyser' }),
        one('u-shaped', 0.6, { id: 'mismatch:1', group: 'mismatch' }),
        one('rectangular', 0.05, { id: 'part:p', label: 'Pad' }),
        one('rectangular', 0.5, { id: 'resolution', group: 'resolution' }),
      ]),
    )
    expect(list[0]).toMatchObject({ id: 'analyser:a', gain: expect.any(Number) })
    expect(list[0]!.gain).toBeGreaterThan(list[1]!.gain)
    expect(list.map(({ id }) => id)).not.toContain('part:p')
    expect(improvements(budget([]))).toEqual([])
  })
  it('speaks of every family', () => {
    const words = (
      group: Parameters<typeof contribution>[0]['group'],
      distribution: Distribution = 'rectangular',
      more = {},
    ) => improvements(budget([one(distribution, 1, { id: 'x', group, ...more })]))[0]?.words ?? ''
    expect(
      [
        words('floor'),
        words('steps'),
        words('repeats', 'student-t', { degreesOfFreedom: 3 }),
        words('part'),
      ].every(text => text.length > 10),
    ).toBe(true)
  })
})
