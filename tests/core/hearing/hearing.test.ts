import { describe, expect, it } from 'vitest'
import {
  bestFrequency,
  bothReadings,
  claimLevelDbm,
  claimsFor,
  clickScatterDb,
  noiseCeiling,
  receiverClaimWords,
  testDeviationHz,
} from '#core/hearing'
import { readReceiverClaim } from '#core/review'
import { microvoltClaim } from '../../support/hearing'

describe('where a receiver hears best', () => {
  const parabola = (middle: number) =>
    [-1000, -500, 0, 500, 1000].map(offsetHz => ({
      offsetHz,
      sinadDb: 18 - 6 * ((offsetHz - middle) / 1000) ** 2,
    }))

  it.each([-450, 0, 320])('the top of a parabola at %d Hz', middle => {
    expect(bestFrequency(parabola(middle))).toEqual({ kind: 'found', offsetHz: middle })
  })

  it('a flat top asks for a lower level; two points are too few', () => {
    const flat = parabola(0).map(point => ({ ...point, sinadDb: 30 + point.sinadDb / 10 }))
    expect(bestFrequency(flat)).toMatchObject({ kind: 'flat' })
    expect(bestFrequency(parabola(0).slice(0, 2))).toEqual({ kind: 'too-few' })
  })

  it('a slope without a bend stops at the last reading', () => {
    const rising = [-1000, 0, 1000].map(offsetHz => ({ offsetHz, sinadDb: 12 + offsetHz / 250 }))
    expect(bestFrequency(rising)).toEqual({ kind: 'found', offsetHz: 1000 })
  })
})

describe('the noise of an interferer', () => {
  it('makes a bound of a figure from a tenth of the noise on, and not under it', () => {
    // Allowed: 3 dB above less 5 dB of C/N = −2 dB; a tenth of it −12 dB. In 8 kHz: −95 + 39.03 = −55.97 dBc.
    const at = (ratioDb: number) => noiseCeiling(-95, 12_500, { ratioDb, aboveDb: 3, carrierToNoiseDb: 5 })
    expect(at(43.9).isLowerBound).toBe(false)
    expect(at(44.1).isLowerBound).toBe(true)
    expect(at(40).ceilingDb).toBeCloseTo(53.97, 2)
    expect(at(43.97).share).toBeCloseTo(0.1, 2)
  })
})

describe('claims of a receiver', () => {
  it('0.2 µV is two levels; it is judged by the one that is chosen', () => {
    const claim = microvoltClaim(0.2)
    expect(bothReadings(claim)!.pdDbm).toBeCloseTo(-120.97, 2)
    expect(bothReadings(claim)!.emfDbm).toBeCloseTo(-126.99, 2)
    expect(claimLevelDbm(claim)).toBeCloseTo(-120.97, 2)
    expect(claimLevelDbm({ ...claim, takenAs: 'emf' })).toBeCloseTo(-126.99, 2)
    // What the box says goes before what the reviewer takes it for.
    expect(claimLevelDbm({ ...claim, voltageIs: 'emf', takenAs: 'pd' })).toBeCloseTo(-126.99, 2)
    expect(receiverClaimWords(claim)).toBe('0.2\u00a0µV, taken as pd for 12 dB SINAD')
  })

  it('one for the spacing goes before one for any; one without a figure is none', () => {
    const any = microvoltClaim(0.25)
    const narrow = microvoltClaim(0.3, { spacingHz: 12_500 })
    const silent = microvoltClaim(1, { value: null })
    expect(claimsFor({ receives: [any, narrow] }, 'sinad-12', 12_500)).toBe(narrow)
    expect(claimsFor({ receives: [any, narrow] }, 'sinad-12', 25_000)).toBe(any)
    expect(claimsFor({ receives: [silent] }, 'sinad-12', null)).toBeNull()
  })

  it.each([
    ['0.2', { value: 0.2, unit: 'µV', voltageIs: 'not-said' }],
    ['0.25uV emf', { value: 0.25, unit: 'µV', voltageIs: 'emf' }],
    ['0,18 µV pd', { value: 0.18, unit: 'µV', voltageIs: 'pd' }],
    ['-119 dBm', { value: -119, unit: 'dBm', voltageIs: 'not-said' }],
    ['6 dBµV emf', { value: 6, unit: 'dBµV', voltageIs: 'emf' }],
    ['not said', { value: null, unit: 'µV', voltageIs: 'not-said' }],
  ])('%s is read as it stands', (text, claim) => {
    expect(readReceiverClaim('sinad-12', text)).toEqual({ ok: true, claim })
  })

  it('a rejection is in dB, and a power in W', () => {
    expect(readReceiverClaim('selectivity', '65 dB')).toMatchObject({ claim: { value: 65, unit: 'dB' } })
    expect(readReceiverClaim('audio-power', '500 mW')).toMatchObject({ claim: { value: 0.5, unit: 'W' } })
    expect(readReceiverClaim('sinad-12', 'good')).toMatchObject({ ok: false })
  })
})

describe('facts of measuring a receiver', () => {
  it('the test deviation is 60 % of full: 3 kHz in 25, 2.4 in 20, 1.5 in 12.5 (receivers.md, section 3)', () => {
    expect([25_000, 20_000, 12_500].map(testDeviationHz)).toEqual([3000, 2400, 1500])
  })

  it('a steady second near the threshold is not believed more than clicks allow', () => {
    const steady = (sinadDb: number, spacingHz: number, seconds = 1) =>
      clickScatterDb({ sinadDb, seconds, standardUncertaintyDb: 0.08 }, spacingHz)
    const lucky = steady(10, 12_500)
    expect(lucky).toBeGreaterThan(0.4)
    expect(steady(10, 12_500, 4)).toBeCloseTo(lucky / 2, 5)
    // Clicks end where the deviation lets SINAD rise steeply: lower in narrow channels.
    expect(steady(18, 12_500)).toBe(0.08)
    expect(steady(18, 25_000)).toBeGreaterThan(0.4)
    expect(steady(26, 25_000)).toBe(0.08)
  })
})
