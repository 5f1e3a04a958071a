import { describe, expect, it } from 'vitest'
import { combOf, combOfFigures, portableFft, spectrumCurve, spectrumFrom, Welch } from '#core/signal'
import { simulatedLines } from '#core/virtual'

/** Two tones 1200 Hz apart on a carrier at 10 kHz, with products and one line that is no product. */
const curve = (() => {
  const line = (frequencyHz: number, levelDb: number) => ({ frequencyHz, levelDb })
  const welch = new Welch({ size: 16_384, window: 'blackman-harris' }, portableFft)
  welch.add(
    simulatedLines({
      sampleRateHz: 48_000,
      seconds: 3,
      noiseDb: -110,
      lines: [
        line(9400, -10),
        line(10_600, -10),
        line(8200, -38),
        line(11_800, -40),
        line(7000, -50),
        line(13_000, -52),
        line(5800, -60),
        line(10_000, -45),
      ],
    }),
  )
  const { offsetHz, meanDb } = spectrumCurve(
    spectrumFrom(welch.sums(), { sampleRateHz: 48_000, centreHz: null }),
    { carrierHz: 10_000, withinHz: 6000, points: 1500, referenceDb: 0 },
  )
  return { x: offsetHz, y: meanDb }
})()

describe('the comb of two tones in a kept curve', () => {
  it('names tones and products by the order of their place: 2f1 − f2 is the third', () => {
    const teeth = combOf(curve)
    expect(teeth.map(({ order }) => order)).toEqual([7, 5, 3, 1, 1, 3, 5])
    expect(teeth.every(({ hz, order }) => Math.abs(Math.abs(hz) - order * 600) < 20)).toBe(true)
  })

  it('leaves out what stands between the teeth, as a rest of the carrier does', () =>
    expect(combOf(curve).some(({ hz }) => Math.abs(hz) < 100)).toBe(false))

  it.each([
    [[], []],
    [
      [1, 2, 3],
      [0, 0, 0],
    ],
    [Array.from({ length: 20 }, (_u, i) => i), Array.from({ length: 20 }, (_u, i) => (i === 9 ? 0 : -90))],
  ])('is empty where two tones are not there', (x, y) => expect(combOf({ x, y })).toEqual([]))
})

describe('the comb of typed figures', () => {
  it('puts each product on both sides, as far below the tones as typed', () => {
    const teeth = combOfFigures({ 3: 31, 7: 52 }, 1200)
    expect(teeth.map(({ hz, levelDb, order }) => [hz, levelDb, order])).toEqual([
      [-4200, -52, 7],
      [-1800, -31, 3],
      [-600, 0, 1],
      [600, 0, 1],
      [1800, -31, 3],
      [4200, -52, 7],
    ])
  })
})
