import { describe, expect, it } from 'vitest'
import { mayIKey, mayIKeyWithFilter, parseFilterLoss, typicalFilterLoss } from '#core/findings'
import type { LossPoint } from '#core/chain'
import { analyser, harmonic, reviewOf, withReadings } from '../../support/bench'
import { plain } from '../../support/results'

/** 5 W at the socket behind 50 dB; ×2 stands 6 dB over the limit of −16 dBm, all others far below. */
const context = withReadings(reviewOf({ instrument: analyser({ toHz: 3e9, floorDbm: -120 }) }), [
  ...[harmonic(1, '-13.0'), harmonic(2, '-60.0')],
  ...[3, 4, 5, 6, 7, 8, 9, 10].map(n => harmonic(n, '-85.0')),
])
const set = context.review.sets[0]!

const filtered = (points: LossPoint[]) => mayIKeyWithFilter([set], points, context)[0]!
const flat = (lossDb: number, toMhz = 1500): LossPoint[] => [
  ...[100e6, 150e6].map(frequencyHz => ({ frequencyHz, lossDb: 0.3 })),
  ...[290e6, toMhz * 1e6].map(frequencyHz => ({ frequencyHz, lossDb })),
]

describe('with a filter of entered loss', () => {
  it('what was outside by 6 dB is inside behind 20 dB, and as it was behind none', () => {
    expect(mayIKey(set, context)[0]!.state).toBe('not-without')
    expect(filtered(flat(0)).state).toBe('not-without')
    expect(filtered(flat(20)).state).toBe('yes')
  })

  it('is outside by so much less as it loses: 6 less 2 is 4', () => {
    expect(plain(filtered(flat(2)).because[0]!.words)).toContain('is outside by 4.0 dB')
  })

  it('too close to call in between, with the same range as without', () => {
    expect(filtered(flat(6)).state).toBe('not-yet')
    expect(filtered(flat(6)).because[0]!.words).toContain('×2 is too close to call')
  })

  it('takes nothing off beyond its table: what was inside there stays, and what was outside', () => {
    expect(filtered(flat(20, 1000)).state).toBe('yes')
    // ×8, 1172 MHz.
    const high = withReadings(context.review, [
      ...context.review.readings.filter(({ slot }) => slot !== 'x8' && slot !== 'x2'),
      ...[harmonic(2, '-85.0'), harmonic(8, '-60.0')],
    ])
    const behind = (toMhz: number) => mayIKeyWithFilter([high.review.sets[0]!], flat(20, toMhz), high)[0]!
    expect(plain(behind(1000).because[0]!.words)).toContain('×8 is outside by 6.0 dB')
    expect(behind(1172.2).state).toBe('yes')
    expect(behind(1172.1).state).toBe('not-without')
  })

  it('changes nothing of the review', () => {
    const before = JSON.stringify(context.review.chains)
    filtered(flat(20))
    expect(JSON.stringify(context.review.chains)).toBe(before)
  })
})

describe('a filter’s loss as it is written', () => {
  it('a frequency and a loss a line, remarks and blank lines apart', () => {
    expect(parseFilterLoss('144 0.3\n\n293; 45 # second\n# nothing\n 439,5 50')).toEqual({
      ok: true,
      points: [
        { frequencyHz: 144e6, lossDb: 0.3 },
        { frequencyHz: 293e6, lossDb: 45 },
        { frequencyHz: 439.5e6, lossDb: 50 },
      ],
    })
  })

  it.each([
    ['', 'One line a frequency'],
    ['144', 'Line 1, “144”'],
    ['144 0.3\n293 much', 'Line 2, “293 much”'],
    ['144 0.3 7', 'Line 1'],
    ['144 -3', 'Line 1'],
    ['0 3', 'Line 1'],
  ])('%j is refused in words', (text, words) => {
    const read = parseFilterLoss(text)
    expect(read.ok ? '' : read.message).toContain(words)
  })

  it('the typical one reads back', () => {
    expect(parseFilterLoss(typicalFilterLoss()).ok).toBe(true)
  })
})
