import { describe, expect, it } from 'vitest'
import { budget, contribution, type Contribution, displayEffect, improvements } from '#core/uncertainty'

const one = (
  group: Contribution['group'],
  halfWidth: number,
  change: Partial<Parameters<typeof contribution>[0]> = {},
) =>
  contribution({ id: group, group, label: `the ${group}`, distribution: 'rectangular', halfWidth, ...change })

/** What the one thing that helps leaves of a budget of one line. */
const helped = (line: Contribution) => improvements(budget([line]))[0]

describe('what would narrow a range', () => {
  // A rectangle's 95 % range is 0.95 of its half-width (closed form).
  it.each<[Contribution['group'], number, number]>([
    ['mismatch', 1, 0.1],
    ['resolution', 1, 0.1],
    ['floor', 1, 0.1],
    ['display', 1, 0.1],
    ['ambient', 1, 0.1],
    ['harmonics', 1, 0.1],
    ['sweeps', 1, 0.1],
    ['reference', 1, 0.1],
    ['steps', 1, 0.06],
    ['stepping', 1, 0.5],
    ['curve', 1, 0.5],
    ['estimate', 1, 0.5],
    // To what can be reached with modest means.
    ['instrument', 2, 0.25],
    ['part', 1, 0.15],
    ['scale', 1, 0.2],
    ['antenna', 4, 0.25],
  ])('a %s of ±%d dB comes to %d of it', (group, halfWidth, share) => {
    const better = helped(one(group, halfWidth))!
    expect(better.range).toBeCloseTo(0.95 * halfWidth * share, 2)
    expect(better.gain).toBeCloseTo(0.95 * halfWidth * (1 - share), 2)
    expect(better.words.length).toBeGreaterThan(10)
  })

  it('says nothing of what is as good as it can be, or gains next to nothing', () => {
    for (const line of [
      one('instrument', 0.5),
      one('part', 0.15),
      one('antenna', 1),
      one('resolution', 0.01),
    ])
      expect(helped(line)).toBeUndefined()
    expect(helped(one('instrument', 0.52))).toBeDefined()
    expect(helped(one('antenna', 1.1))).toBeDefined()
    // Half of a meter’s ±0.22 dB is left alone; ±0.44 dB comes to ±0.22.
    expect(helped(one('instrument', 0.22, { id: 'meter:pm' }))).toBeUndefined()
    expect(helped(one('instrument', 0.44, { id: 'meter:pm' }))!.range).toBeCloseTo(0.95 * 0.22, 2)
  })

  it('four times as many readings halve the scatter, and make it better known', () => {
    const five = one('repeats', 2, { distribution: 'student-t', degreesOfFreedom: 4 })
    const better = helped(five)!
    // Student’s t of 19 degrees of freedom is 2.093; s/√n goes from 1 to 0.5 dB.
    expect(better.range).toBeCloseTo(2.093 * 0.5, 1)
    expect(better.range).toBeLessThan(1.1)
    expect(budget([five]).range).toBeCloseTo(2.776, 1)
  })

  it('puts the greatest gain first, and takes lines of one piece together', () => {
    const list = improvements(
      budget([one('part', 0.3, { id: 'pad/a' }), one('part', 0.3, { id: 'pad/b' }), one('mismatch', 2)]),
    )
    expect(list.map(({ id }) => id)).toEqual(['mismatch', 'pad'])
    expect(list[0]!.gain).toBeGreaterThan(list[1]!.gain)
  })
})

describe('a display that averages decibels', () => {
  const at = (aboveDb: number) =>
    displayEffect({ shows: 'logarithm', looks: 1e6 }, { aboveDb, floorDoubtDb: 0, from: 'mean-power' })
  // The mean of ln|s + n|² is ln ρ + E₁(ρ): above 10 dB it is the carrier itself (Abramowitz and Stegun 5.1).
  it('shows the carrier as it is from 10 dB on: nothing is to be taken off', () => {
    for (const aboveDb of [12, 20, 30]) {
      expect(Math.abs(at(aboveDb).correctionDb)).toBeLessThan(0.05)
      expect(at(aboveDb).isUpperBound).toBe(false)
    }
    expect(at(50)).toMatchObject({ correctionDb: 0, lines: [] })
  })

  it('shows noise alone 2.51 dB low: what stands there is only a bound', () => {
    expect(at(-2.5).isUpperBound).toBe(true)
  })
})
