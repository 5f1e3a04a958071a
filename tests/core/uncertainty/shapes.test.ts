import { describe, expect, it } from 'vitest'
import {
  contribution,
  displayEffect,
  errorDistribution,
  monteCarlo,
  powerShareContribution,
  improvements,
  budget,
} from '#core/uncertainty'

describe('a lone share of power (closed form)', () => {
  const alone = errorDistribution([
    powerShareContribution({ id: 'meter', label: 'Meter' }, 25, { scaleW: 1, readingW: 1 }),
  ])
  it('is even in power: 1 + e with e in ±25 %', () => {
    for (const share of [-0.2, -0.1, 0, 0.1, 0.2]) {
      const errorDb = 10 * Math.log10(1 + share)
      expect(alone.probabilityBelow(errorDb - alone.shift)).toBeCloseTo((share / 0.25 + 1) / 2, 6)
    }
    expect(alone.shift).toBeCloseTo(0, 6)
    expect(alone.high).toBeCloseTo(10 * Math.log10(1 + 0.25 * 0.95), 6)
    expect(alone.low).toBeCloseTo(10 * Math.log10(1 - 0.25 * 0.95), 6)
  })
})

describe('a lopsided sum', () => {
  it('lies with even chances on either side of what is stated', () => {
    const lopsided = errorDistribution([
      contribution({ id: 'p', group: 'steps', label: 'p', distribution: 'between-points', halfWidth: 2 }),
      contribution({ id: 'n', group: 'part', label: 'n', distribution: 'normal', halfWidth: 0.4 }),
    ])
    expect(lopsided.shift).not.toBeCloseTo(0, 2)
    expect(lopsided.probabilityBelow(0)).toBeCloseTo(0.5, 6)
    expect(lopsided.probabilityBelow(lopsided.high)).toBeCloseTo(0.975, 6)
    expect(lopsided.probabilityBelow(lopsided.low)).toBeCloseTo(0.025, 6)
  })
})

describe('the line a display leaves open', () => {
  it.each([6, 10, 20])('is twice the standard deviation of its own draws, %d dB above the noise', aboveDb => {
    const { lines } = displayEffect(
      { shows: 'sample', looks: null },
      { aboveDb, floorDoubtDb: 0, from: 'mean-power' },
    )
    const [line] = lines
    const { standardDeviation } = monteCarlo(lines, { trials: 200_000, seed: 3 })
    expect(line!.standardUncertainty / standardDeviation).toBeGreaterThan(0.98)
    expect(line!.standardUncertainty / standardDeviation).toBeLessThan(1.02)
    expect(line!.halfWidth).toBeCloseTo(2 * line!.standardUncertainty, 12)
  })
})

describe('what would help', () => {
  it('a meter as good as can be had is not told to be better', () => {
    const helps = (halfWidth: number) =>
      improvements(
        budget([
          contribution({
            id: 'meter:m',
            group: 'instrument',
            label: 'Meter',
            distribution: 'rectangular',
            halfWidth,
          }),
        ]),
      ).map(({ id }) => id)
    expect(helps(3)).toHaveLength(1)
    expect(helps(0.01)).toEqual([])
  })
})
