import { describe, expect, it } from 'vitest'
import { LOG_MOMENTS_S, droopOf, momentDue, POWER_OVER_TIME_ID, takenAtS, timeConstant } from '#core/station'
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
    const droop = droopOf(result.slots, [])!
    expect(droop.droopDb).toBeCloseTo(-0.497, 2)
    expect(droop.timeConstantS! / 60).toBeCloseTo(1, 0)
    expect(result.words).toBe('Power falls by 0.49\u00a0dB in 300\u00a0s')
    expect(slot(result, 't300').verdict.state).not.toBe('observation')
    expect(answerOf(POWER_OVER_TIME_ID, context).detail).toContain('more than the 0.3 dB')
  })

  it('late and early count as they were, where the clock ran', () => {
    const stepId = stepOf(POWER_OVER_TIME_ID)
    const [early] = log([[60, 5]])
    // Keyed for 100 s, released at 10:01:40; the moment of 60 s was read after 52 s.
    const down = {
      id: 'd',
      setId: 'set',
      stepId,
      chainId: null,
      at: '2026-11-20T10:01:40.000Z',
      seconds: 100,
      powerW: 5,
    }
    const at = (seconds: number) => ({
      ...early!,
      at: new Date(Date.parse('2026-11-20T10:00:00.000Z') + 1000 * seconds).toISOString(),
    })
    expect(takenAtS(at(52), 60, [down])).toBe(52)
    expect(takenAtS(at(75), 60, [down])).toBe(75)
    // More than 15 s off a moment of 60 s it was not read then, and neither after the release or at another step.
    expect(takenAtS(at(76), 60, [down])).toBe(60)
    expect(takenAtS(at(44), 60, [down])).toBe(60)
    expect(takenAtS(at(52), 60, [{ ...down, stepId: 'other' }])).toBe(60)
    expect(takenAtS(at(52), 60, [])).toBe(60)
    expect(takenAtS({ ...at(52), source: { kind: 'demo' } }, 60, [down])).toBe(60)
    const context = withReadings({ ...bench(), keyDowns: [down] }, [
      ...log([[0, 5]]).map(one => ({ ...one, at: at(1).at })),
      at(52),
    ])
    expect(
      droopOf(resultOf(POWER_OVER_TIME_ID, context).slots, [down])!.points.map(({ atS }) => atS),
    ).toEqual([1, 52])
  })

  it('the moment in hand is the latest that has come and was not read, else the next', () => {
    const due = (keyedS: number, read: [number, number][]) =>
      momentDue(resultOf(POWER_OVER_TIME_ID, withReadings(bench(), log(read))).slots, keyedS)?.atS ?? null
    expect(due(0, [])).toBe(0)
    expect(due(9.9, [[0, 5]])).toBe(10)
    expect(due(13, [[0, 5]])).toBe(10)
    // Overtaken: what was missed is let go.
    expect(due(21, [[0, 5]])).toBe(20)
    expect(
      due(21, [
        [0, 5],
        [20, 5],
      ]),
    ).toBe(30)
    expect(due(400, [[300, 5]])).toBeNull()
  })

  it('needs two moments, and no time constant where nothing moves', () => {
    expect(droopOf(resultOf(POWER_OVER_TIME_ID, withReadings(bench(), log([[0, 5]]))).slots, [])).toBeNull()
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
