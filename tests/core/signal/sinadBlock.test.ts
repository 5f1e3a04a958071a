import { describe, expect, it } from 'vitest'
import {
  blockDoubtWords,
  filteredPower,
  portableFft,
  quieting,
  readSinad,
  signalToNoise,
  SINAD_DEFAULTS,
  steppedBlocks,
} from '#core/signal'
import { added, gaussian, powerThrough, type Sine, sines, voiceBand } from '../../support/audio'

const RATE = 48_000
const TONE: Sine = { hz: 1000.3, amplitude: 0.3 }
const read = (samples: Float64Array, rate = RATE) => readSinad(samples, rate, SINAD_DEFAULTS, portableFft)
const kinds = (samples: Float64Array) => read(samples).doubts.map(({ kind }) => kind)
const clean = (seconds = 1, tone = TONE) =>
  added(sines(RATE * seconds, RATE, [tone]), gaussian(RATE * seconds, 0.05, 3))

describe('what is wrong with a block', () => {
  it('is nothing for a steady tone in noise', () => {
    expect(kinds(clean())).toEqual([])
  })

  it('is silence, and then there is no figure', () => {
    const block = read(gaussian(RATE, 1e-5, 1))
    expect(block.parts).toBeNull()
    expect(block.doubts).toEqual([{ kind: 'silence' }])
  })

  it('is noise without a tone', () => {
    const block = read(gaussian(RATE, 0.1, 2))
    expect(block.parts).toBeNull()
    expect(block.doubts).toEqual([{ kind: 'no-tone' }])
  })

  it('is another tone: 2 % off is told, 1.9 % is not', () => {
    expect(kinds(clean(1, { hz: 1021, amplitude: 0.3 }))).toEqual(['wrong-tone'])
    expect(kinds(clean(1, { hz: 1019, amplitude: 0.3 }))).toEqual([])
    const { doubts } = read(clean(1, { hz: 1750, amplitude: 0.3 }))
    expect(doubts).toEqual([
      { kind: 'wrong-tone', toneHz: expect.closeTo(1750, 0) as number, wantedHz: 1000 },
    ])
  })

  it('is clipping, at the rail of the input or before it', () => {
    const loud = sines(RATE, RATE, [{ hz: 1000.3, amplitude: 1.3 }])
    expect(kinds(loud.map(value => Math.max(-1, Math.min(1, value))))).toContain('clipping')
    expect(kinds(loud.map(value => 0.2 * Math.max(-1, Math.min(1, value))))).toContain('clipping')
    expect(kinds(sines(RATE, RATE, [{ hz: 1000.3, amplitude: 0.99 }]))).toEqual([])
  })

  it('is no clipping where few steps of a converter make the top of a sine flat', () => {
    const coarse = sines(RATE, RATE, [{ hz: 1000.3, amplitude: 0.9 }]).map(
      value => Math.round(value * 20) / 20,
    )
    expect(kinds(coarse)).not.toContain('clipping')
  })

  it('is hum where it makes more than a tenth of what counts as noise', () => {
    const hum = (amplitude: number) =>
      added(
        clean(),
        sines(
          RATE,
          RATE,
          [50, 150, 250, 350].map(hz => ({ hz, amplitude })),
        ),
      )
    const inBand = powerThrough(gaussian(RATE, 0.05, 3), RATE, voiceBand, 3001)
    const atTenth = Math.sqrt((2 * inBand) / 9)
    expect(kinds(hum(1.2 * atTenth))).toEqual(['hum'])
    expect(kinds(hum(0.8 * atTenth))).toEqual([])
  })

  it('is a jump of the level, with its size and its moment', () => {
    const before = clean(2)
    const after = before.map((value, n) => (n < 0.6 * RATE * 2 ? value : 1.5 * value))
    const [doubt, ...others] = read(after).doubts
    expect(others).toEqual([])
    expect(doubt).toEqual({
      kind: 'level-jump',
      atS: expect.closeTo(1.2, 1) as number,
      stepDb: expect.closeTo(20 * Math.log10(1.5), 0) as number,
    })
  })

  it('is a tone that wavers', () => {
    const wavering = clean().map((value, n) => value * (1 + 0.2 * Math.sin((2 * Math.PI * 3 * n) / RATE)))
    expect(kinds(wavering)).toEqual(['unsteady'])
  })

  it('is said in words that say what to do', () => {
    expect(blockDoubtWords({ kind: 'clipping', share: 0.02 })).toContain('2.0 % of the samples')
    expect(blockDoubtWords({ kind: 'hum', mainsHz: 50, share: 0.4 })).toContain('Hum of 50 Hz')
    expect(blockDoubtWords({ kind: 'wrong-tone', toneHz: 1750.2, wantedHz: 1000 })).toContain('1750 Hz')
  })

  it('is being too short to be read at all', () => {
    expect(() => read(clean().subarray(0, 4800))).toThrow('A block of 0.10 s is too short')
  })
})

describe('the uncertainty of a block', () => {
  it('is 4.34/√(B·T) in white noise, and what blocks really scatter by', () => {
    const sinads = Array.from({ length: 40 }, (_unused, seed) => {
      const samples = added(sines(8000, 8000, [TONE]), gaussian(8000, 0.05, 500 + seed))
      return read(samples, 8000).parts!
    })
    const mean = sinads.reduce((sum, { sinadDb }) => sum + sinadDb, 0) / sinads.length
    const scatter = Math.sqrt(
      sinads.reduce((sum, { sinadDb }) => sum + (sinadDb - mean) ** 2, 0) / (sinads.length - 1),
    )
    const stated = sinads.reduce((sum, one) => sum + one.standardUncertaintyDb, 0) / sinads.length
    expect(stated).toBeGreaterThan(4.34 / Math.sqrt(2700) / 1.1)
    expect(stated).toBeLessThan(1.4 * (4.34 / Math.sqrt(2700)))
    expect(scatter / stated).toBeGreaterThan(0.65)
    expect(scatter / stated).toBeLessThan(1.35)
  })

  it('grows where the noise comes in bursts', () => {
    const bursts = gaussian(RATE, 0.05, 8).map((value, n) =>
      Math.floor(n / 2400) % 5 === 0 ? 4 * value : value,
    )
    const steady = read(clean()).parts!.standardUncertaintyDb
    const bursting = read(added(sines(RATE, RATE, [TONE]), bursts)).parts!.standardUncertaintyDb
    expect(bursting).toBeGreaterThan(2 * steady)
  })
})

describe('a recording', () => {
  it('refuses samples that come too seldom for the tone', () => {
    const samples = new Float64Array(9000)
    const read = (rateHz: number) => () => steppedBlocks(samples, rateHz, SINAD_DEFAULTS, portableFft)
    expect(read(3)).toThrowError('3 samples a second hold no tone of 1000 Hz: 2500 and more.')
    expect(read(2499)).toThrowError('hold no tone')
    expect(read(2500)).not.toThrowError()
  })

  it('is one stretch where nothing was changed', () => {
    expect(steppedBlocks(clean(4), RATE, SINAD_DEFAULTS, portableFft)).toHaveLength(1)
  })

  it('is cut at a step of 2 dB in the noise', () => {
    const quiet = gaussian(3 * RATE, 0.02, 5)
    const louder = quiet.map(value => value * 10 ** (2 / 20))
    const tone = sines(6 * RATE, RATE, [TONE])
    const stretches = steppedBlocks(
      added(tone, Float64Array.from([...quiet, ...louder])),
      RATE,
      SINAD_DEFAULTS,
      portableFft,
    )
    expect(stretches.map(({ toS }) => Math.round(toS))).toEqual([3, 6])
    const [first, second] = stretches.map(({ mean }) => mean!.sinadDb)
    expect(first! - second!).toBeCloseTo(2, 0)
  })
})

describe('signal to noise and quieting', () => {
  const noise = (rms: number, seed: number) =>
    filteredPower(gaussian(2 * RATE, rms, seed), RATE, SINAD_DEFAULTS.weighting, portableFft)

  it('are ratios of two blocks through one filter', () => {
    const without = noise(0.02, 31)
    const tone = sines(2 * RATE, RATE, [TONE])
    const withTone = filteredPower(
      added(tone, gaussian(2 * RATE, 0.02, 32)),
      RATE,
      SINAD_DEFAULTS.weighting,
      portableFft,
    )
    const truth =
      10 * Math.log10(1 + 0.045 / powerThrough(gaussian(2 * RATE, 0.02, 31), RATE, voiceBand, 3001))
    expect(Math.abs(signalToNoise(withTone, without).ratioDb - truth)).toBeLessThan(0.15)
    const quieted = quieting(noise(0.2, 33), noise(0.02, 34))
    expect(quieted.ratioDb).toBeGreaterThan(19.6)
    expect(quieted.ratioDb).toBeLessThan(20.4)
    expect(quieted.standardUncertaintyDb).toBeCloseTo((4.34 * Math.SQRT2) / Math.sqrt(5400), 2)
  })
})
