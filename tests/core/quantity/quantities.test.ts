import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  LEVEL_UNITS,
  levelIn,
  parseFrequency,
  parseLevel,
  parseRatio,
  parseReflection,
  printDbc,
  printFrequencyShort,
  printLevel,
  printOhm,
  printPercent,
  printPpm,
  printSignificant,
  printVswr,
  returnLossDbFromVswr,
} from '#core/quantity'

const level = fc.integer({ min: -150e4, max: 60e4 }).map(n => n / 1e4)
const unit = fc.constantFrom(...LEVEL_UNITS)

describe('every unit of level', () => {
  it('prints and parses back to the same text', () => {
    fc.assert(
      fc.property(level, unit, (levelDbm, figure) => {
        const text = printLevel(levelDbm, figure)
        const read = parseLevel(text, { bareUnit: 'dBm' })
        return read.ok && read.unit === figure && printLevel(read.levelDbm, figure) === text
      }),
      { numRuns: 2000 },
    )
  })

  it('is monotone and can be inverted', () => {
    fc.assert(
      fc.property(level, fc.double({ min: 0.01, max: 50, noNaN: true }), unit, (levelDbm, more, figure) => {
        const read = parseLevel(`${levelIn(figure, levelDbm)} ${figure}`, { bareUnit: 'dBm' })
        return (
          levelIn(figure, levelDbm + more) > levelIn(figure, levelDbm) &&
          read.ok &&
          Math.abs(read.levelDbm - levelDbm) < 1e-9
        )
      }),
    )
  })

  it('knows pd from emf: emf is twice pd', () => {
    const dbm = (text: string) => {
      const read = parseLevel(text, { bareUnit: 'dBm' })
      return read.ok ? read.levelDbm : Number.NaN
    }
    expect(dbm('1 µV')).toBeCloseTo(-106.99, 2)
    expect(dbm('2 uV emf')).toBeCloseTo(dbm('1 µV pd'), 9)
    expect(dbm('6 dBµV emf')).toBeCloseTo(-107.01, 2)
    expect(dbm('0 dBW')).toBe(30)
    expect(dbm('250 pW')).toBeCloseTo(-66.02, 2)
  })

  it('takes several readings in a row as their mean, and refuses a mixture with bounds', () => {
    expect(parseLevel('4.37; 4.41; 4.35 W', { bareUnit: 'dBm' })).toMatchObject({
      ok: true,
      unit: 'W',
      repeatsDbm: [expect.closeTo(36.405, 3), expect.closeTo(36.444, 3), expect.closeTo(36.385, 3)],
      levelDbm: expect.closeTo(36.411, 3),
    })
    expect(parseLevel('4.37;', { bareUnit: 'W' })).toMatchObject({ ok: true, repeatsDbm: [] })
    expect(parseLevel('-80; <-85', { bareUnit: 'dBm' })).toMatchObject({ ok: false })
    expect(parseLevel(';', { bareUnit: 'dBm' })).toMatchObject({ ok: false })
    expect(parseLevel('4,370; 4.4', { bareUnit: 'W' })).toMatchObject({
      ok: false,
      offers: ['4.37 W', '4370 W'],
    })
  })
})

describe('ratios', () => {
  it('print and parse back', () => {
    fc.assert(
      fc.property(fc.double({ min: -0.5, max: 0.5, noNaN: true }), fraction => {
        for (const [text, back] of [
          [printPercent(fraction), printPercent],
          [printPpm(fraction / 1e3), printPpm],
        ] as const) {
          const read = parseRatio(text, { bareUnit: 'dB' })
          if (!read.ok || back(read.fraction!) !== text) return false
        }
        const dbc = printDbc(fraction * 200)
        const read = parseRatio(dbc, { bareUnit: 'dB' })
        return read.ok && read.unit === 'dBc' && printDbc(read.valueDb!) === dbc
      }),
    )
  })

  it('offer both readings of what is ambiguous, and refuse what is none', () => {
    expect(parseRatio('1,234 ppm', { bareUnit: 'ppm' })).toMatchObject({
      ok: false,
      offers: ['1.234 ppm', '1234 ppm'],
    })
    expect(parseRatio('±5 %', { bareUnit: 'dB' })).toMatchObject({
      ok: true,
      fraction: expect.closeTo(0.05, 12),
    })
    for (const text of ['', 'dB', '5 furlongs']) expect(parseRatio(text, { bareUnit: 'dB' }).ok).toBe(false)
  })
})

describe('a match', () => {
  it('has many faces: VSWR, return loss, resistance, reflection', () => {
    const vswr = (text: string) => {
      const read = parseReflection(text)
      return read.ok ? read.vswr : Number.NaN
    }
    expect([vswr('1.5:1'), vswr('1,5 : 1'), vswr('VSWR 1.5')]).toEqual([1.5, 1.5, 1.5])
    expect(vswr('75 Ω')).toBeCloseTo(1.5, 9)
    expect(vswr('33.333333 ohm')).toBeCloseTo(1.5, 6)
    expect(vswr('13.979 dB')).toBeCloseTo(1.5, 4)
    expect(vswr('0.2 Γ')).toBeCloseTo(1.5, 9)
    for (const text of ['', '0.5', '-3 dB', '0 Ω', '1.2 Γ', '5 apples', '1,500'])
      expect(parseReflection(text).ok).toBe(false)
  })

  it('prints and parses back, and return loss falls as VSWR rises', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1.01, max: 50, noNaN: true }),
        fc.double({ min: 0.01, max: 5, noNaN: true }),
        (vswr, more) => {
          const text = printVswr(vswr)
          const read = parseReflection(text)
          return (
            read.ok &&
            printVswr(read.vswr) === text &&
            returnLossDbFromVswr(vswr + more) < returnLossDbFromVswr(vswr)
          )
        },
      ),
    )
    expect([printOhm(75), printOhm(4.7)].map(text => text.replace('\u00a0', ' '))).toEqual([
      '75.0 Ω',
      '4.70 Ω',
    ])
  })
})

describe('frequencies and figures', () => {
  it('print and parse back', () => {
    fc.assert(
      fc.property(fc.double({ min: 9.01e3, max: 299e9, noNaN: true }), hz => {
        const text = printFrequencyShort(hz)
        const read = parseFrequency(text)
        return read.ok && printFrequencyShort(read.frequencyHz) === text
      }),
    )
  })

  it('keep their significant digits', () => {
    expect([
      printSignificant(0.00012346),
      printSignificant(-1234.56),
      printSignificant(0),
      printSignificant(1e-9),
      printSignificant(Number.NaN),
    ]).toEqual(['0.0001235', '−1235', '0.000', '1.000e−9', '–'])
  })
})
