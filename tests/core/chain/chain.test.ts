import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  chainContributions,
  chainLossAt,
  chainPath,
  harmonicList,
  instrumentContributions,
  levelStairs,
  levelStairsFromWatts,
  newPart,
  outOfReachInWords,
  partLossAt,
  reachAt,
} from '#core/chain'
import { analyser, chainOf, meter, pad } from '../../support/bench'

const table = pad(30, {
  loss: {
    kind: 'table',
    points: [
      { frequencyHz: 1e9, lossDb: 31 },
      { frequencyHz: 1e8, lossDb: 30 },
    ],
  },
})

describe('loss of a part', () => {
  it('is interpolated in the logarithm of frequency, in whatever order the table stands', () => {
    expect(partLossAt(table, Math.sqrt(1e8 * 1e9))).toEqual({ known: true, lossDb: 30.5 })
    expect(partLossAt(table, 1e8)).toEqual({ known: true, lossDb: 30 })
    expect(partLossAt(table, 1e9)).toEqual({ known: true, lossDb: 31 })
  })

  it('is never extrapolated', () => {
    for (const hz of [0.99e8, 1.01e9])
      expect(partLossAt(table, hz)).toMatchObject({
        known: false,
        why: expect.stringContaining('lies outside'),
      })
    expect(partLossAt(pad(3, { loss: { kind: 'table', points: [] } }), 1e8)).toMatchObject({
      known: false,
    })
    expect(partLossAt(pad(3, { toHz: 5e8 }), 6e8)).toMatchObject({
      known: false,
      why: expect.stringContaining('usable to'),
    })
    expect(partLossAt(pad(3, { fromHz: 5e8 }), 4e8)).toMatchObject({ known: false })
  })

  it('stays between its neighbours', () => {
    fc.assert(
      fc.property(fc.double({ min: 1e8, max: 1e9, noNaN: true }), hz => {
        const answer = partLossAt(table, hz)
        return answer.known && answer.lossDb >= 30 && answer.lossDb <= 31
      }),
    )
  })
})

describe('a chain', () => {
  it('adds up its parts; the sum is the offset to type', () => {
    expect(chainLossAt(chainOf([pad(30), pad(10), pad(0.25)]), analyser(), 146.52e6)).toEqual({
      known: true,
      lossDb: 40.25,
    })
    expect(chainLossAt(chainOf([pad(30), table]), analyser(), 2e9)).toMatchObject({ known: false })
    expect(chainLossAt(chainOf([]), analyser(), 1e8)).toEqual({ known: true, lossDb: 0 })
  })

  it('leaves the load behind an in-line meter out of the loss', () => {
    const load = { ...newPart('l', 'load'), ratingW: 50 }
    const chain = chainOf([pad(0.1), load])
    expect(chainLossAt(chain, meter({ inLine: true }), 1e8)).toEqual({ known: true, lossDb: 0.1 })
    expect(chainPath(chain, meter({ inLine: true }))).toMatchObject({
      termination: { id: 'l' },
      endsOpen: false,
    })
    expect(chainPath(chainOf([pad(0.1)]), meter({ inLine: true })).endsOpen).toBe(true)
    expect(chainPath(chain, analyser()).before).toHaveLength(2)
  })

  it('steps the level down and counts the heat: what goes in comes out or stays', () => {
    const stairs = levelStairsFromWatts(chainOf([pad(30), pad(10)]), analyser(), {
      powerW: 5,
      frequencyHz: 1e8,
    })
    expect(stairs.atInstrumentDbm).toBeCloseTo(36.9897 - 40, 3)
    expect(stairs.stairs.map(stair => stair.heatW)).toEqual([
      expect.closeTo(4.995, 4),
      expect.closeTo(0.0045, 5),
    ])
    const lost = levelStairs(chainOf([table]), analyser(), { startDbm: 37, frequencyHz: 2e9 })
    expect(lost).toMatchObject({ atInstrumentDbm: null, stairs: [{ outDbm: null, heatW: null }] })
  })

  it('says what is out of reach as the bench check prints it', () => {
    const chain = chainOf([pad(50)])
    expect(outOfReachInWords(chain, analyser({ toHz: 960e6 }), 146.52e6, 10)?.replaceAll('\u00a0', ' ')).toBe(
      '×7 and up of 146.520 MHz lie above 960 MHz: not covered',
    )
    expect(outOfReachInWords(chain, analyser({ toHz: 3e9 }), 146.52e6, 10)).toBeNull()
    expect(outOfReachInWords(chainOf([table]), analyser({ toHz: 3e9 }), 146.52e6, 10)).toContain('×7 to ×10')
    expect(reachAt(chain, analyser({ fromHz: 5e8 }), 1e8)).toMatchObject({
      covered: false,
      because: 'instrument',
    })
    expect(harmonicList([7, 3, 5, 6, 9])).toBe('×3, ×5 to ×7, ×9')
  })
})

describe('contributions of a chain', () => {
  const at100MHz = { frequencyHz: 1e8, emission: 'carrier' } as const

  it('takes a radio’s output to reflect 0.95 beside its carrier (assumed), and a 10 dB pad to help tenfold', () => {
    const beside = { frequencyHz: 2e8, emission: 'unwanted' } as const
    const bare = chainContributions(chainOf([]), analyser({ vswr: 1.5 }), beside)
    expect(bare[0]).toMatchObject({ parameter: expect.closeTo(0.95 * 0.2, 9), assumed: true })
    const padded = chainContributions(chainOf([pad(10)]), analyser({ vswr: 1.5 }), beside)
    expect(padded[0]!.halfWidth).toBeCloseTo(((20 / Math.LN10) * 0.95 * 0.2) / 10, 9)
  })

  it('takes mismatch between every two facing ports, weakened by twice the loss between', () => {
    const bare = chainContributions(chainOf([]), analyser({ vswr: 1.5 }), at100MHz)
    expect(bare).toEqual([
      expect.objectContaining({
        group: 'mismatch',
        distribution: 'two-ports',
        halfWidth: expect.closeTo((20 / Math.LN10) * (1 / 3) * 0.2, 6),
      }),
    ])
    const padded = chainContributions(chainOf([pad(10)]), analyser({ vswr: 1.5 }), at100MHz)
    expect(padded[0]?.halfWidth).toBeCloseTo(bare[0]!.halfWidth / 10, 6)
    expect(chainContributions(chainOf([pad(40)]), analyser({ vswr: 1.5 }), at100MHz)).toEqual([])
  })

  it('takes the accuracy of a meter of reading and of full scale', () => {
    const half = (change: Parameters<typeof meter>[0], dbm: number) =>
      instrumentContributions(meter(change), { atInstrumentDbm: dbm, resolutionDb: 0 })[0]!.halfWidth
    expect(half({ accuracyPercent: 5 }, 36.9897)).toBeCloseTo(0.21715, 4)
    expect(half({ accuracyPercent: 10, accuracyOf: 'full-scale', fullScaleW: 20 }, 36.9897)).toBeCloseTo(
      4.3429 * 0.1 * 4,
      3,
    )
  })

  it('takes the coarser of the display’s step and what was typed', () => {
    const step = (resolution: number, resolutionDb: number) =>
      instrumentContributions(analyser({ resolution }), { atInstrumentDbm: -50, resolutionDb })[1]!
    expect(step(0.1, 1).halfWidth).toBe(0.5)
    expect(step(0.1, 0.01).halfWidth).toBe(0.05)
    expect(step(0.1, 0.01).standardUncertainty).toBeCloseTo(0.1 / (2 * Math.sqrt(3)), 12)
  })
})
