import { describe, expect, it } from 'vitest'
import {
  createDistributions,
  lookBelow,
  lookLogarithm,
  noiseAloneDb,
  peakMeterEffect,
} from '#core/uncertainty'
import { evenNumbers } from '../support/audio'

/** A look at a carrier in noise, drawn voltage by voltage (Box and Muller, from memory). */
function look(signal: number, random: () => number): number {
  const size = Math.sqrt(-Math.log(1 - random()))
  const angle = 2 * Math.PI * random()
  return (Math.sqrt(signal) + size * Math.cos(angle)) ** 2 + (size * Math.sin(angle)) ** 2
}

describe('one look at a carrier in noise (S. O. Rice, Bell Syst. Tech. J. 24 (1945) 46, from memory)', () => {
  it('is exponential without a carrier: P(power ≤ x) = 1 − exp(−x)', () => {
    for (const x of [0.1, 1, 3, 10]) expect(lookBelow(x, 0)).toBeCloseTo(1 - Math.exp(-x), 12)
    expect(lookBelow(0, 5)).toBe(0)
  })

  // Marcum’s Q, Q(1, 1) = 0.7329 and Q(2, 2) = 0.6035 (tables of radar handbooks, from memory): x = b²/2, s = a²/2.
  it.each([
    [1, 0.7329],
    [2, 0.6035],
  ])('Q(%d, %d) of Marcum', (a, q) => {
    expect(1 - lookBelow((a * a) / 2, (a * a) / 2)).toBeCloseTo(q, 3)
  })

  it.each([0.5, 4, 100, 250, 350, 2000])('as drawn voltage by voltage, s = %d', signal => {
    const random = evenNumbers(2026)
    const looks = Array.from({ length: 60_000 }, () => look(signal, random))
    for (const x of [0.7, 1, 1.3].map(share => share * (1 + signal)))
      expect(lookBelow(x, signal)).toBeCloseTo(looks.filter(power => power <= x).length / looks.length, 1.8)
    const logs = looks.map(Math.log)
    const mean = logs.reduce((sum, one) => sum + one, 0) / logs.length
    expect(lookLogarithm(signal).mean).toBeCloseTo(mean, 1.5)
  })

  it('its logarithm: −γ and π²/6 without a carrier, ln s + E1(s) with one (Abramowitz and Stegun, 5.1, from memory)', () => {
    expect(lookLogarithm(0)).toEqual({
      mean: expect.closeTo(-0.577_215_664_9, 9),
      variance: expect.closeTo(Math.PI ** 2 / 6, 9),
    })
    // E1(1) = 0.219 384, E1(2) = 0.048 900 5.
    expect(lookLogarithm(1).mean).toBeCloseTo(0.219_383_934, 8)
    expect(lookLogarithm(2).mean).toBeCloseTo(Math.LN2 + 0.048_900_511, 8)
  })

  it('noise reads 2.51 dB low on a logarithmic average (common practice in spectrum analysis, no source)', () => {
    expect(noiseAloneDb({ shows: 'logarithm', looks: 50 })).toBeCloseTo(-2.51, 2)
    expect(noiseAloneDb({ shows: 'mean', looks: 50 })).toBe(0)
    // Median of one exponential look: ln 2.
    expect(noiseAloneDb({ shows: 'highest', looks: 1 })).toBeCloseTo(10 * Math.log10(Math.LN2), 9)
    expect(noiseAloneDb({ shows: 'highest', looks: 16 })).toBeGreaterThan(4)
  })
})

/** The highest of cos t + Σ r·cos(nt + φ) about the crest, φ drawn, dB, rising. */
function drawnPeaksDb(
  set: { n: number; downDb: number }[],
  { times, random }: { times: number; random: () => number },
): number[] {
  const crest = Array.from({ length: 81 }, (_unused, i) => ((i - 40) * Math.PI) / 360)
  return Array.from({ length: times }, () => {
    const waves = set.map(({ n, downDb }) => ({ n, r: 10 ** (-downDb / 20), angle: 2 * Math.PI * random() }))
    const volts = crest.map(t =>
      waves.reduce((sum, { n, r, angle }) => sum + r * Math.cos(n * t + angle), Math.cos(t)),
    )
    return 20 * Math.log10(Math.max(...volts))
  }).sort((a, b) => a - b)
}

/** Evenly from 0 to 1, so many. */
function stepping(times: number) {
  let i = 0
  return { times, random: () => (i++ + 0.5) / times }
}

describe('a peak-reading meter on a carrier with harmonics', () => {
  const range = (set: { n: number; downDb: number }[]) => {
    const { lines, correctionDb } = peakMeterEffect(which => ({ id: `${which}`, label: '' }), set)
    return { ...createDistributions().of(lines), correctionDb, lines }
  }

  it('is moved by ±8.686·r dB by a weak harmonic, whatever its order: ±0.087 dB at 40 dB down', () => {
    const { lines, correctionDb } = range([{ n: 2, downDb: 40 }])
    expect(correctionDb).toBe(0)
    expect(lines[0]).toMatchObject({ distribution: 'u-shaped', halfWidth: expect.closeTo(0.0869, 4) })
    expect(range([{ n: 2, downDb: 70 }]).lines).toEqual([])
  })

  it('feels many weak harmonics as one: within 0.02 dB of their sum drawn at random, 4000 times', () => {
    const weak = [47, 52, 55, 58, 60].map((downDb, i) => ({ n: i + 2, downDb }))
    const { lines, low, high } = range(weak)
    expect(lines).toEqual([expect.objectContaining({ id: 'weak', distribution: 'normal' })])
    const drawn = drawnPeaksDb(weak, { times: 4000, random: evenNumbers(4) })
    expect(high).toBeGreaterThan(drawn[3900]!)
    expect(high).toBeLessThan(drawn[3900]! + 0.02)
    expect(-low).toBeCloseTo(high, 9)
    // One alone keeps its name and its shape.
    expect(range([{ n: 5, downDb: 47 }]).lines).toEqual([
      expect.objectContaining({ distribution: 'u-shaped' }),
    ])
    // 34 dB down ±0.17 dB: felt by itself, beside two that are not.
    const beside = range([{ n: 2, downDb: 34 }, ...weak.slice(1, 3)]).lines
    expect(beside.map(({ id }) => id)).toEqual(['2', 'weak'])
  })

  it('one just too weak to bend the crest leaves its middle within 0.01 dB; one that bends is worked out', () => {
    // (n·r)²·4.343 = 0.01 dB: ×2 at 32.4, ×10 at 46.4 dB down.
    for (const [n, downDb] of [
      [2, 32.5],
      [10, 46.5],
    ] as const) {
      expect(range([{ n, downDb }]).correctionDb).toBe(0)
      expect(Math.abs(drawnPeaksDb([{ n, downDb }], stepping(1000))[500]!)).toBeLessThan(0.0105)
      expect(range([{ n, downDb: downDb - 0.4 }]).correctionDb).toBeGreaterThan(0.004)
    }
  })

  it('reads 20·log(1 + r) high at most and 20·log(1 − r) low by a second harmonic 20 dB down', () => {
    const { low, high, correctionDb, shift } = range([{ n: 2, downDb: 20 }])
    // What it reads high is what the truth is lower.
    expect(correctionDb - shift - low).toBeCloseTo(20 * Math.log10(1.1), 1)
    expect(correctionDb - shift - high).toBeCloseTo(20 * Math.log10(0.9), 1)
  })

  it('reads high in the middle: the crest moves towards the harmonic, (n·r)²/4 on average', () => {
    expect(range([{ n: 2, downDb: 20 }]).correctionDb).toBeGreaterThan(0.1)
    expect(range([{ n: 2, downDb: 20 }]).correctionDb).toBeLessThan(0.25)
  })
})
