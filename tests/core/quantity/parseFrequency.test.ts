import { describe, expect, it } from 'vitest'
import { parseFrequency, parsePlainNumber } from '#core/quantity'

describe('parseFrequency', () => {
  it.each([
    ['146.52', 146.52e6],
    ['146.520', 146.52e6],
    ['146520', 146.52e6],
    ['146,520', 146.52e6],
    ['146520000', 146.52e6],
    ['146.52 MHz', 146.52e6],
    ['146520 kHz', 146.52e6],
    ['1.2 GHz', 1.2e9],
    ['446,00625', 446.00625e6],
    ['27.185mhz', 27.185e6],
  ])('reads %s as %d Hz', (text, hz) => {
    expect(parseFrequency(text)).toMatchObject({ ok: true, frequencyHz: hz })
  })

  it('offers both readings of 1,240 and takes neither', () => {
    expect(parseFrequency('1,240')).toMatchObject({ ok: false, offers: ['1.24', '1240'] })
  })

  it.each(['', 'two metres', '5 W', '1 Hz', '900 GHz'])('refuses “%s”', text =>
    expect(parseFrequency(text).ok).toBe(false),
  )
})

describe('parsePlainNumber', () => {
  it('takes a comma, a unit of its own, and holds the limits', () => {
    expect(parsePlainNumber('1,5', { min: 0, max: 20, unit: 'dB' })).toEqual({ ok: true, value: 1.5 })
    expect(parsePlainNumber('1.5 dB', { min: 0, max: 20, unit: 'dB' })).toEqual({ ok: true, value: 1.5 })
    expect(parsePlainNumber('21', { min: 0, max: 20, unit: 'dB' }).ok).toBe(false)
    expect(parsePlainNumber('3 W', { min: 0, max: 20, unit: 'dB' }).ok).toBe(false)
    expect(parsePlainNumber('x', { min: 0, max: 20 }).ok).toBe(false)
    expect(parsePlainNumber('1,234', { min: 0, max: 9999 })).toMatchObject({
      ok: false,
      offers: ['1.234', '1234'],
    })
  })
})
