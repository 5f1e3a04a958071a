import { describe, expect, it } from 'vitest'
import { parseMatch } from '#core/quantity'

const read = (text: string) => {
  const found = parseMatch(text)
  if (!found.ok) throw new Error(found.message)
  return found
}

describe('a match as it is typed', () => {
  it.each([
    ['1.5', 1.5],
    ['1,5 : 1', 1.5],
    ['VSWR 2', 2],
    // 14 dB: Γ = 0.1995.
    ['14 dB', 1.4985],
    ['75 Ω', 1.5],
    // √(0.2/5) = 0.2.
    ['5/0.2 W', 1.5],
    ['5 W / 200 mW', 1.5],
    ['5000/200 mW', 1.5],
    ['36.99 dBm / 23.01 dBm', 1.5],
    ['10/0', 1],
  ])('%s', (text, vswr) => {
    expect(read(text).value).toBeCloseTo(vswr, 3)
  })

  it('knows the weight of its last digit', () => {
    expect(read('1.5').resolution).toBeCloseTo(0.1, 9)
    expect(read('1.50').resolution).toBeCloseTo(0.01, 9)
    // 14 to 15 dB: 1.4985 to 1.4326.
    expect(read('14 dB').resolution).toBeCloseTo(0.0659, 3)
    // 0.2 to 0.3 W of 5 W: 1.5 to 1.6489.
    expect(read('5/0.2 W').resolution).toBeCloseTo(0.1489, 2)
  })

  it.each([
    ['0.9', 'A VSWR is 1 or more'],
    ['0.2/5 W', 'Forward power first'],
    ['5/5', 'Forward power first'],
    ['good', 'no number'],
    ['5/x', 'no number'],
  ])('refuses %s in words', (text, words) => {
    expect(parseMatch(text)).toMatchObject({ ok: false, message: expect.stringContaining(words) })
  })
})
