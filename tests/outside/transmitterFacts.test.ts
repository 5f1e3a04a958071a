import { fullDeviationHz } from '#core/band'
import { describe, expect, it } from 'vitest'
import { decide, verdictWords } from '#core/decision'
import { timeConstant, USUAL_DROOP_DB } from '#core/station'
import { newBand } from '#core/review'
import { adjacentFilterHz, TONE_SQUELCH_HZ } from '#core/signal'
import { contribution, errorDistribution } from '#core/uncertainty'

const band = (channelSpacingHz: number) => ({
  ...newBand({ id: 'b', name: '', levelIds: [] }),
  channelSpacingHz,
})

describe('facts of the trade: common practice, no source', () => {
  it('0.3 dB over five minutes is normal', () => expect(USUAL_DROOP_DB).toBe(0.3))

  it('a repairer aims near 2.2 kHz with 2.5 kHz as the absolute peak on 27 MHz FM: inside, and right at the limit', () => {
    const at = (valueHz: number) =>
      decide({
        value: valueHz,
        limit: 2500,
        direction: 'upper',
        errors: errorDistribution([
          contribution({
            id: 'x',
            group: 'reference',
            label: '',
            distribution: 'rectangular',
            halfWidth: valueHz / 100,
          }),
        ]),
        unit: 'Hz',
      })
    expect(verdictWords(at(2200))).toBe('Inside by 300\u00a0Hz')
    expect(at(2500).state).toBe('too-close')
  })

  it('a log of a warming radio falls as an exponential: its time constant is found within a tenth', () => {
    for (const tau of [30, 90, 150])
      expect(
        timeConstant(
          Array.from({ length: 31 }, (_unused, i) => ({
            atS: 10 * i,
            levelDbm: 37 - 0.5 * (1 - Math.exp((-10 * i) / tau)),
          })),
        )! / tau,
      ).toBeCloseTo(1, 1)
  })
})

describe('published figures, from memory', () => {
  it('full deviation 2, 2.5, 4 and 5 kHz in 10 (EN 300 433), 12.5, 20 and 25 kHz channels (EN 300 086)', () =>
    expect([10_000, 12_500, 20_000, 25_000].map(hz => fullDeviationHz(band(hz)))).toEqual([
      2000, 2500, 4000, 5000,
    ]))

  it('adjacent channels are read through 8.5, 14 and 16 kHz (EN 300 086, power measuring receiver)', () =>
    expect([12_500, 20_000, 25_000].map(adjacentFilterHz)).toEqual([8500, 14_000, 16_000]))

  it('tone squelch tones rise by about 3.5 percent from 67 to 254.1 Hz (TIA-603)', () => {
    expect([TONE_SQUELCH_HZ[0], TONE_SQUELCH_HZ.at(-1)]).toEqual([67, 254.1])
    expect(TONE_SQUELCH_HZ).toContain(88.5)
    for (let i = 1; i < TONE_SQUELCH_HZ.length; i++)
      expect(TONE_SQUELCH_HZ[i]! / TONE_SQUELCH_HZ[i - 1]!).toBeGreaterThan(1.01)
  })
})

describe('a limit on both sides (JCGM 106:2012: the conformance probability is what lies between, from memory)', () => {
  const errors = errorDistribution([
    contribution({ id: 'n', group: 'reference', label: '', distribution: 'normal', halfWidth: 2 }),
  ])

  it('counts both tails: at nought with u = 1 and a limit of 1.96, 95 %', () => {
    expect(decide({ value: 0, limit: 1.959964, direction: 'both', errors }).probabilityComplies).toBeCloseTo(
      0.95,
      4,
    )
    expect(decide({ value: 0, limit: 1, direction: 'both', errors }).probabilityComplies).toBeCloseTo(
      0.6827,
      3,
    )
  })

  it('is the same for either sign', () => {
    const [minus, plus] = [-3, 3].map(valueDb =>
      decide({ value: valueDb, limit: 5, direction: 'both', errors }),
    )
    expect(minus).toMatchObject({
      state: 'inside',
      margin: 2,
      marginLow: expect.closeTo(plus!.marginLow!, 9) as number,
      probabilityComplies: expect.closeTo(plus!.probabilityComplies!, 9) as number,
    })
  })
})
