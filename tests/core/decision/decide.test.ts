import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { contribution, errorDistribution } from '#core/uncertainty'
import {
  claimWords,
  clopperPearson,
  decide,
  DECISION_RULES,
  decisionRuleWords,
  enScore,
  farEndWords,
  stripGeometry,
  stripPlace,
  verdictWithout,
  verdictWords,
  worstVerdict,
  type DecideInput,
} from '#core/decision'

const normal = (u: number) =>
  errorDistribution([
    contribution({ id: 'u', group: 'instrument', label: 'u', distribution: 'normal', halfWidth: 2 * u }),
  ])
const judge = ({ u = 1, ...change }: Partial<DecideInput> & { u?: number }) =>
  decide({ value: -20, limit: -16, direction: 'upper', errors: normal(u), ...change })

describe('sure either way', () => {
  it('turns at 1.645 u on both sides of an upper limit', () => {
    expect(judge({ value: -16 - 1.646 }).state).toBe('inside')
    expect(judge({ value: -16 - 1.644 }).state).toBe('too-close')
    expect(judge({ value: -16 + 1.644 }).state).toBe('too-close')
    expect(judge({ value: -16 + 1.646 }).state).toBe('outside')
  })

  it('is the mirror for a lower limit', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -60, max: 60, noNaN: true }),
        fc.double({ min: 0.01, max: 10, noNaN: true }),
        fc.constantFrom(...DECISION_RULES),
        (valueDb, u, rule) => {
          const upper = judge({ value: valueDb, limit: 0, u, rule })
          const lower = judge({ value: -valueDb, limit: 0, u, rule, direction: 'lower' })
          return (
            (upper.state === lower.state || Math.abs(valueDb) < 1e-6) &&
            Math.abs(upper.margin! - lower.margin!) < 1e-12
          )
        },
      ),
    )
  })

  it('knows no doubt without uncertainty: at the limit is inside', () => {
    expect(judge({ value: -16, u: 0 })).toMatchObject({ state: 'inside', probabilityComplies: 1 })
    expect(judge({ value: -15.99, u: 0 }).state).toBe('outside')
  })

  it('grows surer with margin', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -50, max: 50, noNaN: true }),
        fc.double({ min: 0, max: 5, noNaN: true }),
        (valueDb, better) =>
          judge({ value: valueDb - better }).probabilityComplies! >=
          judge({ value: valueDb }).probabilityComplies! - 1e-9,
      ),
    )
  })

  it('takes an upper bound as inside or as nothing', () => {
    expect(judge({ value: -30, isUpperBound: true })).toMatchObject({ state: 'inside', isBound: true })
    expect(judge({ value: -15, isUpperBound: true }).state).toBe('not-covered')
    expect(judge({ value: -5, isUpperBound: true }).state).toBe('not-covered')
    expect(judge({ value: -30, limit: -16, direction: 'lower', isUpperBound: true }).state).toBe('outside')
    expect(judge({ value: -5, limit: -16, direction: 'lower', isUpperBound: true }).state).toBe('not-covered')
  })
})

describe('the other rules', () => {
  const state = (valueDb: number, rule: DecideInput['rule']) => judge({ value: valueDb, rule }).state

  it('guarded by U: turns at 1.96 u on both sides', () => {
    expect([-16 - 1.97, -16 - 1.95, -16 + 1.95, -16 + 1.97].map(value => state(value, 'guarded'))).toEqual([
      'inside',
      'too-close',
      'too-close',
      'outside',
    ])
  })

  it('shared risk: the value alone decides', () => {
    expect([-16, -15.99].map(value => state(value, 'shared-risk'))).toEqual(['inside', 'outside'])
  })

  it('four states: conditional pass up to the limit, conditional fail beyond it', () => {
    const words = (valueDb: number) => verdictWords(judge({ value: valueDb, rule: 'four-states' }))
    expect([-20, -17, -15, -12].map(words)).toEqual([
      'Pass by 4.0',
      'Conditional pass by 1.0',
      'Conditional fail by 1.0',
      'Fail by 4.0',
    ])
    expect(verdictWords({ ...judge({ value: -40, rule: 'four-states', isUpperBound: true }) })).toBe(
      'Pass by at least 24',
    )
  })

  it('each say what they do and what they promise', () => {
    for (const rule of DECISION_RULES)
      expect(Object.values(decisionRuleWords[rule]).every(text => text.length > 8)).toBe(true)
  })

  it('a skewed range is carried to the right side', () => {
    const skewed = { ...normal(1), low: -3, high: 1 }
    expect(decide({ value: -20, limit: -16, direction: 'upper', errors: skewed })).toMatchObject({
      margin: 4,
      marginLow: 3,
      marginHigh: 7,
      range: 2,
    })
    expect(decide({ value: -20, limit: -24, direction: 'lower', errors: skewed })).toMatchObject({
      margin: 4,
      marginLow: 1,
      marginHigh: 5,
    })
  })
})

describe('two testers, and samples', () => {
  it('agree when they differ by less than both ranges together', () => {
    expect(enScore({ value: 10, expanded: 3 }, { value: 5, expanded: 4 })).toEqual({ en: 1, agree: true })
    expect(enScore({ value: 10, expanded: 3 }, { value: 4.9, expanded: 4 }).agree).toBe(false)
  })

  it('refuse a share that cannot be', () => {
    for (const [k, n] of [
      [3, 2],
      [-1, 2],
      [0, 0],
    ])
      expect(() => clopperPearson(k!, n!)).toThrowError(expect.objectContaining({ code: 'out-of-range' }))
  })
})

describe('a group', () => {
  const one = (name: string, valueDb: number) => ({ member: name, verdict: judge({ value: valueDb }) })
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
    expect(verdictWords(judge({ value: -31.5 }))).toBe('Inside by 15.5')
    expect(verdictWords(judge({ value: -8.8 }))).toBe('Outside by 7.2')
    expect(verdictWords(judge({ value: -17.1 }))).toBe('Too close to call')
    expect(verdictWords(judge({ value: -40, isUpperBound: true }))).toBe('Inside by at least 24')
    expect(
      (['not-covered', 'no-figure', 'observation'] as const).map(state =>
        verdictWords(verdictWithout(state, null)),
      ),
    ).toEqual(['Not covered', 'No figure in law', 'Observation'])
  })

  it('say the verdict against a claim', () => {
    const say = (measuredDb: number, u = 0.1) =>
      claimWords(judge({ value: measuredDb, limit: 0, direction: 'lower', u }), {
        claimedW: 5,
        measuredW: 5 * 10 ** (measuredDb / 10),
        differenceDb: measuredDb,
      }).replaceAll('\u00a0', ' ')
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
    const geometry = stripGeometry(judge({ value: -20 }))
    expect(geometry.whisker!.from).toBeLessThan(geometry.mark!)
    expect(geometry.whisker!.to).toBeGreaterThan(geometry.mark!)
    expect(stripGeometry(verdictWithout('not-covered', null))).toMatchObject({ mark: null, whisker: null })
    expect(stripGeometry(judge({ value: 60 })).clipped).toBe(true)
  })
})
