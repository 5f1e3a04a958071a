import { describe, expect, it } from 'vitest'
import { type LevelGuard, parseGuardedLevel } from '#core/step'

const guard: LevelGuard = {
  highestDbm: -10,
  lowestDbm: -140,
  secondLookDbm: -20,
  bareUnit: 'dBm',
  voltageIs: 'pd',
}

describe('a level a generator is set to', () => {
  it('93 typed for −93 is refused, with −93 as offer', () => {
    expect(parseGuardedLevel('93', { ...guard, highestDbm: 13 })).toMatchObject({
      ok: false,
      offers: ['-93'],
    })
    expect(parseGuardedLevel('-93', guard)).toMatchObject({ ok: true, levelDbm: -93 })
  })

  it('above the second look it is asked for again, and taken once it is confirmed', () => {
    const asked = parseGuardedLevel('-15', guard)
    expect(asked).toMatchObject({ ok: false, offers: ['-15 !'] })
    expect(parseGuardedLevel('-15 !', guard)).toMatchObject({ ok: true, levelDbm: -15 })
    expect(parseGuardedLevel('-20', guard)).toMatchObject({ ok: true })
    expect(parseGuardedLevel('-19.9', guard)).toMatchObject({ ok: false })
  })

  it('no confirming goes beyond what the step may ever set, or below what the generator can', () => {
    expect(parseGuardedLevel('-9.9 !', guard)).toMatchObject({ ok: false })
    expect(parseGuardedLevel('-140.1', guard)).toMatchObject({ ok: false })
    expect(parseGuardedLevel('-140', guard)).toMatchObject({ ok: true })
  })

  it('a voltage on a generator labelled in emf is 6.02 dB less across the load', () => {
    const emf: LevelGuard = { ...guard, bareUnit: 'µV', voltageIs: 'emf' }
    const levels = ['1', '1 µV', '1 µV pd'].map(text => {
      const read = parseGuardedLevel(text, emf)
      return read.ok ? read.levelDbm : NaN
    })
    expect(levels[0]).toBeCloseTo(-113.01, 2)
    expect(levels[1]).toBeCloseTo(-113.01, 2)
    expect(levels[2]).toBeCloseTo(-106.99, 2)
  })

  it('a series and a bound are no setting', () => {
    expect(parseGuardedLevel('-100; -101', guard)).toMatchObject({ ok: false })
    expect(parseGuardedLevel('<-100', guard)).toMatchObject({ ok: false })
  })
})
