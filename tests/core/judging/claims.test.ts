import { describe, expect, it } from 'vitest'
import { claimDemand, claimNotes, judgeClaim, judgeReceiverClaim } from '#core/judging'
import { contribution, type Budget } from '#core/uncertainty'
import type { Found, Step } from '#core/step'
import { withReadings } from '../../support/bench'
import { microvoltClaim } from '../../support/hearing'
import { landMobile } from '../../support/stations'
import { plain, someStep } from '../../support/results'

/** A level at the socket whose only doubt is a rectangle. */
function found(value: number, halfWidth = 0.5, change: Partial<Found> = {}): Found {
  const line = contribution({
    id: 'u',
    group: 'instrument',
    label: 'u',
    distribution: 'rectangular',
    halfWidth,
  })
  const budget = { contributions: [line], range: 0.95 * halfWidth, unit: 'dB' } as unknown as Budget
  return { value, unit: 'dBm', isUpperBound: false, budget, path: null, notes: [], ...change } as Found
}

// 5 W are 36.99 dBm.
const CLAIMED_DBM = 10 * Math.log10(5000)
const step = someStep('carrier-power')
const unsaid: Step = { ...step, claim: { kind: 'not-said' } }
const withTolerance = (claimToleranceDb: number) => {
  const review = landMobile()
  return withReadings({ ...review, settings: { ...review.settings, claimToleranceDb } }, [])
}

describe('a power against what the maker claims', () => {
  it('is to reach the claim, less the tolerance of the review', () => {
    const judge = (db: number, toleranceDb = 0) =>
      judgeClaim(step, found(CLAIMED_DBM + db), withTolerance(toleranceDb))!
    expect(judge(0.46).verdict.state).toBe('inside')
    expect(judge(0.44).verdict.state).toBe('too-close')
    expect(judge(-0.44).verdict.state).toBe('too-close')
    expect(judge(-0.46).verdict.state).toBe('outside')
    expect(judge(-0.46, 1)).toMatchObject({ verdict: { state: 'inside' } })
    expect(judge(-0.46, 1).limit).toBeCloseTo(CLAIMED_DBM - 1, 9)
    expect(plain(judge(0.6).claimedWords)).toBe('5 W')
    expect(judgeClaim(unsaid, found(30), withTolerance(0))).toBeNull()
  })

  it('says in words what the difference is and what it means', () => {
    const notes = (db: number, toleranceDb = 0) => {
      const given = found(CLAIMED_DBM + db)
      return claimNotes(step, given, judgeClaim(step, given, withTolerance(toleranceDb))!).map(plain)
    }
    expect(notes(-1)).toEqual([
      expect.stringMatching(/^−1\.00 dB against the claimed 5 W: 0\.2 of an S-unit/),
    ])
    expect(notes(-0.2)).toHaveLength(2)
    expect(notes(-0.2)[0]).toContain('may really be 5 W')
    expect(notes(0.2)[0]).toContain('may really fall short of 5 W')
    expect(notes(0)[0]).toContain('may really fall short of')
    expect(notes(-2, 1)).toHaveLength(2)
    // 5 W less 1 dB are 3.97 W.
    expect(notes(-2, 1)[1]).toMatch(/tolerance of 1\.0 dB: from 3\.97 W on/)
    expect(claimNotes(unsaid, found(30), judgeClaim(step, found(30), withTolerance(0))!)).toEqual([])
  })

  it('is asked of the maker: the claim, or that he does not say', () => {
    const demand = claimDemand(step)
    expect({ ...demand, words: plain(demand.words) }).toEqual({
      by: 'the maker',
      words: '5 W claimed',
      figure: true,
    })
    expect(claimDemand(unsaid)).toEqual({ by: 'the maker', words: 'does not say', figure: false })
  })
})

describe('a figure of the receiver against its claim', () => {
  const context = withTolerance(0)
  // 0.25 µV pd at 50 Ω are −119.03 dBm.
  const micro = microvoltClaim(0.25, { voltageIs: 'pd' })
  const claimedDbm = 10 * Math.log10((0.25e-6 ** 2 / 50) * 1000)

  it('a level is to be no higher, a ratio no lower', () => {
    const level = (db: number) => judgeReceiverClaim(found(claimedDbm + db), micro, context)!
    expect(level(-0.6)).toMatchObject({
      verdict: { state: 'inside' },
      words: expect.stringContaining('Inside the claim by 0.6'),
    })
    expect(level(0.6)).toMatchObject({
      verdict: { state: 'outside' },
      words: expect.stringContaining('Outside the claim by 0.6'),
    })
    expect(level(0.1)).toMatchObject({ words: 'Too close to call' })
    expect(level(0.1).limit).toBeCloseTo(claimedDbm, 6)
    const ratio = { ...micro, unit: 'dB' as const, value: 60 }
    const read = (value: number) => judgeReceiverClaim(found(value, 0.5, { unit: 'dB' }), ratio, context)!
    expect(read(61).verdict.state).toBe('inside')
    expect(read(59).verdict.state).toBe('outside')
  })

  it('says nothing without a claim, or without its figure', () => {
    expect(judgeReceiverClaim(found(-120), null, context)).toBeNull()
    expect(judgeReceiverClaim(found(-120), { ...micro, value: null }, context)).toBeNull()
  })
})
