import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { parseLevel, printDbm, printWatts, wattsFromDbm } from '#core/quantity'

const inWatts = (text: string) => parseLevel(text, { bareUnit: 'W' })
const inDbm = (text: string) => parseLevel(text, { bareUnit: 'dBm' })

describe('parseLevel', () => {
  it.each([
    ['4.37', 4.37],
    ['4,37 W', 4.37],
    ['4.37W', 4.37],
    ['850 mW', 0.85],
    ['850mw', 0.85],
    ['36.9 dBm', 4.8978],
    ['0,234', 0.234],
    ['1 234,5 mW', 1.2345],
    ['25 µW', 25e-6],
    ['25 uW', 25e-6],
    ['25 μW', 25e-6],
    ['1.5 kW', 1500],
    ['6.99 dBW', 5.0003],
    ['5 watts', 5],
    ['+5', 5],
    ['1e-3', 1e-3],
    ['1,234,567 nW', 1.234567e-3],
  ])('reads %s as %d W', (text, powerW) => {
    const read = inWatts(text)
    expect(read.ok && wattsFromDbm(read.levelDbm)).toBeCloseTo(powerW, 4 - Math.floor(Math.log10(powerW)))
  })

  it.each([
    ['-49', -49],
    ['−49.0', -49],
    ['–49,0', -49],
    ['- 49', -49],
    ['-49 dBm', -49],
    ['0', 0],
    ['0.2 µV', -120.97],
    ['0.2uV', -120.97],
    ['0 dBuV', -106.99],
    ['6 dBµV emf', -107.01],
  ])('reads %s as %d dBm', (text, levelDbm) => {
    const read = inDbm(text)
    expect(read.ok && read.levelDbm).toBeCloseTo(levelDbm, 1)
  })

  it.each(['<-85', '< −85 dBm', 'below -85', '<=-85'])('takes %s as an upper bound', text => {
    const read = inDbm(text)
    expect(read).toMatchObject({ ok: true, isUpperBound: true, levelDbm: -85 })
  })

  it('refuses 1,234 and offers both readings', () => {
    expect(inWatts('1,234')).toMatchObject({ ok: false, offers: ['1.234 W', '1234 W'] })
    expect(inDbm('<1,234 mW')).toMatchObject({ ok: false, offers: ['<1.234 mW', '<1234 mW'] })
  })

  it('refuses megawatts and offers milliwatts', () => {
    expect(inWatts('850 MW')).toMatchObject({ ok: false, offers: ['850 mW'] })
  })

  it.each(['', 'abc', '5 apples', '-3 W', '0 W', '1.2.3', '4,3,7', '--5', '9e99', '-49 dBc', '500 dBm'])(
    'refuses “%s” in words',
    text => {
      const read = inWatts(text)
      expect(read.ok).toBe(false)
      expect(!read.ok && read.message.length).toBeGreaterThan(8)
    },
  )

  it('knows the weight of the last digit in dB', () => {
    expect(inDbm('-49')).toMatchObject({ resolutionDb: 1 })
    expect(inDbm('-49.0')).toMatchObject({ resolutionDb: 0.1 })
    const read = inWatts('5.0')
    expect(read.ok && read.resolutionDb).toBeCloseTo(10 * Math.log10(5.1 / 5), 2)
  })

  it('gives back what it printed: print, then parse, is the identity', () => {
    fc.assert(
      fc.property(fc.integer({ min: -1999, max: 599 }), tenths => {
        const read = inDbm(printDbm(tenths / 10))
        return read.ok && Math.abs(read.levelDbm - tenths / 10) < 1e-9
      }),
    )
    fc.assert(
      fc.property(fc.double({ min: 1e-9, max: 2e3, noNaN: true }), powerW => {
        const read = inWatts(printWatts(powerW, 5))
        return read.ok && Math.abs(wattsFromDbm(read.levelDbm) / powerW - 1) < 1e-3
      }),
    )
  })

  it('never throws, whatever is typed', () => {
    fc.assert(
      fc.property(fc.string(), text => {
        inWatts(text)
        inDbm(text)
      }),
    )
  })
})
