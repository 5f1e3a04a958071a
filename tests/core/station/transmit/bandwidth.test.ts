import { describe, expect, it } from 'vitest'
import { spacingOf } from '#core/band'
import { newChannel } from '#core/review'
import { BANDWIDTH_ID } from '#core/station'
import { figure, reading, withReadings } from '../../../support/bench'
import { landMobile, resultOf, slot, stepOf } from '../../../support/stations'

describe('occupied bandwidth and neighbours (EN 300 086: 60 dB in 12.5 kHz channels, never asked below 0.2 µW; from memory)', () => {
  const at = (slotId: string, value: number, change = {}) =>
    figure(value, {
      slot: slotId,
      stepId: stepOf(BANDWIDTH_ID),
      unit: slotId === 'obw' ? 'Hz' : 'dB',
      ...change,
    })
  const power = reading('5', { slot: 'carrier', stepId: stepOf('carrier-power'), frequencyHz: 154e6 })

  it('judges the neighbours against the carrier as it was read', () => {
    const result = resultOf(
      BANDWIDTH_ID,
      withReadings(landMobile(), [at('acp-lower-1', -63), at('acp-upper-1', -58), at('obw', 8500), power]),
    )
    expect(slot(result, 'acp-lower-1').words).toBe('Inside by 3.0')
    expect(slot(result, 'acp-upper-1').words).toBe('Outside by 2.0')
    expect(slot(result, 'obw')).toMatchObject({
      words: '8.50\u00a0kHz; no figure in law',
      verdict: { state: 'no-figure' },
    })
    expect(result.governs!.slot.id).toBe('acp-upper-1')
  })

  it('takes the claim until the carrier is read, and a bound as a bound', () => {
    const result = resultOf(
      BANDWIDTH_ID,
      withReadings(landMobile(), [
        at('acp-lower-1', -70, { seen: { isUpperBound: true } }),
        at('acp-upper-1', -50, { seen: { isUpperBound: true } }),
      ]),
    )
    expect(slot(result, 'acp-lower-1').words).toBe('Inside by at least 10.0')
    expect(slot(result, 'acp-upper-1').verdict.state).toBe('not-covered')
    expect(slot(result, 'acp-lower-1').notes[0]).toContain('claim')
  })

  it('leaves second neighbours to who wants them, asks about a lost sign, and knows no carrier without claim', () => {
    expect(resultOf(BANDWIDTH_ID, withReadings(landMobile(), [])).progress).toEqual({ read: 0, possible: 3 })
    expect(
      resultOf(BANDWIDTH_ID, withReadings(landMobile(), [at('acp-lower-1', 63)])).questions[0]!.words,
    ).toContain('minus sign')
    expect(
      slot(
        resultOf(
          BANDWIDTH_ID,
          withReadings(landMobile({}, { claims: { high: { kind: 'not-said' } } }), [at('acp-lower-1', -63)]),
        ),
        'acp-lower-1',
      ).verdict.state,
    ).toBe('not-covered')
    expect(spacingOf({ ...landMobile().sets[0]!.bands[0]!, channelSpacingHz: null })).toBe(25_000)
    const marine = landMobile(
      {},
      {
        rulebookIds: ['us-marine'],
        channelSpacingHz: 25_000,
        channels: [newChannel({ id: 'c1', name: '', frequencyHz: 156.8e6, harmonics: true })],
      },
    )
    expect(slot(resultOf(BANDWIDTH_ID, withReadings(marine, [at('obw', 21_000)])), 'obw').words).toBe(
      'Outside by 1.0\u00a0kHz',
    )
  })
})
