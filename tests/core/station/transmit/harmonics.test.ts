import type { Context } from '#core/context'
import { describe, expect, it } from 'vitest'
import { carrierForLimit, stationById } from '#core/station'
import {
  analyser,
  HARMONICS_STEP,
  harmonic,
  meter,
  pad,
  POWER_STEP,
  radio,
  reading,
  reviewOf,
  withReadings,
} from '../../../support/bench'

const station = stationById('harmonics')
const evaluate = (context: Context) =>
  station.evaluate(station.plan(context.review.sets[0]!, context)[0]!, context)
const slotOf = (context: Context, id: string) => evaluate(context).slots.find(({ slot }) => slot.id === id)!

describe('harmonics of one step', () => {
  const review = reviewOf()

  it('takes a reading back through the chain and judges it by the carrier in its own first line', () => {
    const slot = slotOf(withReadings(review, [harmonic(1, '-13'), harmonic(2, '-58.8')]), 'x2')
    expect(slot.found?.value).toBeCloseTo(-8.8, 3)
    expect(slot.limit).toMatchObject({
      kind: 'limit',
      limitDbm: expect.closeTo(-16.0206, 3),
      clause: '47 CFR 97.307(e)',
    })
    expect(slot.verdict).toMatchObject({ state: 'outside', margin: expect.closeTo(-7.22, 2) })
    expect(slot.words).toBe('Outside by 7.2')
  })

  it.each([
    ['-82', 'inside'],
    ['-66.5', 'too-close'],
    ['-63', 'outside'],
  ] as const)('%s dBm is %s', (text, state) => {
    expect(slotOf(withReadings(review, [harmonic(1, '-13'), harmonic(2, text)]), 'x2').verdict.state).toBe(
      state,
    )
  })

  it('lets the worst harmonic govern the step', () => {
    const result = evaluate(
      withReadings(review, [
        harmonic(1, '-13'),
        harmonic(2, '-66.5'),
        harmonic(3, '-60'),
        harmonic(4, '-90'),
      ]),
    )
    expect(result).toMatchObject({
      verdict: { state: 'outside' },
      governs: { slot: { id: 'x3' } },
      progress: { read: 4, possible: 6 },
    })
  })

  it('counts what is out of reach as not covered, never as inside', () => {
    const slot = slotOf(withReadings(review, []), 'x8')
    expect(slot).toMatchObject({
      verdict: { state: 'not-covered' },
      state: 'out-of-reach',
      words: 'Not covered',
    })
    expect(slot.verdict.why).toContain('stops at 960')
    expect(slotOf(withReadings(review, []), 'x2')).toMatchObject({ state: 'open', words: 'Not measured' })
  })

  it('takes the offset typed on the instrument off again', () => {
    const offset = reviewOf({ chain: { offsetOnInstrumentDb: 50 } })
    expect(
      slotOf(withReadings(offset, [harmonic(1, '37'), harmonic(2, '-8.8')]), 'x2').found?.value,
    ).toBeCloseTo(-8.8, 3)
  })

  it('corrects near the floor and makes a bound of what is in it', () => {
    const near = slotOf(withReadings(review, [harmonic(1, '-13'), harmonic(2, '-95')]), 'x2')
    expect(near.found!.value - near.found!.budget.shift).toBeCloseTo(-45 - 1.651, 2)
    expect(near.found?.budget.contributions.some(({ id }) => id === 'floor')).toBe(true)
    const bound = slotOf(withReadings(review, [harmonic(1, '-13'), harmonic(2, '-99')]), 'x2')
    expect(bound).toMatchObject({
      found: { isUpperBound: true },
      verdict: { state: 'inside', isBound: true },
    })
    const high = reviewOf({ instrument: analyser({ floorDbm: -65 }) })
    expect(slotOf(withReadings(high, [harmonic(1, '-13'), harmonic(2, '-64')]), 'x2').verdict.state).toBe(
      'not-covered',
    )
  })

  it('takes a typed “less than” as a bound', () => {
    expect(slotOf(withReadings(review, [harmonic(1, '-13'), harmonic(2, '<-85')]), 'x2')).toMatchObject({
      verdict: { state: 'inside', isBound: true },
      words: 'Inside by at least 19.0',
    })
  })

  it('lets a retake stand and keeps the first', () => {
    const context = withReadings(review, [harmonic(1, '-13'), harmonic(2, '-58'), harmonic(2, '-80')])
    expect(slotOf(context, 'x2').found?.value).toBeCloseTo(-30, 1)
    expect(context.review.readings).toHaveLength(3)
  })

  it('does not call clean what a coarse trace may have stepped over, yet believes what it shows', () => {
    const doubt = { kind: 'coarse-trace' as const, stepHz: 1e6, resolutionBandwidthHz: 1e5 }
    const clean = slotOf(
      withReadings(review, [harmonic(1, '-13'), harmonic(2, '-90', { seen: { doubt } })]),
      'x2',
    )
    expect(clean.verdict.state).toBe('not-covered')
    expect(clean.notes.join()).toContain('apart')
    expect(
      slotOf(withReadings(review, [harmonic(1, '-13'), harmonic(2, '-58', { seen: { doubt } })]), 'x2')
        .verdict.state,
    ).toBe('outside')
  })

  it('widens the range of a reading taken between a trace’s points', () => {
    const range = (doubt: { kind: 'stepped-trace'; stepHz: number; resolutionBandwidthHz: number } | null) =>
      slotOf(withReadings(review, [harmonic(1, '-13'), harmonic(2, '-70', { seen: { doubt } })]), 'x2').found!
        .budget.range
    expect(range({ kind: 'stepped-trace', stepHz: 100e3, resolutionBandwidthHz: 100e3 })).toBeGreaterThan(
      range(null),
    )
  })

  it('cannot correct where a part’s loss is not known', () => {
    const short = reviewOf({ parts: [pad(50, { toHz: 200e6 })] })
    expect(slotOf(withReadings(short, [harmonic(1, '-13'), harmonic(2, '-80')]), 'x2')).toMatchObject({
      found: null,
      verdict: { state: 'not-covered' },
    })
  })
})

describe('the carrier a limit hangs on', () => {
  const instruments = { ...reviewOf(), instruments: [analyser(), meter({ id: 'pm' })] }
  const withMeter = {
    ...instruments,
    chains: [...instruments.chains, { ...instruments.chains[0]!, id: 'pw', instrumentId: 'pm', parts: [] }],
  }
  const step = (context: Context) => station.plan(context.review.sets[0]!, context)[0]!

  it('is the carrier power reading, then the first line, then the claim, then nothing', () => {
    const power = reading('4', {
      stepId: POWER_STEP,
      slot: 'carrier',
      frequencyHz: 146.52e6,
      chainId: 'pw',
      instrumentId: 'pm',
    })
    const context = withReadings(withMeter, [power, harmonic(1, '-13')])
    expect(carrierForLimit(step(context), context)).toMatchObject({
      from: 'carrier-power',
      powerW: expect.closeTo(4, 2),
    })
    const first = withReadings(withMeter, [harmonic(1, '-13')])
    expect(carrierForLimit(step(first), first)).toMatchObject({
      from: 'first-line',
      powerW: expect.closeTo(5.01, 2),
    })
    const logged = withReadings(withMeter, [
      reading('3 W', {
        stepId: 'power-over-time:band:c1:high',
        slot: 't10',
        frequencyHz: 146.52e6,
        chainId: 'pw',
        instrumentId: 'pm',
      }),
    ])
    expect(carrierForLimit(step(logged), logged)).toMatchObject({
      from: 'power-over-time',
      powerW: expect.closeTo(3, 2),
    })
    const claim = withReadings(withMeter, [])
    expect(carrierForLimit(step(claim), claim)).toMatchObject({
      from: 'claim',
      powerW: 5,
      lowestW: expect.closeTo(2.506, 3),
    })
    const silent = withReadings(reviewOf({ set: radio({}, { claimW: null }) }), [harmonic(2, '-80')])
    expect(carrierForLimit(step(silent), silent)).toBeNull()
    expect(slotOf(silent, 'x2')).toMatchObject({
      verdict: { state: 'not-covered' },
      words: 'Carrier not read yet',
    })
  })

  it('brings its own uncertainty where the limit follows it (above 25 W), and not where it stands still', () => {
    const range = (first: string, second: string) =>
      slotOf(
        withReadings(reviewOf({ set: radio({}, { claimW: 50 }) }), [harmonic(1, first), harmonic(2, second)]),
        'x2',
      )
    const follows = range('-3', '-66')
    expect(follows.verdict.range!).toBeGreaterThan(follows.found!.budget.range * 1.3)
    const still = range('-13', '-66')
    expect(still.verdict.range!).toBeCloseTo(still.found!.budget.range, 9)
  })
})

describe('bands without a figure', () => {
  const readings = [harmonic(1, '-13', {}, 445), harmonic(2, '-80', {}, 445)]

  it('say “No figure in law”, and show the yardstick only when it is switched on', () => {
    const set = radio({}, { bandName: '70 cm', mhz: 445 })
    const plain = slotOf(withReadings(reviewOf({ set }), readings), 'x2')
    expect(plain).toMatchObject({
      words: 'No figure in law',
      verdict: { state: 'no-figure' },
      yardstick: null,
    })
    const own = slotOf(
      withReadings(reviewOf({ set, settings: { yardstickId: 'good-practice' } }), readings),
      'x2',
    )
    expect(own).toMatchObject({
      words: 'No figure in law',
      yardstick: { verdict: { state: 'inside', margin: expect.closeTo(7, 1) } },
    })
  })
})

describe('questions', () => {
  const ask = (readings: ReturnType<typeof harmonic>[]) =>
    evaluate(withReadings(reviewOf(), readings))
      .questions.map(({ words }) => words)
      .join(' ')

  it('catch a lost sign, swapped lines, and an absurd carrier', () => {
    expect(ask([harmonic(1, '-13'), harmonic(2, '49')])).toContain('−49')
    expect(ask([harmonic(1, '-40'), harmonic(2, '-13')])).toContain('stronger')
    expect(ask([harmonic(1, '-53')])).toContain('below the claim')
    expect(ask([harmonic(1, '-13'), harmonic(2, '-60')])).toBe('')
  })
})

describe('the plan', () => {
  it('has ten slots for each ticked channel and level, and lists what to set on the radio', () => {
    const context = withReadings(reviewOf(), [])
    const [step, ...more] = station.plan(context.review.sets[0]!, context)
    expect(more).toEqual([])
    expect(step).toMatchObject({ id: HARMONICS_STEP, chains: { instrument: 'ch' } })
    expect(step!.slots).toHaveLength(10)
    expect(step!.radioSettings.map(({ id }) => id)).toEqual(['tone', 'dual-watch', 'time-out', 'chain'])
  })

  it('has no chain when the bench has no analyser, and says so as a danger', () => {
    const context = withReadings(reviewOf({ instrument: meter() }), [])
    const step = station.plan(context.review.sets[0]!, context)[0]!
    expect(step.chains).toEqual({ instrument: null })
    expect(station.checks(step, context)).toMatchObject([{ severity: 'danger' }])
  })
})
