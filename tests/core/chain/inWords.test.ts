import { describe, expect, it } from 'vitest'
import { accuracyInWords, newAudioMeter, newLaboratoryGenerator, newPart, newReceiver } from '#core/chain'
import { newAcVoltmeter, newAntennaAnalyser } from '#core/chain/templates'
import { scalarWords } from '#core/rules'
import { checkMemos, STRESS_ID } from '#core/station'
import { plain } from '../../support/results'
import { analyser, meter } from '../../support/bench'

describe('how well an instrument reads, in words', () => {
  it.each([
    ['analyser', analyser({ amplitudeAccuracyDb: 1.5, flatnessDb: null }), '±1.5 dB'],
    [
      'analyser',
      analyser({ amplitudeAccuracyDb: 1.5, flatnessDb: 0.4 }),
      '±1.5 dB, of which ±0.40 dB over frequency',
    ],
    ['meter', meter({ accuracyPercent: 5 }), '±5 % of reading'],
    [
      'meter',
      meter({ accuracyPercent: 5, accuracyOf: 'full-scale', fullScaleW: 20 }),
      '±5 % of full scale (20 W)',
    ],
    ['generator', { ...newLaboratoryGenerator('g'), levelAccuracyDb: 1 }, '±1.0 dB of its level'],
    ['audio meter', { ...newAudioMeter('a'), sinadDb: 1 }, '±1.0 dB in SINAD'],
    ['voltmeter', { ...newAcVoltmeter('v'), accuracyPercent: 2 }, '±2 % of reading'],
    ['antenna analyser', { ...newAntennaAnalyser('n'), directivityDb: 30 }, '30 dB of directivity'],
    [
      'receiver',
      { ...newReceiver('r'), deviationPercent: 3, ratioDb: 0.5, referencePpm: null },
      '±3 % of deviation, ±0.50 dB in ratios',
    ],
  ])('%s', (_what, instrument, words) => {
    expect(plain(accuracyInWords(instrument))).toBe(words)
  })
})

describe('a new part', () => {
  it('a pad is known to ±0.5 dB, a jumper to ±0.1; what nobody chose loses nothing of its own', () => {
    expect(newPart('p', 'pad').lossUncertainty.halfWidthDb).toBe(0.5)
    expect(newPart('j', 'jumper').lossUncertainty.halfWidthDb).toBe(0.1)
    expect(newPart('a', 'adapter').lossUncertainty.halfWidthDb).not.toBe(0.5)
    expect(newPart('p', 'pad').lossUncertainty.distribution).toBe('rectangular')
  })
})

describe('a limit between two figures', () => {
  it('names both ends, and the one where there is one', () => {
    expect(plain(scalarWords({ kind: 'within', value: 6, to: 25, unit: 'W' }))).toBe('6 W to 25 W')
    expect(plain(scalarWords({ kind: 'within', value: 6, unit: 'W' }))).toBe('6 W to 6 W')
  })
})

describe('what a station keeps of a set', () => {
  const kept = (bySet: Record<string, unknown>) =>
    checkMemos({ memos: { [STRESS_ID]: { common: null, bySet } } })
  it('is checked set by set', () => {
    expect(kept({})).toBeNull()
    expect(kept({ a: null })).toBeNull()
    expect(kept({ a: { by: 'owner', at: '2026-11-20T10:00:00.000Z' } })).toBeNull()
    expect(kept({ a: null, b: { by: 7 } })!.message).toContain('“Open and short” cannot keep this')
  })
})
