import FFT from 'fft.js'
import { createRequire } from 'node:module'
import { pathToFileURL } from 'node:url'
import { describe, expect, it } from 'vitest'
import {
  type FastFftModule,
  fastFft,
  portableFft,
  spectrumFrom,
  Welch,
  windowFacts,
  type WindowName,
  windowOf,
} from '#core/signal'
import { simulatedNoise } from '#core/virtual'

describe('windows (Harris 1978, Table 1, from memory; exact values computed for N = 1024)', () => {
  const rows: [WindowName, number, number, number, number][] = [
    ['rectangular', 1, 1, 3.92, -13.28],
    ['hann', 0.5, 1.5, 1.42, -31.47],
    ['hamming', 0.54, 1.363, 1.751, -42.67],
    ['blackman', 0.42, 1.727, 1.1, -58.11],
    ['blackman-harris', 0.3588, 2.004, 0.826, -92.03],
    ['flat-top', 0.2156, 3.77, 0.0098, -93.35],
  ]
  it.each(rows)('%s: coherent gain %f, ENBW %f bins, scalloping %f dB', (name, gain, enbw, scalloping) => {
    const facts = windowFacts(name)
    expect(facts.coherentGain).toBeCloseTo(gain, 3)
    expect(facts.enbwBins).toBeCloseTo(enbw, 2)
    expect(facts.scallopingDb).toBeCloseTo(scalloping, 2)
    const weights = windowOf(name, 1024)
    const sum = weights.reduce((a, b) => a + b, 0)
    expect((1024 * weights.reduce((a, b) => a + b * b, 0)) / sum ** 2).toBeCloseTo(enbw, 2)
  })

  it.each(rows)('%s: highest sidelobe', (name, _gain, _enbw, _scalloping, sidelobe) => {
    const size = 1024
    const pad = 16
    const transform = new FFT(size * pad)
    const input = new Float64Array(2 * size * pad)
    windowOf(name, size).forEach((weight, n) => {
      input[2 * n] = weight
    })
    const output = new Float64Array(input.length)
    transform.transform(output, input)
    const level = (k: number) => 20 * Math.log10(Math.hypot(output[2 * k]!, output[2 * k + 1]!) / output[0]!)
    // The first minimum beyond the main lobe; a flat top ripples before it.
    let k = name === 'flat-top' ? 4 * pad : 1
    while (level(k + 1) < level(k)) k++
    let highest = -Infinity
    for (; k < (size * pad) / 2; k++) highest = Math.max(highest, level(k))
    expect(highest).toBeCloseTo(sidelobe, 0)
  })
})

describe('a second FFT library: the fast transform against fft.js', () => {
  it('agrees on noise and a tone to single precision', async () => {
    const module = (await import(
      pathToFileURL(createRequire(import.meta.url).resolve('@echogarden/pffft-wasm/simd')).href
    )) as { default: () => Promise<FastFftModule> }
    const engine = fastFft(await module.default())
    const noise = simulatedNoise(20_000, -20, 7)
    const both = [engine, portableFft].map(one => {
      const welch = new Welch({ size: 1024, window: 'hann' }, one)
      for (let at = 0; at < noise.length; at += 5000) welch.add(noise.subarray(at, at + 5000))
      const spectrum = spectrumFrom(welch.sums(), { sampleRateHz: 48_000, centreHz: null })
      welch.release()
      return spectrum
    })
    expect(both[0]!.frames).toBe(38)
    both[0]!.meanPower.forEach((power, k) => expect(power / both[1]!.meanPower[k]!).toBeCloseTo(1, 4))
    expect(() => engine(1000)).toThrow('power of two')
    expect(() => portableFft(1000)).toThrow('power of two')
  })
})
