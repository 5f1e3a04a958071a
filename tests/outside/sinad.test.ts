import { describe, expect, it } from 'vitest'
import { AUDIO_FILTERS, audioPowerGain, fitSine, portableFft, readSinad } from '#core/signal'
import { added, gaussian, powerThrough, type Sine, sines, voiceBand } from '../support/audio'

const read = (samples: Float64Array, rate: number, filter: (typeof AUDIO_FILTERS)[number] = 'voice') =>
  readSinad(samples, rate, { weighting: { filter, deEmphasisS: null }, toneHz: 1000 }, portableFft)

/** O.41 as printed, at the points inside the tests’ band; between them straight in log frequency. */
const O41: [hz: number, db: number][] = [
  [300, -10.6],
  [400, -6.3],
  [500, -3.6],
  [600, -2],
  [800, 0],
  [1000, 1],
  [1200, 0],
  [2000, -3],
  [3000, -5.6],
]

describe('the four-parameter sine fit (IEEE Std 1057, from memory)', () => {
  it.each([
    { rate: 48_000, hz: 1000.37, seconds: 1, startHz: 1004 },
    { rate: 8000, hz: 999.991, seconds: 2, startHz: 995 },
    { rate: 44_100, hz: 987.654_3, seconds: 0.5, startHz: 992 },
  ])('finds $hz Hz at $rate samples a second as it was made', ({ rate, hz, seconds, startHz }) => {
    const made: Sine = { hz, amplitude: 0.37, phase: -1.1 }
    const samples = sines(rate * seconds, rate, [made]).map(value => value + 0.02)
    const fit = fitSine(samples, { sampleRateHz: rate, startHz })
    expect(fit.frequencyHz).toBeCloseTo(hz, 6)
    expect(fit.amplitude).toBeCloseTo(0.37, 8)
    expect(fit.offset).toBeCloseTo(0.02, 8)
    expect(Math.cos(fit.phaseRad - -1.1)).toBeCloseTo(1, 8)
  })

  it('scatters in noise as the Cramér–Rao bound says: 12·σ² / ((2π)²·A²/2·N³) (Rife and Boorstyn, from memory)', () => {
    const [rate, count, amplitude, rms] = [8000, 4000, 0.5, 0.25]
    const off = Array.from({ length: 60 }, (_unused, seed) => {
      const samples = added(sines(count, rate, [{ hz: 1000.2, amplitude }]), gaussian(count, rms, 900 + seed))
      return fitSine(samples, { sampleRateHz: rate, startHz: 1001 }).frequencyHz - 1000.2
    })
    const found = Math.sqrt(off.reduce((sum, one) => sum + one * one, 0) / off.length)
    const bound = (rate / (2 * Math.PI)) * Math.sqrt((12 * rms ** 2) / ((amplitude ** 2 / 2) * count ** 3))
    expect(found / bound).toBeGreaterThan(0.75)
    expect(found / bound).toBeLessThan(1.25)
  })
})

describe('SINAD against the same by a plain discrete Fourier transform of the noise alone', () => {
  const gainOf = {
    voice: voiceBand,
    psophometric: (hz: number) => audioPowerGain({ filter: 'psophometric', deEmphasisS: null }, hz),
    flat: (hz: number) => (hz >= 20 && hz <= 20_000 ? 1 : 0),
  }

  describe.each(AUDIO_FILTERS)('through the %s filter', filter => {
    const gain = gainOf[filter]
    it.each([6, 12, 20, 30])('at about %d dB', wanted => {
      const [rate, seconds, amplitude] = [8000, 2, 0.4]
      const hz = 1003.3
      const inBand = filter === 'voice' ? 2700 / 4000 : 1
      const rms = amplitude / Math.SQRT2 / 10 ** (wanted / 20) / Math.sqrt(inBand)
      const noise = gaussian(rate * seconds, rms, 17 + wanted)
      const samples = added(sines(rate * seconds, rate, [{ hz, amplitude }]), noise)
      const noisePower = powerThrough(noise, rate, gain)
      const truth = 10 * Math.log10(1 + ((amplitude ** 2 / 2) * gain(hz)) / noisePower)
      const { parts, doubts } = read(samples, rate, filter)
      expect(Math.abs(parts!.sinadDb - truth)).toBeLessThan(0.15)
      expect(parts!.toneHz).toBeCloseTo(hz, 1)
      expect(Math.abs(parts!.toneHz - hz)).toBeLessThan(0.05)
      expect(doubts).toEqual([])
    })
  })

  it.each([44_100, 48_000, 11_025])('at %d samples a second, tone off the bins, hum below the band', rate => {
    const amplitude = 0.3
    const noise = gaussian(2 * rate, 0.04 * Math.sqrt(rate / 8000), 5)
    const samples = added(
      sines(2 * rate, rate, [
        { hz: 998.77, amplitude },
        { hz: 50, amplitude: 0.2 },
        { hz: 100, amplitude: 0.05 },
      ]),
      noise,
    )
    const truth = 10 * Math.log10(1 + amplitude ** 2 / 2 / powerThrough(noise, rate, voiceBand, 3001))
    expect(Math.abs(read(samples, rate).parts!.sinadDb - truth)).toBeLessThan(0.15)
    const few = added(sines(2 * rate, rate, [{ hz: 998.77, amplitude }]), noise)
    expect(Math.abs(read(few, rate).parts!.sinadDb - truth)).toBeLessThan(0.15)
  })

  it('counts harmonics as distortion: 10 % of second harmonic is 20 dB, in closed form', () => {
    const rate = 48_000
    const samples = sines(rate, rate, [
      { hz: 1000.5, amplitude: 0.5 },
      { hz: 2001, amplitude: 0.05, phase: 1 },
    ])
    const { parts } = read(samples, rate)
    expect(parts!.sinadDb).toBeCloseTo(10 * Math.log10(101), 2)
    expect(parts!.distortion).toBeCloseTo(0.1, 4)
    expect(parts!.distortionPower / (0.05 ** 2 / 2)).toBeCloseTo(1, 2)
  })
})

describe('weights', () => {
  it('are those of ITU-T O.41 (from memory)', () => {
    for (const [hz, db] of O41)
      expect(10 * Math.log10(audioPowerGain({ filter: 'psophometric', deEmphasisS: null }, hz))).toBeCloseTo(
        db,
        6,
      )
  })

  it('fall by 6 dB an octave with 750 µs of de-emphasis, 0 dB at 1 kHz (land mobile, common practice)', () => {
    const gain = (hz: number) => 10 * Math.log10(audioPowerGain({ filter: 'voice', deEmphasisS: 750e-6 }, hz))
    expect(gain(1000)).toBeCloseTo(0, 9)
    expect(gain(2000) - gain(1000)).toBeCloseTo(-5.89, 1)
    expect(gain(3000) - gain(1500)).toBeCloseTo(-5.95, 1)
  })
})
