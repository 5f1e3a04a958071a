import { describe, expect, it } from 'vitest'
import { physicalStudy } from '#core/study'
import { evenNumbers } from '../../support/audio'

// The whole study (4000 radios a kind) is `npm run coverage-study -- physical`, written to
// docs/coverage-physical.md. Here a small one: of 160 radios 95 % ± 5.2 % and 5 % ± 5.2 % are three standard
// deviations.
const TRIALS = 160
const LEAST = 0.95 - 0.052
const MOST_WRONG = 0.05 + 0.052

describe('benches built from physics', () => {
  const rows = physicalStudy({ trials: TRIALS, seed: 5, randomFrom: evenNumbers })

  it.each(rows.map(row => [row.kind, row] as const))('%s: no radio is wronged too often', (_kind, row) => {
    expect(row.judged).toBe(TRIALS)
    expect(row.twoSided).toBeGreaterThan(TRIALS / 2)
    expect(row.share).toBeGreaterThan(LEAST)
    expect(row.wronglyInside).toBeLessThan(MOST_WRONG)
    expect(row.wronglyOutside).toBeLessThan(MOST_WRONG)
    if (!row.widerIsFair) expect(row.share).toBeLessThan(0.995)
  })

  it('can fail: a display that was told wrong wrongs every second radio', () => {
    const [lied] = physicalStudy({
      trials: 60,
      seed: 5,
      randomFrom: evenNumbers,
      only: ['display-held'],
      toldInstead: { detection: { shows: 'mean', looks: 200 } },
    })
    expect(lied!.wronglyOutside).toBeGreaterThan(0.5)
    expect(lied!.share).toBeLessThan(0.5)
  })
})
