import { describe, expect, it } from 'vitest'
import { OFF_AIR_ID, offAirDbc } from '#core/station'
import { figure, reviewOf, withReadings } from '../../../support/bench'
import { answerOf, resultOf, slot, stepOf } from '../../../support/stations'

describe('off-air comparison', () => {
  const at = (id: string, value: number) =>
    figure(value, { slot: id, stepId: stepOf(OFF_AIR_ID), unit: 'dBm' })

  it('is relative to the carrier, and never a verdict', () => {
    const result = resultOf(
      OFF_AIR_ID,
      withReadings(reviewOf(), [at('x1', -20), at('x2', -33), at('a2', -80), at('x3', -79), at('a3', -82)]),
    )
    expect(offAirDbc(result)).toBe(-13)
    expect(result).toMatchObject({ words: '−13.0\u00a0dBc at ×2', verdict: { state: 'observation' } })
    expect(slot(result, 'x3').words).toBe('at most −59.0\u00a0dBc')
    expect(slot(result, 'x3').notes[0]).toContain('unkeyed')
    expect(result.step.chains).toEqual({})
    // Unkeyed first, so that Enter does not walk between keyed and unkeyed rows.
    expect(result.slots.map(one => one.slot.kind.is)).toEqual([
      ...Array.from({ length: 5 }, () => 'ambient'),
      ...Array.from({ length: 5 }, () => 'keyed'),
    ])
  })

  it('stands beside the control radio at the same place', () => {
    const review = reviewOf()
    const both = {
      ...review,
      sets: [...review.sets, { ...review.sets[0]!, id: 'control', role: 'control' as const }],
    }
    const context = withReadings(both, [
      at('x1', -20),
      at('x2', -33),
      ...[
        ['x1', -20],
        ['x2', -64],
      ].map(([id, value]) =>
        figure(value as number, {
          slot: id as string,
          stepId: stepOf(OFF_AIR_ID),
          unit: 'dBm',
          setId: 'control',
        }),
      ),
    ])
    expect(answerOf(OFF_AIR_ID, context).detail).toContain('control radio shows −44.0\u00a0dBc')
  })
})
