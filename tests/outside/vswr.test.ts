import { describe, expect, it } from 'vitest'
import { mismatchLossDbFromVswr, reflectionFromVswr, returnLossDbFromVswr } from '#core/quantity'
import { mismatchLimitsDb } from '#core/uncertainty'

// Table of VSWR, return loss, mismatch loss and reflected power as every RF handbook prints it; this copy is
// from memory,
// and follows from |Γ| = (VSWR − 1)/(VSWR + 1).
const TABLE: [vswr: number, returnLossDb: number, mismatchLossDb: number, reflectedPercent: number][] = [
  [1.05, 32.26, 0.003, 0.06],
  [1.1, 26.44, 0.01, 0.23],
  [1.2, 20.83, 0.036, 0.83],
  [1.25, 19.08, 0.054, 1.23],
  [1.5, 13.98, 0.177, 4],
  [2, 9.54, 0.512, 11.11],
  [2.5, 7.36, 0.881, 18.37],
  [3, 6.02, 1.249, 25],
  [5, 3.52, 2.553, 44.44],
  [10, 1.74, 4.807, 66.94],
]

describe('the VSWR table (from memory)', () => {
  it.each(TABLE)(
    'VSWR %d: return loss %d dB, mismatch loss %d dB, %d %% reflected',
    (vswr, returnLossDb, mismatchLossDb, reflectedPercent) => {
      expect(returnLossDbFromVswr(vswr)).toBeCloseTo(returnLossDb, 2)
      expect(mismatchLossDbFromVswr(vswr)).toBeCloseTo(mismatchLossDb, 3)
      expect(reflectionFromVswr(vswr) ** 2 * 100).toBeCloseTo(reflectedPercent, 2)
    },
  )

  it('2.47:1 is 7.46 dB and 0.86 dB', () => {
    expect(returnLossDbFromVswr(2.47)).toBeCloseTo(7.46, 1)
    expect(mismatchLossDbFromVswr(2.47)).toBeCloseTo(0.86, 1)
  })

  it('a VSWR below 1 does not exist', () =>
    expect(() => reflectionFromVswr(0.9)).toThrowError(expect.objectContaining({ code: 'out-of-range' })))

  // Two ports of VSWR 1.5 and 2: |Γ1||Γ2| = 0.2/3; 20·log10(1 ± 0.0667), worked by hand.
  it('mismatch limits of 1.5 against 2 are −0.60 and +0.56 dB', () => {
    const [low, high] = mismatchLimitsDb(1.5, 2)
    expect(low).toBeCloseTo(-0.599, 3)
    expect(high).toBeCloseTo(0.5606, 3)
  })
})
