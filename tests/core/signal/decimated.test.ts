import { describe, expect, it } from 'vitest'
import { convolveEven, convolveInside } from '#core/signal/filter/convolve'
import { lowPass } from '#core/signal/filter/lowPass'
import { decimated } from '#core/signal/sinad/decimated'
import { gaussian, sines } from '../../support/audio'

describe('an even kernel', () => {
  it('is folded to the same figures as the plain convolution', () => {
    const kernel = lowPass({ sampleRateHz: 48_000, passHz: 4200, stopHz: 7800 })
    const samples = gaussian(2000, 1, 4)
    const plain = convolveInside(samples, kernel, 4)
    const folded = convolveEven(samples, kernel, 4)
    expect(folded).toHaveLength(plain.length)
    folded.forEach((value, i) => expect(value).toBeCloseTo(plain[i]!, 12))
  })

  it('is the same where every second tap is nought, for any rest of outputs over fours', () => {
    for (const [stopHz, length] of [
      [19_800, 2000],
      [19_800, 2002],
      [19_800, 2004],
      [19_800, 2006],
      [20_200, 2000],
    ] as const) {
      const kernel = lowPass({ sampleRateHz: 48_000, passHz: 24_000 - stopHz, stopHz })
      const samples = gaussian(length, 1, 4)
      const plain = convolveInside(samples, kernel, 2)
      const folded = convolveEven(samples, kernel, 2)
      expect(folded).toHaveLength(plain.length)
      folded.forEach((value, i) => expect(value).toBeCloseTo(plain[i]!, 12))
    }
  })
})

describe('audio at a lower rate', () => {
  const rms = (samples: Float64Array) =>
    Math.sqrt(samples.reduce((sum, one) => sum + one * one, 0) / samples.length)
  const through = (hz: number, filter: 'voice' | 'psophometric' | 'flat', sampleRateHz = 48_000) =>
    decimated({ samples: sines(sampleRateHz, sampleRateHz, [{ hz, amplitude: 1 }]), sampleRateHz }, filter)

  it('keeps the band to a hundredth of a decibel, and lets nothing fold into it', () => {
    for (const hz of [300, 1000, 3000])
      expect(20 * Math.log10(rms(through(hz, 'voice').samples) * Math.SQRT2)).toBeCloseTo(0, 2)
    for (const hz of [9000, 11_000, 13_000, 15_000])
      expect(20 * Math.log10(rms(through(hz, 'voice').samples))).toBeLessThan(-75)
    expect(20 * Math.log10(rms(through(6000, 'psophometric').samples) * Math.SQRT2)).toBeCloseTo(0, 2)
    expect(20 * Math.log10(rms(through(10_100, 'psophometric').samples))).toBeLessThan(-75)
  })

  it('stays as it is where nothing is gained', () => {
    expect(through(1000, 'flat').sampleRateHz).toBe(48_000)
    expect(through(1000, 'voice', 8000).sampleRateHz).toBe(8000)
    expect(through(1000, 'voice').sampleRateHz).toBe(12_000)
  })
})
