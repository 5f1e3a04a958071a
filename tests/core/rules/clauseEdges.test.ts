import { describe, expect, it } from 'vitest'
import { evaluateLimit, type LimitClause, limitsOfCarrier, rulebookById, type Rulebook } from '#core/rules'

/** A rulebook of one clause: 50 dB down, and what a test says of it. */
function book(change: Partial<LimitClause> = {}, bands: Rulebook['bands'] = []): Rulebook {
  const base = rulebookById('itu-spurious', [])
  return {
    ...base,
    id: 'test',
    bands,
    clauses: [
      {
        ...{ id: 'c', clause: 'Test 1', about: 'unwanted', confidence: 'H', recalled: false, when: {} },
        ...{ limit: { kind: 'relative', attenuationDb: 50 }, basis: 'conducted', note: '' },
        ...change,
      } as LimitClause,
    ],
    noFigure: [],
  }
}
const carrier = { frequencyHz: 100e6, powerW: 1 }
const at = (frequencyHz: number, rulebook: Rulebook) =>
  evaluateLimit(rulebook, carrier, { frequencyHz, harmonic: null })

describe('a clause that begins so far from the carrier', () => {
  const away = book({ when: { awayHz: 50e3 } })
  it('speaks from there on; nearer the emission is out-of-band, and said so', () => {
    expect(at(100.05e6, away).kind).toBe('limit')
    expect(at(100.049e6, away)).toMatchObject({
      kind: 'no-figure',
      reason: expect.stringContaining('out-of-band'),
    })
    expect(at(99.951e6, away)).toMatchObject({
      kind: 'no-figure',
      reason: expect.stringContaining('out-of-band'),
    })
  })
  it('is no out-of-band matter where the clause does not speak of such a carrier at all', () => {
    const other = book({ when: { awayHz: 50e3, carrierHz: [[200e6, 300e6]] } })
    expect(at(100.049e6, other)).toMatchObject({ kind: 'no-figure' })
    expect(at(100.049e6, other)).toMatchObject({ reason: expect.not.stringContaining('out-of-band') })
  })
})

describe('a clause nobody is sure of', () => {
  it('never gives a figure', () => {
    expect(at(200e6, book({ confidence: 'L' })).kind).toBe('no-figure')
    expect(at(200e6, book({ confidence: 'M' })).kind).toBe('limit')
  })
})

describe('the bands of a service', () => {
  const service = (fromHz: number, toHz: number) => at(200e6, book({}, [{ name: 'b', fromHz, toHz }])).kind
  it('hold their edges', () => {
    expect(service(100e6, 200e6)).toBe('limit')
    expect(service(50e6, 100e6)).toBe('limit')
    expect(service(100e6 + 1, 200e6)).toBe('no-figure')
    expect(service(50e6, 100e6 - 1)).toBe('no-figure')
  })
})

describe('limits of which one holds', () => {
  const dbm = (kind: 'strictest' | 'loosest', ...attenuations: number[]) => {
    const limit = {
      kind,
      of: attenuations.map(attenuationDb => ({ kind: 'relative' as const, attenuationDb })),
    }
    const found = at(200e6, book({ limit }))
    return found.kind === 'limit' ? found.limitDbm : null
  }
  it('the strictest is the lowest, the loosest the highest, in whatever order', () => {
    expect([dbm('strictest', 40, 60, 50), dbm('strictest', 60, 40)]).toEqual([-30, -30])
    expect([dbm('loosest', 60, 40, 50), dbm('loosest', 40, 60)]).toEqual([-10, -10])
  })
  it('one that says nothing here is passed over', () => {
    const silent = {
      kind: 'by-emission' as const,
      segments: [{ fromHz: 1e9, toHz: 2e9, limit: { kind: 'relative' as const, attenuationDb: 90 } }],
    }
    const limit = {
      kind: 'strictest' as const,
      of: [silent, { kind: 'relative' as const, attenuationDb: 40 }],
    }
    expect(at(200e6, book({ limit }))).toMatchObject({ kind: 'limit', limitDbm: -10 })
  })
})

describe('limits ready for one carrier', () => {
  it('are those worked out one by one, also where a clause begins away from it or at a multiple', () => {
    const rulebook = book({ when: { awayHz: 50e3, fromCarrierTimes: 2 } })
    const limits = limitsOfCarrier(rulebook, carrier, null)
    for (const frequencyHz of [100.04e6, 100.06e6, 199e6, 200e6, 250e6, 900e6]) {
      const emission = { frequencyHz, harmonic: null }
      expect(limits(emission).kind).toBe(evaluateLimit(rulebook, carrier, emission).kind)
    }
  })
})
