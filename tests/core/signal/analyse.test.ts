import { describe, expect, it } from 'vitest'
import {
  addWelchSums,
  averagingUncertaintyDb,
  bandPower,
  binFrequencyHz,
  concludeAnalysis,
  Decimator,
  densityDbPerHz,
  deviationCurve,
  DeviationMeter,
  deviationFrom,
  forEachSlice,
  gatherStretch,
  joinDeviation,
  nearestToneHz,
  noiseFloorPower,
  peakNear,
  portableFft,
  powerSpectrumDb,
  ReadCancelled,
  samplesInMemory,
  sizeFor,
  spectrumFrom,
  spectrumPeaks,
  stretchesOf,
  Welch,
  zoomSpectrum,
} from '#core/signal'
import { simulatedFm, simulatedFmSource, simulatedLines, simulatedNoise } from '#core/virtual'

const settings = {
  size: 1024,
  window: 'blackman-harris' as const,
  fmShiftHz: 0,
  channelHalfHz: 8000,
  ...{ neighbourFromHz: null, channelSpacingHz: null, insight: null },
  columns: 40,
  rows: 32,
}
const wanted = {
  ...{ channelSpacingHz: 12_500, carrierHz: null, twoTone: false, fmShiftHz: 0 },
  ...{ insight: null, phaseNoiseDbcPerHz: -100 },
}
const keyed = {
  sampleRateHz: 96_000,
  seconds: 3,
  offsetHz: 300,
  levelDb: -6,
  tones: [{ frequencyHz: 1000, deviationHz: 2000 }],
  noiseDb: -70,
  quietS: 1,
}
const spectrumOf = (samples: Float32Array, sampleRateHz = 48_000, size = 1024) => {
  const welch = new Welch({ size, window: 'hann' }, portableFft)
  welch.add(samples)
  return spectrumFrom(welch.sums(), { sampleRateHz, centreHz: 146e6 })
}

describe('averaged spectra', () => {
  it('gives the same whatever pieces the samples come in, and when two workers share them', () => {
    const noise = simulatedNoise(10_000, 0, 3)
    const whole = spectrumOf(noise)
    const pieces = new Welch({ size: 1024, window: 'hann' }, portableFft)
    for (const [from, to] of [
      [0, 333],
      [333, 5000],
      [5000, 5001],
      [5001, 10_000],
    ] as const)
      pieces.add(noise.subarray(2 * from, 2 * to))
    expect(pieces.sums().frames).toBe(whole.frames)
    const shares = stretchesOf(10_000, { workers: 2, size: 1024 }).map(({ from, to }) => {
      const welch = new Welch({ size: 1024, window: 'hann' }, portableFft)
      welch.add(noise.subarray(2 * from, 2 * to))
      return welch.sums()
    })
    const both = spectrumFrom(addWelchSums(shares), { sampleRateHz: 48_000, centreHz: null })
    expect(both.frames).toBe(whole.frames)
    both.meanPower.forEach((power, k) => expect(power).toBeCloseTo(whole.meanPower[k]!, 10))
    both.highestPower.forEach((power, k) => expect(power).toBeCloseTo(whole.highestPower[k]!, 6))
  })

  it('tells power spectrum and density apart: noise of 0 dB over 48 kHz is −46.8 dB per Hz, a tone of −3 dB reads −3 dB', () => {
    const spectrum = spectrumOf(simulatedNoise(200_000, 0, 5))
    const density = densityDbPerHz(spectrum)
    expect(density.reduce((sum, one) => sum + one, 0) / density.length).toBeCloseTo(-46.8, 0)
    expect(10 * Math.log10(bandPower(spectrum, -24_000, 24_000))).toBeCloseTo(0, 1)
    expect(10 * Math.log10(bandPower(spectrum, 0, 12_000))).toBeCloseTo(-6.02, 1)
    expect(10 * Math.log10(noiseFloorPower(spectrum) / spectrum.enbwHz)).toBeCloseTo(-46.8, 1)
    const tone = spectrumOf(
      simulatedLines({
        sampleRateHz: 48_000,
        seconds: 1,
        lines: [{ frequencyHz: 4687.5, levelDb: -3 }],
        noiseDb: null,
      }),
    )
    expect(Math.max(...powerSpectrumDb(tone))).toBeCloseTo(-3, 3)
    expect(10 * Math.log10(bandPower(tone, 4000, 5400))).toBeCloseTo(-3, 2)
    expect(averagingUncertaintyDb(spectrum)).toBeLessThan(0.3)
  })

  it('corrects the median of few frames: one frame’s noise floor is not 1.6 dB low', () => {
    const floors = Array.from({ length: 40 }, (_unused, seed) =>
      noiseFloorPower(spectrumOf(simulatedNoise(1024, 0, seed + 1))),
    )
    const mean = floors.reduce((sum, one) => sum + one, 0) / floors.length
    expect(10 * Math.log10(mean / ((1.5 * 48_000) / 1024 / 48_000))).toBeCloseTo(0, 0)
  })

  it('finds peaks by strength, keeps them apart, and finds what was there only for a moment in the highest', () => {
    const samples = simulatedLines({
      sampleRateHz: 48_000,
      seconds: 1,
      lines: [
        { frequencyHz: 1000, levelDb: -10 },
        { frequencyHz: -9000, levelDb: -30 },
      ],
      noiseDb: -60,
    })
    const flash = simulatedLines({
      sampleRateHz: 48_000,
      seconds: 0.03,
      lines: [{ frequencyHz: 15_000, levelDb: -40 }],
      noiseDb: null,
    })
    for (let n = 0; n < flash.length; n++) samples[20_000 + n] = samples[20_000 + n]! + flash[n]!
    const spectrum = spectrumOf(samples)
    expect(spectrumPeaks(spectrum, { most: 2 }).map(({ frequencyHz }) => Math.round(frequencyHz))).toEqual([
      1000, -9000,
    ])
    expect(spectrumPeaks(spectrum, { highest: true, fromHz: 10_000 })[0]!.frequencyHz).toBeCloseTo(15_000, -2)
    expect(peakNear(spectrum, 900_000, 10)).toBeNull()
    expect(binFrequencyHz(spectrum, 512)).toBe(0)
  })

  it('refuses a recording shorter than a frame', () => {
    expect(() => spectrumOf(new Float32Array(100))).toThrow('too short')
    expect(sizeFor(96_000, { resolutionHz: 100, enbwBins: 2, sampleCount: 96_000 })).toBe(2048)
    expect(sizeFor(96_000, { resolutionHz: 1, enbwBins: 2, sampleCount: 5000 })).toBe(4096)
  })
})

describe('a recording read in slices', () => {
  it('tells its progress, and stops when asked', async () => {
    const source = samplesInMemory(new Float32Array(2 * 3_000_000), { sampleRateHz: 48_000 })
    const shares: number[] = []
    await forEachSlice(source, { from: 0, to: 3_000_000, onProgress: share => shares.push(share) }, () => {})
    expect(shares).toHaveLength(3)
    expect(shares.at(-1)).toBe(1)
    await expect(
      forEachSlice(source, { from: 0, to: 3_000_000, isCancelled: () => shares.length >= 3 }, () => {}),
    ).rejects.toThrow(ReadCancelled)
  })

  it('two workers’ stretches come to what one’s does', async () => {
    const source = simulatedFmSource({ ...keyed, quietS: 0 })
    const gather = (from: number, to: number, columns: number) =>
      gatherStretch(source, { ...settings, columns }, { from, to, engine: portableFft })
    const one = concludeAnalysis([await gather(0, source.sampleCount, 40)], source, wanted)
    const cuts = stretchesOf(source.sampleCount, { workers: 2, size: 1024 })
    const two = concludeAnalysis(
      await Promise.all(cuts.map(({ from, to }) => gather(from, to, 20))),
      source,
      wanted,
    )
    expect(two.deviation!.halfPeakToPeakHz).toBeCloseTo(one.deviation!.halfPeakToPeakHz, 0)
    expect(two.deviation!.carrierHz).toBeCloseTo(300, 1)
    expect(two.spectrum.frames).toBe(one.spectrum.frames)
    expect(two.picture).toMatchObject({ columns: 40, rows: 32 })
    expect(one.words).toContain('4-term Blackman–Harris window')
  })

  it('leaves out what was not keyed, in the figures and in the curve', async () => {
    const source = simulatedFmSource(keyed)
    const found = concludeAnalysis(
      [await gatherStretch(source, settings, { from: 0, to: source.sampleCount, engine: portableFft })],
      source,
      wanted,
    )
    expect(found.deviation!.usedS).toBeGreaterThan(1.9)
    expect(found.deviation!.usedS).toBeLessThan(2.01)
    expect(found.deviation!.halfPeakToPeakHz).toBeCloseTo(2000, -1)
    expect(Number.isNaN(found.curve!.highestHz[10])).toBe(true)
    expect(found.curve!.highestHz[250]! - 300).toBeGreaterThan(1900)
    // The picture shows the key-down: dark before it, bright after.
    const middle = 16
    expect(found.picture.levelsDb[5 * 32 + middle]!).toBeLessThan(
      found.picture.levelsDb[30 * 32 + middle]! - 20,
    )
  })

  it('finds a short key-down in a long silence', async () => {
    const source = simulatedFmSource({ ...keyed, seconds: 8, quietS: 7.3 })
    const found = concludeAnalysis(
      [await gatherStretch(source, settings, { from: 0, to: source.sampleCount, engine: portableFft })],
      source,
      wanted,
    )
    expect(found.deviation!.usedS).toBeLessThan(0.72)
    expect(found.deviation!.halfPeakToPeakHz).toBeGreaterThan(1950)
    expect(found.deviation!.halfPeakToPeakHz).toBeLessThan(2150)
  })

  it('says what could not be found: audio has no deviation, a narrow recording no neighbours, noise no carrier', async () => {
    const audio = samplesInMemory(simulatedNoise(20_000, -20, 1), { sampleRateHz: 48_000, layout: 'audio' })
    const found = concludeAnalysis(
      [await gatherStretch(audio, settings, { from: 0, to: 20_000, engine: portableFft })],
      audio,
      { ...wanted, twoTone: true },
    )
    expect(found.deviation).toBeNull()
    expect(found.without.some(words => words.includes('Two tones'))).toBe(true)
    const narrow = simulatedFmSource({ ...keyed, sampleRateHz: 24_000, seconds: 1, quietS: 0 })
    expect(
      concludeAnalysis(
        [await gatherStretch(narrow, settings, { from: 0, to: narrow.sampleCount, engine: portableFft })],
        narrow,
        wanted,
      ).without.join(' '),
    ).toContain('do not lie inside')
    await expect(
      gatherStretch(samplesInMemory(new Float32Array(20), { sampleRateHz: 8000 }), settings, {
        from: 0,
        to: 10,
        engine: portableFft,
      }),
    ).rejects.toThrow('8000 samples a second; a deviation needs 20000 or more')
    const short = new DeviationMeter({ sampleRateHz: 96_000, shiftHz: 0, channelHalfHz: 8000 }, portableFft)
    short.add(simulatedFm({ ...keyed, seconds: 0.05, quietS: 0 }))
    expect(() => deviationFrom(short.sums(), 0)).toThrow('No carrier long enough')
  })
})

describe('filters, zoom and curves', () => {
  it('the channel filter lets the channel through and keeps the next one out', () => {
    const level = (frequencyHz: number) => {
      const filter = new Decimator({
        sampleRateHz: 240_000,
        shiftHz: 50_000,
        passHz: 8000,
        stopHz: 16_000,
        factor: 4,
      })
      const samples = simulatedLines({
        sampleRateHz: 240_000,
        seconds: 0.05,
        lines: [{ frequencyHz, levelDb: 0 }],
        noiseDb: null,
      })
      const parts = [filter.add(samples.subarray(0, 5000)), filter.add(samples.subarray(5000))]
      expect(filter.rateHz).toBe(60_000)
      const { re, im } = parts[1]!
      return 20 * Math.log10(Math.hypot(re[100]!, im[100]!))
    }
    expect(level(50_000)).toBeCloseTo(0, 3)
    expect(level(57_500)).toBeCloseTo(0, 2)
    expect(level(67_000)).toBeLessThan(-78)
    expect(level(-50_000)).toBeLessThan(-78)
  })

  it('looks closer: two tones 20 Hz apart in a wide recording', async () => {
    const source = samplesInMemory(
      simulatedLines({
        sampleRateHz: 480_000,
        seconds: 1,
        lines: [
          { frequencyHz: 60_000, levelDb: -10 },
          { frequencyHz: 60_020, levelDb: -20 },
        ],
        noiseDb: -60,
      }),
      { sampleRateHz: 480_000 },
    )
    const spectrum = await zoomSpectrum(
      source,
      { middleHz: 60_000, widthHz: 2000, size: 1024, window: 'hann' },
      portableFft,
    )
    const found = spectrumPeaks(spectrum, { most: 2, apartHz: 10 })
    expect(found.map(({ frequencyHz }) => frequencyHz)).toEqual([
      expect.closeTo(60_000, 0),
      expect.closeTo(60_020, 0),
    ])
    expect(found[1]!.levelDb - found[0]!.levelDb).toBeCloseTo(-10, 0)
  })

  it('joins stretches of a deviation, and knows the usual tones', () => {
    const part = () => {
      const meter = new DeviationMeter({ sampleRateHz: 96_000, shiftHz: 0, channelHalfHz: 8000 }, portableFft)
      meter.add(simulatedFm({ ...keyed, seconds: 1.5, quietS: 0 }))
      return meter.sums()
    }
    const both = joinDeviation([part(), part()])
    expect(both.blocks.map(({ startS }) => Math.round(startS * 10) / 10)).toEqual([0, 1, 1.5, 2.5])
    expect(deviationCurve(both, 50).atS).toHaveLength(50)
    expect(nearestToneHz(88.9)).toBe(88.5)
    expect(nearestToneHz(64)).toBeNull()
    expect(nearestToneHz(147)).toBe(146.2)
  })
})
