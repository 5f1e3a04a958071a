import { describe, expect, it } from 'vitest'
import { dbmFromWatts } from '#core/quantity'
import { evaluateLimit, rulebookById } from '#core/rules'

const usAmateur = rulebookById('us-amateur')
const goodPractice = rulebookById('good-practice')

// 47 CFR 97.307(d) and (e), from memory: 30 to 225 MHz by the fundamental; up to 25 W at most 25 µW and at
// least 40 dB down,
// but nothing need be brought below 10 µW; above 25 W at least 60 dB down. Expected values worked out by
// hand.
const limitOf = (powerW: number, mhz: number) => {
  const answer = evaluateLimit(usAmateur, { powerW, frequencyHz: mhz * 1e6 })
  return answer.kind === 'limit' ? answer.limitDbm : null
}

describe('47 CFR 97.307(e), recalled', () => {
  it.each([
    [5, -16.02, 53],
    [25, -16.02, 60],
    [25.001, -16.02, 60],
    [50, -13.01, 60],
    [1, -16.02, 46.02],
    [0.25, -16.02, 40],
    [0.1, -20, 40],
    [0.05, -20, 36.99],
    [2.5, -16.02, 50],
  ])('%d W on 146.52 MHz: limit %d dBm, %d dB below the carrier', (powerW, limitDbm, downDb) => {
    expect(limitOf(powerW, 146.52)).toBeCloseTo(limitDbm, 2)
    expect(dbmFromWatts(powerW) - limitOf(powerW, 146.52)!).toBeCloseTo(downDb, 1)
  })

  it('has no step at 25 W', () =>
    expect(limitOf(25.000001, 146.52)! - limitOf(25, 146.52)!).toBeCloseTo(0, 5))

  it('is chosen by the fundamental: 222.1 MHz has a figure though its harmonics lie above 225 MHz', () =>
    expect(limitOf(5, 222.1)).toBeCloseTo(-16.02, 2))

  it('names no figure for 445 MHz, and says so in words', () => {
    const answer = evaluateLimit(usAmateur, { powerW: 5, frequencyHz: 445e6 })
    expect(answer).toMatchObject({ kind: 'no-figure', clause: '47 CFR 97.307(c)' })
    expect(answer.reason).toContain('no figure')
  })

  it('asks 43 dB below 30 MHz (97.307(d), after 2003)', () =>
    expect(limitOf(100, 14.2)).toBeCloseTo(50 - 43, 6))

  it('does not speak of a carrier outside the amateur bands', () => {
    expect(limitOf(4, 27.185)).toBeNull()
    expect(limitOf(5, 156.8)).toBeNull()
  })

  it('turns from figure to none exactly at 225 MHz', () => {
    const everywhere = { ...usAmateur, bands: [] }
    expect(evaluateLimit(everywhere, { powerW: 5, frequencyHz: 225e6 }).kind).toBe('limit')
    expect(evaluateLimit(everywhere, { powerW: 5, frequencyHz: 225.0001e6 }).kind).toBe('no-figure')
    expect(evaluateLimit(everywhere, { powerW: 5, frequencyHz: 30e6 })).toMatchObject({
      clause: '47 CFR 97.307(e)',
    })
    expect(evaluateLimit(everywhere, { powerW: 5, frequencyHz: 29.9e6 })).toMatchObject({
      clause: '47 CFR 97.307(d)',
    })
  })
})

// Common practice, no source: 60 dB down is borrowed for bands where the law names no figure.
describe('the reviewer’s yardstick', () => {
  it('is 60 dB under the carrier and stands as a yardstick, not as law', () => {
    const answer = evaluateLimit(goodPractice, { powerW: 5, frequencyHz: 445e6 })
    expect(answer).toMatchObject({
      kind: 'limit',
      limitDbm: expect.closeTo(-23.01, 2),
      rulebook: { standing: 'yardstick' },
    })
  })
})
