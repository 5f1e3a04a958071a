import { describe, expect, it } from 'vitest'
import { harmonicSlots } from '#core/station'

// Arithmetic; the list is the one practitioners write down for the 2 m calling channel (common practice, no
// source).
describe('harmonics of 146.52 MHz', () => {
  it('are 293.04, 439.56, 586.08, 732.60 and 879.12 MHz', () => {
    expect(
      harmonicSlots(146.52e6)
        .slice(1, 6)
        .map(slot => Number((slot.frequencyHz / 1e6).toFixed(4))),
    ).toEqual([293.04, 439.56, 586.08, 732.6, 879.12])
  })

  // 47 CFR 2.1057(a), from memory: up to the tenth harmonic for carriers below 10 GHz.
  it('are looked at up to the tenth', () =>
    expect(harmonicSlots(146.52e6).at(-1)).toMatchObject({ id: 'x10', frequencyHz: 1465.2e6 }))
})
