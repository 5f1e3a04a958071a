import { correctReading, isCorrected } from '#core/step'
import { describe, expect, it } from 'vitest'
import {
  benchChecks,
  type Calibration,
  calibratedChain,
  calibrationAges,
  calibrationLoss,
  chainLossAt,
  coaxLossDb,
  coaxTerms,
  libraryPart,
  partHalfWidthDb,
  partLibrary,
  pinsOf,
  type standingCalibration,
} from '#core/chain'
import { reviewSchema } from '#core/review'
import { analyser, AT, chainOf, harmonic, pad, reviewOf, withReadings } from '../../support/bench'

const calibration = (id: string, lossDb: number, at = AT): Calibration => ({
  id,
  partId: 'pad50',
  partName: '50 dB pad',
  at,
  withWhat: 'generator',
  expandedDb: 0.2,
  points: [
    { frequencyHz: 400e6, throughDbm: -20, withPartDbm: -20 - lossDb - 1 },
    { frequencyHz: 100e6, throughDbm: -20, withPartDbm: -20 - lossDb },
  ],
})

describe('a cable', () => {
  it('goes with √f and f, in proportion to its length', () => {
    const terms = coaxTerms(16, 64)
    const coax = { kind: 'coax' as const, lengthM: 100, ...terms }
    expect(coaxLossDb(coax, 100e6)).toBeCloseTo(16, 9)
    expect(coaxLossDb(coax, 1e9)).toBeCloseTo(64, 9)
    expect(coaxLossDb({ ...coax, lengthM: 1 }, 1e9)).toBeCloseTo(0.64, 9)
    expect(coaxLossDb({ ...coax, rootDbPer100M: 10, linearDbPer100M: 0 }, 400e6)).toBeCloseTo(20, 9)
  })

  it('carries its spread as a share of its loss', () => {
    const rg58 = {
      ...libraryPart('coax-rg-58', 'c'),
      loss: { kind: 'coax' as const, lengthM: 10, ...coaxTerms(16, 64) },
    }
    expect(partHalfWidthDb(rg58, 100e6)).toBeCloseTo(0.05 + 0.16 * 1.6, 9)
  })
})

describe('the part library', () => {
  it('holds parts the review’s schema takes, all marked typical', () => {
    const parts = partLibrary.flatMap(group => group.parts.map(({ id }) => libraryPart(id, id)))
    expect(parts.length).toBeGreaterThan(15)
    expect(parts.every(part => part.typical && part.lossUncertainty.assumed)).toBe(true)
    expect(reviewSchema.validate(reviewOf({ parts })).error).toBeUndefined()
    expect(new Set(parts.map(({ kind }) => kind))).toEqual(
      new Set(['jumper', 'pad', 'adapter', 'dc-block', 'sampler', 'coupler', 'combiner', 'filter', 'load']),
    )
  })
})

describe('a measured path', () => {
  const chain = chainOf([pad(50, { calibrationId: 'c2' })])
  const calibrations = [calibration('c1', 49.5), calibration('c2', 50.4)]

  it('is the difference of the two rounds, by frequency', () => {
    expect(
      calibrationLoss(calibration('c', 50)).map(({ frequencyHz, lossDb }) => [
        frequencyHz,
        Math.round(lossDb * 1e6) / 1e6,
      ]),
    ).toEqual([
      [100e6, 50],
      [400e6, 51],
    ])
  })

  it('stands for new readings; a reading keeps the one it was taken with, until the reviewer asks', () => {
    const loss = (
      pins: Record<string, string> | null,
      swaps: Parameters<typeof standingCalibration>[2] = [],
    ) => {
      const answer = chainLossAt(calibratedChain(chain, { calibrations, swaps, pins }), analyser(), 100e6)
      return answer.known ? Number(answer.lossDb.toFixed(6)) : null
    }
    expect(pinsOf(chain)).toEqual({ pad50: 'c2' })
    expect([loss(null), loss({ pad50: 'c2' }), loss({ pad50: 'c1' }), loss({})]).toEqual([
      50.4, 50.4, 49.5, 50,
    ])
    const swap = { id: 's', at: AT, partId: 'pad50', fromId: null, toId: 'c1' }
    const again = { ...swap, id: 's2', fromId: 'c1', toId: 'c2' }
    expect([loss({}, [swap]), loss({}, [swap, again]), loss({ pad50: 'c1' }, [again])]).toEqual([
      49.5, 50.4, 50.4,
    ])
  })

  it('judges each reading by its own pins', () => {
    const review = { ...reviewOf({ parts: [pad(50, { calibrationId: 'c2' })] }), calibrations }
    const readings = [
      harmonic(2, '-70', { calibrationIds: { pad50: 'c1' }, seen: { frequencyHz: 100e6 } }),
      harmonic(3, '-70', { calibrationIds: {}, seen: { frequencyHz: 100e6 } }),
      harmonic(4, '-70', { calibrationIds: { pad50: 'c2' }, seen: { frequencyHz: 100e6 } }),
    ]
    const context = withReadings(review, readings)
    const losses = readings.map(reading => {
      const answer = correctReading(reading, context)
      return isCorrected(answer) ? Number(answer.path.lossDb.toFixed(6)) : null
    })
    expect(losses).toEqual([49.5, 50, 50.4])
    const first = correctReading(readings[0]!, context)
    expect(
      isCorrected(first) && first.budget.contributions.find(({ id }) => id === 'part:pad50'),
    ).toMatchObject({ distribution: 'normal', standardUncertainty: 0.1 })
  })

  it('tells where a reading rests on one that was out of date when it was taken', () => {
    const old = [calibration('c1', 50, '2024-01-01T00:00:00.000Z')]
    const reading = harmonic(2, '-60', { calibrationIds: { pad50: 'c1' }, seen: { frequencyHz: 200e6 } })
    const answer = correctReading(
      reading,
      withReadings({ ...reviewOf({ parts: [pad(50, { calibrationId: 'c1' })] }), calibrations: old }, [
        reading,
      ]),
    )
    expect(isCorrected(answer) && answer.notes.join(' ')).toContain('1054 days before')
  })

  it('grows old', () => {
    const ages = (at: string) =>
      calibrationAges(chain, { calibrations, at, maxAgeDays: 365 }).map(({ days, stale }) => [days, stale])
    expect(ages('2026-11-21T10:00:00.000Z')).toEqual([[1, false]])
    expect(ages('2027-12-01T10:00:00.000Z')).toEqual([[376, true]])
    const checks = benchChecks({
      chain,
      instrument: analyser(),
      carrierHz: 146.52e6,
      powerW: 5,
      powerFrom: 'claim',
      harmonicLimitDbm: null,
      highestHarmonic: 1,
      calibration: { calibrations, at: '2027-12-01T10:00:00.000Z', maxAgeDays: 365 },
    })
    expect(checks.find(({ id }) => id === 'calibration:pad50')).toMatchObject({
      severity: 'caution',
      lamp: 'Calibration out of date',
    })
  })
})
