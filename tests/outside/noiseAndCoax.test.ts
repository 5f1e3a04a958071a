import { describe, expect, it } from 'vitest'
import { partLossAt } from '#core/chain'
import { checkBatteryLabel } from '#core/review'
import { floorBiasDb } from '#core/uncertainty'
import { pad } from '../support/bench'

// Powers of signal and noise add: a reading S dB above the floor is too high by 10·log10(1/(1 − 10^(−S/10))).
// Standard
// result for power detection, e.g. in textbooks on spectrum analysis; the two values are worked by hand.
describe('noise in a reading', () => {
  it('is 0.46 dB at 10 dB and 3.02 dB at 3 dB above the floor', () => {
    expect(floorBiasDb(10)).toBeCloseTo(0.458, 3)
    expect(floorBiasDb(3)).toBeCloseTo(3.02, 2)
  })
})

// RG-213, dB per 100 m, typical, from memory: 7.0 at 100 MHz, 8.6 at 150, 16 at 450, 26 at 1000 (spread 8 to
// 9 at 150, 15 to 17.5 at 450).
describe('a coax figure (from memory)', () => {
  const rg213 = pad(0, {
    name: '100 m RG-213',
    loss: {
      kind: 'table',
      points: [
        { frequencyHz: 100e6, lossDb: 7 },
        { frequencyHz: 1e9, lossDb: 26 },
      ],
    },
  })

  it('lies near its neighbours when only 100 MHz and 1 GHz are given', () => {
    const at = (hz: number) => {
      const answer = partLossAt(rg213, hz)
      return answer.known ? answer.lossDb : Number.NaN
    }
    expect(at(150e6)).toBeGreaterThan(7)
    // Interpolation in log f between two far points overestimates a law that goes with the root of f: 10.3
    // for 8.6. Give the table more points.
    expect(at(150e6)).toBeLessThan(11)
    expect(at(450e6)).toBeGreaterThan(15)
    expect(at(450e6)).toBeLessThan(20)
  })
})

// Arithmetic: 7.4 V × 1.8 Ah = 13.32 Wh, as printed on many two-cell packs (common practice, no source).
describe('a battery label', () => {
  it('agrees: 7.4 V × 1.8 Ah = 13.32 Wh, also when rounded to 13.3', () => {
    expect(checkBatteryLabel({ voltageV: 7.4, capacityAh: 1.8, energyWh: 13.32 })).toMatchObject({
      kind: 'agrees',
      productWh: expect.closeTo(13.32, 9),
    })
    expect(checkBatteryLabel({ voltageV: 7.4, capacityAh: 1.8, energyWh: 13.3 }).kind).toBe('agrees')
  })
  it('disagrees: 3.7 V × 2.6 Ah is not 10.2 Wh', () =>
    expect(checkBatteryLabel({ voltageV: 3.7, capacityAh: 2.6, energyWh: 10.2 })).toMatchObject({
      kind: 'disagrees',
      words: expect.stringContaining('9.62'),
    }))
  it('waits for its figures', () => {
    expect(checkBatteryLabel({ voltageV: null, capacityAh: 1.8, energyWh: 10 }).kind).toBe('incomplete')
    expect(checkBatteryLabel({ voltageV: 7.4, capacityAh: 1.8, energyWh: null }).words).toContain('13.32')
  })
})
