import { describe, expect, it, vi } from 'vitest'
import { createIdentityCache } from '#core/cache'

describe('the identity cache', () => {
  it('computes once for the very same subjects, again for equal ones', () => {
    const { of } = createIdentityCache()
    const sum = vi.fn((a: { n: number }, b: { n: number }) => a.n + b.n)
    const [one, two] = [{ n: 1 }, { n: 2 }]
    expect([of(sum, one, two), of(sum, one, two)]).toEqual([3, 3])
    expect(sum).toHaveBeenCalledTimes(1)
    expect([of(sum, { n: 1 }, two), of(sum, two, one)]).toEqual([3, 3])
    expect(sum).toHaveBeenCalledTimes(3)
  })

  it('keeps functions apart, and fewer subjects from more', () => {
    const { of } = createIdentityCache()
    const a = {}
    const count = (...subjects: object[]): number | string => subjects.length
    const name = (_subject: object) => 'name'
    expect([of(count, a), of(count, a, a), of(name, a), of(count, a)]).toEqual([1, 2, 'name', 1])
  })

  it('remembers undefined, and nothing of a computation that threw', () => {
    const { of } = createIdentityCache()
    const nothing = vi.fn((_subject: object) => undefined)
    const subject = {}
    of(nothing, subject)
    of(nothing, subject)
    expect(nothing).toHaveBeenCalledTimes(1)
    let bad = true
    const mayThrow = (_subject: object) => {
      if (bad) throw new Error('no')
      return 'good'
    }
    expect(() => of(mayThrow, subject)).toThrow('no')
    bad = false
    expect(of(mayThrow, subject)).toBe('good')
  })
})
