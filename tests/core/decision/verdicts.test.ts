import { describe, expect, it } from 'vitest'
import { claimWords, decide, decideBetween, farEndWords, verdictWords, worstVerdict } from '#core/decision'
import { contribution, errorDistribution } from '#core/uncertainty'
import { verdictOf } from '../../support/results'

const errors = (halfWidth: number, distribution: 'normal' | 'rectangular' = 'rectangular') =>
  errorDistribution([contribution({ id: 'u', group: 'instrument', label: 'u', distribution, halfWidth })])
const NONE = errorDistribution([])

describe('a verdict in words, in three states and in four', () => {
  const four = { form: 'four' as const }
  it.each([
    [verdictOf('inside', 2), 'Inside by 2.0'],
    [verdictOf('inside', 2, { isBound: true }), 'Inside by at least 2.0'],
    [verdictOf('outside', -2), 'Outside by 2.0'],
    [verdictOf('too-close', 0.2), 'Too close to call'],
    [verdictOf('not-covered'), 'Not covered'],
    [verdictOf('no-figure'), 'No figure in law'],
    [verdictOf('observation'), 'Observation'],
    [verdictOf('inside', 2, four), 'Pass by 2.0'],
    [verdictOf('inside', 2, { ...four, isBound: true }), 'Pass by at least 2.0'],
    [verdictOf('outside', -2, four), 'Fail by 2.0'],
    [verdictOf('too-close', 0.5, four), 'Conditional pass by 0.5'],
    [verdictOf('too-close', 0, four), 'Conditional pass by 0.0'],
    [verdictOf('too-close', -0.5, four), 'Conditional fail by 0.5'],
    [verdictOf('not-covered', null, four), 'Not covered'],
    [verdictOf('no-figure', null, four), 'No figure in law'],
    [verdictOf('observation', null, four), 'Observation'],
  ])('%o', (verdict, words) => expect(verdictWords(verdict)).toBe(words))

  it('of a claim: a surplus is one only beyond the range', () => {
    const claim = (differenceDb: number) => ({ claimedW: 5, measuredW: 5.2, differenceDb })
    const inside = verdictOf('inside', 1, { range: 0.4 })
    expect(claimWords(inside, claim(0.4))).toContain('Meets')
    expect(claimWords(inside, claim(0.41))).toContain('Above by 0.4')
    expect(claimWords(verdictOf('outside', -1), claim(-1))).toContain('Short by 1.0')
    expect(claimWords(verdictOf('not-covered'), claim(0))).toBe('Not covered')
    expect(claimWords(verdictOf('no-figure'), claim(0))).toBe('The maker does not say')
    expect(claimWords(verdictOf('observation'), claim(0))).toBe('Observation')
  })

  it('of the far end: 6 dB are an S-unit', () => {
    expect(farEndWords(0.59)).toContain('less than a tenth')
    expect(farEndWords(0.6001)).toBe('0.1 of an S-unit at the far end')
    expect(farEndWords(-5.69)).toBe('0.9 of an S-unit at the far end')
    expect(farEndWords(5.7)).toBe('1.0 S-units at the far end')
    expect(farEndWords(-12)).toBe('2.0 S-units at the far end')
  })
})

describe('the worst of a group', () => {
  const of = (...verdicts: ReturnType<typeof verdictOf>[]) =>
    worstVerdict(verdicts.map((verdict, member) => ({ member, verdict })))!.governs
  it('among equals is the one with the least margin, in what counts as a dB; the first of two alike', () => {
    expect(of(verdictOf('inside', 3), verdictOf('inside', 2))).toBe(1)
    expect(of(verdictOf('inside', 2), verdictOf('inside', 2))).toBe(0)
    // 500 Hz at 250 Hz a dB are 2 dB: less than 3 dB; at 100 Hz a dB they are more.
    expect(of(verdictOf('inside', 3), verdictOf('inside', 500, { perStripDb: 250 }))).toBe(1)
    expect(of(verdictOf('inside', 3), verdictOf('inside', 500, { perStripDb: 100 }))).toBe(0)
    expect(of(verdictOf('inside', null), verdictOf('inside', 1e9))).toBe(1)
    expect(of(verdictOf('no-figure'), verdictOf('inside', 9), verdictOf('not-covered'))).toBe(2)
  })
})

describe('a bound and the ends of a range', () => {
  const bound = (value: number, direction: 'upper' | 'lower') =>
    decide({ value, limit: 0, direction, errors: errors(1), isUpperBound: true })
  it('shows inside of an upper and outside of a lower limit, and says what it rests on', () => {
    expect(bound(-2, 'upper')).toMatchObject({ state: 'inside', isBound: true })
    expect(bound(-2, 'upper').why).toContain('at most this')
    expect(bound(2, 'upper')).toMatchObject({ state: 'not-covered' })
    expect(bound(2, 'upper').why).toContain('not low enough')
    expect(bound(-2, 'lower').state).toBe('outside')
    expect(bound(2, 'lower').state).toBe('not-covered')
  })

  it('the range of a margin reaches to the ends of the errors, the worse one first', () => {
    // Errors of 0.95 either side of a rectangle of 1.
    const upper = decide({ value: -3, limit: 0, direction: 'upper', errors: errors(1) })
    expect(upper.marginLow).toBeCloseTo(3 - 0.95, 3)
    expect(upper.marginHigh).toBeCloseTo(3 + 0.95, 3)
    expect(upper.range).toBeCloseTo(0.95, 3)
  })

  it('without any doubt: at a lower limit, between two limits and at either of them is inside', () => {
    const at = (value: number, direction: 'lower' | 'both') =>
      decide({ value, limit: 2, direction, errors: NONE }).state
    expect([at(2, 'lower'), at(1.999, 'lower')]).toEqual(['inside', 'outside'])
    expect([at(2, 'both'), at(2.001, 'both')]).toEqual(['inside', 'outside'])
    expect([at(-2, 'both'), at(-2.001, 'both')]).toEqual(['inside', 'outside'])
  })

  it('between two limits the doubt of the nearer one counts, to the right side', () => {
    const near = decide({ value: -1.5, limit: 2, direction: 'both', errors: errors(1) })
    expect(near.margin).toBeCloseTo(0.5, 12)
    expect(near.marginLow).toBeCloseTo(0.5 - 0.95, 3)
    const zero = decide({ value: 0, limit: 2, direction: 'both', errors: errors(1) })
    expect(zero.margin).toBe(2)
  })
})

describe('a limit that lies between two figures', () => {
  const between = (value: number) =>
    decideBetween(
      { value, direction: 'upper', errors: errors(1) },
      { lowest: -3, highest: 0, why: 'not read' },
    )
  it('is kept or broken only where it is at both ends', () => {
    expect(between(-4.2).state).toBe('inside')
    expect(between(1.2).state).toBe('outside')
    expect(between(-2).state).toBe('too-close')
  })

  it('states the margin in the middle, its range to both ends, and the worse chance', () => {
    const found = between(-2)
    expect(found.margin).toBeCloseTo(0.5, 12)
    expect(found.marginLow).toBeCloseTo(-1 - 0.95, 3)
    expect(found.marginHigh).toBeCloseTo(2 + 0.95, 3)
    expect(found.range).toBeCloseTo((3 + 1.9) / 2, 3)
    expect(found.why).toBe('not read')
    // 2 dB under the upper end is sure, 1 dB over the lower one is surely not.
    expect(found.probabilityComplies).toBeCloseTo(0, 6)
    expect(between(-2.5).probabilityComplies).toBeCloseTo(0.25, 3)
  })

  it('is not told where one end cannot be', () => {
    const bound = decideBetween(
      { value: -2, direction: 'upper', errors: errors(1), isUpperBound: true },
      { lowest: -3, highest: 0, why: '' },
    )
    expect(bound.state).toBe('not-covered')
    const otherWay = decideBetween(
      { value: -2, direction: 'upper', errors: errors(1), isUpperBound: true },
      { lowest: 0, highest: -3, why: '' },
    )
    expect(otherWay.state).toBe('not-covered')
  })
})
