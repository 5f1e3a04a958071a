import { describe, expect, it } from 'vitest'
import { DEVIATION_ID, efficiency, OFF_AIR_ID, TWO_TONE_ID, wantedStations } from '#core/station'
import {
  AT,
  figure,
  HARMONICS_STEP,
  meter,
  pad,
  POWER_STEP,
  reading,
  reviewOf,
  withReadings,
} from '../../../support/bench'
import { answerOf, resultOf, slot, stepOf } from '../../../support/stations'

describe('carrier power: efficiency and steps left out', () => {
  const supply = (id: string, value: number, unit: 'V' | 'A') =>
    figure(value, { slot: id, stepId: POWER_STEP, unit })
  const power = reading('5 W', { slot: 'carrier', stepId: POWER_STEP, frequencyHz: 146.52e6 })
  const bench = () => reviewOf({ instrument: meter({ id: 'an' }), parts: [pad(0)] })

  it('is power out over power in', () => {
    const context = withReadings(bench(), [supply('supply-v', 7.4, 'V'), supply('supply-a', 1.5, 'A'), power])
    const result = resultOf('carrier-power', context)
    expect(efficiency(result.step, result.slots[0]!, context)).toBeCloseTo(5 / 11.1, 1)
    expect(slot(result, 'supply-a').words).toMatch(/^efficiency 4\d/)
    const wrong = resultOf(
      'carrier-power',
      withReadings(bench(), [supply('supply-v', 1, 'V'), supply('supply-a', 1, 'A'), power]),
    )
    expect(slot(wrong, 'supply-a').words).toContain('more out than in')
    expect(efficiency(result.step, { ...result.slots[0]!, found: null }, context)).toBeNull()
  })

  it('says why a step was left out, everywhere', () => {
    const context = withReadings(
      {
        ...bench(),
        skipped: [POWER_STEP, stepOf(DEVIATION_ID), HARMONICS_STEP].map(stepId => ({
          setId: 'set',
          stepId,
          reason: 'no adapter',
          at: AT,
        })),
      },
      [],
    )
    for (const id of ['carrier-power', DEVIATION_ID, 'harmonics'])
      expect(resultOf(id, context).slots[0]!.verdict.why, id).toBe('Left out: no adapter')
    expect(answerOf(DEVIATION_ID, context)).toMatchObject({
      words: 'Left out',
      detail: 'Left out: no adapter',
    })
  })

  it('stations nobody asked for join once something was read', () => {
    expect(wantedStations(withReadings(bench(), [])).map(({ id }) => id)).not.toContain(OFF_AIR_ID)
    expect(
      wantedStations(
        withReadings(bench(), [figure(-20, { slot: 'x1', stepId: stepOf(OFF_AIR_ID), unit: 'dBm' })]),
      ).map(({ id }) => id),
    ).toContain(OFF_AIR_ID)
    const asked = bench()
    expect(
      wantedStations(
        withReadings({ ...asked, settings: { ...asked.settings, alsoStations: [TWO_TONE_ID] } }, []),
      ).map(({ id }) => id),
    ).toContain(TWO_TONE_ID)
  })
})
