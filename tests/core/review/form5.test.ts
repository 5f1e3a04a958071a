import { describe, expect, it } from 'vitest'
import { demoReview } from '#core/demo'
import { type Reading, validateReview } from '#core/review'

/** The demo as form 4 kept it: without receivers. */
function formFour(): Record<string, unknown> {
  const { review } = demoReview()
  const plain = JSON.parse(JSON.stringify(review)) as typeof review
  return {
    ...plain,
    instruments: plain.instruments.filter(
      ({ kind }) => kind !== 'signal-generator' && kind !== 'audio-meter',
    ),
    chains: plain.chains
      .filter(({ instrumentId }) => !['generator', 'pocket-generator', 'sound'].includes(instrumentId))
      .map(({ joins: _joins, ...chain }) => chain),
    sets: plain.sets.map(({ readyFor: _ready, bands, ...set }) => ({
      ...set,
      chains: {},
      bands: bands.map(({ receives: _claims, ...band }) => band),
    })),
    readings: plain.readings
      .filter(({ applied, through }) => Object.keys(applied).length === 0 && !('generator' in through))
      .map(({ applied: _applied, ...reading }) => reading),
  }
}

describe('a review of form 4', () => {
  it('comes up to date: no claims of a receiver, nothing set, no path joined, ready to transmit', () => {
    const review = validateReview(formFour())
    expect(review.sets.every(({ readyFor }) => readyFor === null)).toBe(true)
    expect(review.sets.flatMap(({ bands }) => bands).every(({ receives }) => receives.length === 0)).toBe(
      true,
    )
    expect(review.chains.every(({ joins }) => joins === null)).toBe(true)
    expect(review.readings.every(({ applied }) => Object.keys(applied).length === 0)).toBe(true)
  })

  it('keeps every reading as it was', () => {
    const before = formFour().readings as Reading[]
    const after = validateReview(formFour()).readings
    expect(after.map(({ applied: _applied, ...reading }) => reading)).toEqual(before)
  })
})
