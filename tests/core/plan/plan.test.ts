import { stationById } from '#core/station'
import { createContext, createSharedWork } from '#core/context'
import { describe, expect, it } from 'vitest'
import { demoReview } from '#core/demo'
import {
  expectedTimes,
  heatNow,
  isDone,
  keyDownState,
  knobTurns,
  learnedTimes,
  isForTheRecord,
  planRun,
  proposedOrder,
  runCosts,
  runKey,
  timeLeft,
} from '#core/plan'
import type { KeyDown, Review } from '#core/review'
import { stations } from '#core/station'
import { AT, harmonic, POWER_STEP, reading, reviewOf, withReadings } from '../../support/bench'

const contextOf = (change: (review: Review) => Review) =>
  createContext(change(demoReview().review), createSharedWork())

describe('the run', () => {
  const context = createContext(demoReview().review)
  const [trekA] = context.review.sets
  const run = planRun(context)

  it('keeps the practitioners’ order of stations within a chain, every band, level and channel of every radio', () => {
    const ofA = planRun(context, [trekA!]).steps.map(({ stationId }) => stationId)
    expect(ofA.filter(id => id === 'carrier-power')).toHaveLength(12)
    expect(ofA.filter(id => id === 'harmonics')).toHaveLength(4)
    expect([...new Set(ofA)]).toEqual([
      'carrier-power',
      'power-over-time',
      'harmonics',
      'off-air',
      'deviation',
      'frequency',
      'bandwidth',
      'sensitivity',
      'squelch',
      'neighbour',
      'strong-signals',
      'audio',
      'reach',
      'by-ear',
      'labels',
      'firmware',
      'battery',
      'antenna',
      'display',
    ])
  })

  it('holds every planned step once', () => {
    const planned = context.review.sets.flatMap(set =>
      stations.flatMap(station => station.plan(set, context).map(runKey)),
    )
    expect(new Set(run.steps.map(runKey)).size).toBe(run.steps.length)
    expect([...run.steps.map(runKey)].sort()).toEqual([...planned].sort())
  })

  it('re-cables less than going radio by radio, and turns no more knobs', () => {
    expect(run.costs.recablings).toBeLessThan(run.naive.recablings / 2)
    // Each radio is put on each chain once.
    expect(run.costs.radioChanges).toBeLessThanOrEqual(run.costs.recablings * context.review.sets.length)
    expect(run.costs.knobTurns).toBeLessThanOrEqual(run.naive.knobTurns)
    expect(run.ownOrder).toBe(false)
  })

  it('counts handling: a band brings its channel, a level is one knob', () => {
    const steps = planRun(context, [trekA!]).steps.filter(({ stationId }) => stationId === 'carrier-power')
    const pick = (band: string, channel: number, level: string) =>
      steps.find(
        step =>
          step.band.id === band &&
          step.channel.id === `${band}-${channel}` &&
          step.setting.level.id === level,
      )!
    expect(knobTurns(null, pick('2m', 1, 'high'))).toBe(2)
    expect(knobTurns(pick('2m', 1, 'high'), pick('2m', 2, 'high'))).toBe(1)
    expect(knobTurns(pick('2m', 1, 'high'), pick('2m', 1, 'low'))).toBe(1)
    expect(knobTurns(pick('2m', 1, 'high'), pick('70cm', 1, 'low'))).toBe(3)
    expect(runCosts([])).toEqual({ recablings: 0, radioChanges: 0, knobTurns: 0 })
    // Twelve readings of one radio: eleven single turns and one band change cannot be beaten by much.
    expect(runCosts(proposedOrder(steps)).knobTurns).toBeLessThanOrEqual(15)
  })

  it('wants a radio cold once: its first frequency step, before its other bands', () => {
    for (const set of context.review.sets) {
      const steps = run.steps.filter(step => step.stationId === 'frequency' && step.set.id === set.id)
      expect(steps.map(({ thermal }) => thermal)).toEqual(['cold', ...steps.slice(1).map(() => 'any')])
      expect(steps.map(({ radioSettings }) => radioSettings.some(({ id }) => id === 'cold'))).toEqual(
        steps.map((_step, i) => i === 0),
      )
      expect(steps.map(({ slots }) => slots[0]!.optional)).toEqual(steps.map((_step, i) => i > 0))
    }
  })

  it('says before anything is read what each step answers to: claim, clause, yardstick, or nothing', () => {
    const demands = (stationId: string, setId: string) => {
      const step = run.steps.find(one => one.stationId === stationId && one.set.id === setId)!
      return stationById(stationId).demands(step, context)
    }
    expect(demands('carrier-power', 'trek-a').map(({ words }) => words)).toEqual([
      '5\u00a0W claimed',
      'carrier power up to 1.50\u00a0kW (47 CFR 97.313(b))',
    ])
    expect(demands('harmonics', 'trek-a')).toEqual([
      // 25 µW, stricter at 5 W than 40 dB down (−3.0 dBm); and 60 dB below 5 W.
      { by: 'US amateur', words: 'harmonics and spurs −16.0\u00a0dBm (47 CFR 97.307(e))', figure: true },
      {
        by: 'Good practice, 60 dB',
        words: 'harmonics and spurs −23.0\u00a0dBm (Good practice, 60 dB down)',
        figure: true,
      },
    ])
    expect(demands('deviation', 'trek-a')).toEqual([
      { by: expect.any(String), words: 'no figure for deviation', figure: false },
    ])
    expect(demands('off-air', 'trek-a')).toEqual([])
    const open = (stationId: string, setId: string) =>
      isForTheRecord(
        run.steps.find(step => step.stationId === stationId && step.set.id === setId)!,
        context,
      )
    expect([
      open('deviation', 'trek-a'),
      open('off-air', 'trek-a'),
      open('harmonics', 'trek-a'),
      open('frequency', 'tarnwick'),
    ]).toEqual([true, true, false, false])
    expect(
      demands('bandwidth', 'tarnwick').some(({ words }) => words.startsWith('adjacent channel power −')),
    ).toBe(true)
  })

  it('takes the reviewer’s own order, and lets new steps join where they were proposed', () => {
    const keys = run.steps.map(runKey)
    const moved = [keys[3]!, ...keys.filter((_key, i) => i !== 3 && i !== 5)]
    const own = planRun(contextOf(review => ({ ...review, runOrder: [...moved, 'gone|carrier-power:x'] })))
    expect(own.ownOrder).toBe(true)
    expect(runKey(own.steps[0]!)).toBe(keys[3])
    expect(own.steps).toHaveLength(run.steps.length)
    expect(runKey(own.steps[own.steps.findIndex(step => runKey(step) === keys[5]) - 1]!)).toBe(keys[4])
  })

  it('leaves out levels the set does not have, and stations nobody asked for', () => {
    const review = reviewOf()
    expect(new Set(planRun(withReadings(review, [])).steps.map(({ stationId }) => stationId))).toEqual(
      new Set(['carrier-power', 'harmonics', 'deviation', 'frequency', 'bandwidth']),
    )
    review.sets[0]!.bands[0]!.claims.high = { kind: 'no-level' }
    expect(planRun(withReadings({ ...review, sets: [...review.sets] }, [])).steps).toEqual([])
  })

  it('counts the time of what is open, and not what was left out', () => {
    const left = timeLeft(run.steps, context)
    expect(left.openSteps).toBe(run.steps.filter(step => !isDone(step, context)).length)
    expect(left.keyDownS).toBeLessThan(left.benchS)
    expect(timeLeft([], context)).toMatchObject({ benchS: 0, keyDownS: 0, openSteps: 0 })
    const open = run.steps.find(step => !isDone(step, context))!
    const skipped = contextOf(review => ({
      ...review,
      skipped: [{ setId: open.set.id, stepId: open.id, reason: 'no adapter', at: AT }],
    }))
    expect(timeLeft(planRun(skipped).steps, skipped).openSteps).toBe(left.openSteps - 1)
  })
})

describe('learning from what steps took', () => {
  const at = (minutes: number) => new Date(Date.parse(AT) + minutes * 60_000).toISOString()
  const power = (n: number, minutes: number) =>
    reading('4.5', {
      slot: 'carrier',
      stepId: `carrier-power:band:c${n}:high`,
      frequencyHz: 146.52e6,
      at: at(minutes),
    })

  it('takes the times between steps, not the pauses', () => {
    const learned = learnedTimes(
      [
        power(1, 0),
        power(2, 1),
        power(3, 3),
        power(4, 300),
        harmonic(2, '-60', { at: at(302) }),
        harmonic(3, '-60', { at: at(303) }),
      ],
      [],
    )
    expect(learned.get('carrier-power')).toEqual({ benchS: 90, keyDownS: null, steps: 2 })
    expect(learned.get('harmonics')!.benchS).toBe(180)
  })

  it('leans on the plan until there is more to go by', () => {
    const downs = [10, 20, 30].map((seconds, i): KeyDown => ({
      id: `k${i}`,
      setId: 'set',
      stepId: `carrier-power:band:c${i}:high`,
      chainId: 'ch',
      at: AT,
      seconds,
      powerW: 5,
    }))
    const learned = learnedTimes([], downs)
    expect(
      expectedTimes({ stationId: 'carrier-power', durationS: 35, keyed: { seconds: 8 } }, learned),
    ).toEqual({
      benchS: 35,
      keyDownS: (2 * 8 + 3 * 20) / 5,
    })
    expect(
      expectedTimes({ stationId: 'harmonics', durationS: 180, keyed: { seconds: 40 } }, learned),
    ).toEqual({
      benchS: 180,
      keyDownS: 40,
    })
  })

  it('does not learn from the demo', () => {
    expect(learnedTimes(demoReview().review.readings, []).has('carrier-power')).toBe(false)
  })
})

describe('heat bookkeeping', () => {
  const review = reviewOf()
  const now = Date.parse(AT)
  const down = (seconds: number, agoS: number): KeyDown => ({
    id: `d${agoS}`,
    setId: 'set',
    stepId: POWER_STEP,
    chainId: 'ch',
    at: new Date(now - agoS * 1000).toISOString(),
    seconds,
    powerW: 20,
  })
  const heats = (downs: KeyDown[]) =>
    heatNow({ set: review.sets[0]!, chainId: 'ch', frequencyHz: 146.52e6, powerW: 20, now }, withHeat(downs))
  const withHeat = (keyDowns: KeyDown[]) => {
    const chains = review.chains.map(chain => ({
      ...chain,
      parts: chain.parts.map(part => ({ ...part, ratingW: 10, zeroRatingAtC: null, peakW: 100 })),
    }))
    return createContext({ ...review, chains, keyDowns })
  }

  it('a 10 W pad behind 20 W bears half a minute in every one, less what it took already', () => {
    expect(heats([])[1]).toMatchObject({ share: 0, restS: 0 })
    expect(heats([])[1]!.leftS).toBeCloseTo(30, 0)
    expect(heats([down(15, 10)])[1]!.leftS).toBeCloseTo(15, 0)
    expect(heats([down(30, 0)])[1]!).toMatchObject({ leftS: expect.closeTo(0, 1) as number, restS: 60 })
    expect(heats([down(30, 70)])[1]!.share).toBe(0)
  })

  it('what was keyed before the clock was set back counts as keyed just now', () => {
    expect(heats([down(15, -3600)])).toEqual(heats([down(15, 0)]))
    expect(heats([down(15, -3600)])[1]!.leftS).toBeCloseTo(15, 0)
  })

  it('the radio rests as long as it was keyed', () => {
    const limit = review.sets[0]!.keyDownLimitS
    expect(heats([down(limit, 0)])[0]).toMatchObject({ leftS: 0, restS: limit })
    expect(heats([down(limit / 2, 10)])[0]).toMatchObject({
      share: 0.5,
      leftS: limit / 2,
      restS: limit / 2 - 10,
    })
  })
})

describe('the key-down clock', () => {
  it('asks for rest at the limit', () => {
    expect(keyDownState(16, 60)).toEqual({ keyedS: 16, leftS: 44, mustRest: false })
    expect(keyDownState(60, 60).mustRest).toBe(true)
  })
})
