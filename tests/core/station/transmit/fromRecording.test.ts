import { describe, expect, it } from 'vitest'
import { createContext } from '#core/context'
import {
  BANDWIDTH_ID,
  DEVIATION_ID,
  FREQUENCY_ID,
  levelsFromLog,
  OCCUPIED_SLOT,
  POWER_OVER_TIME_ID,
  stationById,
} from '#core/station'
import type { KeptFigure } from '#core/step'
import { analysed } from '../../../support/analysed'
import { analysis } from '../../../support/analysis'
import { meter, pad, reviewOf } from '../../../support/bench'
import { fmWave, iqOf } from '../../../support/iq'
import { landMobile } from '../../../support/stations'

const RATE = 96_000
const review = landMobile()
const context = createContext(review)
const stepAt = (id: string) => stationById(id).plan(review.sets[0]!, context)[0]!

/** The figures a station takes from a recording, by slot. */
function figuresOf(
  id: string,
  found: Awaited<ReturnType<typeof analysed>>,
  { target = 'all', centreHz = null as number | null } = {},
): Record<string, KeptFigure> {
  const kept = stationById(id).recording!.figures(found, { step: stepAt(id), target, centreHz })
  return Object.fromEntries(kept.map(figure => [figure.slotId, figure]))
}

let known: ReturnType<typeof analysed> | null = null
/** A carrier 750 Hz above the middle, swung ±1500 Hz by 1 kHz. */
const spoken = () =>
  (known ??= analysed(
    iqOf(
      { seconds: 3, rate: RATE, noiseDb: -70 },
      fmWave({ amplitude: 0.4, offsetHz: 750, toneHz: 1000, deviationHz: 1500 }),
    ),
    RATE,
  ))

describe('figures a station takes from a recording', () => {
  it('the larger swing of a tone, named for what was recorded, and no tone squelch where there is none', async () => {
    const found = await spoken()
    const figures = figuresOf(DEVIATION_ID, found, { target: 'tone' })
    expect(Object.keys(figures)).toEqual(['tone'])
    expect(figures.tone!.seen).toMatchObject({ as: 'figure', unit: 'Hz', isUpperBound: false })
    expect(Math.abs(figures.tone!.seen.value - 1500)).toBeLessThan(8)
    expect(figures.tone!.seen.method).toMatch(
      /^\+1\.(50|49)\d*\skHz, −1\.(50|49)\d*\skHz, .*the larger counts/,
    )
    expect(Object.keys(figuresOf(DEVIATION_ID, found, { target: 'loudest' }))).toEqual(['loudest'])
    expect(figuresOf(DEVIATION_ID, found, { target: 'tone-squelch' })).toEqual({})
  })

  it('the frequency is that of the recording’s middle and what lies beside it; without a middle there is none', async () => {
    const found = await spoken()
    const { warm } = figuresOf(FREQUENCY_ID, found, { target: 'warm', centreHz: 154e6 })
    expect(Math.abs(warm!.seen.value - 154_000_750)).toBeLessThan(1)
    expect(warm!.text).toBe('154.0007500 MHz')
    expect(warm!.seen.method).toContain('middle of the recording at 154')
    expect(figuresOf(FREQUENCY_ID, found, { target: 'warm' })).toEqual({})
  })

  it('99 % of an FM signal lies within its second lines: Bessel functions of 1.5 (closed form)', async () => {
    // J0² + 2·J1² + 2·J2² = 0.2620 + 0.6226 + 0.1077 = 0.9923 at β = 1.5 (tables of Bessel functions, from memory):
    // two lines to each side hold 99 %, one does not.
    const figures = figuresOf(BANDWIDTH_ID, await spoken())
    const occupied = figures[OCCUPIED_SLOT]!.seen
    expect(occupied.unit).toBe('Hz')
    expect(occupied.value).toBeGreaterThan(3_900)
    expect(occupied.value).toBeLessThan(4_300)
    expect(occupied.method).toContain('99 % of the power within')
  })

  it('a neighbour that only noise fills is a bound, and says so; both sides and both channels are there', async () => {
    const figures = figuresOf(BANDWIDTH_ID, await spoken())
    const channels = Object.keys(figures).filter(id => id.startsWith('acp-'))
    expect(channels.sort()).toEqual(['acp-lower-1', 'acp-lower-2', 'acp-upper-1', 'acp-upper-2'])
    const far = figures['acp-upper-2']!
    expect(far.seen.isUpperBound).toBe(true)
    expect(far.seen.method).toMatch(/at most this/)
    // −70 dB in 96 kHz is −80.5 dB in the 8.5 kHz of a filter (10·log10 of their ratio), 72.6 dB under −8.0 dB.
    expect(far.seen.value).toBeCloseTo(-72.6, 0)
    expect(figures.transient).toBeUndefined()
  })

  it('the worse of both next channels is what keying did, and channels farther out do not count', () => {
    const channel = (side: 'lower' | 'upper', step: 1 | 2, ratioDb: number) => ({ side, step, ratioDb })
    const transient = {
      channels: [
        channel('lower', 1, -58.2),
        channel('upper', 1, -55.4),
        channel('lower', 2, -40),
        channel('upper', 2, -41),
      ],
    }
    const figures = figuresOf(BANDWIDTH_ID, analysis({ transient } as Parameters<typeof analysis>[0]))
    expect(Object.keys(figures)).toEqual(['transient'])
    expect(figures.transient).toMatchObject({ text: '−55.4 dBc', seen: { value: -55.4, unit: 'dB' } })
  })

  it('nothing was found, so nothing is kept', () => {
    for (const id of [BANDWIDTH_ID, DEVIATION_ID, FREQUENCY_ID])
      expect(figuresOf(id, analysis(), { target: 'tone', centreHz: 154e6 })).toEqual({})
  })
})

describe('levels a log of power gives', () => {
  const bench = reviewOf({ instrument: meter({ id: 'an' }), parts: [pad(0)] })
  const step = stationById(POWER_OVER_TIME_ID).plan(bench.sets[0]!, createContext(bench))[0]!
  const source = { kind: 'file', name: 'log.csv' } as unknown as Parameters<typeof levelsFromLog>[2]['source']
  const taken = (rows: [atS: number, text: string][]) =>
    levelsFromLog(step, { rows: rows.map(([atS, text]) => ({ atS, text })) }, { bareUnit: 'W', source })

  it('each moment takes the line nearest to it, in the unit that stands there or the one that is meant', () => {
    const levels = taken([
      [0, '5.00'],
      [9, '4.9 W'],
      [12, '4.8 W'],
      [29, '36.7 dBm'],
    ])
    expect(levels.map(({ slotId, text }) => [slotId, text])).toEqual([
      ['t0', '5.00'],
      ['t10', '4.9 W'],
      ['t30', '36.7 dBm'],
    ])
    // 10·log10(5 W/1 mW) = 36.99 dBm.
    expect(levels[0]!.seen.levelDbm).toBeCloseTo(36.99, 2)
    expect(levels[2]!.seen.levelDbm).toBeCloseTo(36.7, 9)
    expect(levels.every(({ seen }) => seen.frequencyHz === step.slots[0]!.frequencyHz)).toBe(true)
  })

  it.each([
    ['5 s from an early moment is near enough', 5, ['t0']],
    ['a line between two moments stands for the nearer one alone', 15.1, ['t20']],
    ['right between two, for the first', 15, ['t10']],
    ['more than 5 s is not near', 37, []],
    ['a tenth of a late moment is near enough', 330, ['t300']],
    ['more than a tenth after the last is not', 330.1, []],
  ])('%s', (_what, atS, slots) => {
    expect(taken([[atS, '5 W']]).map(({ slotId }) => slotId)).toEqual(slots)
  })

  it('a line that is no power leaves its moment open', () => {
    expect(taken([[0, 'OL']])).toEqual([])
    expect(taken([])).toEqual([])
  })
})
