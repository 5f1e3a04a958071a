import { describe, expect, it } from 'vitest'
import { tracePeaks, traceSpurs } from '#core/format'
import { TraceNoise } from '#core/format/traceNoise'
import { seededRandom } from '#core/virtual'

const CARRIER_HZ = 146.52e6
const RBW_HZ = 100e3
const STEP_HZ = 50e3
const POINTS = 20_001

/** Noise behind a filter, as it comes (exponential in power about −90 dBm), and lines where they are asked for. */
function trace(seed: number, lines: Readonly<Record<number, number>> = {}, looks = 1) {
  const random = seededRandom(seed)
  const frequenciesHz = Float64Array.from({ length: POINTS }, (_unused, i) => i * STEP_HZ)
  const levelsDbm = frequenciesHz.map(hz => {
    let sum = 0
    for (let i = 0; i < looks; i++) sum -= Math.log(1 - random())
    let mw = (10 ** -9 * sum) / looks
    for (const [n, dbm] of Object.entries(lines)) {
      const away = (hz - Number(n) * CARRIER_HZ) / (RBW_HZ / 2)
      mw += 10 ** ((dbm - 3.0103 * away ** 2) / 10)
    }
    return 10 * Math.log10(mw)
  })
  return { frequenciesHz, levelsDbm }
}

const input = {
  carrierHz: CARRIER_HZ,
  highestHarmonic: 6,
  resolutionBandwidthHz: RBW_HZ,
  keepsHighest: false,
}

describe('what noise alone reaches in a trace', () => {
  it('is, for exponential noise, the closed form of the highest of so many looks', () => {
    // The highest of k exponentials is below x with (1 − e^−x)^k: at one in a hundred above, x = −ln(1 − 0.99^(1/k)).
    for (const k of [5, 13, 40]) {
      const exact = 10 * Math.log10(-Math.log(1 - 0.99 ** (1 / k))) - 90
      const noise = new TraceNoise(trace(k).levelsDbm)
      expect(Math.abs(noise.highestNear(POINTS / 2, k, 0.01) - exact)).toBeLessThan(0.8)
    }
  })

  it('does not rise with a carrier and its harmonics, which are few', () => {
    const bare = new TraceNoise(trace(1).levelsDbm).highestNear(POINTS / 2, 13, 0.01)
    const lines = new TraceNoise(trace(1, { 1: -10, 2: -40, 3: -55, 4: -60 }).levelsDbm).highestNear(
      POINTS / 2,
      13,
      0.01,
    )
    expect(Math.abs(lines - bare)).toBeLessThan(0.2)
  })

  it('follows a floor that rises by 20 dB from end to end, as one behind a front end does', () => {
    const flat = trace(5).levelsDbm
    const rising = new TraceNoise(flat.map((level, i) => level + (20 * i) / POINTS))
    const [low, high] = [rising.highestNear(1000, 13, 0.01), rising.highestNear(POINTS - 1000, 13, 0.01)]
    expect(high - low).toBeGreaterThan(15)
    expect(high - low).toBeLessThan(20)
    // Of one that does not rise it is the same everywhere.
    const level = new TraceNoise(flat)
    const apart = level.highestNear(1000, 13, 0.01) - level.highestNear(POINTS - 1000, 13, 0.01)
    expect(Math.abs(apart)).toBeLessThan(1.5)
  })

  it('is near the floor where a trace is averaged, and unknown where it is short', () => {
    const averaged = new TraceNoise(trace(2, {}, 50).levelsDbm).highestNear(POINTS / 2, 13, 0.01)
    expect(averaged).toBeGreaterThan(-90)
    expect(averaged).toBeLessThan(-87.5)
    expect(new TraceNoise(trace(2).levelsDbm.slice(0, 100)).highestNear(50, 13, 0.01)).toBe(-Infinity)
  })
})

describe('a harmonic that is not there', () => {
  it('is taken for one about once in a hundred, not most of the time', () => {
    let [taken, all] = [0, 0]
    for (let seed = 1; seed <= 60; seed++)
      for (const { peak } of tracePeaks(trace(seed, { 1: -10 }), input).peaks.slice(1)) {
        all += 1
        if (!peak!.isNoise) taken += 1
        // Without looking at what a search does, each would stand 3 dB and more above the floor.
        expect(peak!.levelDbm).toBeGreaterThan(-90 - 1.6)
      }
    expect(all).toBe(300)
    expect(taken / all).toBeLessThan(0.04)
  })

  it('leaves one that stands 12 dB above the noise what it is', () => {
    for (let seed = 1; seed <= 20; seed++) {
      const [, second] = tracePeaks(trace(seed, { 1: -10, 2: -78 }), input).peaks
      expect(second!.peak!.isNoise).toBe(false)
      expect(Math.abs(second!.peak!.levelDbm + 78)).toBeLessThan(2.5)
    }
  })
})

describe('spurs of a trace with nothing in it', () => {
  const where = { ...input, necessaryBandwidthHz: 16e3, highestHarmonic: 10 }
  const spurs = (seed: number, lines = {}) => {
    const points = trace(seed, lines)
    return traceSpurs(points, { ...where, floorDbm: tracePeaks(points, input).floorDbm })
  }

  it('are hardly ever found: noise that was swept without averaging has its own peaks', () => {
    const found = Array.from({ length: 40 }, (_unused, i) => spurs(i + 1).length)
    expect(found.filter(count => count > 0).length).toBeLessThanOrEqual(6)
  })

  it('are found where they are', () => {
    const [strongest, ...more] = spurs(3, { 1: -10, 1.3: -72 })
    expect(strongest!.frequencyHz).toBeCloseTo(1.3 * CARRIER_HZ, -5)
    expect(more).toHaveLength(0)
  })
})
