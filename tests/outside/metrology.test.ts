import jstat from 'jstat'
import { describe, expect, it } from 'vitest'
import { clopperPearson } from '#core/decision'
import { psophometricWeightDb } from '#core/signal'
import {
  budget,
  contribution,
  correlatedUncertainty,
  type Distribution,
  errorDistribution,
  monteCarlo,
  probabilityBelow,
  propagate,
  ratioContributions,
  repeats,
} from '#core/uncertainty'

const one = (
  distribution: Distribution,
  halfWidthDb: number,
  more: { degreesOfFreedom?: number; sharedKey?: string } = {},
) =>
  contribution({
    id: `${distribution}${halfWidthDb}`,
    group: 'part',
    label: distribution,
    distribution,
    halfWidth: halfWidthDb,
    ...more,
  })
const below = (parts: ReturnType<typeof one>[], x: number) => errorDistribution(parts).probabilityBelow(x)

// JCGM 100:2008, H.2 (recalled): voltage, current and phase measured together; correlated. R = (V/I)·cos φ, X
// = (V/I)·sin φ, Z = V/I.
// With the rounded correlations of the text the second digit of the uncertainties shows the rounding.
describe('JCGM 100:2008, H.2, correlated inputs (recalled)', () => {
  const [v, i, phi] = [4.999, 0.019661, 1.04446]
  const u = [0.0032, 0.0000095, 0.00075]
  const r = [
    [1, -0.36, 0.86],
    [-0.36, 1, -0.65],
    [0.86, -0.65, 1],
  ]
  const z = v / i
  it.each([
    [
      'R',
      z * Math.cos(phi),
      [Math.cos(phi) / i, (-z * Math.cos(phi)) / i, -z * Math.sin(phi)],
      127.732,
      0.07,
    ],
    [
      'X',
      z * Math.sin(phi),
      [Math.sin(phi) / i, (-z * Math.sin(phi)) / i, z * Math.cos(phi)],
      219.847,
      0.2957,
    ],
    ['Z', z, [1 / i, -z / i, 0], 254.26, 0.2366],
  ] as const)('%s', (_name, value, sensitivities, expected, uncertainty) => {
    expect(value).toBeCloseTo(expected, 2)
    expect(
      correlatedUncertainty(
        sensitivities.map((sensitivity, k) => ({ sensitivity, standardUncertainty: u[k]! })),
        r,
      ),
    ).toBeCloseTo(uncertainty, 3)
  })

  it('says why what two readings share drops out of their ratio: r = 1, sensitivities +1 and −1', () => {
    expect(
      correlatedUncertainty(
        [
          { sensitivity: 1, standardUncertainty: 0.7 },
          { sensitivity: -1, standardUncertainty: 0.7 },
        ],
        [
          [1, 1],
          [1, 1],
        ],
      ),
    ).toBe(0)
    const reading = [one('rectangular', 2, { sharedKey: 'analyser' }), one('rectangular', 0.5)]
    expect(budget(ratioContributions(reading, reading)).standardUncertainty).toBeCloseTo(
      Math.hypot(0.5, 0.5) / Math.sqrt(3),
      12,
    )
  })

  it('refuses a matrix that does not fit', () =>
    expect(() => correlatedUncertainty([{ sensitivity: 1, standardUncertainty: 1 }], [])).toThrowError(
      expect.objectContaining({ code: 'out-of-range' }),
    ))
})

// JCGM 100:2008, 4.4.3 (recalled): 20 temperatures, mean 100.14 °C, s = 1.49, s of the mean 0.33. The
// readings as printed there, from memory.
describe('JCGM 100:2008, 4.4.3 (recalled)', () => {
  const temperatures = [
    96.9, 98.18, 98.25, 98.61, 99.03, 99.49, 99.56, 99.74, 99.89, 100.07, 100.33, 100.42, 100.68, 100.95,
    101.11, 101.2, 101.57, 101.84, 102.36, 102.72,
  ]
  it('takes the mean of twenty readings and the uncertainty of that mean', () => {
    const found = repeats(temperatures)
    expect(found.meanDbm).toBeCloseTo(100.145, 3)
    expect(found.standardUncertaintyDb).toBeCloseTo(0.33, 2)
    expect(found.standardUncertaintyDb * Math.sqrt(20)).toBeCloseTo(1.49, 2)
    expect(found.degreesOfFreedom).toBe(19)
  })
})

// JCGM 101:2008, 9.3 (recalled): mass calibration in air. First order 0.0539 mg; by simulation 0.0754 mg,
// estimate 1.2340 mg,
// since the first-order formula loses the product of two zero-mean inputs. Shortest interval from 1.0834 to
// 1.3825 mg (from memory).
describe('JCGM 101:2008, 9.3 (recalled)', () => {
  it('finds what the first order loses', () => {
    const normal = (mean: number, u: number) => (random: () => number) =>
      mean + u * Math.sqrt(-2 * Math.log(random())) * Math.cos(2 * Math.PI * random())
    const flat = (low: number, high: number) => (random: () => number) => low + (high - low) * random()
    const found = propagate(
      [normal(100_000, 0.05), normal(1.234, 0.02), flat(1.1, 1.3), flat(7000, 9000), flat(7950, 8050)],
      ([reference = 0, delta = 0, air = 0, weight = 1, standard = 1]) =>
        (reference + delta) * (1 + (air - 1.2) * (1 / weight - 1 / standard)) - 100_000,
      { trials: 400_000, seed: 7 },
    )
    expect(found.mean).toBeCloseTo(1.234, 2)
    expect(found.standardDeviation).toBeCloseTo(0.0754, 3)
    expect(found.shortest.low).toBeCloseTo(1.0834, 1)
    expect(found.shortest.high).toBeCloseTo(1.3825, 1)
    expect(Math.hypot(0.05, 0.02)).toBeCloseTo(0.0539, 4)
  })
})

// JCGM 106:2012 (recalled): SAE 40 oil, 13.6 mm²/s, u 1.8, allowed 12.5 to 16.3: probability of conforming
// 0.66.
describe('JCGM 106:2012, two-sided (recalled)', () => {
  it('SAE 40 oil conforms with probability 0.66', () =>
    expect(
      probabilityBelow((16.3 - 13.6) / 1.8, Infinity) - probabilityBelow((12.5 - 13.6) / 1.8, Infinity),
    ).toBeCloseTo(0.66, 2))
})

// EA-4/02 M:2022, S7, coaxial step attenuator at 30 dB (recalled): u = 0.0224 dB, U = 0.045 dB with k = 2;
// mismatch 0.0200 dB (U-shaped)
// dominates, 0.0090 dB from the reference's spread. The remaining small terms are not recalled one by one;
// they make up 0.0047 dB.
describe('EA-4/02, S7 (recalled in part)', () => {
  const parts = [
    one('u-shaped', 0.02 * Math.SQRT2),
    one('normal', 2 * 0.009),
    one('rectangular', 0.0047 * Math.sqrt(3)),
  ]
  const total = budget(parts)
  it('combines to 0.0224 dB and 0.045 dB', () => {
    expect(total.standardUncertainty).toBeCloseTo(0.0224, 4)
    expect(2 * total.standardUncertainty).toBeCloseTo(0.045, 3)
  })
  it('and its own distribution is narrower than k = 2, as a U-shaped part dominates', () =>
    expect(total.range).toBeLessThan(0.0425))
})

// Closed forms: two equal rectangles make a triangle; three make the Irwin–Hall distribution; a sine's
// distribution is the arcsine;
// Student's t and the normal against a second library (jstat).
describe('the inversion of characteristic functions', () => {
  it('of two rectangles is the triangle', () => {
    for (const x of [-1.7, -1, -0.3, 0, 0.5, 1.2, 1.9])
      expect(below([one('rectangular', 1), one('rectangular', 1)], x)).toBeCloseTo(
        x < 0 ? (2 + x) ** 2 / 8 : 1 - (2 - x) ** 2 / 8,
        4,
      )
  })
  it('of three rectangles is Irwin–Hall', () => {
    const irwinHall = (x: number) => {
      const y = (x + 3) / 2
      return (
        [0, 1, 2, 3].reduce((sum, k) => sum + (y > k ? (-1) ** k * [1, 3, 3, 1][k]! * (y - k) ** 3 : 0), 0) /
        6
      )
    }
    for (const x of [-2.5, -1.2, 0, 0.4, 1.5, 2.8])
      expect(below([one('rectangular', 1), one('rectangular', 1), one('rectangular', 1)], x)).toBeCloseTo(
        irwinHall(x),
        5,
      )
  })
  it('of one U-shaped part is the arcsine, of one triangular the triangle', () => {
    for (const x of [-0.9, -0.2, 0.5]) {
      expect(below([one('u-shaped', 1)], x)).toBeCloseTo(0.5 + Math.asin(x) / Math.PI, 6)
      expect(below([one('triangular', 1)], x)).toBeCloseTo(x < 0 ? (1 + x) ** 2 / 2 : 1 - (1 - x) ** 2 / 2, 5)
    }
  })
  it.each([1, 2, 3, 4, 7, 12, 30])(
    'of repeats with %d degrees of freedom is Student’s t',
    degreesOfFreedom => {
      for (const x of [-2.2, -0.7, 0.1, 1.4, 2.6])
        expect(below([one('student-t', 2, { degreesOfFreedom })], x)).toBeCloseTo(
          jstat.studentt.cdf(x, degreesOfFreedom),
          degreesOfFreedom === 1 ? 2 : 4,
        )
    },
  )
  it('of normals is the normal with the root of the sum of squares', () => {
    for (const x of [-2, 0.3, 1.7])
      expect(below([one('normal', 1.2), one('normal', 1.6)], x)).toBeCloseTo(jstat.normal.cdf(x, 0, 1), 6)
    expect(budget([one('normal', 2)]).range).toBeCloseTo(1.96, 3)
  })
  it('agrees with the simulation on a budget of all kinds', () => {
    const parts = [
      one('rectangular', 1.5),
      one('u-shaped', 0.8),
      one('normal', 0.6),
      one('triangular', 0.4),
      one('student-t', 0.5, { degreesOfFreedom: 4 }),
    ]
    const simulated = monteCarlo(parts, { trials: 400_000, seed: 11 })
    const found = budget(parts)
    expect(found.high).toBeCloseTo(simulated.middle.high, 1)
    for (const x of [-1.5, -0.4, 0.8, 2])
      expect(below(parts, x)).toBeCloseTo(simulated.probabilityBelow(x), 2)
    expect(simulated.standardDeviation).toBeCloseTo(
      Math.sqrt(found.standardUncertainty ** 2 + 0.25 ** 2 * (4 / 2 - 1)),
      2,
    )
    expect(simulated.shortest.high - simulated.shortest.low).toBeLessThanOrEqual(
      simulated.middle.high - simulated.middle.low,
    )
  })
})

// Against a second library, and against figures worked out independently when the handbook was written.
describe('Clopper–Pearson', () => {
  it.each([
    [0, 10],
    [1, 10],
    [5, 10],
    [19, 20],
    [20, 20],
    [5, 100],
    [50, 100],
  ])('%d of %d, against jstat', (k, n) => {
    const { low, high } = clopperPearson(k, n)
    expect(low).toBeCloseTo(k === 0 ? 0 : jstat.beta.inv(0.025, k, n - k + 1), 5)
    expect(high).toBeCloseTo(k === n ? 1 : jstat.beta.inv(0.975, k + 1, n - k), 5)
  })
  it.each([
    [1, 4, 0.0063, 0.806],
    [4, 4, 0.398, 1],
    [1, 2, 0.013, 0.987],
    [0, 20, 0, 0.1684],
    [19, 20, 0.7513, 0.9987],
    [5, 100, 0.0164, 0.1128],
  ])('%d of %d is %d to %d', (k, n, low, high) => {
    expect(clopperPearson(k, n).low).toBeCloseTo(low, 3)
    expect(clopperPearson(k, n).high).toBeCloseTo(high, 3)
  })
})

// ITU-T O.41, psophometric weighting, points from memory.
describe('ITU-T O.41 (recalled)', () => {
  it.each([
    [50, -63],
    [300, -10.6],
    [500, -3.6],
    [800, 0],
    [1000, 1],
    [1200, 0],
    [2000, -3],
    [3000, -5.6],
    [4000, -15],
    [5000, -36],
  ])('%d Hz weighs %d dB', (hz, db) => expect(psophometricWeightDb(hz)).toBe(db))
  it('lies between its points in between, and says nothing outside', () => {
    expect(psophometricWeightDb(1100)).toBeGreaterThan(0)
    expect(psophometricWeightDb(1100)).toBeLessThan(1)
    expect([psophometricWeightDb(10), psophometricWeightDb(7000)]).toEqual([-Infinity, -Infinity])
  })
})
