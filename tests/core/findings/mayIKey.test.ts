import { describe, expect, it } from 'vitest'
import { createContext } from '#core/context'
import { mayIKey } from '#core/findings'
import type { Reading, Review } from '#core/review'
import { analyser, harmonic, POWER_STEP, reading, reviewOf, withReadings } from '../../support/bench'
import { plain } from '../../support/results'

/** An analyser that sees all ten harmonics, far above its own noise. */
const bench = (): Review => reviewOf({ instrument: analyser({ toHz: 3e9, floorDbm: -120 }) })

/** 5 W at the socket, and every harmonic at one level on the display, 50 dB under the socket. */
const clean = (dbm = '-85.0'): Reading[] => [
  harmonic(1, '-13.0'),
  ...[2, 3, 4, 5, 6, 7, 8, 9, 10].map(n => harmonic(n, dbm)),
]
const except = (n: number, text: string): Reading[] => [
  ...clean().filter(({ slot }) => slot !== `x${n}`),
  harmonic(n, text),
]

function answer(readings: Reading[], review = bench()) {
  const context = withReadings(review, readings)
  const [first] = mayIKey(context.review.sets[0]!, context)
  return { ...first!, words: first!.because.map(({ words }) => plain(words)) }
}

describe('may I key it?', () => {
  it('yes on this evidence where every harmonic is inside, and says by which rulebook', () => {
    const found = answer(clean())
    expect(found).toMatchObject({ state: 'yes', rulebooks: ['US amateur'] })
    expect(found.words).toEqual(['Harmonics and spurs: all 9 that were judged are inside by 19.0 dB or more'])
  })

  it('not without a change where one of them is outside: −16.02 dBm at the socket is the limit of 25 µW', () => {
    const found = answer(except(3, '-60.0'))
    expect(found.state).toBe('not-without')
    expect(found.words).toHaveLength(1)
    // −60 + 50 is 6 dB over it.
    expect(found.words[0]).toMatch(
      /^Harmonics and spurs, 146\.520 MHz, High: ×3 is outside by 6\.0 dB, by US amateur, 47 CFR 97/,
    )
    expect(found.because[0]!.place).toMatchObject({ stationId: 'harmonics', slotId: 'x3' })
  })

  it('states the figure of what fails, not of a worse reading that is too close to call', () => {
    // ×2 scatters by 20 dB: its mean is 6 dB over the limit and says nothing. ×3 is 4 dB over and fails.
    const found = answer([
      ...clean().filter(({ slot }) => slot !== 'x2' && slot !== 'x3'),
      harmonic(2, '-50.0; -70.0'),
      harmonic(3, '-62.0'),
    ])
    expect(found.state).toBe('not-without')
    expect(found.words[0]).toContain('×3')
    expect(found.closest!.margin).toBeCloseTo(-4, 1)
    expect(found.closestRulebook).toBe('US amateur')
  })

  it('not yet where one is too close, is not read, or is out of reach', () => {
    expect(answer(except(3, '-66.0'))).toMatchObject({
      state: 'not-yet',
      words: [expect.stringContaining('×3 is too close to call')],
    })
    expect(answer(clean().slice(0, -1))).toMatchObject({
      state: 'not-yet',
      words: [expect.stringContaining('1 of 10 not read')],
    })
    const short = reviewOf({ instrument: analyser({ toHz: 1e9, floorDbm: -120 }) })
    expect(answer(clean().slice(0, 6), short)).toMatchObject({
      state: 'not-yet',
      words: [expect.stringContaining('4 of 10 out of the instrument’s reach')],
    })
    expect(answer([])).toMatchObject({ state: 'not-yet' })
  })

  it('what is outside counts for more than what is missing', () => {
    expect(answer(except(2, '-60.0').slice(0, 4)).state).toBe('not-yet')
    expect(answer([harmonic(1, '-13.0'), harmonic(2, '-60.0')]).state).toBe('not-without')
  })

  it('no figure in law where no rulebook has one', () => {
    const silent = bench()
    silent.sets[0]!.bands[0]!.channels[0]!.frequencyHz = 160e6
    const found = answer(
      clean().map(one => moved(one, 160)),
      silent,
    )
    expect(found).toMatchObject({ state: 'no-figure', because: [] })
  })

  it('a carrier within its power is no yes where the law has no figure for harmonics: 70 cm, 47 CFR 97.307', () => {
    const seventy = bench()
    seventy.sets[0]!.bands[0]!.channels[0]!.frequencyHz = 446e6
    // At the display, 50 dB under the socket.
    const power = reading('50 µW', { slot: 'carrier', frequencyHz: 446e6, stepId: POWER_STEP })
    const found = answer(
      [
        ...clean()
          .slice(0, 6)
          .map(one => moved(one, 446)),
        power,
      ],
      {
        ...seventy,
        instruments: [analyser({ toHz: 5e9, floorDbm: -120 })],
      },
    )
    expect(found.state).toBe('not-yet')
    const whole = answer([...clean().map(one => moved(one, 446)), power], {
      ...seventy,
      instruments: [analyser({ toHz: 5e9, floorDbm: -120 })],
    })
    expect(whole.state).toBe('no-figure')
    expect(whole.words).toEqual([expect.stringContaining('Carrier power')])
  })

  it('names what has a limit and was not looked at, and leaves it out once it is', () => {
    const land = bench()
    land.settings.rulebookIds = ['us-land-mobile']
    land.sets[0]!.bands[0]!.channels[0]!.frequencyHz = 154e6
    expect(
      answer(
        clean().map(one => moved(one, 154)),
        land,
      ).notLookedAt,
    ).toContain('Frequency error')
    const power = reading('5', { slot: 'carrier', frequencyHz: 146.52e6, stepId: POWER_STEP })
    expect(answer(clean()).notLookedAt).toContain('Carrier power')
    expect(answer([...clean(), power]).notLookedAt).not.toContain('Carrier power')
  })

  it('a radio without a band has no answer', () => {
    const review = bench()
    review.sets[0]!.bands = []
    expect(mayIKey(review.sets[0]!, createContext(review))).toEqual([])
  })
})

/** The same reading on another carrier. */
function moved(one: Reading, mhz: number): Reading {
  const n = Number(one.slot.slice(1))
  return one.seen.as === 'level'
    ? ({ ...one, seen: { ...one.seen, frequencyHz: n * mhz * 1e6 } } as Reading)
    : one
}
