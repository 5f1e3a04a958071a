import jstat from 'jstat'
import { describe, expect, it } from 'vitest'
import { budget, contribution, coverageFactor, errorDistribution, probabilityBelow } from '#core/uncertainty'

const normal = (id: string, standard: number, degreesOfFreedom = Infinity) =>
  contribution({
    id,
    group: 'instrument',
    label: id,
    distribution: 'normal',
    halfWidth: 2 * standard,
    degreesOfFreedom,
  })

// JCGM 100:2008, H.1, end-gauge calibration, from memory: components 25, 9.7, 2.9 and 16.6 nm with 18, 25.6
// (about), 50 and 2
// degrees of freedom; combined 32 nm, 16 effective degrees of freedom, U99 = 93 nm with k = 2.92. Units do
// not matter here.
describe('JCGM 100:2008, H.1 (recalled)', () => {
  const total = budget([
    normal('standard', 25, 18),
    normal('difference', 9.7, 25.6),
    normal('expansion', 2.9, 50),
    normal('temperature', 16.6, 2),
  ])

  it('combines to 32 nm', () => expect(Math.round(total.standardUncertainty)).toBe(32))
  it('has about 16 effective degrees of freedom', () =>
    expect(Math.floor(total.effectiveDegreesOfFreedom)).toBe(16))
  it('k for 99 % is 2.92 with 16 degrees of freedom, U = 93 nm', () => {
    expect(coverageFactor(16, 0.99)).toBeCloseTo(2.92, 2)
    expect(32 * coverageFactor(16, 0.99)).toBeCloseTo(93, -0.5)
  })
})

// JCGM 100:2008, 4.3.7 and 5.1.5 (recalled): a voltmeter, ±15 µV rectangular is 8.7 µV; with 12 µV of type A,
// 15 µV.
describe('JCGM 100:2008, 4.3.7 and 5.1.5 (recalled)', () => {
  it('takes a rectangular 15 as 8.7, and with 12 as 15', () => {
    const accuracy = contribution({
      id: 'a',
      group: 'instrument',
      label: 'a',
      distribution: 'rectangular',
      halfWidth: 15,
    })
    expect(accuracy.standardUncertainty).toBeCloseTo(8.7, 1)
    expect(budget([accuracy, normal('b', 12)]).standardUncertainty).toBeCloseTo(15, 0)
  })
})

// JCGM 106:2012 examples (recalled): Zener diode −5.47 V, u 0.05, limit −5.40: 0.92; burst strength 509.7, u
// 8.6, limit 490: 0.99.
describe('JCGM 106:2012 (recalled)', () => {
  it('finds the probability of conforming of the Zener diode and of the burst strength', () => {
    expect(probabilityBelow((-5.4 + 5.47) / 0.05, Infinity)).toBeCloseTo(0.92, 2)
    expect(probabilityBelow((509.7 - 490) / 8.6, Infinity)).toBeCloseTo(0.99, 2)
  })
})

// Against a second library from the registry (jstat); the product itself uses the stdlib packages.
describe('Student’s t and the normal distribution, against a second library', () => {
  it.each([1, 2, 3, 5, 10, 16, 30, 100, 1000])('k for 95 %% with %d degrees of freedom', dof =>
    expect(coverageFactor(dof)).toBeCloseTo(jstat.studentt.inv(0.975, dof), 4),
  )
  it.each([-3, -1.645, -0.5, 0, 1, 1.96, 4])('P(z < %d)', z => {
    expect(probabilityBelow(z, Infinity)).toBeCloseTo(jstat.normal.cdf(z, 0, 1), 6)
    expect(probabilityBelow(z, 7)).toBeCloseTo(jstat.studentt.cdf(z, 7), 6)
  })
  // Printed in every table of the normal distribution: 1.960 for 95 % two-sided, 1.645 one-sided.
  it('gives 1.960 and 1.645', () => {
    expect(coverageFactor(Infinity)).toBeCloseTo(1.96, 3)
    expect(coverageFactor(Infinity, 0.9)).toBeCloseTo(1.645, 3)
  })
})

// J. O. Irwin and P. Hall, Biometrika 19 (1927) 225 and 240 (from memory): the sum of n values even in (0, 1) lies
// under x with probability Σ (−1)^k·C(n, k)·(x − k)ⁿ/n! over k ≤ x.
describe('a sum of equal rectangles', () => {
  const choose = (n: number, k: number): number => (k === 0 ? 1 : (choose(n, k - 1) * (n - k + 1)) / k)
  const factorial = (n: number): number => (n < 2 ? 1 : n * factorial(n - 1))
  const irwinHall = (n: number, x: number) =>
    Array.from({ length: Math.floor(x) + 1 }, (_unused, k) => (-1) ** k * choose(n, k) * (x - k) ** n).reduce(
      (sum, term) => sum + term,
      0,
    ) / factorial(n)

  it.each([2, 3, 4, 6])('of %d: its shares and the ends of its 95 %%', n => {
    const halfWidth = 0.75
    const errors = errorDistribution(
      Array.from({ length: n }, (_unused, i) =>
        contribution({ id: `${i}`, group: 'part', label: '', distribution: 'rectangular', halfWidth }),
      ),
    )
    const inUnits = (x: number) => x / (2 * halfWidth) + n / 2
    for (const share of [0.02, 0.2, 0.45, 0.6, 0.9]) {
      const x = (2 * share - 1) * n * halfWidth
      expect(errors.probabilityBelow(x)).toBeCloseTo(irwinHall(n, inUnits(x)), 6)
    }
    expect(irwinHall(n, inUnits(errors.high))).toBeCloseTo(0.975, 6)
    expect(irwinHall(n, inUnits(errors.low))).toBeCloseTo(0.025, 6)
  })
})

// The arcsine distribution (closed form) with a little blur: steep at its ends, shallow in the middle.
describe('a wide arcsine and a narrow one', () => {
  it('ends where the wide one does', () => {
    const arcs = [3, 0.02].map((halfWidth, i) =>
      contribution({ id: `${i}`, group: 'part', label: '', distribution: 'u-shaped', halfWidth }),
    )
    const { low, high, probabilityBelow: below } = errorDistribution(arcs)
    // The wide arcsine alone: P(x ≤ a·cos(0.025π)) = 0.975; the narrow one blurs it by 0.02²/4 over its distance.
    expect(high).toBeCloseTo(3 * Math.cos(0.025 * Math.PI), 2)
    expect(low).toBeCloseTo(-3 * Math.cos(0.025 * Math.PI), 2)
    expect(below(0)).toBeCloseTo(0.5, 6)
    expect(below(1.5)).toBeCloseTo(1 - Math.acos(0.5) / Math.PI, 4)
  })
})
