import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  emissionEdges,
  evaluateLimit,
  limitDemands,
  limitsOfCarrier,
  type PowerLimit,
  powerLimitDbm,
  powerLimitWords,
  rulebookById,
  rulebooks,
  yardsticks,
} from '#core/rules'
import { dbmFromWatts } from '#core/quantity'

const books = [...rulebooks, ...yardsticks]

describe('limits worked out once per stretch of frequency', () => {
  it.each(books.map(book => [book.id, book] as const))('%s: the same as asked one by one', (_id, book) => {
    const edges = emissionEdges(book)
    fc.assert(
      fc.property(
        fc.constantFrom(14.2, 27.185, 27.78125, 146.52, 151.82, 155, 156.8, 446.1, 462.5625),
        fc.constantFrom(0.5, 5, 50),
        fc.constantFrom('FM', 'AM', 'SSB'),
        fc.constantFrom(12.5e3, 25e3, null),
        (mhz, powerW, mode, channelSpacingHz) => {
          const carrier = { frequencyHz: mhz * 1e6, powerW, mode: mode as 'FM', channelSpacingHz }
          const limits = limitsOfCarrier(book, carrier, edges)
          for (let n = 2; n <= 10; n++) {
            const emission = { frequencyHz: n * carrier.frequencyHz, harmonic: n }
            const [kept, fresh] = [limits(emission), evaluateLimit(book, carrier, emission)]
            if (
              kept.kind !== fresh.kind ||
              kept.clause !== fresh.clause ||
              (kept.kind === 'limit' &&
                fresh.kind === 'limit' &&
                (kept.limitDbm !== fresh.limitDbm ||
                  kept.referenceBandwidthHz !== fresh.referenceBandwidthHz))
            )
              return false
          }
          return true
        },
      ),
      { numRuns: 60 },
    )
  })

  it('knows the edges of protected bands, and that a mask hangs on the distance', () => {
    expect(emissionEdges(rulebookById('eu-cb'))).toContain(47e6)
    expect(emissionEdges(rulebookById('us-amateur'))).toEqual([])
    expect(emissionEdges(rulebookById('us-frs'))).toBeNull()
  })

  it('tells harmonics from other emissions', () => {
    const limits = limitsOfCarrier(rulebookById('good-practice'), { frequencyHz: 146e6, powerW: 5 }, [])
    expect(limits({ frequencyHz: 292e6, harmonic: 2 })).toBe(limits({ frequencyHz: 438e6, harmonic: 3 }))
    expect(limits({ frequencyHz: 300e6, harmonic: null })).not.toBe(
      limits({ frequencyHz: 292e6, harmonic: 2 }),
    )
  })
})

describe('the tree of a power limit', () => {
  const place = {
    carrier: { frequencyHz: 155e6, powerW: 5 },
    emission: { frequencyHz: 155.02e6, harmonic: null },
    bandwidthHz: 20e3,
  }
  const dbm = (limit: PowerLimit, bandwidthHz: number | null = 20e3) =>
    powerLimitDbm(limit, { ...place, bandwidthHz })?.limitDbm ?? null

  it.each<[string, PowerLimit, number | null]>([
    ['watts', { kind: 'absolute', powerW: 1e-6 }, -30],
    ['dB below the carrier', { kind: 'relative', attenuationDb: 50 }, dbmFromWatts(5) - 50],
    ['43 + 10 log P', { kind: 'offset-plus-log-power', offsetDb: 43 }, -13],
    [
      'and',
      {
        kind: 'strictest',
        of: [
          { kind: 'absolute', powerW: 1e-6 },
          { kind: 'relative', attenuationDb: 50 },
        ],
      },
      -30,
    ],
    [
      'or',
      {
        kind: 'loosest',
        of: [
          { kind: 'absolute', powerW: 1e-6 },
          { kind: 'relative', attenuationDb: 50 },
        ],
      },
      dbmFromWatts(5) - 50,
    ],
    [
      'a floor that does not matter',
      { kind: 'not-below', powerW: 1e-9, limit: { kind: 'absolute', powerW: 1e-6 } },
      -30,
    ],
    ['a floor that does', { kind: 'not-below', powerW: 1e-3, limit: { kind: 'absolute', powerW: 1e-6 } }, 0],
    [
      'by frequency, found',
      {
        kind: 'by-emission',
        segments: [{ fromHz: 1e8, toHz: 2e8, limit: { kind: 'absolute', powerW: 1e-3 } }],
      },
      0,
    ],
    [
      'by frequency, not found',
      {
        kind: 'by-emission',
        segments: [{ fromHz: 2e8, toHz: 3e8, limit: { kind: 'absolute', powerW: 1e-3 } }],
      },
      null,
    ],
    [
      'by distance in Hz',
      {
        kind: 'mask',
        unit: 'Hz',
        steps: [{ from: 15e3, to: 20e3, limit: { kind: 'absolute', powerW: 1e-3 } }],
      },
      0,
    ],
    [
      'by distance in percent',
      {
        kind: 'mask',
        unit: 'percent',
        steps: [{ from: 50, to: 100, limit: { kind: 'absolute', powerW: 1e-3 } }],
      },
      0,
    ],
    ['a slope in f', { kind: 'slope', law: 'linear', a: 2, b: 5 }, dbmFromWatts(5) - 30],
    ['a slope in log f', { kind: 'slope', law: 'log', a: 83, b: 5 }, dbmFromWatts(5) - 83 * Math.log10(4)],
    [
      'a slope in log f²',
      { kind: 'slope', law: 'log-square', a: 29, b: 11 },
      dbmFromWatts(5) - 29 * Math.log10(400 / 11),
    ],
  ])('%s', (_name, limit, expected) => {
    const found = dbm(limit)
    if (expected === null) expect(found).toBeNull()
    else expect(found).toBeCloseTo(expected, 9)
    expect(powerLimitWords(limit).length).toBeGreaterThan(8)
    const demands = limitDemands(limit, place)
    expect(demands.filter(({ governs }) => governs)).toHaveLength(expected === null ? 0 : 1)
    if (expected !== null) expect(demands.find(({ governs }) => governs)!.limitDbm).toBeCloseTo(expected, 9)
  })

  it('a mask in percent says nothing without a bandwidth', () =>
    expect(
      dbm(
        {
          kind: 'mask',
          unit: 'percent',
          steps: [{ from: 0, to: 1e6, limit: { kind: 'absolute', powerW: 1 } }],
        },
        null,
      ),
    ).toBeNull())
})
