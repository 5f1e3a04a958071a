import { describe, expect, it } from 'vitest'
import { claimText, type PowerClaim, readClaim } from '#core/review'

const watts = (powerW: number): PowerClaim => ({ kind: 'watts', powerW })

describe('a claim as typed on the card', () => {
  it.each<[string, PowerClaim]>([
    ['5', watts(5)],
    ['5 W', watts(5)],
    ['500 mW', watts(0.5)],
    // 37 dBm is 5.0119 W: 10^0.7.
    ['37 dBm', watts(5.01187234)],
    ['not said', { kind: 'not-said' }],
    ['The maker does not say', { kind: 'not-said' }],
    ['?', { kind: 'not-said' }],
    ['  ', { kind: 'not-said' }],
    ['none', { kind: 'no-level' }],
    ['–', { kind: 'no-level' }],
  ])('“%s” is understood', (text, claim) => expect(readClaim(text)).toEqual({ ok: true, claim }))

  it('what is no power is refused in words', () => {
    const read = readClaim('five')
    expect(read).toEqual({ ok: false, message: expect.stringMatching(/\w{4}/) })
  })

  it.each(['5', 'not said', 'none', '0.5'])('“%s” comes back from its field the same', text => {
    const read = readClaim(text)
    if (!read.ok) throw new Error(read.message)
    expect(readClaim(claimText(read.claim))).toEqual(read)
  })
})
