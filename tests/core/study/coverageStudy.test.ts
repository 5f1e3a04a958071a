import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus'
import { describe, expect, it } from 'vitest'
import { decisionRuleWords } from '#core/decision'
import { portableFft } from '#core/signal'
import { keptTransforms } from '../../../core/signal/fft'
import { benchKinds, coverageStudy, hearingStudy } from '#core/study'
import { evenNumbers } from '../../support/audio'

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

// The whole of it (3000 benches, half a minute at each level) is `npm run coverage-study -- hearing`, written
// to docs/coverage-hearing.md. Here one receiver, listened to briefly at every other level.
describe('the coverage study of what a radio hears', () => {
  const rows = hearingStudy({
    benches: 120,
    secondsEach: 4,
    seed: 11,
    receivers: 1,
    levels: { fromDb: 42, toDb: 62, stepDb: 1 },
    engine: keptTransforms(portableFft).engine,
    randomFrom: evenNumbers,
  })

  it.each(rows.map(row => [row.kind, row] as const))('%s: the stated range holds the truth', (_kind, row) => {
    expect(row.benches).toBeGreaterThan(60)
    expect(row.share).toBeGreaterThan(0.88)
  })

  it('a bound stays a bound, a level a level', () => {
    const left = Object.fromEntries(rows.map(({ kind, left: count }) => [kind, count]))
    expect(left['rejection-far']).toBeLessThan(12)
    expect(left['rejection-above']).toBeLessThan(12)
  })
})
