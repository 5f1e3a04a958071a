import { describe, expect, it } from 'vitest'
import { goingOverBefore, goingOversIn, openInterlocks, planRun } from '#core/plan'
import { stationById } from '#core/station'
import { AT } from '../../support/bench'
import { generator, hearingReview, withReadings } from '../../support/hearing'

const first = (stationId: string, review = hearingReview()) => {
  const context = withReadings(review, [])
  return { context, step: stationById(stationId).plan(context.review.sets[0]!, context)[0]! }
}

describe('going over from transmitting to receiving', () => {
  it('stands before the first step that hears, and before the next that transmits', () => {
    expect(goingOverBefore(first('sensitivity').step)).toMatchObject({ to: 'hears' })
    expect(goingOverBefore(first('carrier-power').step)).toBeNull()
    const review = hearingReview()
    review.sets[0]!.readyFor = { work: 'hears', ticked: ['ptt'], at: AT }
    expect(goingOverBefore(first('sensitivity', review).step)).toBeNull()
    expect(goingOverBefore(first('carrier-power', review).step)).toMatchObject({ to: 'transmits' })
  })

  it('asks for microphone and push-to-talk one way, for generators off the other', () => {
    const review = hearingReview()
    const over = goingOverBefore(first('sensitivity').step)!
    expect(over.lines.map(({ id }) => id)).toEqual(expect.arrayContaining(['microphone', 'ptt', 'pads']))
    review.sets[0]!.readyFor = { work: 'hears', ticked: [], at: AT }
    const back = goingOverBefore(first('carrier-power', review).step)!
    expect(back.lines.map(({ id }) => id)).toContain('generators-off')
  })

  it('is a row of the run wherever the work of a radio changes', () => {
    const { context } = first('sensitivity')
    const { steps } = planRun(context)
    const overs = goingOversIn(steps)
    expect(overs.size).toBe(1)
    const [index, over] = [...overs][0]!
    expect(over.to).toBe('hears')
    expect(steps[index]!.work).toBe('hears')
    expect(steps[index - 1]?.work ?? 'transmits').toBe('transmits')
    // Turned round, it goes over at once, and back.
    expect([...goingOversIn([...steps].reverse()).values()].map(({ to }) => to)).toEqual([
      'hears',
      'transmits',
    ])
  })
})

describe('a step that could destroy a generator', () => {
  it('is locked until it is ticked; one that survives is not', () => {
    const weak = hearingReview({ first: generator({ reverseW: 0.01 }) })
    const { context, step } = first('sensitivity', weak)
    expect(openInterlocks(step, context).map(({ id }) => id)).toEqual(['reverse:generator'])
    // 5 W behind 10 dB is 500 mW.
    expect(step.interlocks[0]!.words).toContain('500')
    weak.ticks = { [`set|${step.id}`]: ['reverse:generator'] }
    expect(openInterlocks(first('sensitivity', weak).step, withReadings(weak, []))).toEqual([])
    expect(first('sensitivity').step.interlocks).toEqual([])
  })

  it('the threshold lies at what it survives: 500 mW arrive', () => {
    const locked = (reverseW: number) =>
      first('sensitivity', hearingReview({ first: generator({ reverseW }) })).step.interlocks.length
    expect(locked(0.49)).toBe(1)
    expect(locked(0.51)).toBe(0)
  })
})
