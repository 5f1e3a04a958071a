import { describe, expect, it } from 'vitest'
import {
  Decimator,
  FmDemodulator,
  fmFilters,
  lowPass,
  lowPassSlope,
  portableFft,
  readAudioBlock,
  STOP_BAND_DB,
} from '#core/signal'
import { seededRandom, simulatedFm, simulatedLines, simulatedNoise } from '#core/virtual'

const RATE = 60_000

/** Gain of an even kernel at a frequency. */
function evenGain(kernel: Float64Array, hz: number, rateHz: number): number {
  const middle = (kernel.length - 1) / 2
  return kernel.reduce((sum, tap, n) => sum + tap * Math.cos((2 * Math.PI * hz * (n - middle)) / rateHz), 0)
}

/** What an odd kernel makes of a phase that swings at a frequency, against the true slope. */
function slopeGain(kernel: Float64Array, hz: number, rateHz: number): number {
  const middle = (kernel.length - 1) / 2
  return (
    -kernel.reduce((sum, tap, n) => sum + tap * Math.sin((2 * Math.PI * hz * (n - middle)) / rateHz), 0) / hz
  )
}

describe('the low-pass', () => {
  const kernel = lowPass({ sampleRateHz: RATE, passHz: 8000, stopHz: 12_000 })

  it.each([0, 1000, 4000, 7900])('lets %i Hz through', hz => {
    expect(evenGain(kernel, hz, RATE)).toBeCloseTo(1, 3)
  })

  it.each([12_100, 15_000, 29_000])('keeps %i Hz out by 80 dB', hz => {
    expect(20 * Math.log10(Math.abs(evenGain(kernel, hz, RATE)))).toBeLessThan(-STOP_BAND_DB + 3)
  })

  it('is symmetric and adds up to one', () => {
    expect(kernel.reduce((sum, tap) => sum + tap, 0)).toBeCloseTo(1, 12)
    kernel.forEach((tap, n) => expect(tap).toBeCloseTo(kernel[kernel.length - 1 - n]!, 12))
  })

  it('asks for a transition', () => {
    expect(() => lowPass({ sampleRateHz: RATE, passHz: 8000, stopHz: 8000 })).toThrow('above zero')
    expect(() => lowPassSlope({ sampleRateHz: RATE, passHz: 8000, stopHz: 7000 })).toThrow('above zero')
  })
})

describe('the slope of the phase', () => {
  const kernel = lowPassSlope({ sampleRateHz: RATE, passHz: 15_000, stopHz: 19_500 })

  it.each([50, 1000, 3000, 10_000, 14_000])('reads a swing of %i Hz to one part in ten thousand', hz => {
    expect(slopeGain(kernel, hz, RATE)).toBeCloseTo(1, 3)
  })

  it('keeps what is faster out', () => {
    expect(Math.abs(slopeGain(kernel, 21_000, RATE))).toBeLessThan(1e-3)
  })
})

describe('the channel filter fed piece by piece', () => {
  const samples = simulatedNoise(6000, -10, 11)
  const filter = { sampleRateHz: 240_000, shiftHz: 12_345, passHz: 8000, stopHz: 16_000, factor: 4 }

  it('gives the same whatever the pieces', () => {
    const whole = new Decimator(filter).add(samples)
    const random = seededRandom(5)
    const pieces = new Decimator(filter)
    const re: number[] = []
    const im: number[] = []
    for (let at = 0; at < 6000;) {
      const count = Math.min(6000 - at, 1 + Math.floor(900 * random()))
      const part = pieces.add(samples.subarray(2 * at, 2 * (at + count)))
      re.push(...part.re)
      im.push(...part.im)
      at += count
    }
    expect(re).toHaveLength(whole.re.length)
    re.forEach((value, i) => expect(value).toBeCloseTo(whole.re[i]!, 9))
    im.forEach((value, i) => expect(value).toBeCloseTo(whole.im[i]!, 9))
  })

  it('says its rate', () => {
    expect(new Decimator(filter).rateHz).toBe(60_000)
  })
})

describe('the FM filters of a recording', () => {
  it.each([
    [96_000, 1, 96_000],
    [240_000, 4, 60_000],
    [2_400_000, 40, 60_000],
    [24_000, 1, 24_000],
  ])('at %i S/s thin out by %i to %i Hz', (sampleRateHz, factor, rateHz) => {
    expect(fmFilters({ sampleRateHz, shiftHz: 0, channelHalfHz: 15_000 })).toMatchObject({ factor, rateHz })
  })

  it('narrow themselves to a slow recording, and refuse one too slow', () => {
    const slow = fmFilters({ sampleRateHz: 24_000, shiftHz: 0, channelHalfHz: 15_000 })
    expect(slow.channelHalfHz).toBeCloseTo(9600, 6)
    expect(slow.audioHz).toBeCloseTo(9120, 6)
    expect(() => fmFilters({ sampleRateHz: 16_000, shiftHz: 0, channelHalfHz: 15_000 })).toThrow(
      '16000 samples a second; a deviation needs 20000 or more',
    )
  })

  it('follow a carrier through many turns of its phase', () => {
    const demodulator = new FmDemodulator({ sampleRateHz: 96_000, shiftHz: 0, channelHalfHz: 15_000 })
    const samples = simulatedFm({
      sampleRateHz: 96_000,
      seconds: 0.2,
      offsetHz: 9000,
      levelDb: -20,
      tones: [],
      noiseDb: null,
    })
    const { frequencyHz, power } = demodulator.add(samples)
    expect(frequencyHz.length).toBe(power.length)
    for (const hz of frequencyHz.subarray(50, -50)) expect(hz).toBeCloseTo(9000, 0)
    expect(10 * Math.log10(power[1000]!)).toBeCloseTo(-20, 2)
  })
})

describe('one block of demodulated signal', () => {
  const { filters } = new FmDemodulator({ sampleRateHz: RATE, shiftHz: 0, channelHalfHz: 15_000 })
  const block = (wave: (t: number) => number, seconds = 1) =>
    Float64Array.from({ length: RATE * seconds }, (_unused, n) => wave(n / RATE))
  const read = (values: Float64Array) => readAudioBlock(values, { filters, engine: portableFft })
  const sine = (hz: number, amplitude: number) => (t: number) => amplitude * Math.sin(2 * Math.PI * hz * t)

  it('parts carrier, tone, distortion and tone squelch', () => {
    const found = read(block(t => 150 + sine(1000, 2000)(t) + sine(2000, 200)(t) + sine(88.5, 300)(t)))
    expect(found.carrierHz).toBeCloseTo(150, 2)
    expect(found.tone).toMatchObject({
      toneHz: expect.closeTo(1000, 1) as number,
      distortion: expect.closeTo(0.1, 2) as number,
    })
    expect(found.subAudible).toMatchObject({ usualHz: 88.5, deviationHz: expect.closeTo(300, 0) as number })
  })

  it('tells an uneven swing’s two sides', () => {
    // cos + ½ cos 2x reaches +1.5 and −0.75.
    const found = read(
      block(t => 1000 * Math.cos(2 * Math.PI * 1000 * t) + 500 * Math.cos(4 * Math.PI * 1000 * t)),
    )
    expect(found.tone!.plusHz).toBeCloseTo(1500, 0)
    expect(found.tone!.minusHz).toBeCloseTo(750, 0)
  })

  it('takes two voices for no tone, and silence for nothing', () => {
    expect(read(block(t => sine(700, 1000)(t) + sine(1130, 900)(t))).tone).toBeNull()
    const silent = read(block(() => 12))
    expect(silent).toMatchObject({ subAudible: null, carrierHz: expect.closeTo(12, 6) as number })
    expect(silent.rmsHz).toBeLessThan(1e-6)
  })

  it('measures the noise a discriminator makes, which grows with f²', () => {
    // White phase noise of a known density: frequency noise of f² times that.
    const noise = simulatedNoise(RATE + 1, 0, 9)
    const sigma = 0.01
    const phase = Float64Array.from({ length: RATE + 1 }, (_unused, n) => sigma * Math.SQRT2 * noise[2 * n]!)
    const frequency = Float64Array.from(
      { length: RATE },
      (_unused, n) => ((phase[n + 1]! - phase[n]!) * RATE) / (2 * Math.PI),
    )
    const density = (2 * sigma ** 2) / RATE
    expect(read(frequency).phaseNoise / density).toBeGreaterThan(0.7)
    expect(read(frequency).phaseNoise / density).toBeLessThan(1.2)
  })

  it('does not call a hum below the tones a tone squelch', () => {
    expect(read(block(sine(50, 300))).subAudible).toBeNull()
    expect(read(block(sine(100, 30))).subAudible).toBeNull()
    expect(read(block(sine(158, 300))).subAudible!.usualHz).toBe(156.7)
    expect(read(block(sine(64.5, 300))).subAudible!.usualHz).toBeNull()
  })
})

describe('simulated recordings are what they say', () => {
  it('noise has its power, and the same seed the same noise', () => {
    const noise = simulatedNoise(50_000, -20, 3)
    const power = noise.reduce((sum, value) => sum + value * value, 0) / 50_000
    expect(10 * Math.log10(power)).toBeCloseTo(-20, 1)
    expect(simulatedNoise(10, -20, 3)).toEqual(simulatedNoise(10, -20, 3))
    expect(simulatedNoise(10, -20, 3)).not.toEqual(simulatedNoise(10, -20, 4))
  })

  it('lines have their levels, a carrier its envelope, a quiet beginning nothing', () => {
    const line = simulatedLines({
      sampleRateHz: 1000,
      seconds: 1,
      lines: [{ frequencyHz: 100, levelDb: -6 }],
      noiseDb: null,
    })
    expect(Math.hypot(line[500]!, line[501]!)).toBeCloseTo(10 ** (-6 / 20), 5)
    const fm = simulatedFm({
      sampleRateHz: 10_000,
      seconds: 1,
      offsetHz: 100,
      levelDb: -12,
      tones: [{ frequencyHz: 50, deviationHz: 500 }],
      noiseDb: null,
      quietS: 0.5,
    })
    expect(fm.subarray(0, 2 * 5000).every(value => value === 0)).toBe(true)
    for (let n = 5000; n < 10_000; n += 97)
      expect(Math.hypot(fm[2 * n]!, fm[2 * n + 1]!)).toBeCloseTo(10 ** (-12 / 20), 5)
  })
})
