import { describe, expect, it } from 'vitest'
import {
  peakNear,
  PEP_ABOVE_MEAN_DB,
  portableFft,
  spectrumFrom,
  TONE_BELOW_PEP_DB,
  twoTone,
  Welch,
} from '#core/signal'
import { simulatedFm, simulatedLines } from '#core/virtual'
import { analysed } from '../support/analysed'

describe('recordings whose truth is known in closed form', () => {
  it.each([0.123, 1234.567, -20_345.678])(
    'finds a clean carrier of one second at %f Hz within 0.5 Hz',
    async offsetHz => {
      const found = await analysed(
        simulatedFm({ sampleRateHz: 96_000, seconds: 1, offsetHz, levelDb: -12, tones: [], noiseDb: null }),
        96_000,
      )
      if (Math.abs(offsetHz) < 10_000) expect(found.deviation!.carrierHz).toBeCloseTo(offsetHz, 2)
      expect(Math.abs(found.peaks[0]!.frequencyHz - offsetHz)).toBeLessThan(0.5)
      expect(found.peaks[0]!.levelDb).toBeCloseTo(-12, 2)
    },
  )

  it.each([
    [96_000, 1000, 3000],
    [48_000, 3000, 2500],
    [240_000, 400, 5000],
    [96_000, 2500, 1500],
  ])(
    'at %i S/s reads a tone of %i Hz with %i Hz deviation within 0.5 %%',
    async (rate, frequencyHz, deviationHz) => {
      const { deviation } = await analysed(
        simulatedFm({
          sampleRateHz: rate,
          seconds: 1,
          offsetHz: 210,
          levelDb: -6,
          tones: [{ frequencyHz, deviationHz }],
          noiseDb: null,
        }),
        rate,
        { channelSpacingHz: 25_000 },
      )
      expect(deviation!.method).toBe('tone')
      for (const found of [
        deviation!.plusHz,
        deviation!.minusHz,
        deviation!.halfPeakToPeakHz,
        deviation!.rmsHz * Math.SQRT2,
      ])
        expect(Math.abs(found / deviationHz - 1)).toBeLessThan(0.005)
      expect(Math.abs(deviation!.carrierHz - 210)).toBeLessThan(0.5)
      expect(deviation!.toneHz).toBeCloseTo(frequencyHz, 1)
    },
  )

  it('keeps noise out of a tone’s deviation, and says how far it may have pushed a voice’s', async () => {
    const noisy = { sampleRateHz: 96_000, seconds: 2, offsetHz: 0, levelDb: -10, noiseDb: -35 }
    const tone = (
      await analysed(simulatedFm({ ...noisy, tones: [{ frequencyHz: 1000, deviationHz: 1500 }] }), 96_000, {
        channelSpacingHz: 25_000,
      })
    ).deviation!
    expect(Math.abs(tone.halfPeakToPeakHz / 1500 - 1)).toBeLessThan(0.01)
    expect(tone.noiseRmsHz).toBeGreaterThan(100)
    const tones = [
      { frequencyHz: 700, deviationHz: 900 },
      { frequencyHz: 1900, deviationHz: 900 },
    ]
    const clean = (await analysed(simulatedFm({ ...noisy, noiseDb: null, tones }), 96_000)).deviation!
    const voice = (await analysed(simulatedFm({ ...noisy, tones }), 96_000)).deviation!
    expect(clean.method).toBe('extremes')
    expect(Math.abs(clean.halfPeakToPeakHz / 1800 - 1)).toBeLessThan(0.005)
    expect(voice.halfPeakToPeakHz).toBeGreaterThan(1800)
    expect(voice.halfPeakToPeakHz - voice.noiseAddsHz).toBeLessThan(1800)
  })

  it('parts a tone squelch from the voice above it', async () => {
    const { deviation } = await analysed(
      simulatedFm({
        sampleRateHz: 96_000,
        seconds: 2,
        offsetHz: -50,
        levelDb: -10,
        tones: [
          { frequencyHz: 1000, deviationHz: 1500 },
          { frequencyHz: 88.5, deviationHz: 350 },
        ],
        noiseDb: -60,
      }),
      96_000,
    )
    expect(deviation!.subAudible!.usualHz).toBe(88.5)
    expect(deviation!.subAudible!.deviationHz).toBeCloseTo(350, -1)
    expect(Math.abs(deviation!.subAudible!.deviationHz - 350)).toBeLessThan(
      3 * deviation!.subAudible!.standardUncertaintyHz,
    )
    expect(deviation!.subAudible!.standardUncertaintyHz).toBeLessThan(0.02 * 350)
    expect(deviation!.audioHz).toBeCloseTo(1500, -1)
    expect(deviation!.halfPeakToPeakHz).toBeCloseTo(1850, -1)
  })

  it.each([-10, -30, -50, -60])(
    'reads a tone %i dB under another within 0.1 dB, wherever it falls between the bins',
    levelDb => {
      for (const frequencyHz of [3000, 3003.1, 3007.7]) {
        const welch = new Welch({ size: 8192, window: 'blackman-harris' }, portableFft)
        welch.add(
          simulatedLines({
            sampleRateHz: 96_000,
            seconds: 1,
            lines: [
              { frequencyHz: -1204.4, levelDb: 0 },
              { frequencyHz, levelDb },
            ],
            noiseDb: null,
          }),
        )
        const spectrum = spectrumFrom(welch.sums(), { sampleRateHz: 96_000, centreHz: null })
        expect(
          Math.abs(
            peakNear(spectrum, 3004, 100)!.levelDb - peakNear(spectrum, -1204, 100)!.levelDb - levelDb,
          ),
        ).toBeLessThan(0.1)
      }
    },
  )

  it.each([-30, -50, -60])('reads adjacent-channel noise of %i dB within 0.5 dB', async ratioDb => {
    // A plain carrier and, 12.5 kHz off, 85 tones 100 Hz apart that fill the 8.5 kHz filter.
    const lines = Array.from({ length: 85 }, (_unused, i) => ({
      frequencyHz: 310 + 12_500 - 4200 + 100 * i,
      levelDb: ratioDb - 10 * Math.log10(85),
    }))
    const { adjacent } = await analysed(
      simulatedLines({
        sampleRateHz: 96_000,
        seconds: 1,
        lines: [{ frequencyHz: 310, levelDb: 0 }, ...lines],
        noiseDb: null,
      }),
      96_000,
    )
    expect(adjacent!.filterHz).toBe(8500)
    expect(
      Math.abs(
        adjacent!.channels.find(({ side, step }) => side === 'upper' && step === 1)!.ratioDb - ratioDb,
      ),
    ).toBeLessThan(0.5)
  })

  it('finds the 99 % bandwidth of a flat band of noise: 99 % of its width (ITU-R SM.328, from memory)', async () => {
    const lines = Array.from({ length: 201 }, (_unused, i) => ({ frequencyHz: -5000 + 50 * i, levelDb: -40 }))
    const { occupied } = await analysed(
      simulatedLines({ sampleRateHz: 96_000, seconds: 1, lines, noiseDb: null }),
      96_000,
    )
    expect(Math.abs(occupied!.bandwidthHz - 0.99 * 10_050)).toBeLessThan(60)
    expect(occupied!.isUpperBound).toBe(false)
  })
})

describe('two tones: PEP and IMD conventions (amateur handbooks take PEP, ITU and military style one tone; limits.md 13)', () => {
  it('each tone 6.02 dB below PEP, mean 3.01 dB below', () => {
    expect(TONE_BELOW_PEP_DB).toBeCloseTo(6.02, 2)
    expect(PEP_ABOVE_MEAN_DB).toBeCloseTo(3.01, 2)
    // Two equal tones of amplitude 1 add up to 2: peak power 4 of one tone’s, mean power 2.
    const n = 10_000
    let peak = 0
    let mean = 0
    for (let i = 0; i < n; i++) {
      const re = Math.cos((2 * Math.PI * 700 * i) / n) + Math.cos((2 * Math.PI * 1900 * i) / n)
      const im = Math.sin((2 * Math.PI * 700 * i) / n) + Math.sin((2 * Math.PI * 1900 * i) / n)
      peak = Math.max(peak, re * re + im * im)
      mean += (re * re + im * im) / n
    }
    expect(10 * Math.log10(peak)).toBeCloseTo(TONE_BELOW_PEP_DB, 3)
    expect(10 * Math.log10(peak / mean)).toBeCloseTo(PEP_ABOVE_MEAN_DB, 3)
  })

  it('reads third to seventh order within 0.3 dB and words both conventions', () => {
    const [f1, f2] = [700.3, 1900.7]
    const spacing = f2 - f1
    const wanted = { 3: -31.2, 5: -43.8, 7: -55.1 } as const
    const products = ([3, 5, 7] as const).flatMap(order =>
      [f1 - ((order - 1) / 2) * spacing, f2 + ((order - 1) / 2) * spacing].map((frequencyHz, i) => ({
        frequencyHz,
        levelDb: -10 + wanted[order] - 3 * i,
      })),
    )
    const welch = new Welch({ size: 2 ** 14, window: 'blackman-harris' }, portableFft)
    welch.add(
      simulatedLines({
        sampleRateHz: 48_000,
        seconds: 3,
        noiseDb: -60,
        lines: [{ frequencyHz: f1, levelDb: -10 }, { frequencyHz: f2, levelDb: -10.2 }, ...products],
      }),
    )
    const found = twoTone(spectrumFrom(welch.sums(), { sampleRateHz: 48_000, centreHz: null }))
    for (const order of [3, 5, 7] as const) {
      expect(Math.abs(found.worst[order]!.belowToneDb - (-wanted[order] - 0.1))).toBeLessThan(0.3)
      expect(found.worst[order]!.belowPepDb - found.worst[order]!.belowToneDb).toBeCloseTo(6.02, 2)
    }
    expect(found.imbalanceDb).toBeCloseTo(-0.2, 1)
    expect(Math.abs(found.imbalanceDb + 0.2)).toBeLessThan(0.02 + 4 * found.imbalanceUncertaintyDb)
    expect(found.imbalanceUncertaintyDb).toBeGreaterThan(0)
  })
})
