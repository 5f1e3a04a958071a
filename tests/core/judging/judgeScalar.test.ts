import { describe, expect, it } from 'vitest'
import { copyRulebook, rulebookById, type ScalarLimit } from '#core/rules'
import { DEVIATION_ID } from '#core/station'
import { figure, withReadings } from '../../support/bench'
import { landMobile, resultOf, slot, stepOf } from '../../support/stations'

/** A deviation read, judged by a rulebook of one's own that asks something else of it. */
function judged(limit: ScalarLimit, valueHz: number) {
  const own = copyRulebook(rulebookById('eu-land-mobile'), 'mine')
  const clauses = own.clauses.map(clause => (clause.id === 'dev-12' ? { ...clause, limit } : clause))
  const review = landMobile({ ownRulebooks: [{ ...own, clauses }] })
  review.settings = { ...review.settings, rulebookIds: ['mine'] }
  const reading = figure(valueHz, { slot: 'tone', stepId: stepOf(DEVIATION_ID), unit: 'Hz' })
  return slot(resultOf(DEVIATION_ID, withReadings(review, [reading])), 'tone').verdict
}

// The receiver is good to 1 % of reading: 25 Hz at 2.5 kHz.
describe('which way a limit points is said by the limit', () => {
  const atLeast: ScalarLimit = { kind: 'at-least', value: 2, unit: 'kHz' }
  const atMost: ScalarLimit = { kind: 'at-most', value: 2, unit: 'kHz' }
  const within: ScalarLimit = { kind: 'within', value: 2, to: 3, unit: 'kHz' }

  it.each([
    [atLeast, 2500, 'inside', 500],
    [atLeast, 2001, 'too-close', 1],
    [atLeast, 1500, 'outside', -500],
    [atMost, 2500, 'outside', -500],
    [atMost, 1500, 'inside', 500],
    [within, 2100, 'inside', 100],
    [within, 2900, 'inside', 100],
    [within, 1800, 'outside', -200],
    [within, 3300, 'outside', -300],
    [within, 2999, 'too-close', 1],
  ] as const)('%o, read %d Hz: %s by %d Hz', (limit, valueHz, state, marginHz) => {
    const verdict = judged(limit, valueHz)
    expect(verdict).toMatchObject({ state, unit: 'Hz' })
    expect(verdict.margin).toBeCloseTo(marginHz, 6)
  })
})
