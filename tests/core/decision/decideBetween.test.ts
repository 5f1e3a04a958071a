import { describe, expect, it } from 'vitest'
import { decideBetween } from '#core/decision'
import { contribution, createDistributions } from '#core/uncertainty'

// A rectangle of ±1 dB: 95 % of it lie below 0.9.
const errors = createDistributions().of([
  contribution({ id: 'a', group: 'instrument', label: 'a', distribution: 'rectangular', halfWidth: 1 }),
])
const at = (value: number, lowest: number, highest: number, isUpperBound = false) =>
  decideBetween({ value, direction: 'upper', errors, isUpperBound }, { lowest, highest, why: 'because' })

describe('a limit of which only is known that it lies between two figures', () => {
  it.each([
    [-3.91, 'inside'],
    [-3.89, 'too-close'],
    [0.89, 'too-close'],
    [0.91, 'outside'],
  ])('%d dB against −3 to 0 is %s: sure at both ends, or not at all', (value, state) => {
    expect(at(value, -3, 0).state).toBe(state)
  })

  it('states the margin in the middle, and its range to both ends', () => {
    const { margin, marginLow, marginHigh, range, why } = at(-10, -3, 0)
    expect([margin, why]).toEqual([8.5, 'because'])
    expect(marginLow).toBeCloseTo(7 - 0.95, 2)
    expect(marginHigh).toBeCloseTo(10 + 0.95, 2)
    expect(range).toBeCloseTo((marginHigh! - marginLow!) / 2, 9)
  })

  it('tells nothing by a bound that is inside at one end only', () => {
    expect(at(-2, -3, 0, true).state).toBe('not-covered')
    expect(at(-5, -3, 0, true).state).toBe('inside')
  })
})
