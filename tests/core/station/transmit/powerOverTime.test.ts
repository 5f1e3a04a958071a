import { describe, expect, it } from 'vitest'
import { LOG_MOMENTS_S, droopOf, POWER_OVER_TIME_ID, timeConstant } from '#core/station'
import { meter, pad, reading, reviewOf, withReadings } from '../../../support/bench'
import { answerOf, resultOf, slot, stepOf } from '../../../support/stations'

describe('power over time (0.3 dB over five minutes is usual: common practice, no source)', () => {
  const bench = () => reviewOf({ instrument: meter({ id: 'an' }), parts: [pad(0)] })
  const log = (levels: [number, number][]) =>
    levels.map(([seconds, watts]) =>
      reading(`${watts} W`, {
        slot: `t${seconds}`,
        stepId: stepOf(POWER_OVER_TIME_ID),
        frequencyHz: 146.52e6,
      }),
    )

  it('tells the droop, its time constant, and what is left of the claim', () => {
    const moments = [0, 10, 20, 30, 45, 60, 90, 120, 180, 240, 300].map((seconds): [number, number] => [
      seconds,
      Number((5 * 10 ** ((-0.5 * (1 - Math.exp(-seconds / 60))) / 10)).toFixed(4)),
    ])
    const context = withReadings(bench(), log(moments))
    const result = resultOf(POWER_OVER_TIME_ID, context)
    const droop = droopOf(result.slots)!
    expect(droop.droopDb).toBeCloseTo(-0.497, 2)
    expect(droop.timeConstantS! / 60).toBeCloseTo(1, 0)
    expect(result.words).toBe('Power falls by 0.49\u00a0dB in 300\u00a0s')
    expect(slot(result, 't300').verdict.state).not.toBe('observation')
    expect(answerOf(POWER_OVER_TIME_ID, context).detail).toContain('more than the 0.3 dB')
  })

  it('needs two moments, and no time constant where nothing moves', () => {
    expect(droopOf(resultOf(POWER_OVER_TIME_ID, withReadings(bench(), log([[0, 5]]))).slots)).toBeNull()
    expect(timeConstant([0, 10, 20, 30, 60].map(atS => ({ atS, levelDbm: 37 })))).toBeNull()
    expect(
      timeConstant([0, 60, 120, 180, 240, 300].map(atS => ({ atS, levelDbm: 37 - atS / 100 }))),
    ).toBeNull()
    expect(
      resultOf(
        POWER_OVER_TIME_ID,
        withReadings(
          bench(),
          log([
            [0, 5],
            [60, 5],
          ]),
        ),
      ).words,
    ).toBe('Power holds in 60\u00a0s')
    expect(LOG_MOMENTS_S).toContain(45)
  })
})
