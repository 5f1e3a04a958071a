import { describe, expect, it } from 'vitest'
import { NEIGHBOUR_ID, ownErrorHz, STRONG_ID, stationById } from '#core/station'
import type { Reading } from '#core/review'
import { figure } from '../../../support/bench'
import { resultOf, slot } from '../../../support/stations'
import {
  generator,
  hearingReview,
  microvoltClaim,
  pointsAround,
  turnedTo,
  withReadings,
} from '../../../support/hearing'

const quiet = generator({ id: 'gen2', phaseNoise: [{ offsetHz: 10e3, dbcPerHz: -130 }], referencePpm: 0.01 })
const pocket = generator({ id: 'gen2', phaseNoise: [], build: 'pocket', referencePpm: 0.01 })
const side = (slotId: string, ratioDb: number): Reading =>
  turnedTo(-120 + ratioDb + 10, { stationId: NEIGHBOUR_ID, slot: slotId, wantedDbm: -107 }, 'gen2')
const judged = (second = quiet, readings: Reading[] = [], receives = [microvoltClaim(0.2)]) =>
  withReadings(hearingReview({ second, receives }), [...pointsAround(-120, [-4, -1, 1, 5]), ...readings])
const selectivity = (value: number) => microvoltClaim(value, { kind: 'selectivity', unit: 'dB' })

describe('neighbour channel by two generators', () => {
  it('is the interferer less the 12 dB level, at the socket; the lower side counts (TIA-603)', () => {
    const result = resultOf(NEIGHBOUR_ID, judged(quiet, [side('tia-lower', 66), side('tia-upper', 62)]))
    const rejection = slot(result, 'rejection-tia')
    expect(rejection.found!.value).toBeCloseTo(62, 0)
    expect(rejection.notes.join(' ')).toContain('channel above')
  })

  it('EN 300 086 counts from the wanted signal: another quantity', () => {
    // Wanted at −107 dBm behind 10 dB is −117 dBm; the interferer −60 dBm.
    const reading = turnedTo(-50, { stationId: NEIGHBOUR_ID, slot: 'en-lower', wantedDbm: -107 }, 'gen2')
    const result = resultOf(NEIGHBOUR_ID, judged(quiet, [reading]))
    expect(slot(result, 'rejection-en').found!.value).toBeCloseTo(57, 6)
    expect(slot(result, 'rejection-tia').state).toBe('open')
    expect(slot(result, 'rejection-en').each[0]!.limit.kind).toBe('scalar')
  })

  it('what the combiner does to both cancels; the generators do not', () => {
    const result = resultOf(NEIGHBOUR_ID, judged(quiet, [side('tia-lower', 62)]))
    const ids = slot(result, 'rejection-tia').found!.budget.contributions.map(({ id }) => id)
    expect(ids.filter(id => id.includes('combiner'))).toEqual([])
    expect(ids).toEqual(expect.arrayContaining(['instrument:gen2', 'reference:instrument:gen']))
  })

  it('a noisy interferer makes it a lower bound: inside stays inside, outside is never said', () => {
    const verdict = (second: typeof quiet, claimDb: number) => {
      const context = judged(second, [side('tia-lower', 52)], [microvoltClaim(0.2), selectivity(claimDb)])
      return slot(resultOf(NEIGHBOUR_ID, context), 'rejection-tia')
    }
    expect(verdict(quiet, 60).verdict.state).toBe('outside')
    expect(verdict(pocket, 60).verdict.state).toBe('not-covered')
    expect(verdict(pocket, 60).words).toMatch(/^At least 5[12]/)
    expect(verdict(pocket, 40)).toMatchObject({ verdict: { state: 'inside', isBound: true } })
  })

  it('the two paths end in two generators, or in one with two outputs', () => {
    const steps = (second: typeof quiet | null, first = generator()) => {
      const context = withReadings(hearingReview({ first, second }), [])
      return stationById(NEIGHBOUR_ID).plan(context.review.sets[0]!, context)[0]!
    }
    expect(steps(quiet).chains).toMatchObject({ generator: 'hear', interferer: 'other' })
    expect(steps(null).chains).toMatchObject({ generator: 'hear', interferer: null })
    const both = hearingReview({ second: quiet })
    const same = (channels: 1 | 2) => {
      const review = {
        ...both,
        instruments: [generator({ channels })],
        chains: both.chains.map(chain => ({ ...chain, instrumentId: 'gen' })),
      }
      const context = withReadings(review, [])
      return stationById(NEIGHBOUR_ID).plan(context.review.sets[0]!, context)[0]!.chains.interferer
    }
    expect(same(1)).toBeNull()
    expect(same(2)).toBe('other')
  })

  it('asks where more pad in front made it better: the generators disturb each other', () => {
    const asked = (again: number) =>
      resultOf(NEIGHBOUR_ID, judged(quiet, [side('tia-upper', 60), side('pads', again)])).questions.length
    expect(asked(64)).toBe(1)
    expect(asked(60.5)).toBe(0)
  })
})

describe('neighbour channel by one generator', () => {
  it('the middle of a walk-off is the receiver’s own frequency error', () => {
    const walk = (slotId: string, hz: number) =>
      figure(hz, { slot: slotId, stepId: `${NEIGHBOUR_ID}:band:c1:high`, unit: 'Hz' })
    const context = judged(quiet, [walk('walk-lower', 10_000), walk('walk-upper', 15_000)])
    const result = resultOf(NEIGHBOUR_ID, context)
    expect(ownErrorHz(result.step, context)).toBe(2500)
    expect(slot(result, 'walk-upper').words).toContain('gone within')
    expect(slot(result, 'walk-upper').verdict.state).toBe('observation')
  })
})

describe('strong signals', () => {
  const block = (slotId: string, ratioDb: number): Reading =>
    turnedTo(-120 + ratioDb + 10, { stationId: STRONG_ID, slot: slotId, wantedDbm: -107 }, 'gen2')

  it('blocking is the least of the offsets', () => {
    const context = judged(quiet, [block('block-1', 80), block('block1', 77), block('block10', 86)])
    expect(slot(resultOf(STRONG_ID, context), 'blocking').found!.value).toBeCloseTo(77, 0)
  })

  it('two interferers are offered where the bench has three outputs, and counted from the 12 dB level', () => {
    const slotIm1 = (outputs: 1 | 2, readings: Reading[]) => {
      const review = hearingReview({ second: { ...quiet, channels: outputs } })
      const context = withReadings(review, [...pointsAround(-120, [-4, -1, 1, 5]), ...readings])
      return resultOf(STRONG_ID, context).slots.find(({ slot: { id } }) => id === 'im1')
    }
    expect(slotIm1(1, [])).toBeUndefined()
    expect(slotIm1(2, [])!.state).toBe('open')
    const counted = /^6[23]\.\d.dB above the 12 dB level$/
    expect(slotIm1(2, [block('im1', 63)])!.words).toMatch(counted)
    // A generator that has left the bench takes nothing with it that was read.
    expect(slotIm1(1, [block('im1', 63)])!.words).toMatch(counted)
  })

  it('a reference read between the rounds tells when the bench itself has moved, by its mean', () => {
    const consent = { by: 'the owner', at: '2026-11-20T10:00:00.000Z', upToDbm: 18 }
    const review = hearingReview({ second: quiet })
    review.memos = {
      [STRONG_ID]: { common: null, bySet: { set: { consent, ifHz: null, isHighSide: false } } },
    }
    const sinads = (moment: string, values: number[]) =>
      values.map((value, i) =>
        figure(value, {
          slot: i === 0 ? `reference-${moment}` : `reference-${moment}-${i + 1}`,
          stepId: `${STRONG_ID}:band:c1:high`,
          unit: 'dB',
        }),
      )
    const asked = (after: number[]) =>
      resultOf(
        STRONG_ID,
        withReadings(review, [...sinads('before', [30, 31, 29]), ...sinads('after', after)]),
      ).questions.map(({ words }) => words)
    expect(asked([30.5, 31.5, 29.5])).toEqual([])
    expect(asked([28, 29, 27])[0]).toContain('moved by −2.0')
    const ids = stationById(STRONG_ID)
      .plan(review.sets[0]!, withReadings(review, []))[0]!
      .slots.map(({ id }) => id)
    expect(ids.slice(ids.indexOf('reference-before'), ids.indexOf('reference-before') + 4)).toEqual([
      'reference-before',
      'before-1',
      'reference-before-2',
      'before-2',
    ])
  })

  it('survival needs consent, stops where it stops, and calls damage only what repeating does not explain', () => {
    const review = hearingReview({ second: quiet })
    const plan = () => {
      const context = withReadings(review, [])
      const [step] = stationById(STRONG_ID).plan(context.review.sets[0]!, context)
      return step!.slots.map(({ id }) => id)
    }
    expect(plan().some(id => id.startsWith('hit'))).toBe(false)
    review.memos = {
      [STRONG_ID]: {
        common: null,
        bySet: {
          set: {
            consent: { by: 'the owner', at: '2026-11-20T10:00:00.000Z', upToDbm: 18 },
            ifHz: null,
            isHighSide: false,
          },
        },
      },
    }
    expect(plan().filter(id => id.startsWith('hit'))).toEqual(['hit10', 'hit18'])
    const survived = (shiftDb: number) => {
      const levels = [-110, -110.2, -109.9]
      const readings = levels.flatMap((level, i) => [
        turnedTo(level, { stationId: STRONG_ID, slot: `before-${i + 1}` }),
        turnedTo(level + shiftDb, { stationId: STRONG_ID, slot: `after-${i + 1}` }),
      ])
      return slot(resultOf(STRONG_ID, withReadings(review, readings)), 'survival')
    }
    expect(survived(0.1).words).toContain('As before')
    expect(survived(3).words).toContain('damage')
    expect(survived(3).found!.value).toBeCloseTo(3, 9)
  })
})
