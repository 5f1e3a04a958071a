import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { dbmFromWatts } from '#core/quantity'
import {
  bandwidthConversionDb,
  clauseWords,
  evaluateLimit,
  evaluateScalar,
  evaluateSeveral,
  limitCurve,
  rulebookById,
  rulebooks,
  type Rulebook,
} from '#core/rules'

const usAmateur = rulebookById('us-amateur')

describe('evaluateLimit', () => {
  it('explains itself with figures', () => {
    const answer = evaluateLimit(usAmateur, { powerW: 5.1, frequencyHz: 146.52e6 })
    expect(answer.reason.replaceAll('\u00a0', ' ')).toBe(
      '5.10 W on 146.520 MHz (clause for 30 MHz to 225 MHz, up to 25 W). At most 25 µW is −16.02 dBm; at least 40 dB down is −2.92 dBm. Both apply, so the stricter holds: −16.02 dBm. Nothing is asked below 10 µW (−20 dBm).',
    )
    expect(answer.kind === 'limit' && answer.demands.map(({ governs }) => governs)).toEqual([
      true,
      false,
      false,
    ])
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
    fc.assert(
      fc.property(
        fc.double({ min: 1e-3, max: 1e3, noNaN: true }),
        fc.double({ min: 1, max: 3, noNaN: true }),
        (powerW, more) =>
          limit(powerW * more) >= limit(powerW) - 1e-9 &&
          limit(powerW) <= Math.max(-20, dbmFromWatts(powerW) - 40) + 1e-9,
      ),
    )
  })

  it('gives no verdict by a clause marked L', () => {
    const vague: Rulebook = {
      ...usAmateur,
      clauses: usAmateur.clauses.map(limit => ({ ...limit, confidence: 'L' as const })),
    }
    expect(evaluateLimit(vague, { powerW: 5, frequencyHz: 146.52e6 }).kind).toBe('no-figure')
  })

  it('refuses a carrier without power or frequency', () => {
    for (const carrier of [
      { powerW: 0, frequencyHz: 1e8 },
      { powerW: 5, frequencyHz: Number.NaN },
    ])
      expect(() => evaluateLimit(usAmateur, carrier)).toThrowError(
        expect.objectContaining({ code: 'not-positive' }),
      )
  })
})

describe('what hangs on more than the carrier', () => {
  const frs = rulebookById('us-frs')
  const interstitial = { frequencyHz: 467.5625e6, powerW: 0.5 }

  it('radiated power asks for the antenna, and is taken back to the socket with it', () => {
    expect(evaluateLimit(frs, interstitial, undefined, 'carrier-power')).toMatchObject({
      kind: 'cannot-judge',
      asks: ['antenna-gain'],
    })
    expect(
      evaluateLimit(frs, { ...interstitial, antennaGainDbd: -3 }, undefined, 'carrier-power'),
    ).toMatchObject({ kind: 'limit', limitDbm: expect.closeTo(26.99 + 3, 2) })
  })

  it('channel spacing and mode are asked for where clauses hang on them', () => {
    expect(evaluateLimit(rulebookById('us-land-mobile'), { frequencyHz: 155e6, powerW: 5 })).toMatchObject({
      kind: 'cannot-judge',
      asks: ['channel-spacing'],
    })
    expect(
      evaluateLimit(rulebookById('us-land-mobile'), {
        frequencyHz: 155e6,
        powerW: 5,
        channelSpacingHz: 12500,
      }),
    ).toMatchObject({ kind: 'limit', limitDbm: expect.closeTo(-20, 9) })
    expect(
      evaluateScalar(rulebookById('us-cb'), 'occupied-bandwidth', { frequencyHz: 27.185e6, powerW: 4 }),
    ).toMatchObject({ kind: 'cannot-judge', asks: ['mode'] })
    expect(
      evaluateScalar(rulebookById('us-cb'), 'occupied-bandwidth', {
        frequencyHz: 27.185e6,
        powerW: 4,
        mode: 'SSB',
      }),
    ).toMatchObject({ kind: 'scalar', limit: { value: 4, unit: 'kHz' } })
  })

  it('a clause from twice the carrier up does not touch what lies below; with both, the stricter holds and the other is told', () => {
    const carrier = { frequencyHz: 27.185e6, powerW: 4, mode: 'FM' as const }
    const harmonic = evaluateLimit(rulebookById('us-cb'), carrier, { frequencyHz: 54.37e6, harmonic: 2 })
    expect(harmonic).toMatchObject({
      limitDbm: expect.closeTo(36.02 - 60, 2),
      clause: '47 CFR 95.979, twice the carrier and above',
    })
    expect(harmonic.reason).toContain('47 CFR 95.979 would ask for −23.00')
    expect(
      evaluateLimit(rulebookById('us-cb'), carrier, { frequencyHz: 40e6, harmonic: null }),
    ).toMatchObject({ limitDbm: expect.closeTo(-23, 6) })
  })

  it('standby is not operating', () => {
    const carrier = { frequencyHz: 446.1e6, powerW: 0.5 }
    const at = (frequencyHz: number, state: 'operating' | 'standby') =>
      evaluateLimit(rulebookById('eu-pmr446'), carrier, { frequencyHz, harmonic: null, state })
    expect(
      [at(900e6, 'operating'), at(1.3e9, 'operating'), at(900e6, 'standby'), at(1.3e9, 'standby')].map(
        answer => (answer.kind === 'limit' ? Math.round(answer.limitDbm) : null),
      ),
    ).toEqual([-36, -30, -57, -47])
  })

  it('masks step by distance, in Hz or in percent of the bandwidth', () => {
    const carrier = { frequencyHz: 462.5625e6, powerW: 2 }
    const off = (book: string, kHz: number) => {
      const answer = evaluateLimit(rulebookById(book), carrier, {
        frequencyHz: carrier.frequencyHz + kHz * 1e3,
        harmonic: null,
      })
      return answer.kind === 'limit' ? answer.limitDbm : null
    }
    expect(off('us-frs', 10)).toBeCloseTo(33.01 - 25, 2)
    expect(off('us-frs', 20)).toBeCloseTo(33.01 - 35, 2)
    expect(off('us-frs', 40)).toBeCloseTo(-13, 9)
    expect(off('us-frs', 5)).toBeNull()
    expect(off('us-gmrs', 15)).toBeCloseTo(33.01 - 25, 2)
    expect(off('us-gmrs', 45)).toBeCloseTo(33.01 - 35, 2)
    expect(off('us-gmrs', 55)).toBeCloseTo(-13, 9)
  })

  it('several at once: the strictest holds, each is told, and what cannot be judged comes before no figure', () => {
    const carrier = { frequencyHz: 146.52e6, powerW: 5 }
    const both = evaluateSeveral([rulebookById('itu-spurious'), usAmateur], carrier)
    expect(both.strictest).toMatchObject({
      limitDbm: expect.closeTo(-16.02, 2),
      rulebook: { id: 'us-amateur' },
    })
    expect(both.each.map(answer => (answer.kind === 'limit' ? Math.round(answer.limitDbm) : null))).toEqual([
      -13, -16,
    ])
    expect(
      evaluateSeveral([usAmateur, rulebookById('us-land-mobile')], { frequencyHz: 155e6, powerW: 5 })
        .strictest.kind,
    ).toBe('cannot-judge')
  })

  it('whichever is less stringent loosens: 43 + 10 log P up to 500 W, 70 dB above', () => {
    const limit = (powerW: number) =>
      evaluateLimit(rulebookById('itu-spurious'), { frequencyHz: 146e6, powerW })
    expect(limit(5)).toMatchObject({ limitDbm: expect.closeTo(-13, 9), slope: 0 })
    expect(limit(1000)).toMatchObject({ limitDbm: expect.closeTo(-10, 9), slope: 1 })
    expect(limit(5).reason).toContain('Whichever asks less')
  })

  it('names the reference bandwidth, and what another one means', () => {
    expect(
      evaluateLimit(
        rulebookById('itu-spurious'),
        { frequencyHz: 446e6, powerW: 5 },
        { frequencyHz: 1338e6, harmonic: 3 },
      ),
    ).toMatchObject({ referenceBandwidthHz: 1e6 })
    expect(bandwidthConversionDb(100e3, 10e3)).toBeCloseTo(10, 9)
    expect(bandwidthConversionDb(100e3, 300e3)).toBeCloseTo(-4.771, 3)
  })

  it('a figure switched off as vague is told, not judged by', () => {
    const answer = evaluateScalar(rulebookById('uk-cb'), 'deviation', { frequencyHz: 27.78125e6, powerW: 4 })
    expect(answer).toMatchObject({ kind: 'no-figure' })
    expect(answer.reason).toContain('too vaguely')
  })

  it('can be drawn over frequency, with its steps', () => {
    const { points, answer } = limitCurve(
      rulebookById('eu-cb'),
      { frequencyHz: 27.185e6, powerW: 4, mode: 'FM' },
      { fromHz: 1e6, toHz: 2e9, points: 200 },
    )
    const at = (hz: number) => points.filter(point => point.frequencyHz <= hz).at(-1)!.limitDbm!
    expect([at(40e6), at(60e6), at(80e6), at(1.5e9)].map(Math.round)).toEqual([-36, -54, -36, -30])
    expect(points.every((point, i) => i === 0 || point.frequencyHz >= points[i - 1]!.frequencyHz)).toBe(true)
    expect(answer.kind).toBe('limit')
  })
})

describe('rulebooks', () => {
  it('are found by id, and missed in words', () => {
    for (const rulebook of rulebooks) expect(rulebookById(rulebook.id)).toBe(rulebook)
    expect(() => rulebookById('atlantis')).toThrowError(expect.objectContaining({ code: 'unknown-id' }))
  })

  it('read as lines', () => {
    expect(
      clauseWords(usAmateur).map(line =>
        `${line.clause} ${line.when}: ${line.asks}`.replaceAll('\u00a0', ' '),
      )[1],
    ).toBe(
      '47 CFR 97.307(e) 30 MHz to 225 MHz; up to 25 W: at most 25 µW (−16 dBm) and at least 40 dB down; nothing asked below 10 µW',
    )
  })
})
