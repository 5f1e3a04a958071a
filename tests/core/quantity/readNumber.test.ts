import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { readNumber } from '#core/quantity'

describe('readNumber', () => {
  it.each([
    ['5', 5, 1, ''],
    ['4.370 W', 4.37, 0.001, 'W'],
    ['4,37W', 4.37, 0.01, 'W'],
    ['.5', 0.5, 0.1, ''],
    [',5', 0.5, 0.1, ''],
    ['1.234.567', 1234567, 1, ''],
    ['1.234,5', 1234.5, 0.1, ''],
    ['1,234.5', 1234.5, 0.1, ''],
    ['12 345,6 kHz', 12345.6, 0.1, 'kHz'],
    ['12\u202f345 kHz', 12345, 1, 'kHz'],
    ['−3', -3, 1, ''],
    ['- 3', -3, 1, ''],
    ['2e3', 2000, 1000, ''],
    ['2.5e-3 W', 0.0025, 0.0001, 'W'],
  ])('reads “%s” as %d, last digit %d, unit “%s”', (text, value, lastDigit, unitText) => {
    expect(readNumber(text)).toEqual({
      value: expect.closeTo(value, 9),
      lastDigit: expect.closeTo(lastDigit, 9),
      unitText,
    })
  })

  it.each(['', '-', 'W', '1.2.3', '1,2,3', '1.23.456,7,8', '12,34,567.8'])('finds no number in “%s”', text =>
    expect(readNumber(text)).toBeNull(),
  )

  it.each(['1,234', '12,345 W', '-123,456'])('is of two minds about “%s”', text =>
    expect(readNumber(text)).toHaveProperty('ambiguous'),
  )

  it.each(['0,234', '1,23', '1,2345', '1234,567'])('is sure about “%s”', text =>
    expect(readNumber(text)).not.toHaveProperty('ambiguous'),
  )

  it('reads any decimal with point or comma alike', () => {
    fc.assert(
      fc.property(fc.integer({ min: -99_999, max: 99_999 }), hundredths => {
        const text = (hundredths / 100).toFixed(2)
        const point = readNumber(text)
        const comma = readNumber(text.replace('.', ','))
        return (
          point !== null &&
          comma !== null &&
          'value' in point &&
          'value' in comma &&
          point.value === comma.value &&
          point.value === Number(text)
        )
      }),
    )
  })
})
