import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  dbmFromWatts,
  dbFromPowerRatio,
  printClaimW,
  printDuration,
  printDbm,
  printFrequencyShort,
  printMargin,
  printMhzFigure,
  printNumber,
  printPlusMinus,
  printSigned,
  printWatts,
  wattsFromDbm,
} from '#core/quantity'

describe('printing', () => {
  it('uses the true minus and no negative nought', () => {
    expect(printNumber(-49, 1)).toBe('−49.0')
    expect(printNumber(-0.04, 1)).toBe('0.0')
    expect(printSigned(0.04, 1)).toBe('0.0')
    expect(printSigned(37, 1)).toBe('+37.0')
    expect(printNumber(null)).toBe('–')
    expect(printNumber(Number.NaN)).toBe('–')
    expect(printDbm(-16.0206, 2)).toBe('−16.02\u00a0dBm')
  })

  it('gives ranges two significant digits', () => {
    expect([1.7321, 0.1234, 0.05, 12.3].map(value => printPlusMinus(value, ''))).toEqual([
      '±1.7',
      '±0.12',
      '±0.050',
      '±12',
    ])
    expect(printPlusMinus(Number.NaN)).toBe('±?')
  })

  it('chooses the prefix of a power', () => {
    expect([4.37, 0.85, 25e-6, 0.9999999, 1500, 2e-9].map(powerW => printWatts(powerW))).toEqual([
      '4.37\u00a0W',
      '850\u00a0mW',
      '25.0\u00a0µW',
      '1.00\u00a0W',
      '1.50\u00a0kW',
      '2.00\u00a0nW',
    ])
    expect([5, 2.5, 0.5].map(printClaimW)).toEqual(['5\u00a0W', '2.5\u00a0W', '500\u00a0mW'])
  })

  it('prints times as one plans with them', () => {
    expect([0, 35, 89, 90, 720, 7169, 7200, 12_720].map(printDuration)).toEqual(
      ['0 s', '35 s', '89 s', '2 min', '12 min', '119 min', '2 h 0 min', '3 h 32 min'].map(words =>
        words.replaceAll(' ', '\u00a0').replace('h\u00a0', 'h '),
      ),
    )
  })

  it('prints frequencies and margins as people say them', () => {
    expect(printMhzFigure(146.52e6)).toBe('146.520')
    expect(printMhzFigure(446.00625e6)).toBe('446.00625')
    expect(printFrequencyShort(960e6)).toBe('960\u00a0MHz')
    expect(printFrequencyShort(3e9)).toBe('3\u00a0GHz')
    expect([15.53, -7.24, 28.4].map(printMargin)).toEqual(['15.5', '7.2', '28'])
  })
})

describe('conversions', () => {
  it('undo each other and rise together', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -180, max: 70, noNaN: true }),
        fc.double({ min: 0.001, max: 10, noNaN: true }),
        (dbm, step) =>
          Math.abs(dbmFromWatts(wattsFromDbm(dbm)) - dbm) < 1e-9 &&
          wattsFromDbm(dbm + step) > wattsFromDbm(dbm),
      ),
    )
  })

  it('refuse what has no level', () => {
    expect(() => dbmFromWatts(0)).toThrowError(expect.objectContaining({ code: 'not-positive' }))
    expect(() => dbFromPowerRatio(1, Number.NaN)).toThrowError(
      expect.objectContaining({ code: 'not-positive' }),
    )
  })
})
