import type { Context } from '#core/context'
import { describe, expect, it } from 'vitest'
import { stationById } from '#core/station'
import { meter, pad, POWER_STEP, radio, reading, reviewOf, withReadings } from '../../../support/bench'

const station = stationById('carrier-power')
const evaluate = (context: Context) =>
  station.evaluate(station.plan(context.review.sets[0]!, context)[0]!, context)
const at = (text: string) =>
  reading(text, { stepId: POWER_STEP, slot: 'carrier', frequencyHz: 146.52e6, instrumentId: 'pm' })
const bench = (change: Parameters<typeof reviewOf>[0] = {}) =>
  reviewOf({ instrument: meter({ accuracyPercent: 3 }), parts: [pad(0.2)], ...change })

describe('carrier power', () => {
  it('puts back the jumper’s loss: 4.37 W behind 0.2 dB is 4.58 W', () => {
    const slot = evaluate(withReadings(bench(), [at('4.37')])).slots[0]!
    expect(10 ** ((slot.found!.value - 30) / 10)).toBeCloseTo(4.376 * 1.0471, 1)
    expect(slot.verdict.state).toBe('outside')
    expect(slot.words.replaceAll('\u00a0', ' ')).toBe('Short by 0.4 dB')
  })

  it.each([
    ['4.0', 'outside'],
    ['4.95', 'too-close'],
    ['5.2', 'inside'],
  ] as const)('%s W against 5 W is %s', (text, state) => {
    expect(evaluate(withReadings(bench({ parts: [] }), [at(text)])).verdict.state).toBe(state)
  })

  it('judges with the review’s tolerance', () => {
    expect(
      evaluate(withReadings(bench({ settings: { claimToleranceDb: 1.5 } }), [at('4.0')])).verdict.state,
    ).toBe('inside')
  })

  it('has no verdict where the maker does not say', () => {
    const result = evaluate(withReadings(bench({ set: radio({}, { claimW: null }) }), [at('4.37')]))
    expect(result).toMatchObject({
      verdict: { state: 'no-figure' },
      words: expect.stringContaining('does not say'),
    })
  })

  it('asks when a carrier reads absurd, and guesses the offset', () => {
    const ask = (text: string, parts = [pad(30)]) =>
      evaluate(withReadings(bench({ parts }), [at(text)]))
        .questions.map(({ words }) => words)
        .join()
    expect(ask('5')).toContain('offset already set')
    expect(ask('5 mW')).toBe('')
    expect(ask('0.5 W', [])).toContain('below the claim')
    expect(ask('437', [])).toContain('slip of the point')
  })

  it('says “not measured” before and counts progress', () => {
    expect(evaluate(withReadings(bench(), []))).toMatchObject({
      words: 'Not measured',
      progress: { read: 0, possible: 1 },
      governs: null,
    })
  })

  it('is not covered when the chain of a reading is gone', () => {
    const review = bench()
    expect(
      evaluate(
        withReadings(review, [
          reading('5', { slot: 'carrier', stepId: POWER_STEP, frequencyHz: 146.52e6, chainId: 'gone' }),
        ]),
      ).verdict,
    ).toMatchObject({
      state: 'not-covered',
      why: expect.stringContaining('no longer'),
    })
  })
})
