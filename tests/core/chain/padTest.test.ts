import { describe, expect, it } from 'vitest'
import { judgePadTest, type PadTest } from '#core/chain'
import { AT } from '../../support/bench'

const test = (change: Partial<PadTest>): PadTest => ({
  id: 'p',
  chainId: 'ch',
  at: AT,
  harmonic: 2,
  frequencyHz: 293.04e6,
  padDb: 10,
  padHalfWidthDb: 0.3,
  withoutDbm: -50,
  withDbm: -60,
  resolutionDb: 0.1,
  ...change,
})
const outcome = (change: Partial<PadTest>, floorDbm = -100) => judgePadTest(test(change), floorDbm).outcome

// Handbook, section 4: a real harmonic falls by the pad; one made inside by 10 dB more (2nd) or 20 dB more
// (3rd).
describe('the pad test', () => {
  it.each([
    ['falls by the pad', { withDbm: -60.2 }, 'radio'],
    ['falls by twice the pad, second', { withDbm: -70 }, 'analyser'],
    ['falls by three times the pad, third', { harmonic: 3, withDbm: -80 }, 'analyser'],
    ['falls by twice the pad, third: between the two', { harmonic: 3, withDbm: -70 }, 'both'],
    ['falls by half as much again', { withDbm: -65 }, 'both'],
    ['falls by less than the pad', { withDbm: -55 }, 'cannot-tell'],
  ] as const)('%s', (_name, change, expected) => expect(outcome(change)).toBe(expected))

  it('cannot tell in the noise', () => {
    expect(judgePadTest(test({ withDbm: -69 }), -70)).toMatchObject({
      outcome: 'cannot-tell',
      words: expect.stringContaining('fell into the noise'),
    })
    expect(judgePadTest(test({ withoutDbm: -69, withDbm: -70 }), -70).words).toContain('with and without')
  })
})
