import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { claimWords, decide, farEndWords, stripGeometry, stripPlace, verdictWithout, verdictWords, worstVerdict, type DecideInput } from '#core/decision'

const judge = (change: Partial<DecideInput>) => decide({ valueDb: -20, limitDb: -16, direction: 'upper', standardUncertaintyDb: 1, degreesOfFreedom: Infinity, coverageFactor: 1.96, ...change })

describe('sure either way', () => {
  it('turns at 1.645 u on both sides of an upper limit', () => {
    expect(judge({ valueDb: -16 - 1.646 }).state).toBe('inside')
    expect(judge({ valueDb: -16 - 1.644 }).state).toBe('too-close')
    expect(judge({ valueDb: -16 + 1.644 }).state).toBe('too-close')
    expect(judge({ valueDb: -16 + 1.646 }).state).toBe('outside')
  })

  it('is the mirror for a lower limit', () => {
    fc.assert(fc.property(fc.double({ min: -60, max: 60, noNaN: true }), fc.double({ min: 0.01, max: 10, noNaN: true }), (valueDb, standardUncertaintyDb) => {
      const upper = judge({ valueDb, limitDb: 0, standardUncertaintyDb })
      const lower = judge({ valueDb: -valueDb, limitDb: 0, standardUncertaintyDb, direction: 'lower' })
      return upper.state === lower.state && Math.abs(upper.marginDb! - lower.marginDb!) < 1e-12
    }))
  })

  it('knows no doubt without uncertainty: at the limit is inside', () => {
    expect(judge({ valueDb: -16, standardUncertaintyDb: 0 })).toMatchObject({ state: 'inside', probabilityComplies: 1 })
    expect(judge({ valueDb: -15.99, standardUncertaintyDb: 0 }).state).toBe('outside')
  })

  it('grows surer with margin', () => {
    fc.assert(fc.property(fc.double({ min: -50, max: 50, noNaN: true }), fc.double({ min: 0, max: 5, noNaN: true }), (valueDb, better) =>
      judge({ valueDb: valueDb - better }).probabilityComplies! >= judge({ valueDb }).probabilityComplies!))
  })

  it('takes an upper bound as inside or as nothing', () => {
    expect(judge({ valueDb: -30, isUpperBound: true })).toMatchObject({ state: 'inside', isBound: true })
    expect(judge({ valueDb: -15, isUpperBound: true }).state).toBe('not-covered')
    expect(judge({ valueDb: -5, isUpperBound: true }).state).toBe('not-covered')
    expect(judge({ valueDb: -30, limitDb: -16, direction: 'lower', isUpperBound: true }).state).toBe('outside')
    expect(judge({ valueDb: -5, limitDb: -16, direction: 'lower', isUpperBound: true }).state).toBe('not-covered')
  })
})

describe('a group', () => {
  const one = (name: string, valueDb: number) => ({ member: name, verdict: judge({ valueDb }) })
  const none = { member: 'none', verdict: verdictWithout('not-covered', null) }

  it('is as bad as its worst, in the order outside, too close, not covered, inside', () => {
    expect(worstVerdict([one('in', -40), none, one('close', -16), one('out', -5)])?.governs).toBe('out')
    expect(worstVerdict([one('in', -40), none, one('close', -16)])?.governs).toBe('close')
    expect(worstVerdict([one('in', -40), none])?.governs).toBe('none')
    expect(worstVerdict([])).toBeNull()
  })

  it('names the member with the least margin among equals', () => {
    expect(worstVerdict([one('a', -40), one('b', -25), one('c', -30)])?.governs).toBe('b')
    expect(worstVerdict([one('a', -10), one('b', -5)])?.governs).toBe('b')
  })
})

describe('words', () => {
  it('say the verdict against a limit', () => {
    expect(verdictWords(judge({ valueDb: -31.5 }))).toBe('Inside by 15.5')
    expect(verdictWords(judge({ valueDb: -8.8 }))).toBe('Outside by 7.2')
    expect(verdictWords(judge({ valueDb: -17.1 }))).toBe('Too close to call')
    expect(verdictWords(judge({ valueDb: -40, isUpperBound: true }))).toBe('Inside by at least 24')
    expect((['not-covered', 'no-figure', 'observation'] as const).map(state => verdictWords(verdictWithout(state, null)))).toEqual(['Not covered', 'No figure in law', 'Observation'])
  })

  it('say the verdict against a claim', () => {
    const say = (measuredDb: number, standardUncertaintyDb = 0.1) => claimWords(judge({ valueDb: measuredDb, limitDb: 0, direction: 'lower', standardUncertaintyDb }), { claimedW: 5, measuredW: 5 * 10 ** (measuredDb / 10), differenceDb: measuredDb }).replaceAll('\u00a0', ' ')
    expect(say(-0.7)).toBe('Short by 0.7 dB')
    expect(say(0.18)).toBe('Meets 5 W')
    expect(say(1.1)).toBe('Above by 1.1 dB')
    expect(say(-0.1)).toBe('Can’t tell: 4.89 W')
    expect(farEndWords(-1.5)).toContain('0.3 of an S-unit')
    expect(farEndWords(12)).toContain('2.0 S-units')
    expect(farEndWords(0.1)).toContain('less than a tenth')
  })
})

describe('the margin strip', () => {
  it('has its limit at 64 % and widens the last few dB', () => {
    expect(stripPlace(0)).toBe(0.64)
    expect(stripPlace(1) - stripPlace(2)).toBeGreaterThan(stripPlace(20) - stripPlace(21))
    expect(stripPlace(40)).toBeGreaterThan(0.02)
    expect(stripPlace(1e6)).toBe(0.02)
    expect(stripPlace(-1e6)).toBe(0.98)
  })

  it('puts the whisker around the mark, and nothing where nothing was measured', () => {
    const geometry = stripGeometry(judge({ valueDb: -20 }))
    expect(geometry.whisker!.from).toBeLessThan(geometry.mark!)
    expect(geometry.whisker!.to).toBeGreaterThan(geometry.mark!)
    expect(stripGeometry(verdictWithout('not-covered', null))).toMatchObject({ mark: null, whisker: null })
    expect(stripGeometry(judge({ valueDb: 60 })).clipped).toBe(true)
  })
})
