import fc from 'fast-check'
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus'
import { describe, expect, it } from 'vitest'
import { benchKinds } from '#core/study'
import {
  displayedDbm,
  displayedW,
  drawAnalyser,
  drawPartErrors,
  gaussian,
  levelAtInstrument,
} from '#core/virtual'
import { analyser, chainOf, meter, pad } from '../../support/bench'

const randomFrom = (seed: number) => {
  const source = xoroshiro128plus(seed)
  return () => (source.next() >>> 0) * 2 ** -32
}
const carrier = { levelDbm: 37, frequencyHz: 146.52e6, sourceVswr: 1 }
const exact = new Map<string, never>()

describe('a simulated chain', () => {
  it('loses what is stated where nothing reflects', () => {
    expect(
      levelAtInstrument(
        chainOf([pad(30), pad(20, { id: 'p2' })]),
        analyser(),
        { ...carrier, errors: exact },
        randomFrom(1),
      ),
    ).toBeCloseTo(37 - 50, 9)
  })

  it('keeps within the exact limits of two reflecting ports, and reaches both', () => {
    const found = Array.from(
      { length: 4000 },
      (_unused, seed) =>
        levelAtInstrument(
          chainOf([]),
          analyser({ vswr: 3 }),
          { ...carrier, sourceVswr: 2, errors: exact },
          randomFrom(seed + 1),
        ) - 37,
    )
    const [low, high] = [-20 * Math.log10(1 + 0.5 / 3), -20 * Math.log10(1 - 0.5 / 3)]
    expect(Math.min(...found)).toBeGreaterThan(low - 1e-9)
    expect(Math.max(...found)).toBeLessThan(high + 1e-9)
    expect(Math.min(...found)).toBeCloseTo(low, 2)
    expect(Math.max(...found)).toBeCloseTo(high, 2)
  })

  it('hides a mismatch behind a pad by twice its loss', () => {
    const spread = (lossDb: number) => {
      const found = Array.from({ length: 500 }, (_unused, seed) =>
        levelAtInstrument(
          chainOf([pad(lossDb)]),
          analyser({ vswr: 3 }),
          { ...carrier, sourceVswr: 2, errors: exact },
          randomFrom(seed + 1),
        ),
      )
      return Math.max(...found) - Math.min(...found)
    }
    expect(spread(10)).toBeCloseTo(spread(0) / 10, 1)
    expect(spread(20)).toBeLessThan(0.04)
  })

  it('draws errors no larger than stated, the level part the same at every frequency', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 1e6 }), seed => {
        const chain = chainOf([
          pad(30, {
            lossUncertainty: {
              halfWidthDb: 1,
              distribution: 'rectangular',
              assumed: false,
              shareOfLoss: 0,
              flatnessDb: 0.2,
            },
          }),
        ])
        const error = drawPartErrors(chain, analyser(), 1e8, randomFrom(seed)).get('pad30')!
        return Math.abs(error.levelDb) <= 0.8 && Math.abs(error.flatnessDb()) <= 0.2
      }),
    )
  })
})

describe('a simulated display', () => {
  it('adds the noise, errs within what is stated, and rounds to its step', () => {
    const an = analyser({ resolution: 0.1, amplitudeAccuracyDb: 1, floorDoubtDb: 2, floorDbm: -90 })
    for (let seed = 1; seed < 200; seed++) {
      const random = randomFrom(seed)
      const truth = drawAnalyser(an, random)
      const shown = displayedDbm(an, truth, -50, random)
      expect(Math.abs(shown + 50)).toBeLessThan(1.06)
      expect(Math.abs(shown * 10 - Math.round(shown * 10))).toBeLessThan(1e-6)
      expect(displayedDbm(an, truth, -200, random)).toBeGreaterThan(-92.1)
    }
  })

  it('of a meter errs in share of what it shows, or of its scale', () => {
    const low = () => 0
    const high = () => 1
    expect(displayedW(meter({ accuracyOf: 'reading', accuracyPercent: 10 }), 37, high)).toBeCloseTo(
      5.01187 / 1.1,
      4,
    )
    expect(
      displayedW(meter({ accuracyOf: 'full-scale', accuracyPercent: 10, fullScaleW: 20 }), 37, low),
    ).toBeCloseTo(5.01187 + 2, 4)
    expect(displayedW(meter({ resolution: 0.01 }), 37, () => 0.5)).toBeCloseTo(5.01, 9)
  })

  it('draws normals of mean nought and unit spread', () => {
    const random = randomFrom(9)
    const draws = Array.from({ length: 20_000 }, () => gaussian(random))
    const mean = draws.reduce((sum, x) => sum + x, 0) / draws.length
    expect(mean).toBeCloseTo(0, 1)
    expect(Math.sqrt(draws.reduce((sum, x) => sum + (x - mean) ** 2, 0) / draws.length)).toBeCloseTo(1, 1)
  })
})

describe('the kinds of bench of the study', () => {
  it.each(benchKinds.map(kind => [kind.id, kind] as const))(
    '%s: the same seed gives the same bench, with its truth beside it',
    (_id, kind) => {
      const [one, two] = [kind.draw(randomFrom(4)), kind.draw(randomFrom(4))]
      expect(one.readings.map(({ levelDbm, trueDbm }) => [levelDbm, trueDbm])).toEqual(
        two.readings.map(({ levelDbm, trueDbm }) => [levelDbm, trueDbm]),
      )
      expect(
        one.readings.every(({ levelDbm, trueDbm }) => Number.isFinite(levelDbm) && Number.isFinite(trueDbm)),
      ).toBe(true)
      expect(one.chain.instrumentId).toBe(one.instrument.id)
    },
  )
})
