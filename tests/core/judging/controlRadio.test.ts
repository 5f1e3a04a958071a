import { describe, expect, it } from 'vitest'
import { evaluateControlCheck } from '#core/judging'
import type { ControlCheck } from '#core/review'
import { analyser, AT, pad, reviewOf, withReadings } from '../../support/bench'
import { plain } from '../../support/results'

/** An analyser good to 1 dB behind 50 dB: a reading of −13 dBm is 37 dBm at the socket. */
const context = withReadings(
  reviewOf({ instrument: analyser({ amplitudeAccuracyDb: 1 }), parts: [pad(50)] }),
  [],
)

const check = (knownDbm: number, change: Partial<ControlCheck> = {}): ControlCheck =>
  ({
    ...{ id: 'k', setId: 'set', chainId: 'ch', text: '-13', levelDbm: -13, resolutionDb: 0.1 },
    ...{ frequencyHz: 146.52e6, calibrationIds: {}, knownDbm, knownExpandedDb: 0.5, at: AT },
    ...change,
  }) as unknown as ControlCheck

describe('the control radio', () => {
  const at = (knownDbm: number) => evaluateControlCheck(check(knownDbm), context)

  it('tells how far today’s figure is from the known one, and which way', () => {
    expect(at(36.6).differenceDb).toBeCloseTo(0.4, 6)
    expect(plain(at(36.6).words)).toContain('+37.0 dBm today, known to be +36.6 dBm: 0.4 dB high, E_n ')
    expect(plain(at(37.4).words)).toContain('0.4 dB low')
    expect(at(37).found!.isUpperBound).toBe(false)
  })

  it('believes the bench within both ranges together, and not beyond', () => {
    const range = at(37).found!.budget.range
    const together = Math.hypot(range, 0.5)
    expect(at(37 - 0.99 * together)).toMatchObject({
      believable: true,
      words: expect.stringContaining('is believable today'),
    })
    expect(at(37 - 1.01 * together)).toMatchObject({
      believable: false,
      words: expect.stringContaining('More than both ranges explain'),
    })
    expect(at(37 + 1.01 * together).believable).toBe(false)
    // E_n of ISO/IEC 17043 (from memory): the difference over the root of both expanded uncertainties squared.
    expect(at(37 - 2 * together).score!.en).toBeCloseTo(2, 6)
  })

  it('says why where it cannot be worked out', () => {
    expect(evaluateControlCheck(check(37, { chainId: 'gone' }), context)).toMatchObject({
      ...{ found: null, score: null, differenceDb: null, believable: false },
      words: expect.stringContaining('no longer on the bench'),
    })
  })
})
