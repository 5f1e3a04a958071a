import { describe, expect, it } from 'vitest'
import type { Reading, Review } from '#core/review'
import { DEVIATION_ID, INSIDE_ID, insideTargets, type InsideMemo, stationById } from '#core/station'
import {
  figure,
  meter,
  pad,
  POWER_STEP,
  radio,
  reading,
  reviewOf,
  withReadings,
} from '../../../support/bench'
import { plain } from '../../../support/results'
import { answerOf, resultOf, slot, stepOf } from '../../../support/stations'

const at = (minute: number) => `2026-11-20T10:${String(minute).padStart(2, '0')}:00.000Z`
const memo: InsideMemo = {
  by: 'the club’s engineer',
  begunAt: at(10),
  doneAt: at(20),
  aimW: 3.9,
  aimHz: 2200,
}

/** A 27 MHz set by 47 CFR 95, one watt meter at its socket. */
function bench(kept: InsideMemo | null = memo): Review {
  const set = radio({ kind: 'mobile' }, { bandName: '27 MHz', mhz: 27.185, claimW: 4 })
  const review = reviewOf({
    instrument: meter({ id: 'an', accuracyPercent: 3 }),
    parts: [pad(0)],
    set,
    settings: { rulebookIds: ['us-cb'] },
  })
  return { ...review, memos: kept ? { [INSIDE_ID]: { common: null, bySet: { set: kept } } } : {} }
}

const power = (watts: string, minute: number): Reading => ({
  ...reading(watts, { slot: 'carrier', stepId: POWER_STEP, frequencyHz: 27.185e6, instrumentId: 'an' }),
  at: at(minute),
})
const swing = (hz: number, minute: number): Reading => ({
  ...figure(hz, { slot: 'loudest', stepId: stepOf(DEVIATION_ID), unit: 'Hz' }),
  at: at(minute),
})
const inside = (readings: Reading[], kept: InsideMemo | null = memo) => withReadings(bench(kept), readings)

describe('inside a set', () => {
  const history = [power('4.8 W', 5), power('4.4 W', 12), power('4.1 W', 15), power('4.0 W', 25)]

  it('stays shut until somebody said who may adjust it', () => {
    const context = inside(history, null)
    expect(stationById(INSIDE_ID).plan(context.review.sets[0]!, context)).toEqual([])
    expect(answerOf(INSIDE_ID, context).words).toBe('Not adjusted')
  })

  it('pairs the readings of the other station by when they were taken: the last of each moment', () => {
    const result = resultOf(INSIDE_ID, inside(history))
    const words = ['before', 'adjusted', 'after'].map(moment =>
      plain(slot(result, `power-band-${moment}`).words),
    )
    expect(words).toEqual(['4.80 W', '4.10 W', '4.00 W'])
    expect(plain(result.words)).toBe('Power on 27 MHz: 4.80 W before, 4.00 W now')
  })

  it('right at the beginning is before, right at the end is adjusting', () => {
    const edge = resultOf(INSIDE_ID, inside([power('4.8 W', 10), power('4.1 W', 20)]))
    expect(plain(slot(edge, 'power-band-before').words)).toBe('4.80 W')
    expect(plain(slot(edge, 'power-band-adjusted').words)).toBe('4.10 W')
    expect(slot(edge, 'power-band-after').state).toBe('open')
  })

  it('while it is going on, nothing is after', () => {
    const going = resultOf(INSIDE_ID, inside(history, { ...memo, doneAt: null }))
    expect(plain(slot(going, 'power-band-adjusted').words)).toBe('4.00 W')
    expect(slot(going, 'power-band-after').state).toBe('open')
  })

  it('deviation is paired the same way', () => {
    const result = resultOf(INSIDE_ID, inside([swing(2900, 5), swing(2200, 25)]))
    expect(plain(slot(result, 'deviation-band-before').words)).toBe('2.90 kHz')
    expect(plain(slot(result, 'deviation-band-after').words)).toBe('2.20 kHz')
  })

  it('shows what it makes now with what the law allows and what is aimed at (47 CFR 95.967: 4 W, from memory)', () => {
    const context = inside([...history, swing(2900, 5), swing(2400, 16)])
    const [latest, other] = insideTargets(context.review.sets[0]!, context)
    expect(latest).toMatchObject({ title: 'Power, 27 MHz', at: at(25) })
    expect(plain(latest!.legal.join())).toContain('4.00 W')
    expect([latest!.now, latest!.before, latest!.aim, other!.now, other!.aim].map(plain)).toEqual([
      ...['4.00 W', '4.80 W', '3.90 W', '2.40 kHz', '2.20 kHz'],
    ])
    expect(other!.legal.length).toBeGreaterThan(0)
    expect(insideTargets(context.review.sets[0]!, inside([power('4.8 W', 5)]))).toEqual([])
  })
})
