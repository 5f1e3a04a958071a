import besselj0 from '@stdlib/math-base-special-besselj0'
import { describe, expect, it } from 'vitest'
import { CARRIER_NULLS, carsonBandwidthHz, nullToneHz, peakNear } from '#core/signal'
import { simulatedFm } from '#core/virtual'
import { analysed } from '../support/analysed'

describe('Bessel nulls (Abramowitz and Stegun, Table 9.5, from memory; the function from @stdlib)', () => {
  it.each(CARRIER_NULLS.map((index, i) => ({ i: i + 1, index })))(
    'J0 vanishes at null $i, $index',
    ({ index }) => {
      expect(Math.abs(besselj0(index))).toBeLessThan(1e-6)
    },
  )

  it.each([
    [5000, 2079.2],
    [4000, 1663.3],
    [3000, 1247.5],
    [2500, 1039.6],
    [2000, 831.7],
    [1500, 623.7],
  ])('%i Hz deviation: the carrier vanishes with a tone of %f Hz', (deviationHz, toneHz) => {
    expect(nullToneHz(deviationHz)).toBeCloseTo(toneHz, 1)
  })

  it('a recording at the first null has no carrier, and one beside it has', async () => {
    const carrierOf = async (deviationHz: number) => {
      const { spectrum } = await analysed(
        simulatedFm({
          sampleRateHz: 96_000,
          seconds: 1,
          offsetHz: 0,
          levelDb: 0,
          tones: [{ frequencyHz: 1000, deviationHz }],
          noiseDb: null,
        }),
        96_000,
      )
      return peakNear(spectrum, 0, 150)!.levelDb
    }
    expect(await carrierOf(2404.83)).toBeLessThan(-90)
    expect(await carrierOf(1500)).toBeCloseTo(20 * Math.log10(besselj0(1.5)), 1)
  })
})

describe('Carson’s rule (Carson 1922, from memory)', () => {
  it.each([
    [5000, 3000, 16_000],
    [2500, 3000, 11_000],
  ])('%i and %i Hz take %i Hz', (deviationHz, audioHz, hz) => {
    expect(carsonBandwidthHz(deviationHz, audioHz)).toBe(hz)
  })

  it('holds about 98 % of the power of a tone-modulated carrier', async () => {
    const { occupied } = await analysed(
      simulatedFm({
        sampleRateHz: 96_000,
        seconds: 1,
        offsetHz: 0,
        levelDb: 0,
        tones: [{ frequencyHz: 1000, deviationHz: 5000 }],
        noiseDb: null,
      }),
      96_000,
    )
    // 99 % lies between Carson’s bandwidth and one sideband more on each side.
    expect(occupied!.bandwidthHz).toBeGreaterThan(carsonBandwidthHz(5000, 1000) - 1000)
    expect(occupied!.bandwidthHz).toBeLessThan(carsonBandwidthHz(5000, 1000) + 2500)
  })
})
