import { describe, expect, it } from 'vitest'
import { benchChecks, type BenchCheckInput, newPart, worstSeverity } from '#core/chain'
import { analyser, chainOf, meter, pad } from '../../support/bench'

function checks(change: Partial<BenchCheckInput>) {
  return benchChecks({
    chain: chainOf([pad(30), pad(20, { id: 'p20', ratingW: 2 })]),
    instrument: analyser({ toHz: 960e6, floorDbm: -88 }),
    carrierHz: 146.52e6,
    powerW: 5,
    powerFrom: 'claim',
    harmonicLimitDbm: -16.02,
    highestHarmonic: 10,
    ...change,
  })
}
const find = (id: string, change: Partial<BenchCheckInput>) =>
  checks(change).find(check => check.id.startsWith(id))

describe('bench checks', () => {
  it('finds a sound chain in order but for its reach', () => {
    expect(worstSeverity(checks({}))).toBe('note')
    expect(find('reach', {})?.title).toContain('×7 and up')
    expect(find('offset', {})?.title).toContain('+50.00 dB at 146.52')
  })

  it('forbids keying up when the analyser would break, and says how much padding is missing', () => {
    const check = find('damage', { chain: chainOf([pad(20)]) })
    expect(check).toMatchObject({ severity: 'danger', lamp: 'Analyser would be damaged' })
    expect(check?.text).toContain('17')
  })

  it('warns near damage and in overload', () => {
    expect(find('damage', { chain: chainOf([pad(28)]), powerW: 5 })).toMatchObject({ severity: 'caution' })
    expect(find('overload', { chain: chainOf([pad(40)]) })).toMatchObject({
      severity: 'caution',
      lamp: 'Analyser overloaded',
    })
  })

  it.each([
    [2, 'danger'],
    [5.5, 'caution'],
    [50, 'ok'],
    [null, 'caution'],
  ] as const)('judges a pad rated %s W behind 5 W: %s', (ratingW, severity) => {
    expect(
      find('heat:pad30', { chain: chainOf([pad(30, { ratingW }), pad(20, { id: 'p20' })]) })?.severity,
    ).toBe(severity)
  })

  it('judges what a rated jumper carries, not what it soaks up', () => {
    expect(
      find('heat:j', { chain: chainOf([{ ...newPart('j', 'jumper'), ratingW: 3 }, pad(50)]) }),
    ).toMatchObject({ severity: 'danger', title: expect.stringContaining('carries') })
  })

  it('wants a load behind an in-line meter, large enough', () => {
    expect(find('open', { instrument: meter({ inLine: true }), chain: chainOf([]) })).toMatchObject({
      severity: 'danger',
    })
    const load = { ...newPart('load', 'load'), ratingW: 10 }
    expect(
      find('heat:load', { instrument: meter({ inLine: true }), chain: chainOf([load]), powerW: 25 }),
    ).toMatchObject({ severity: 'danger' })
    expect(
      find('heat:load', { instrument: meter({ inLine: true }), chain: chainOf([load]), powerW: 5 }),
    ).toMatchObject({ severity: 'ok' })
  })

  it('guards a power meter', () => {
    expect(find('damage', { instrument: meter({ maxInputW: 2 }), chain: chainOf([]) })).toMatchObject({
      severity: 'danger',
    })
    expect(
      find('overload', { instrument: meter({ fullScaleW: 2, maxInputW: 100 }), chain: chainOf([]) }),
    ).toMatchObject({ severity: 'caution' })
  })

  it('wants a harmonic at its limit 10 dB above the noise', () => {
    expect(find('floor', {})).toMatchObject({ severity: 'ok', title: expect.stringContaining('22') })
    expect(find('floor', { instrument: analyser({ floorDbm: -74 }) })).toMatchObject({ severity: 'caution' })
    expect(find('floor', { harmonicLimitDbm: null })).toBeUndefined()
  })

  it('compares the offset set on the instrument with the one asked for', () => {
    expect(find('offset', { chain: chainOf([pad(50)], { offsetOnInstrumentDb: 50 }) })?.severity).toBe('ok')
    expect(find('offset', { chain: chainOf([pad(50)], { offsetOnInstrumentDb: 40 }) })?.severity).toBe(
      'caution',
    )
  })

  it('refuses a chain without instrument or with an unknown loss', () => {
    expect(worstSeverity(checks({ instrument: undefined }))).toBe('danger')
    expect(find('loss-unknown', { chain: chainOf([pad(30, { toHz: 1e8 })]) })).toMatchObject({
      severity: 'danger',
    })
  })

  it('says when the power is assumed', () => {
    expect(
      find('heat:pad30', { powerFrom: 'assumed', chain: chainOf([pad(30, { ratingW: 4 })]) })?.title,
    ).toContain('assumed')
  })
})

describe('the floor against limits that differ from one harmonic to the next', () => {
  it('names only those that would lie too near the noise', () => {
    const floor = (limitAtDbm: (n: number) => number | null) =>
      benchChecks({
        chain: chainOf([pad(50)]),
        instrument: analyser({ floorDbm: -100, toHz: 3e9 }),
        carrierHz: 27.185e6,
        powerW: 4,
        powerFrom: 'claim',
        harmonicLimitDbm: -54,
        limitAtDbm,
        highestHarmonic: 10,
      }).find(({ id }) => id === 'floor')!
    expect(floor(n => (n % 2 ? -36 : -54)).title).toBe(
      'A harmonic right at its limit would lie in the noise at ×2, ×4, ×6, ×8, ×10.',
    )
    expect(floor(() => -45).title).toContain('only 5.0')
    expect(floor(() => -30)).toMatchObject({ severity: 'ok' })
  })
})
