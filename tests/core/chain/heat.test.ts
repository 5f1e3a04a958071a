import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  averagingTimeS,
  benchChecks,
  deratedW,
  HEAT_DEFAULTS,
  type HeatConditions,
  libraryPart,
  partHeat,
} from '#core/chain'
import { heatNow } from '#core/plan'
import { stationById } from '#core/station'
import { analyser, chainOf, pad, radio, reviewOf, withReadings } from '../../support/bench'

const small = pad(30, { ratingW: 10, zeroRatingAtC: 125, peakW: 50 })
const at = (ambientC: number, keyedS = 60, restS = 60): HeatConditions => ({
  ambientC,
  duty: { keyedS, restS },
})

describe('the rating of a part', () => {
  it('falls in a line from 25 °C to nothing', () => {
    expect([20, 25, 75, 125, 200].map(ambientC => deratedW(small, ambientC))).toEqual([10, 10, 5, 0, 0])
    expect(deratedW(pad(30, { ratingW: 10 }), 80)).toBe(10)
    expect(deratedW(pad(30, { ratingW: null }), 80)).toBeNull()
  })

  it('is averaged over one minute for small parts, five for large', () =>
    expect([averagingTimeS(small), averagingTimeS(pad(40, { ratingW: 50 }))]).toEqual([60, 300]))
})

describe('the heat in a part', () => {
  it('says how long it may be keyed, and the rest it needs', () => {
    expect(partHeat(small, 5, HEAT_DEFAULTS)).toMatchObject({ continuous: true, restS: 0, mayBeKeyedS: 60 })
    expect(partHeat(small, 20, HEAT_DEFAULTS)).toMatchObject({
      continuous: false,
      mayBeKeyedS: 30,
      restS: 30,
    })
    expect(partHeat(small, 60, HEAT_DEFAULTS).mayBeKeyedS).toBe(0)
    expect(partHeat(pad(30, { ratingW: 10 }), 11, HEAT_DEFAULTS).mayBeKeyedS).toBe(0)
  })

  it('averages a short duty and not a long key-down', () => {
    expect(partHeat(small, 20, at(25, 10, 30)).averageW).toBeCloseTo(5, 9)
    expect(partHeat(small, 20, at(25, 300, 300)).averageW).toBe(20)
    expect(partHeat(small, 20, at(25, 30, 600)).averageW).toBeCloseTo(10, 9)
  })

  it('never lets the average over what may be keyed exceed the rating', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 50, noNaN: true }),
        fc.double({ min: -20, max: 120, noNaN: true }),
        (keyedW, ambientC) => {
          const heat = partHeat(small, keyedW, at(ambientC))
          return (keyedW * heat.mayBeKeyedS) / heat.averagingS <= heat.ratingW! * 1.001
        },
      ),
    )
  })
})

describe('the checks before keying up', () => {
  const heatOf = (part: Parameters<typeof partHeat>[0], powerW: number, conditions?: HeatConditions) =>
    benchChecks({
      chain: chainOf([part]),
      instrument: analyser({ damageDbm: 60, overloadDbm: 50 }),
      carrierHz: 146.52e6,
      powerW,
      powerFrom: 'claim',
      harmonicLimitDbm: null,
      highestHarmonic: 1,
      ...(conditions ? { conditions } : {}),
    }).find(({ id }) => id.startsWith('heat'))!

  it('weigh a duty the part bears, one it does not, and heat in the room', () => {
    expect(heatOf(small, 5).severity).toBe('ok')
    expect(heatOf(small, 20, at(25, 15, 60))).toMatchObject({
      severity: 'caution',
      lamp: '30 dB pad: 30 s in 1 min',
    })
    expect(heatOf(small, 20, at(25, 60, 0))).toMatchObject({
      severity: 'danger',
      lamp: '30 dB pad too small for this duty',
    })
    expect(heatOf(small, 60).severity).toBe('danger')
    expect(heatOf(small, 8, at(75))).toMatchObject({ severity: 'danger' })
    expect(heatOf(small, 8, at(75)).title).toContain('5.0')
  })

  it('remind of the load behind a tap', () => {
    const checks = benchChecks({
      chain: chainOf([libraryPart('sampler-40', 's')]),
      instrument: analyser(),
      carrierHz: 146.52e6,
      powerW: 5,
      powerFrom: 'claim',
      harmonicLimitDbm: null,
      highestHarmonic: 1,
    })
    expect(checks.find(({ id }) => id === 'through:s')?.title).toContain('load rated for 5')
  })
})

describe('the longest key-down of a step', () => {
  const allowed = (part: Parameters<typeof partHeat>[0], claimW: number) => {
    const context = withReadings(
      reviewOf({
        instrument: analyser({ damageDbm: 60, overloadDbm: 50 }),
        parts: [part],
        set: radio({}, { claimW }),
      }),
      [],
    )
    const step = stationById('harmonics').plan(context.review.sets[0]!, context)[0]!
    const heats = heatNow(
      {
        set: step.set,
        chainId: step.chains.instrument ?? null,
        frequencyHz: step.channel.frequencyHz,
        powerW: step.claim.kind === 'watts' ? step.claim.powerW : 0,
        now: 0,
      },
      context,
    )
    return Math.floor(Math.min(...heats.map(({ leftS }) => leftS)))
  }
  it('is what the set bears, or less where a part bears less', () => {
    expect([allowed(small, 5), allowed(small, 20), allowed(small, 60)]).toEqual([60, 30, 0])
  })
})
