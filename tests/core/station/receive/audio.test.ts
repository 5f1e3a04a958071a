import { describe, expect, it } from 'vitest'
import { newChain } from '#core/chain'
import { newAcVoltmeter } from '#core/chain/templates'
import type { FigureUnit } from '#core/quantity'
import type { Review } from '#core/review'
import { AUDIO, AUDIO_ID, deEmphasisDb, keptVolts, likelySlot, stationById, voltsOf } from '#core/station'
import { figure } from '../../../support/bench'
import { hearingReview, microvoltClaim, withReadings } from '../../../support/hearing'
import { plain } from '../../../support/results'
import { resultOf, slot } from '../../../support/stations'

const claimed = (powerW: number) => microvoltClaim(powerW, { kind: 'audio-power', unit: 'W' })

/** The bench of the receiver, with a voltmeter of ±2 % at the speaker. */
function bench(powerW: number | null = null): Review {
  const review = hearingReview({ receives: powerW === null ? [] : [claimed(powerW)] })
  const voltmeter = { ...newAcVoltmeter('vm'), accuracyPercent: 2, assumed: false }
  return {
    ...review,
    instruments: [...review.instruments, voltmeter],
    chains: [...review.chains, newChain('speaker', 'Speaker', 'vm')],
  }
}

const seen = (id: string, value: number, unit: FigureUnit = 'V', resolution = 0) =>
  figure(value, {
    ...{ slot: id, stepId: AUDIO_ID, stationId: AUDIO_ID, unit, instrumentId: 'vm' },
    seen: { resolution },
  })
const result = (readings: ReturnType<typeof seen>[], review = bench()) =>
  resultOf(AUDIO_ID, withReadings(review, readings))
const power = (readings: ReturnType<typeof seen>[], powerW: number | null = null) =>
  slot(result(readings, bench(powerW)), 'power')

describe('audio power', () => {
  it('is V²/R: 2 V across 8 Ω are 0.5 W, across 4 Ω 1 W', () => {
    expect(power([seen('rated-v', 2)]).found!.value).toBeCloseTo(0.5, 12)
    expect(power([seen('rated-v', 2), seen('load', 4, 'Ω')]).found!.value).toBeCloseTo(1, 12)
    expect(power([seen('rated-v', 2)]).notes[0]).toContain('assumed')
    expect(power([seen('rated-v', 2), seen('load', 4, 'Ω')]).notes[0]).not.toContain('assumed')
  })

  it('is known half as well as the volts, and by its load: ±4 %, ±5 %, a digit of 0.1 V ±5 %', () => {
    const lines = power([seen('rated-v', 2, 'V', 0.1)]).found!.budget.contributions
    expect(lines.map(({ id, halfWidth }) => [id, halfWidth])).toEqual([
      ['volts', expect.closeTo(0.02, 12)],
      ['load', expect.closeTo(0.025, 12)],
      ['digit', expect.closeTo(0.025, 12)],
    ])
    expect(lines[0]!.assumed).toBe(false)
  })

  it('is judged by the claim, on both sides of it', () => {
    expect(power([seen('rated-v', 1.8)], 0.5).verdict.state).toBe('outside')
    expect(power([seen('rated-v', 2)], 0.5).verdict.state).toBe('too-close')
    expect(power([seen('rated-v', 2.2)], 0.5).verdict.state).toBe('inside')
    expect(power([seen('rated-v', 2)])).toMatchObject({ claim: null, verdict: { state: 'observation' } })
  })

  it('is open until volts were read', () => {
    expect(power([seen('load', 4, 'Ω')])).toMatchObject({ state: 'open', found: null })
  })

  it('distortion at the claimed power above 10 % is told', () => {
    const words = (percent: number) => slot(result([seen('claim-thd', percent, '%')]), 'claim-thd').words
    expect(words(10)).toBe('at the claimed power')
    expect(words(10.1)).toContain('more than the 10 %')
  })
})

describe('hum and response', () => {
  it('hum is the ratio of two voltages: 1 V over 10 mV is 40 dB, and the meter’s error cancels', () => {
    const hum = slot(result([seen('tone-v', 1), seen('quiet-v', 0.01, 'V', 0.001)]), 'hum')
    expect(hum.found!.value).toBeCloseTo(40, 12)
    expect(hum.found!.budget.contributions).toHaveLength(1)
    // Half a digit of 10 mV in 1 mV: 8.686·0.05.
    expect(hum.found!.budget.contributions[0]!.halfWidth).toBeCloseTo(0.4343, 4)
  })

  it('as much with the tone off as with it is asked about', () => {
    const asked = (quiet: number) => result([seen('tone-v', 1), seen('quiet-v', quiet)]).questions.length
    expect(asked(1)).toBe(1)
    expect(asked(0.99)).toBe(0)
  })

  it('de-emphasis of 750 µs (closed form): +8.9 dB at 300 Hz, −9.4 at 3 kHz, 6 dB an octave far above', () => {
    const f0 = 1 / (2 * Math.PI * 750e-6)
    const against = (hz: number) => -10 * Math.log10((1 + (hz / f0) ** 2) / (1 + (1000 / f0) ** 2))
    for (const hz of [300, 500, 2000, 3000]) expect(deEmphasisDb(hz)).toBeCloseTo(against(hz), 9)
    expect(deEmphasisDb(300)).toBeCloseTo(8.9, 0)
    expect(deEmphasisDb(1000)).toBe(0)
    expect(deEmphasisDb(3000) - deEmphasisDb(1500)).toBeCloseTo(-5.96, 1)
  })

  it('stands against 1 kHz and beside de-emphasis', () => {
    const both = result([seen('response-1000', 1), seen('response-300', 2.5)])
    expect(slot(both, 'response-300').found).toMatchObject({ unit: 'dB', value: expect.closeTo(7.96, 2) })
    expect(plain(slot(both, 'response-300').words)).toMatch(/^\+8\.0 dB; −0\.\d dB beside 750 µs$/)
    expect(slot(result([seen('response-300', 2.5)]), 'response-300').words).toContain('read 1 kHz as well')
  })
})

describe('the step of the speaker', () => {
  it('is one for the set, goes through the voltmeter, and says what the generator is set to', () => {
    const context = withReadings(bench(), [])
    const steps = stationById(AUDIO_ID).plan(context.review.sets[0]!, context)
    expect(steps.map(({ id }) => id)).toEqual([AUDIO_ID])
    expect(steps[0]!.chains).toMatchObject({ generator: 'hear', [AUDIO]: 'speaker' })
    // 10 dB of path: −37 dBm on the generator; 60 % of 2.5 kHz in 12.5 kHz channels (TIA-603, from memory).
    const words = plain(steps[0]!.radioSettings.find(({ id }) => id === 'generator')!.words)
    expect(words).toBe(
      'Generator −47 dBm at the socket, −37 dBm on it, on 154.000 MHz; 1 kHz, 1.5 kHz of deviation',
    )
  })

  it('answers to the claim', () => {
    const asked = (powerW: number | null) => {
      const context = withReadings(bench(powerW), [])
      const station = stationById(AUDIO_ID)
      return station.demands(station.plan(context.review.sets[0]!, context)[0]!, context)
    }
    expect(asked(0.5)).toEqual([{ by: 'the maker', words: expect.stringContaining('0.5'), figure: true }])
    expect(asked(null)).toEqual([{ by: 'the maker', words: 'does not say', figure: false }])
  })
})

describe('volts of a recording', () => {
  const stretch = { totalPower: 0.02, distortion: 0.1, toneHz: 1000 }

  it('a sine at full scale stands at the volts of full scale: a tenth of it in amplitude is a tenth', () => {
    expect(voltsOf({ totalPower: 0.5 }, 2)).toBeCloseTo(2, 12)
    expect(voltsOf({ totalPower: 0.005 }, 2)).toBeCloseTo(0.2, 12)
  })

  it('are kept with three digits, and how they were come by', () => {
    const kept = keptVolts(stretch, {
      slotId: 'rated-v',
      fullScaleV: 2,
      how: 'One second',
      source: { kind: 'typed' },
    })
    expect(plain(kept.text)).toBe('0.400 V')
    expect(kept.seen).toMatchObject({ value: 0.4, unit: 'V', resolution: 0.001 })
    expect(plain(kept.seen.method)).toContain('distortion 10.0 %')
  })

  it.each([
    [{ toneHz: null, distortion: null }, 'quiet-v'],
    [{ toneHz: 1000, distortion: 0.02 }, 'tone-v'],
    [{ toneHz: 1000, distortion: 0.05 }, 'rated-v'],
    [{ toneHz: 302, distortion: 0.02 }, 'response-300'],
    [{ toneHz: 2050, distortion: 0.3 }, 'response-2000'],
    [{ toneHz: 1500, distortion: 0.01 }, 'tone-v'],
  ])('%o is likely %s', (change, slotId) => {
    expect(likelySlot({ ...stretch, ...change })).toBe(slotId)
  })
})
