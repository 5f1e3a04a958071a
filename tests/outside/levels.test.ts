import { describe, expect, it } from 'vitest'
import {
  dbFromPowerRatio,
  dbmFromDbuvEmf,
  dbmFromDbuvPd,
  dbmFromVoltsPd,
  dbmFromWatts,
  voltsPdFromDbm,
  wattsFromDbm,
} from '#core/quantity'

// Definitions: dBm is 10·log10(P/1 mW) (IEC 60027-3); V = sqrt(P·50 Ω); emf = 2·pd. Values worked out from
// them by hand.
describe('levels in 50 Ω, from the definitions', () => {
  it.each([
    [5, 36.99],
    [25e-6, -16.02],
    [10e-6, -20],
    [0.25e-6, -36.02],
    [2e-9, -56.99],
    [1, 30],
    [50, 46.99],
  ])('%d W is %d dBm', (powerW, dbm) => expect(dbmFromWatts(powerW)).toBeCloseTo(dbm, 2))
  it('+18 dBm is 63.1 mW', () => expect(wattsFromDbm(18) * 1e3).toBeCloseTo(63.1, 1))
  it('−130 dBm is 0.0707 µV pd', () => expect(voltsPdFromDbm(-130) * 1e6).toBeCloseTo(0.0707, 4))
  it('−107 dBm is 1.00 µV pd', () => expect(voltsPdFromDbm(-107) * 1e6).toBeCloseTo(1, 2))
  it('1 µV pd is −106.99 dBm', () => expect(dbmFromVoltsPd(1e-6)).toBeCloseTo(-106.99, 2))
  it.each([
    [-113, 0.5],
    [-116, 0.354],
    [-119, 0.251],
  ])('%d dBm is %d µV', (dbm, microvolt) => expect(voltsPdFromDbm(dbm) * 1e6).toBeCloseTo(microvolt, 2))
  it('0 dBµV pd is −106.99 dBm, and 6 dBµV emf about −107 dBm', () => {
    expect(dbmFromDbuvPd(0)).toBeCloseTo(-106.99, 2)
    expect(dbmFromDbuvEmf(6)).toBeCloseTo(-107.01, 2)
  })
  it('35 W against 50 W is −1.55 dB', () => expect(dbFromPowerRatio(35, 50)).toBeCloseTo(-1.55, 2))
})
