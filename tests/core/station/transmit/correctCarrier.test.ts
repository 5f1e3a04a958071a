import { describe, expect, it } from 'vitest'
import { type PowerMeter, newChain } from '#core/chain'
import type { Reading, Review } from '#core/review'
import { stationById } from '#core/station'
import {
  analyser,
  harmonic,
  HARMONICS_STEP,
  meter,
  pad,
  POWER_STEP,
  reading,
  reviewOf,
  withReadings,
} from '../../../support/bench'

/** 5 W on an in-line meter, harmonics on the analyser behind 50 dB. */
function carrierWith(sensor: PowerMeter['sensor'], read: Reading[]) {
  const base = reviewOf()
  const review: Review = {
    ...base,
    instruments: [analyser(), meter({ sensor })],
    chains: [...base.chains, { ...newChain('pw', 'Power', 'pm'), parts: [pad(0, { id: 'none' })] }],
  }
  const watts = reading('5', {
    slot: 'carrier',
    stepId: POWER_STEP,
    frequencyHz: 146.52e6,
    instrumentId: 'pm',
    chainId: 'pw',
  })
  const context = withReadings(review, [watts, ...read])
  const station = stationById('carrier-power')
  const { found } = station.evaluate(station.plan(review.sets[0]!, context)[0]!, context).slots[0]!
  return {
    dbm: found!.value - found!.budget.shift,
    lines: found!.budget.contributions.filter(({ group }) => group === 'harmonics').map(({ id }) => id),
    notes: found!.notes.join(' '),
  }
}

const FIVE_W_DBM = 36.9897
/** ×1 at 37 dBm behind 50 dB, and one harmonic so far under it. */
const down = (downDb: number, n = 2) => [harmonic(1, '-13'), harmonic(n, `${-13 - downDb}`)]

describe('a carrier and its harmonics in a power meter', () => {
  it('heat adds their powers: one 10 dB down takes 10·log(1.1) = 0.414 dB off', () => {
    expect(carrierWith('thermal', down(10)).dbm).toBeCloseTo(FIVE_W_DBM - 0.414, 2)
    expect(carrierWith('thermal', [...down(10), harmonic(3, '-23')]).dbm).toBeCloseTo(FIVE_W_DBM - 0.792, 2)
    expect(carrierWith('thermal', down(10))).toMatchObject({ lines: [], notes: '' })
  })

  it('heat leaves out what is under 0.005 dB: from 29.4 dB down', () => {
    expect(carrierWith('thermal', down(29)).dbm).toBeCloseTo(FIVE_W_DBM - 0.00546, 4)
    expect(carrierWith('thermal', down(30)).dbm).toBeCloseTo(FIVE_W_DBM, 4)
    expect(carrierWith('thermal', []).dbm).toBeCloseTo(FIVE_W_DBM, 4)
  })

  it('a diode feels the crest: what was read moves it, and is said', () => {
    const strong = carrierWith('diode', down(20))
    // Half of (n·r)² is its mean: 0.17 dB high for a second one 20 dB down, less by the doubt of the reading.
    expect(strong.dbm).toBeLessThan(FIVE_W_DBM - 0.1)
    expect(strong.dbm).toBeGreaterThan(FIVE_W_DBM - 0.4)
    expect(strong.lines).toEqual(['harmonics:read'])
    expect(strong.notes).toContain('This meter feels the peak of the voltage, which the harmonics read')
  })

  it('a weak one is a line of its own and moves nothing; too weak a one is none', () => {
    expect(carrierWith('diode', down(45))).toMatchObject({ lines: ['harmonics:x2'] })
    expect(carrierWith('diode', down(45)).dbm).toBeCloseTo(FIVE_W_DBM, 4)
    expect(carrierWith('diode', down(75)).lines).toEqual([])
  })

  it('where nobody read any, the range allows for one 20 dB down, and says so', () => {
    expect(carrierWith('diode', []).lines).toEqual(['harmonics:unread'])
    const unknown = carrierWith('unknown', [])
    expect(unknown.lines).toEqual(['harmonics:unread'])
    expect(unknown.notes).toContain('Nobody said what this meter feels')
    expect(unknown.notes).toContain('Read them at this channel and level')
    // ×1 alone tells of no harmonic.
    expect(carrierWith('diode', [harmonic(1, '-13')]).lines).toEqual(['harmonics:unread'])
  })

  it('without the ×1 line they are counted from the power itself', () => {
    const alone = carrierWith('thermal', [harmonic(2, '-23')])
    expect(alone.dbm).toBeCloseTo(FIVE_W_DBM - 0.414, 2)
    expect(HARMONICS_STEP).toContain('harmonics')
  })
})
