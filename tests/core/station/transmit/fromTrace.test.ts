import { describe, expect, it } from 'vitest'
import { levelFromSpur, type TakenTrace } from '#core/station'

const taken = (change: Partial<TakenTrace>): TakenTrace =>
  ({
    ...{ peaks: { peaks: [], floorDbm: -95, stepHz: 1e4 }, resolutionBandwidthHz: 1e5, keepsHighest: false },
    ...{ detection: null, moment: 'settled', source: { kind: 'typed' } },
    ...change,
  }) as unknown as TakenTrace
const shows = (change: Partial<TakenTrace>) =>
  levelFromSpur({ levelDbm: -60, frequencyHz: 300e6 } as Parameters<typeof levelFromSpur>[0], taken(change))!
    .seen

describe('how a level of a trace was shown', () => {
  it('is as the trace says; a point that keeps the highest is the highest of nobody knows how many', () => {
    const sample = { shows: 'sample' as const, looks: 1 }
    expect(shows({ detection: sample }).detection).toEqual(sample)
    expect(shows({ detection: sample, keepsHighest: true }).detection).toEqual(sample)
    expect(shows({ keepsHighest: true }).detection).toEqual({ shows: 'highest', looks: null })
  })

  it('is as its instrument does where the trace says nothing', () => {
    expect(shows({})).not.toHaveProperty('detection')
    expect(shows({})).toMatchObject({ levelDbm: -60, frequencyHz: 300e6 })
  })
})
