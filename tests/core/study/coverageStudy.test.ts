import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus'
import { describe, expect, it } from 'vitest'
import { decisionRuleWords } from '#core/decision'
import { benchKinds, coverageStudy } from '#core/study'

// The whole study (10 000 benches of each kind) is `npm run coverage-study`, written to docs/coverage.md.
// Here a small one, with the
// bounds that 250 benches allow: 95 % ± 4.5 % is more than three standard deviations.
describe('the coverage study', () => {
  const rows = coverageStudy({
    benches: 250,
    seed: 3,
    randomFrom: seed => {
      const random = xoroshiro128plus(seed)
      return () => (random.next() >>> 0) * 2 ** -32
    },
  })

  it.each(rows.map(row => [row.kind, row] as const))('%s: the stated range holds the truth', (_kind, row) => {
    expect(row.benches).toBeGreaterThan(200)
    expect(row.share).toBeGreaterThan(0.905)
    if (row.figure !== 'bound') expect(row.share).toBeLessThan(0.995)
    expect(row.atTheLimit['sure-either-way'].inside).toBeLessThan(0.1)
    expect(row.atTheLimit.guarded.inside).toBeLessThanOrEqual(row.atTheLimit['sure-either-way'].inside)
  })

  it('goes through both stations and every kind of budget', () => {
    expect(new Set(benchKinds.map(({ stationId }) => stationId))).toEqual(
      new Set(['carrier-power', 'harmonics']),
    )
    expect(benchKinds.length).toBeGreaterThanOrEqual(13)
    expect(Object.keys(rows[0]!.atTheLimit)).toEqual(Object.keys(decisionRuleWords))
  })
})
