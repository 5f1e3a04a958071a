import { describe, expect, it } from 'vitest'
import type { Context } from '#core/context'
import { judgePower, limitShort, limitWords, type PowerJudging, ruleDemands } from '#core/judging'
import { copyRulebook, type LimitClause, type Rulebook, rulebookById } from '#core/rules'
import { stationById } from '#core/station'
import type { Found } from '#core/step'
import { type Budget, contribution } from '#core/uncertainty'
import { withReadings } from '../../support/bench'
import { plain } from '../../support/results'
import { landMobile } from '../../support/stations'

const FREQUENCY_HZ = 154e6

function clause(
  about: LimitClause['about'],
  limit: LimitClause['limit'],
  change: Partial<LimitClause> = {},
): LimitClause {
  return {
    ...{ id: 'c', clause: 'clause 1', about, confidence: 'H', recalled: false, when: {}, limit },
    ...{ basis: 'conducted', note: '', ...change },
  } as LimitClause
}

/** A review judged by one rulebook of so many clauses, on a radio whose antenna has so much gain. */
function by(clauses: LimitClause[], band: Parameters<typeof landMobile>[1] = {}): Context {
  const own: Rulebook = { ...copyRulebook(rulebookById('eu-land-mobile'), 'mine'), clauses, noFigure: [] }
  const review = landMobile({ ownRulebooks: [own] }, band)
  return withReadings({ ...review, settings: { ...review.settings, rulebookIds: ['mine'] } }, [])
}

const line = (id: string, halfWidth: number) =>
  contribution({ id, group: 'instrument', label: id, distribution: 'rectangular', halfWidth })

function found(value: number, change: Partial<Found> = {}): Found {
  const budget = { contributions: [line('u', 0.5)], range: 0.475, unit: 'dB' } as unknown as Budget
  return { value, unit: 'dBm', isUpperBound: false, budget, path: null, notes: [], ...change } as Found
}

const stepOf = (context: Context) => stationById('harmonics').plan(context.review.sets[0]!, context)[0]!
const second = { frequencyHz: 2 * FREQUENCY_HZ, harmonic: 2 }
const ABSOLUTE = clause('unwanted', { kind: 'absolute', powerW: 1e-6 }) // −30 dBm
const RELATIVE = clause('unwanted', { kind: 'relative', attenuationDb: 60 })

function judge(
  context: Context,
  value: number,
  judging: Partial<PowerJudging> = {},
  change: Partial<Found> = {},
) {
  const all = {
    about: 'unwanted' as const,
    carrierW: 5,
    emission: second,
    cannotWords: 'not yet',
    ...judging,
  }
  return judgePower(stepOf(context), found(value, change), all, context)[0]!
}

describe('a power against a limit', () => {
  it('must not exceed it, whatever the carrier where the limit stands still', () => {
    const context = by([ABSOLUTE])
    expect(judge(context, -30.46)).toMatchObject({
      verdict: { state: 'inside' },
      words: 'Inside by 0.5',
      ratio: null,
    })
    expect(judge(context, -30.4).verdict.state).toBe('too-close')
    expect(judge(context, -29.54).verdict.state).toBe('outside')
    expect(judge(context, -40, {}, { isUpperBound: true }).verdict).toMatchObject({
      state: 'inside',
      isBound: true,
    })
    expect(judge(context, -20, {}, { isUpperBound: true }).verdict.state).toBe('not-covered')
  })

  it('without a clause that fits there is no figure, and without the gain no ERP can be judged', () => {
    expect(
      judge(by([clause('deviation', { kind: 'at-most', value: 2, unit: 'kHz' })]), -60).verdict.state,
    ).toBe('no-figure')
    const erp = { ...ABSOLUTE, basis: 'erp' as const }
    expect(judge(by([erp], { antennaGainDbd: null }), -60)).toMatchObject({
      words: 'not yet',
      verdict: { state: 'not-covered' },
    })
  })

  it('a ratio is held against a limit that follows the carrier without it, against one that stands still with it', () => {
    // −60 dBc of 5 W are −23 dBm; −30 dBm are −67 dBc of 5 W.
    const carrierLines = [line('carrier-meter', 0.4)]
    const relative = judge(by([RELATIVE]), -61, { isRatio: true, carrierLines }, { unit: 'dB' })
    expect(relative.verdict.margin).toBeCloseTo(1, 9)
    expect(relative.ratio).toBeNull()
    const absolute = judge(by([ABSOLUTE]), -68, { isRatio: true, carrierLines }, { unit: 'dB' })
    expect(absolute.verdict.margin).toBeCloseTo(68 - (30 + 10 * Math.log10(5000)), 9)
    expect(absolute.ratio!.contributions.map(({ id, halfWidth }) => [id, halfWidth])).toEqual([
      ['u', 0.5],
      ['carrier:carrier-meter', 0.4],
    ])
    expect(absolute.ratio!.contributions[1]!.label).toBe('carrier-meter, carrier')
    // Both rectangles together: a trapezoid that ends at 0.9, its 95 % at 0.9 − √(0.025·2·1·0.8).
    expect(absolute.verdict.range).toBeCloseTo(0.9 - Math.sqrt(0.05 * 0.8), 2)
    // A level is no ratio: its carrier is in its own budget already.
    expect(judge(by([ABSOLUTE]), -40, { carrierLines }).ratio).toBeNull()
    expect(judge(by([ABSOLUTE]), -68, { isRatio: true }, { unit: 'dB' }).ratio).toBeNull()
  })

  it('radiated power hangs on the antenna as well', () => {
    const context = by([{ ...ABSOLUTE, basis: 'erp' }], { antennaGainDbd: 3, antennaGainDoubtDb: 1.5 })
    const radiated = judge({ ...context }, -40)
    expect(radiated.ratio!.contributions.map(({ id, halfWidth }) => [id, halfWidth])).toEqual([
      ['u', 0.5],
      ['antenna', 1.5],
    ])
  })

  it('a least power must be reached as well: the end that says more holds, or the one with less room', () => {
    // Between 1 and 10 W: 30 and 40 dBm.
    const context = by([clause('carrier-power', { kind: 'within', value: 1, to: 10, unit: 'W' })])
    const power = (dbm: number) =>
      judge(context, dbm, { about: 'carrier-power', emission: undefined }).verdict
    expect(power(32)).toMatchObject({ state: 'inside' })
    expect(power(32).margin).toBeCloseTo(2, 9)
    expect(power(39).margin).toBeCloseTo(1, 9)
    expect(power(29)).toMatchObject({ state: 'outside' })
    expect(power(29).margin).toBeCloseTo(-1, 9)
    expect(power(41).margin).toBeCloseTo(-1, 9)
    expect(power(30.2)).toMatchObject({ state: 'too-close' })
    expect(power(35).margin).toBeCloseTo(5, 9)
    const only = by([clause('carrier-power', { kind: 'at-most', value: 10, unit: 'W' })])
    expect(judge(only, 29, { about: 'carrier-power', emission: undefined }).verdict.state).toBe('inside')
  })

  it('a carrier that is only claimed leaves the limit anywhere between both ends', () => {
    const carrierW = { lowestW: 2.5, highestW: 5, why: 'only claimed' }
    // −60 dB of 5 W: −23.0 dBm; of 2.5 W: −26.0 dBm.
    const level = (dbm: number) => judge(by([RELATIVE]), dbm, { carrierW }).verdict
    expect(level(-26.6)).toMatchObject({ state: 'inside', why: 'only claimed' })
    expect(level(-24.5).state).toBe('too-close')
    expect(level(-24.5).margin).toBeCloseTo(24.5 - (23.01 + 26.02) / 2, 2)
    expect(level(-22).state).toBe('outside')
    // A ratio against what stands still: the lower the carrier, the more it may be.
    const ratio = (db: number) =>
      judge(by([ABSOLUTE]), db, { carrierW, isRatio: true }, { unit: 'dB' }).verdict
    expect(ratio(-67.6).state).toBe('inside')
    expect(ratio(-65.5).state).toBe('too-close')
    expect(ratio(-63.4).state).toBe('outside')
  })

  it('of which one end alone has a clause, that end decides', () => {
    const context = by([{ ...RELATIVE, when: { powerW: [3, null] } }])
    const only = judge(context, -24, { carrierW: { lowestW: 2.5, highestW: 5, why: 'only claimed' } })
    expect(only.verdict.margin).toBeCloseTo(0.99, 2)
    expect(only.verdict.why).toBeNull()
  })
})

describe('what is asked before anything is read', () => {
  const demand = (
    context: Context,
    about: LimitClause['about'],
    methods: Parameters<typeof ruleDemands>[3] = [],
  ) => ruleDemands(stepOf(context), about, context, methods).map(one => ({ ...one, words: plain(one.words) }))

  it('says the figure with its clause', () => {
    expect(demand(by([ABSOLUTE]), 'unwanted')[0]).toMatchObject({
      figure: true,
      words: expect.stringMatching(/−30\.0 dBm \(clause 1\)$/),
    })
    const power = by([clause('carrier-power', { kind: 'at-most', value: 10, unit: 'W' })])
    expect(demand(power, 'carrier-power')[0]!.words).toBe('carrier power up to 10.0 W (clause 1)')
    const deviation = by([clause('deviation', { kind: 'at-most', value: 2.5, unit: 'kHz' })])
    expect(demand(deviation, 'deviation')[0]!.words).toMatch(/^deviation at most 2\.5 kHz \(clause 1\)$/)
  })

  it('an adjacent channel is asked for where it lies, an unwanted emission at the second harmonic', () => {
    // Above the carrier only, within 20 kHz of it.
    const near = clause('adjacent-power', {
      kind: 'by-emission',
      segments: [
        { fromHz: FREQUENCY_HZ, toHz: FREQUENCY_HZ + 20e3, limit: { kind: 'absolute', powerW: 1e-6 } },
      ],
    })
    expect(demand(by([near]), 'adjacent-power')[0]).toMatchObject({
      figure: true,
      words: expect.stringContaining('−30.0 dBm'),
    })
    const far = clause('unwanted', {
      kind: 'by-emission',
      segments: [{ fromHz: 300e6, toHz: 310e6, limit: { kind: 'absolute', powerW: 1e-6 } }],
    })
    expect(demand(by([far]), 'unwanted')[0]!.words).toContain('−30.0 dBm')
  })

  it('says that there is none, and why one cannot be applied', () => {
    const silent = by([ABSOLUTE])
    expect(demand(silent, 'deviation')[0]).toMatchObject({ figure: false, words: 'no figure for deviation' })
    const erp = by([clause('carrier-power', { kind: 'absolute', powerW: 0.5 }, { basis: 'erp' })], {
      antennaGainDbd: null,
    })
    expect(demand(erp, 'carrier-power')[0]!.figure).toBe(true)
    expect(demand(erp, 'carrier-power')[0]!.words).toMatch(/^carrier power: /)
  })

  it('a figure of the receiver is asked for by the first way that has one', () => {
    const twenty = clause(
      'sensitivity',
      { kind: 'at-most', value: -107, unit: 'dBm' },
      { when: { methods: ['sinad-20'] } },
    )
    const twelve = clause(
      'sensitivity',
      { kind: 'at-most', value: -113, unit: 'dBm' },
      { when: { methods: ['sinad-12'] } },
    )
    const context = by([twelve, twenty])
    expect(demand(context, 'sensitivity', ['sinad-20'])[0]!.words).toContain('−107')
    expect(demand(context, 'sensitivity', ['sinad-12'])[0]!.words).toContain('−113')
    expect(demand(by([twenty]), 'sensitivity', ['sinad-12', 'sinad-20'])[0]!.words).toContain('−107')
    expect(demand(by([twenty]), 'sensitivity', ['sinad-12'])[0]!.figure).toBe(false)
  })

  it('the reviewer’s own yardstick stands beside unwanted emissions only', () => {
    const yard = { ...by([ABSOLUTE]), yardstick: rulebookById('good-practice') } as Context
    expect(demand(yard, 'unwanted').map(({ by: who }) => who)).toHaveLength(2)
    expect(demand(yard, 'adjacent-power')).toHaveLength(1)
    expect(demand(by([ABSOLUTE]), 'unwanted')).toHaveLength(1)
  })
})

describe('a limit as a heading', () => {
  it('says what is allowed, or why nothing is told', () => {
    const limit = judge(by([ABSOLUTE]), -40).limit
    expect(plain(limitWords(limit))).toBe('Why −30.0 dBm')
    expect(plain(limitWords(limit, true))).toBe('Allowed: 1.00 µW')
    expect(plain(limitShort(limit))).toBe('−30.0 dBm')
    const of = (kind: string, more = {}) => ({ ...limit, kind, ...more }) as unknown as typeof limit
    expect(limitWords(of('no-figure'))).toBe('Why no figure')
    expect(limitWords(of('cannot-judge'))).toBe('Why it cannot be judged yet')
    expect(plain(limitWords(of('scalar', { limit: { kind: 'at-most', value: 2.5, unit: 'kHz' } })))).toBe(
      'Allowed: at most 2.5 kHz',
    )
    expect(limitShort(of('no-figure', { clause: 'clause 9' }))).toBe('clause 9')
    expect(limitShort(of('no-figure', { clause: limit.rulebook.title }))).toBe('')
  })
})
