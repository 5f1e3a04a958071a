import { describe, expect, it } from 'vitest'
import { rulebookFlips } from '#core/findings'
import { compareRulebooks, copyRulebook, rulebookById } from '#core/rules'
import { harmonic, reviewOf, withReadings } from '../../support/bench'

const before = rulebookById('us-amateur')
/** The same with 10 dB more asked of the second clause on unwanted emissions, and one clause less. */
const after = {
  ...copyRulebook(before, 'mine'),
  clauses: before.clauses
    .filter(({ id }) => id !== '97.313h')
    .map(clause =>
      clause.id === '97.307e-low'
        ? { ...clause, limit: { kind: 'absolute', powerW: 1e-6 } as const }
        : clause,
    ),
}

describe('two editions of a rulebook', () => {
  it('differ in the clauses that read otherwise, and in no other', () => {
    const changes = compareRulebooks(before, after)
    expect(changes.map(({ id, before: was, after: is }) => [id, was !== null, is !== null])).toEqual([
      ['97.307e-low', true, true],
      ['97.313h', true, false],
    ])
    expect(compareRulebooks(after, before).map(({ id }) => id)).toEqual(['97.307e-low', '97.313h'])
    expect(compareRulebooks(before, before)).toEqual([])
  })

  it('turn the verdicts that lie between them, and no other', () => {
    // −16.02 dBm before, −30 dBm after; the bench is known to ±1 dB.
    const { review } = withReadings(reviewOf({ settings: { rulebookIds: ['itu-spurious'] } }), [
      harmonic(1, '-13'),
      harmonic(2, '-72'),
      harmonic(3, '-90'),
      harmonic(4, '-60'),
    ])
    expect(rulebookFlips({ ...review }, before, after)).toMatchObject([
      { place: expect.stringContaining('×2'), before: { state: 'inside' }, after: { state: 'outside' } },
    ])
    expect(rulebookFlips({ ...review }, before, before)).toEqual([])
  })
})
