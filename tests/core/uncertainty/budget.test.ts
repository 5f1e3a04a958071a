import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  budget,
  budgetLines,
  contribution,
  coverageFactor,
  floorBiasDb,
  floorEffect,
  mismatchHalfWidthDb,
  mismatchLimitsDb,
  percentAsDb,
  probabilityBelow,
  steppedTraceLossDb,
} from '#core/uncertainty'

const rect = (halfWidthDb: number, id = 'a') =>
  contribution({ id, group: 'part', label: id, distribution: 'rectangular', halfWidth: halfWidthDb })

describe('a contribution', () => {
  it.each([
    ['rectangular', Math.sqrt(3)],
    ['u-shaped', Math.SQRT2],
    ['triangular', Math.sqrt(6)],
    ['normal', 2],
  ] as const)('divides the half-width of a %s one', (distribution, divisor) => {
    expect(
      contribution({ id: 'a', group: 'part', label: 'a', distribution, halfWidth: 1 }).standardUncertainty,
    ).toBeCloseTo(1 / divisor, 12)
  })

  it('refuses a negative or missing half-width', () => {
    for (const halfWidthDb of [-1, Number.NaN])
      expect(() => rect(halfWidthDb)).toThrowError(expect.objectContaining({ code: 'out-of-range' }))
  })
})

describe('a budget', () => {
  it('adds in quadrature and takes k = 1.96 where nothing was repeated', () => {
    const total = budget([rect(3 * Math.sqrt(3)), rect(4 * Math.sqrt(3), 'b')])
    expect(total.standardUncertainty).toBeCloseTo(5, 12)
    expect(total.gumRange).toBeCloseTo(5 * 1.959964, 5)
  })

  it('is nothing for nothing', () => {
    expect(budget([])).toMatchObject({ standardUncertainty: 0, range: 0 })
  })

  it('takes a larger k where few repeats dominate (Welch–Satterthwaite)', () => {
    const repeats = contribution({
      id: 'r',
      group: 'repeats',
      label: 'r',
      distribution: 'normal',
      halfWidth: 2,
      degreesOfFreedom: 4,
    })
    expect(budget([repeats])).toMatchObject({
      effectiveDegreesOfFreedom: 4,
      coverageFactor: expect.closeTo(2.776, 3),
    })
    expect(budget([repeats, rect(Math.sqrt(3))]).effectiveDegreesOfFreedom).toBeCloseTo(16, 9)
  })

  it('never grows smaller by one more contribution', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0, max: 5, noNaN: true }), { maxLength: 8 }),
        fc.double({ min: 0, max: 5, noNaN: true }),
        (widths, more) => {
          const before = widths.map((width, i) => rect(width, `${i}`))
          const [after, first] = [budget([...before, rect(more, 'x')]), budget(before)]
          // The inversion itself is good to about 1e-6 dB; the GUM figure is exact.
          return after.gumRange >= first.gumRange - 1e-12 && after.range >= first.range - 2e-6
        },
      ),
    )
  })

  it('shows its lines largest first, mismatch as one, shares adding to 1', () => {
    const mismatch = (id: string) =>
      contribution({
        id,
        group: 'mismatch',
        label: id,
        distribution: 'u-shaped',
        halfWidth: 1,
        assumed: true,
      })
    const lines = budgetLines(budget([rect(0.5), mismatch('m1'), mismatch('m2'), rect(0.0001, 'tiny')]))
    expect(lines.map(({ id, assumed }) => [id, assumed])).toEqual([
      ['mismatch', true],
      ['a', false],
    ])
    expect(lines.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 6)
  })
})

describe('the noise floor', () => {
  const at = (aboveDb: number) => floorEffect({ readingDbm: -80 + aboveDb, floorDbm: -80, floorDoubtDb: 2 })

  it('takes the noise off from 3 dB up, and makes a bound of the rest', () => {
    expect(at(10)).toMatchObject({
      correctionDb: expect.closeTo(0.458, 3),
      isUpperBound: false,
      remainderDb: expect.closeTo(2 / 9, 3),
    })
    expect(at(5)).toMatchObject({ isUpperBound: false, correctionDb: expect.closeTo(1.651, 3) })
    expect(at(2.99)).toMatchObject({ isUpperBound: true, correctionDb: 0 })
    expect(at(-4).isUpperBound).toBe(true)
  })

  it('takes off exactly the noise: signal and noise added, then corrected, give the signal back', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.1, max: 9, noNaN: true }), signalAboveDb => {
        const reading = 10 * Math.log10(10 ** (signalAboveDb / 10) + 1)
        return Math.abs(reading - floorBiasDb(reading) - signalAboveDb) < 1e-9
      }),
    )
  })
})

describe('small laws', () => {
  it('mismatch limits hug their first-order half-width', () => {
    const [low, high] = mismatchLimitsDb(2, 1.5)
    const half = mismatchHalfWidthDb({ vswr1: 2, vswr2: 1.5 })
    expect(low).toBeLessThan(-half)
    expect(high).toBeLessThan(half)
    expect((high - low) / 2).toBeCloseTo(half, 2)
  })

  it('a stepped trace loses at most 3.01 dB at a step of one bandwidth, a quarter of it at half', () => {
    expect(steppedTraceLossDb(300e3, 300e3)).toBeCloseTo(3.0103, 4)
    expect(steppedTraceLossDb(150e3, 300e3)).toBeCloseTo(0.7526, 4)
    expect(steppedTraceLossDb(0, 300e3)).toBe(0)
  })

  it('percent of power is 4.343 times itself in dB', () => {
    expect(percentAsDb(10, { scaleW: 5, readingW: 5 })).toBeCloseTo(0.43429, 5)
    expect(() => percentAsDb(10, { scaleW: 0, readingW: 5 })).toThrowError(
      expect.objectContaining({ code: 'not-positive' }),
    )
  })

  it('probability and coverage factor are two sides of one thing', () => {
    for (const dof of [3, 10, Infinity])
      expect(probabilityBelow(coverageFactor(dof), dof)).toBeCloseTo(0.975, 9)
    expect([probabilityBelow(Infinity, 5), probabilityBelow(-Infinity, 5)]).toEqual([1, 0])
  })
})
