import { describe, expect, it } from 'vitest'
import { benchChecks, chainLossAt, joinedChain, newPocketGenerator } from '#core/chain'
import { createContext } from '#core/context'
import { removeChain } from '#core/review'
import { chainOf, pad } from '../../support/bench'
import { generator, hearingReview } from '../../support/hearing'

const checksOf = (instrument: ReturnType<typeof generator>, parts = [pad(10)], powerW = 5) =>
  benchChecks({
    chain: chainOf(parts, { instrumentId: instrument.id }),
    instrument,
    carrierHz: 154e6,
    powerW,
    powerFrom: 'claim',
    harmonicLimitDbm: null,
    highestHarmonic: 1,
  })
const reverse = (instrument: ReturnType<typeof generator>, parts = [pad(10)]) =>
  checksOf(instrument, parts).find(({ id }) => id === 'reverse-power')!

describe('a generator at the end of a path', () => {
  it('what a keyed radio would do to it: both sides of what it survives', () => {
    // 5 W behind 10 dB is 500 mW.
    expect(reverse(generator({ reverseW: 0.49 })).severity).toBe('danger')
    expect(reverse(generator({ reverseW: 0.51 })).severity).toBe('caution')
    expect(reverse(generator({ reverseW: 1.1 })).severity).toBe('ok')
  })

  it('says how much pad is missing, and 10 mW where nobody says what it survives', () => {
    expect(reverse(generator({ reverseW: null })).title).toMatch(/10\smW \(nobody says; assumed\)/)
    // 37 dBm into 10 dBm less 3 dB: 30 dB in all, 20 more than there are.
    expect(reverse(generator({ reverseW: 0.01 })).text).toMatch(/20\sdB of pad/)
    expect(reverse(generator({ reverseW: 0.01 }), [pad(30)]).severity).toBe('ok')
  })

  it('reaches its levels less the path at the socket', () => {
    const levels = checksOf(generator({ lowestDbm: -120, highestDbm: -20 })).find(
      ({ id }) => id === 'levels',
    )!
    expect(levels.title).toContain('−130\u00a0dBm to −30\u00a0dBm')
  })

  it('heats no part: nobody keys into it', () => {
    const weakPad = [pad(10, { ratingW: 0.1 })]
    expect(checksOf(generator(), weakPad).some(({ id }) => id.startsWith('heat'))).toBe(false)
  })

  it('a pocket one is typical, and says so', () => {
    expect(newPocketGenerator('x')).toMatchObject({ assumed: true, build: 'pocket', channels: 1 })
  })
})

describe('a path that joins another', () => {
  const review = hearingReview({ second: generator({ id: 'gen2' }) })

  it('is the other’s up to where it joins, then its own', () => {
    const context = createContext(review)
    const whole = context.chain('other')!
    expect(whole.parts.map(({ id }) => id)).toEqual(['combiner', 'second-pad'])
    expect(chainLossAt(whole, context.instrument('gen2'), 154e6)).toEqual({ known: true, lossDb: 10 })
    // The very same object as long as nothing behind it changed.
    expect(context.chain('other')).toBe(whole)
  })

  it('follows the other when that is changed', () => {
    const [host, other] = review.chains
    const longer = { ...host!, parts: [pad(3, { id: 'more' }), ...host!.parts] }
    expect(joinedChain(other!, longer).parts.map(({ id }) => id)).toEqual(['more', 'combiner', 'second-pad'])
    expect(joinedChain(other!, undefined)).toBe(other)
    expect(joinedChain({ ...other!, joins: { chainId: 'hear', partId: 'gone' } }, host).parts).toHaveLength(1)
  })

  it('leads to the radio by itself once the other is gone', () => {
    const copy = structuredClone(review)
    removeChain(copy, 'hear')
    expect(copy.chains).toMatchObject([{ id: 'other', joins: null }])
  })
})
