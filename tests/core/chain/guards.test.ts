import { describe, expect, it } from 'vitest'
import {
  accuracyInWords,
  benchChecks,
  type BenchCheckInput,
  deratedW,
  judgePadTest,
  newAudioMeter,
  newPart,
  partHeat,
  reachAt,
} from '#core/chain'
import { analyser, chainOf, meter, pad } from '../../support/bench'

const input = (change: Partial<BenchCheckInput>): BenchCheckInput => ({
  ...{ chain: chainOf([pad(30), pad(20, { id: 'p20' })]), instrument: analyser(), carrierHz: 146.52e6 },
  ...{ powerW: 5, powerFrom: 'claim', harmonicLimitDbm: null, highestHarmonic: 1 },
  ...change,
})
const severities = (change: Partial<BenchCheckInput>, id: string) =>
  benchChecks(input(change))
    .filter(check => check.id === id)
    .map(({ severity }) => severity)

describe('what reaches an instrument', () => {
  // 5 W behind 50 dB are −13 dBm.
  it.each([
    [{ damageDbm: 30, overloadDbm: -12.9 }, ['ok'], []],
    [{ damageDbm: 30, overloadDbm: -13.1 }, [], ['caution']],
    [{ damageDbm: -10.1, overloadDbm: 0 }, ['caution'], []],
    [{ damageDbm: -9.9, overloadDbm: 0 }, ['ok'], []],
    [{ damageDbm: -10.1, overloadDbm: -20 }, ['caution'], ['caution']],
    [{ damageDbm: -13.1, overloadDbm: -20 }, ['danger'], []],
  ])('with %o says %o of damage and %o of overload', (change, damage, overload) => {
    expect(severities({ instrument: analyser(change) }, 'damage')).toEqual(damage)
    expect(severities({ instrument: analyser(change) }, 'overload')).toEqual(overload)
  })

  it('is not told where a loss is not known, of an analyser or a meter', () => {
    const unknown = { ...newPart('f', 'filter'), loss: { kind: 'table', points: [] } } as ReturnType<
      typeof newPart
    >
    for (const instrument of [analyser(), meter()]) {
      expect(severities({ instrument, chain: chainOf([unknown]) }, 'damage')).toEqual([])
      expect(severities({ instrument, chain: chainOf([unknown]) }, 'overload')).toEqual([])
    }
  })

  it('is said the gravest first', () => {
    const rank = { danger: 0, caution: 1, note: 2, ok: 3 } as Record<string, number>
    const all = benchChecks(input({ instrument: analyser({ damageDbm: -20, overloadDbm: -30 }) })).map(
      ({ severity }) => rank[severity]!,
    )
    expect(new Set(all).size).toBeGreaterThan(1)
    expect(all).toEqual([...all].sort((a, b) => a - b))
  })

  it('of audio it is said whether volts are known; of nothing else', () => {
    const plain = { ...newAudioMeter('a'), fullScaleV: null }
    expect(severities({ instrument: plain }, 'volts')).toEqual(['note'])
    expect(severities({ instrument: { ...plain, fullScaleV: 1 } }, 'volts')).toEqual(['ok'])
    expect(severities({ instrument: plain }, 'processing')).toEqual(['note'])
    expect(severities({}, 'volts')).toEqual([])
  })

  it('is covered up to the last hertz of the range', () => {
    const covered = (hz: number) =>
      reachAt(chainOf([pad(30)]), analyser({ fromHz: 1e6, toHz: 1e9 }), hz).covered
    expect([1e6, 1e9, 1e6 - 1, 1e9 + 1].map(covered)).toEqual([true, true, false, false])
  })

  it('is known so well, in words', () => {
    expect(accuracyInWords(analyser({ amplitudeAccuracyDb: 1.5, flatnessDb: null }))).not.toContain(
      'over frequency',
    )
    expect(accuracyInWords(analyser({ amplitudeAccuracyDb: 1.5, flatnessDb: 0.5 }))).toContain(
      'of which ±0.5',
    )
  })
})

describe('heat at its edges', () => {
  const small = pad(30, { ratingW: 10, zeroRatingAtC: 125, peakW: 50 })
  const at = (keyedW: number, keyedS = 60, restS = 60) =>
    partHeat(small, keyedW, { ambientC: 25, duty: { keyedS, restS } })

  it('a part of which nobody says what it bears is never derated, and never keyed', () => {
    expect(deratedW(pad(30, { ratingW: null, zeroRatingAtC: 125 }), 80)).toBeNull()
    expect(
      partHeat(pad(30, { ratingW: null, peakW: null }), 5, { ambientC: 25, duty: { keyedS: 60, restS: 60 } })
        .mayBeKeyedS,
    ).toBe(0)
  })

  it('right at its peak it may be keyed, beyond it never', () => {
    expect(at(50).mayBeKeyedS).toBeCloseTo(12, 6)
    expect(at(50.1).mayBeKeyedS).toBe(0)
    expect(at(10).continuous).toBe(true)
    expect(at(10.1).continuous).toBe(false)
  })

  it('a duty of no length at all is all keyed', () => {
    expect(at(20, 0, 0).averageW).toBe(20)
    expect(at(20, 0, 60).averageW).toBe(0)
  })
})

describe('the range of a pad test', () => {
  it('is that of the pad, two last digits and two readings', () => {
    const test = {
      id: 't',
      chainId: 'ch',
      at: '',
      harmonic: 2,
      frequencyHz: 300e6,
      padDb: 10,
      withoutDbm: -40,
      withDbm: -50,
    }
    const range = (padHalfWidthDb: number, resolutionDb: number) =>
      judgePadTest({ ...test, padHalfWidthDb, resolutionDb }, -90).rangeDb
    // Rectangles: ±0.7 alone is 0.665; with two of ±0.5 the variance is 0.49/3 + 2·0.25/3 = 0.574².
    expect(range(0, 0)).toBeCloseTo(0.665, 2)
    expect(range(0, 1)).toBeGreaterThan(1.0)
    expect(range(0, 1)).toBeLessThan(1.15)
    expect(range(2, 0)).toBeGreaterThan(1.9)
  })
})
