import { describe, expect, it } from 'vitest'
import { analysisFacts, type RecordingAnalysis } from '#core/signal'
import { analysis } from '../../support/analysis'

const deviation: NonNullable<RecordingAnalysis['deviation']> = {
  method: 'tone',
  toneAloneHz: null,
  boundBy: null,
  isUpperBound: false,
  carrierToNoiseDb: Infinity,
  driftHz: 0,
  plusHz: 2510,
  minusHz: 2490,
  halfPeakToPeakHz: 2500,
  rmsHz: 1768,
  noiseAddsHz: 0,
  receiverAddsHz: 0,
  standardUncertaintyHz: 3,
  toneHz: 1000,
  distortion: 0.012,
  audioHz: 2500,
  subAudible: null,
  carrierHz: 120,
  carrierUncertaintyHz: 0.4,
  usedS: 1,
  noiseRmsHz: 1,
  channelHalfHz: 8000,
  audioLowPassHz: 5000,
  cutsFromHz: Infinity,
  words: 'One tone.',
}

describe('what a recording holds, in words', () => {
  it('names the carrier by its frequency where the middle is known, else from the middle', () => {
    const found = analysis({ carrierHz: 120.04 })
    expect(analysisFacts(found, 146_520_000)[0]).toBe('Carrier 146.52012\u00a0MHz.')
    expect(analysisFacts(found, null)[0]).toBe('Carrier +120.0 Hz from the middle.')
  })

  it('says how well the carrier is known within the recording: twice its standard uncertainty', () => {
    const [carrier] = analysisFacts(analysis({ carrierHz: 120, deviation }), null)
    expect(carrier).toMatch(/known to ±0\.8\d?\sHz within the recording/)
  })

  it('tells both sides of the swing, the tone with its distortion, and what it does without', () => {
    const facts = analysisFacts(analysis({ deviation, without: ['Too narrow.'] }), null)
    expect(facts[0]).toMatch(/\+2\.51\d*\skHz, −2\.49\d*\skHz/)
    expect(facts).toContainEqual(expect.stringMatching(/^Tone 1\.0+\skHz, distortion 1\.2 %\.$/))
    expect(facts.slice(-2)).toEqual(['8 frames.', 'Too narrow.'])
  })

  it('names the usual tone of a tone squelch where it is one, else its frequency', () => {
    const sub = { frequencyHz: 91.23, deviationHz: 500, standardUncertaintyHz: 2 }
    const told = (usualHz: number | null) =>
      analysisFacts(
        analysis({ deviation: { ...deviation, subAudible: { ...sub, usualHz } as never } }),
        null,
      ).find(fact => fact.startsWith('Tone squelch'))
    expect(told(91.5)).toMatch(/^Tone squelch 91\.5 Hz/)
    expect(told(null)).toMatch(/^Tone squelch 91\.2 Hz/)
  })
})
