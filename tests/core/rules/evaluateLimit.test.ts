import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { dbmFromWatts } from '#core/quantity'
import { clauseWords, evaluateLimit, rulebookById, rulebooks, type Rulebook, usAmateur } from '#core/rules'

describe('evaluateLimit', () => {
  it('explains itself with figures', () => {
    const answer = evaluateLimit(usAmateur, { powerW: 5.1, frequencyHz: 146.52e6 })
    expect(answer.reason.replaceAll('\u00a0', ' ')).toBe('5.10 W on 146.520 MHz (clause for 30 MHz to 225 MHz, up to 25 W). At most 25 µW is −16.02 dBm; at least 40 dB down is −2.92 dBm. Both apply, so the stricter holds: −16.02 dBm. Nothing is asked below 10 µW (−20 dBm).')
    expect(answer.kind === 'limit' && answer.demands.map(({ governs }) => governs)).toEqual([true, false, false])
  })

  it('says when the 10 µW rest governs', () => {
    const answer = evaluateLimit(usAmateur, { powerW: 0.05, frequencyHz: 146.52e6 })
    expect(answer).toMatchObject({ limitDbm: expect.closeTo(-20, 9), slope: 0 })
    expect(answer.reason).toContain('But nothing need be brought below')
  })

  it('follows the carrier only where the relative demand governs', () => {
    const slope = (powerW: number) => {
      const answer = evaluateLimit(usAmateur, { powerW, frequencyHz: 146.52e6 })
      return answer.kind === 'limit' ? answer.slope : null
    }
    expect([0.05, 0.15, 5, 50].map(slope)).toEqual([0, 1, 0, 1])
  })

  it('never falls as the carrier rises, and never lies above both demands and the rest', () => {
    const limit = (powerW: number) => {
      const answer = evaluateLimit(usAmateur, { powerW, frequencyHz: 146.52e6 })
      return answer.kind === 'limit' ? answer.limitDbm : Number.NaN
    }
    fc.assert(fc.property(fc.double({ min: 1e-3, max: 1e3, noNaN: true }), fc.double({ min: 1, max: 3, noNaN: true }), (powerW, more) =>
      limit(powerW * more) >= limit(powerW) - 1e-9 && limit(powerW) <= Math.max(-20, dbmFromWatts(powerW) - 40) + 1e-9))
  })

  it('gives no verdict by a clause marked L', () => {
    const vague: Rulebook = { ...usAmateur, limits: usAmateur.limits.map(limit => ({ ...limit, confidence: 'L' as const })) }
    expect(evaluateLimit(vague, { powerW: 5, frequencyHz: 146.52e6 }).kind).toBe('no-figure')
  })

  it('refuses a carrier without power or frequency', () => {
    for (const carrier of [{ powerW: 0, frequencyHz: 1e8 }, { powerW: 5, frequencyHz: Number.NaN }]) expect(() => evaluateLimit(usAmateur, carrier)).toThrowError(expect.objectContaining({ code: 'not-positive' }))
  })
})

describe('rulebooks', () => {
  it('are found by id, and missed in words', () => {
    for (const rulebook of rulebooks) expect(rulebookById(rulebook.id)).toBe(rulebook)
    expect(() => rulebookById('atlantis')).toThrowError(expect.objectContaining({ code: 'unknown-id' }))
  })

  it('read as lines', () => {
    expect(clauseWords(usAmateur).map(line => `${line.clause} ${line.power}: ${line.asks}`.replaceAll('\u00a0', ' '))[1]).toBe('47 CFR 97.307(e) up to 25 W: at most 25 µW and at least 40 dB down; nothing asked below 10 µW')
  })
})
