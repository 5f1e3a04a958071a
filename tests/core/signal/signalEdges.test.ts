import { describe, expect, it } from 'vitest'
import { portableFft, psophometricWeightDb, type Spectrum, spectrumCurve } from '#core/signal'
import { clippedShareOf, noLevels } from '#core/signal/receiver/levelCounts'
import { clippedShare, heightOf } from '#core/signal/sinad/clippedShare'
import { mainsHum } from '#core/signal/sinad/mainsHum'
import { densityNear, powerDensity } from '#core/signal/sinad/powerDensity'
import { gaussian } from '../../support/audio'

describe('samples at the rail of the input', () => {
  const block = (...rails: number[]) => {
    const samples = Float64Array.from({ length: 300 }, (_unused, n) => 0.3 * Math.sin(n * 0.37))
    rails.forEach((value, i) => (samples[20 + 40 * i] = value))
    return clippedShare(samples, heightOf(samples), 48)
  }
  it('three are clipped, on either side; two are chance', () => {
    expect(block(1, 1)).toBe(0)
    expect(block(1, -1)).toBe(0)
    expect(block(1, 1, 1)).toBeCloseTo(3 / 300, 12)
    expect(block(-1, -1, -1)).toBeCloseTo(3 / 300, 12)
    expect(block(-1, 1, -1, 1)).toBeCloseTo(4 / 300, 12)
  })
  it('the rail begins at 0.9996 of full scale', () => {
    expect(block(0.9996, 0.9997, 0.9998)).toBeCloseTo(3 / 300, 12)
    expect(block(0.9995, 0.9994, 0.9993)).toBe(0)
    expect(block(-0.9996, -0.9997, -0.9998)).toBeCloseTo(3 / 300, 12)
  })
})

describe('how high a block goes', () => {
  it('is what looking at each sample by itself finds, of an odd and an even number', () => {
    for (const length of [1, 2, 299, 300, 301]) {
      // Of few values, so that both extremes are met several times, at even and odd places.
      const samples = gaussian(length, 1, 7).map(value => Math.round(2 * value) / 8)
      const [highest, lowest] = [Math.max(...samples), Math.min(...samples)]
      const mean = samples.reduce((sum, one) => sum + one, 0) / length
      const height = heightOf(samples)
      expect(height).toMatchObject({ highest, lowest, peak: Math.max(highest, -lowest) })
      expect(height.atHighest).toBe(samples.filter(one => one === highest).length)
      expect(height.atLowest).toBe(samples.filter(one => one === lowest).length)
      expect(height.rms ** 2).toBeCloseTo(
        samples.reduce((sum, one) => sum + (one - mean) ** 2, 0) / length,
        12,
      )
    }
  })
})

describe('a flat top among the sizes of I and Q', () => {
  /** So many samples in the top bin, and in the bins below it, those in between empty. */
  const share = (atTop: number, ...below: number[]) => {
    const levels = noLevels()
    const top = 1000
    levels.counts[top] = atTop
    below.forEach((count, i) => (levels.counts[top - 2 * (i + 1)] = count))
    return clippedShareOf({
      ...levels,
      top,
      besideTop: { least: -10, most: 10 },
      total: 10_000,
    })
  }
  it('is more than eight times the mean of the next three that hold any', () => {
    expect(share(41, 5, 5, 5)).toBeCloseTo(41 / 10_000, 12)
    expect(share(40, 5, 5, 5)).toBe(0)
    // A fourth one below counts for nothing.
    expect(share(41, 5, 5, 5, 9000)).toBeCloseTo(41 / 10_000, 12)
    expect(share(41, 5, 5, 9000)).toBe(0)
  })
})

describe('psophometric weights at the ends of the table (ITU-T O.41, from memory)', () => {
  it('print nothing below 16.66 Hz and above 6 kHz', () => {
    expect(psophometricWeightDb(16.65)).toBe(-Infinity)
    expect(psophometricWeightDb(16.66)).toBeCloseTo(-85, 1)
    expect(psophometricWeightDb(6001)).toBe(-Infinity)
    expect(psophometricWeightDb(800)).toBe(0)
  })
  it('between two points it goes along the logarithm of frequency', () => {
    const [low, high] = [psophometricWeightDb(1000), psophometricWeightDb(1200)]
    expect(psophometricWeightDb(Math.sqrt(1000 * 1200))).toBeCloseTo((low + high) / 2, 9)
    expect(psophometricWeightDb(Math.sqrt(1000 * 1200))).toBeLessThan(low)
  })
})

describe('a spectrum thinned for drawing', () => {
  it('keeps the strongest of what stands at one point, wherever among them it is', () => {
    const bins = (strongest: number): Spectrum => ({
      ...{
        window: 'blackman-harris',
        firstHz: 0,
        binHz: 10,
        centreHz: null,
        enbwHz: 15,
        enbwBins: 1.5,
        frames: 4,
        independentFrames: 3,
      },
      meanPower: Float64Array.from({ length: 100 }, (_unused, k) => (k === strongest ? 1 : 1e-9)),
      highestPower: Float64Array.from({ length: 100 }, (_unused, k) => (k === strongest ? 2 : 1e-9)),
    })
    for (const strongest of [50, 53, 59]) {
      const curve = spectrumCurve(bins(strongest), {
        carrierHz: 495,
        withinHz: 490,
        points: 10,
        referenceDb: 0,
      })
      const at = [...curve.meanDb].indexOf(Math.max(...curve.meanDb))
      expect(curve.meanDb[at]).toBeCloseTo(0, 9)
      expect(curve.offsetHz[at]).toBeCloseTo(10 * strongest - 495, 9)
      expect(curve.highestDb[at]).toBeCloseTo(10 * Math.log10(2), 9)
    }
  })
})

describe('hum of the mains beside a tone', () => {
  const RATE = 8000
  const FLAT = { filter: 'flat', deEmphasisS: null } as const
  const noise = gaussian(RATE * 4, 0.001, 5)
  const withLine = (hz: number, amplitude: number) =>
    noise.map((value, n) => value + amplitude * Math.sin((2 * Math.PI * hz * n) / RATE))
  const hum = (rest: Float64Array, toneHz: number) =>
    mainsHum(rest, {
      sampleRateHz: RATE,
      weighting: FLAT,
      density: powerDensity(rest, { sampleRateHz: RATE, weighting: FLAT, engine: portableFft }),
      toneHz,
    })

  it('a line of 400 Hz is hum of 50 Hz, unless the tone, or a harmonic of it, stands there', () => {
    const rest = withLine(400, 0.02)
    expect(hum(rest, 1000)).toMatchObject({ mainsHz: 50, power: expect.closeTo(0.0002, 5) })
    expect(hum(rest, 410)).not.toBeNull()
    expect(hum(rest, 400)).toBeNull()
    expect(hum(rest, 403)).toBeNull()
    expect(hum(rest, 200)).toBeNull()
    expect(hum(rest, 201)).toBeNull()
    // 133 Hz: its third harmonic stands 1 Hz away; 140 Hz: 20 Hz.
    expect(hum(rest, 133)).toBeNull()
    expect(hum(rest, 140)).not.toBeNull()
  })

  it('60 Hz is told from 50 Hz, and nothing from noise', () => {
    expect(hum(withLine(180, 0.02), 1000)).toMatchObject({ mainsHz: 60 })
    expect(hum(noise.slice(), 1000)).toBeNull()
  })

  it('the noise under a line is taken off it', () => {
    // Ten times: the mean is the line’s own power, a sine of 0.0004; noise adds about a twelfth to it.
    const power = 0.0004 ** 2 / 2
    const found = Array.from({ length: 10 }, (_unused, i) => {
      const own = gaussian(RATE * 4, 0.001, 100 + i)
      const rest = own.map((value, n) => value + 0.0004 * Math.sin((2 * Math.PI * 300 * n) / RATE))
      return hum(rest, 1000)?.power ?? 0
    })
    const mean = found.reduce((sum, one) => sum + one, 0) / found.length
    expect(Math.abs(mean / power - 1)).toBeLessThan(0.12)
  })

  it('the density near a line is that of the noise beside it', () => {
    const density = powerDensity(withLine(400, 0.02), {
      sampleRateHz: RATE,
      weighting: FLAT,
      engine: portableFft,
    })
    const beside = densityNear(density, 400, 4 * density.binHz)
    // White noise of rms 0.001 over half of 8 kHz.
    expect(beside / (1e-6 / 4000)).toBeGreaterThan(0.7)
    expect(beside / (1e-6 / 4000)).toBeLessThan(1.4)
    expect(densityNear(density, 400)).toBeGreaterThan(100 * beside)
    expect(densityNear({ ...density, density: new Float64Array(3) }, 4000)).toBe(0)
  })
})
