import { describe, expect, it } from 'vitest'
import {
  type ReceiverMethod,
  type CarrierFacts,
  evaluateLimit,
  evaluateScalar,
  type PowerQuantity,
  type Quantity,
  rulebookById,
} from '#core/rules'

// The most power and every other figure that ships, with its clause. All of it recalled without the documents at hand
// (docs/sources.md), so these rows hold
// the data to what was recalled; they do not prove the recall right. Figures in dBm worked out by hand from
// the recalled text.
const W = (watts: number) => 10 * Math.log10(watts) + 30

const powers: [
  book: string,
  about: PowerQuantity,
  mhz: number,
  watts: number,
  clause: string,
  more?: Partial<CarrierFacts>,
][] = [
  ['us-amateur', 'carrier-power', 146.52, 1500, '97.313(b)'],
  ['us-frs', 'carrier-power', 467.5625, 0.5, '95.567', { antennaGainDbd: 0 }],
  ['us-frs', 'carrier-power', 462.5625, 2, '95.567', { antennaGainDbd: 0 }],
  ['us-gmrs', 'carrier-power', 462.55, 50, '95.1767(a)'],
  ['us-gmrs', 'carrier-power', 462.5625, 5, '95.1767(b)', { antennaGainDbd: 0 }],
  ['us-gmrs', 'carrier-power', 467.5625, 0.5, '95.1767(c)', { antennaGainDbd: 0 }],
  ['us-murs', 'carrier-power', 151.82, 2, '95.2767'],
  ['us-cb', 'carrier-power', 27.185, 4, '95.967', { mode: 'AM' }],
  ['us-cb', 'carrier-power', 27.185, 12, '95.967', { mode: 'SSB' }],
  ['us-marine', 'carrier-power', 156.8, 25, '80.215(e)', { kind: 'mobile' }],
  ['us-marine', 'carrier-power', 156.8, 1, '80.215(g)', { kind: 'mobile', level: 'lowest' }],
  ['us-amateur', 'carrier-power', 10.12, 200, '97.313'],
  ['us-amateur', 'carrier-power', 219.5, 50, '97.313(h)'],
  ['us-amateur', 'carrier-power', 5.35, 100, '97.313', { antennaGainDbd: 0 }],
  ['us-marine', 'carrier-power', 156.8, 10, '80.215(e)', { kind: 'handheld' }],
  ['eu-pmr446', 'carrier-power', 446.1, 0.5, 'EN 303 405', { antennaGainDbd: 0 }],
  ['eu-cb', 'carrier-power', 27.185, 4, 'EN 300 433', { mode: 'FM' }],
  ['eu-marine', 'carrier-power', 156.8, 25, 'EN 300 162', { kind: 'mobile' }],
  ['eu-marine', 'carrier-power', 156.8, 1, 'EN 300 162', { kind: 'mobile', level: 'lowest' }],
  ['uk-cb', 'carrier-power', 27.78125, 4, 'MPT 1320'],
  ['uk-cb', 'carrier-power', 27.78125, 2, 'MPT 1320', { antennaGainDbd: 0 }],
]

describe('the most power, recalled', () => {
  it.each(powers)('%s, %s on %d MHz: %d W', (book, about, mhz, watts, clause, more) => {
    const answer = evaluateLimit(
      rulebookById(book),
      { frequencyHz: mhz * 1e6, powerW: 1, ...more },
      undefined,
      about,
    )
    expect(answer).toMatchObject({ kind: 'limit', limitDbm: expect.closeTo(W(watts), 6) })
    expect(answer.clause).toContain(clause)
  })
})

const scalars: [
  book: string,
  about: Exclude<Quantity, PowerQuantity>,
  mhz: number,
  value: number,
  unit: string,
  more?: Partial<CarrierFacts>,
][] = [
  ['us-frs', 'frequency-error', 462.5625, 2.5, 'ppm'],
  ['us-frs', 'deviation', 462.5625, 2.5, 'kHz'],
  ['us-frs', 'occupied-bandwidth', 462.5625, 12.5, 'kHz'],
  // The tolerance follows the occupied bandwidth.
  ['us-gmrs', 'frequency-error', 462.55, 5, 'ppm', { channelSpacingHz: 25e3 }],
  ['us-gmrs', 'frequency-error', 462.55, 2.5, 'ppm', { channelSpacingHz: 12.5e3 }],
  // Footnote of 90.213 for sets of 2 W or less between 150 and 174 MHz.
  ['us-land-mobile', 'frequency-error', 155, 5, 'ppm', { channelSpacingHz: 25e3, powerW: 2 }],
  ['us-land-mobile', 'frequency-error', 155, 5, 'ppm', { channelSpacingHz: 25e3, powerW: 2.1 }],
  ['us-land-mobile', 'frequency-error', 40, 50, 'ppm', { powerW: 2 }],
  ['us-land-mobile', 'occupied-bandwidth', 155, 11.25, 'kHz', { channelSpacingHz: 25e3 }],
  ['us-gmrs', 'frequency-error', 467.5625, 2.5, 'ppm'],
  ['us-gmrs', 'deviation', 462.55, 5, 'kHz'],
  ['us-gmrs', 'deviation', 467.5625, 2.5, 'kHz'],
  ['us-gmrs', 'occupied-bandwidth', 462.55, 20, 'kHz'],
  ['us-gmrs', 'occupied-bandwidth', 467.5625, 12.5, 'kHz'],
  ['us-murs', 'frequency-error', 151.82, 5, 'ppm'],
  ['us-murs', 'occupied-bandwidth', 151.82, 11.25, 'kHz'],
  ['us-murs', 'occupied-bandwidth', 154.6, 20, 'kHz'],
  ['us-cb', 'frequency-error', 27.185, 50, 'ppm'],
  ['us-cb', 'occupied-bandwidth', 27.185, 8, 'kHz', { mode: 'AM' }],
  ['us-cb', 'deviation', 27.185, 2, 'kHz', { mode: 'FM' }],
  ['us-marine', 'frequency-error', 156.8, 10, 'ppm'],
  ['us-marine', 'deviation', 156.8, 5, 'kHz'],
  ['us-marine', 'occupied-bandwidth', 156.8, 20, 'kHz'],
  ['us-land-mobile', 'frequency-error', 155, 5, 'ppm', { channelSpacingHz: 25e3 }],
  ['us-land-mobile', 'frequency-error', 450, 2.5, 'ppm', { channelSpacingHz: 12.5e3 }],
  ['us-land-mobile', 'frequency-error', 450, 1, 'ppm', { channelSpacingHz: 6.25e3 }],
  ['us-land-mobile', 'frequency-error', 40, 20, 'ppm'],
  ['eu-land-mobile', 'frequency-error', 155, 1.5, 'kHz', { channelSpacingHz: 12.5e3 }],
  ['eu-land-mobile', 'frequency-error', 450, 2, 'kHz', { channelSpacingHz: 25e3 }],
  ['eu-land-mobile', 'frequency-error', 80, 1.35, 'kHz', { channelSpacingHz: 20e3 }],
  ['eu-land-mobile', 'deviation', 155, 2.5, 'kHz', { channelSpacingHz: 12.5e3 }],
  ['eu-land-mobile', 'deviation', 155, 4, 'kHz', { channelSpacingHz: 20e3 }],
  ['eu-land-mobile', 'deviation', 155, 5, 'kHz', { channelSpacingHz: 25e3 }],
  ['eu-land-mobile', 'power-tolerance', 155, -1.5, 'dB'],
  ['eu-land-mobile', 'sensitivity', 155, -107, 'dBm'],
  ['eu-land-mobile', 'adjacent-selectivity', 155, 60, 'dB', { channelSpacingHz: 12.5e3 }],
  ['eu-land-mobile', 'adjacent-selectivity', 155, 70, 'dB', { channelSpacingHz: 25e3 }],
  ['eu-land-mobile', 'co-channel', 155, -12, 'dB', { channelSpacingHz: 12.5e3 }],
  ['eu-land-mobile', 'spurious-response', 155, 70, 'dB'],
  ['eu-land-mobile', 'intermodulation', 155, 65, 'dB'],
  ['eu-land-mobile', 'blocking', 155, 84, 'dB'],
  ['eu-pmr446', 'deviation', 446.1, 2.5, 'kHz'],
  ['eu-pmr446', 'time-out', 446.1, 180, 's'],
  ['eu-cb', 'frequency-error', 27.185, 0.6, 'kHz'],
  ['eu-cb', 'deviation', 27.185, 2, 'kHz', { mode: 'FM' }],
  ['eu-cb', 'sensitivity', 27.185, -107, 'dBm', { mode: 'FM' }],
  ['eu-cb', 'adjacent-selectivity', 27.185, 60, 'dB'],
  ['eu-cb', 'intermodulation', 27.185, 54, 'dB'],
  ['eu-marine', 'frequency-error', 156.8, 1.5, 'kHz'],
  ['eu-marine', 'deviation', 156.8, 5, 'kHz'],
  ['eu-marine', 'sensitivity', 156.8, -107, 'dBm'],
  ['eu-marine', 'co-channel', 156.8, -10, 'dB'],
  ['eu-marine', 'adjacent-selectivity', 156.8, 70, 'dB'],
  ['eu-marine', 'spurious-response', 156.8, 70, 'dB'],
  ['eu-marine', 'intermodulation', 156.8, 68, 'dB'],
  ['uk-cb', 'frequency-error', 27.78125, 1.5, 'kHz'],
  ['tia-603', 'deviation', 155, 2.5, 'kHz', { channelSpacingHz: 12.5e3 }],
  ['good-practice', 'sensitivity', 155, -117, 'dBm'],
  ['good-practice', 'hysteresis', 155, 2, 'dB'],
]

/** By which way of measuring the ETSI standards ask for a receiver’s figure (limits.md, from memory). */
const METHODS: Partial<Record<string, ReceiverMethod>> = {
  sensitivity: 'sinad-20-psophometric',
  'adjacent-selectivity': 'en-300-086',
  blocking: 'en-300-086',
}

describe('the other figures, recalled', () => {
  it.each(scalars)('%s, %s on %d MHz: %d %s', (book, about, mhz, value, unit, more) => {
    expect(
      evaluateScalar(rulebookById(book), about, {
        frequencyHz: mhz * 1e6,
        powerW: 4,
        ...(METHODS[about] && { method: book === 'good-practice' ? 'sinad-12' : METHODS[about] }),
        ...more,
      }),
    ).toMatchObject({ kind: 'scalar', limit: { value, unit } })
  })
  // ETSI: adjacent channel power 60 and 70 dB, not below 0.2 µW
  it('adjacent channel power: 60 or 70 dB, nothing asked below 0.2 µW', () => {
    const at = (spacingHz: number, powerW: number) => {
      const answer = evaluateLimit(
        rulebookById('eu-land-mobile'),
        { frequencyHz: 155e6, powerW, channelSpacingHz: spacingHz },
        { frequencyHz: 155e6 + spacingHz, harmonic: null },
        'adjacent-power',
      )
      return answer.kind === 'limit' ? answer.limitDbm : Number.NaN
    }
    expect(at(12.5e3, 5)).toBeCloseTo(W(5) - 60, 6)
    expect(at(25e3, 25)).toBeCloseTo(W(25) - 70, 6)
    expect(at(25e3, 0.5)).toBeCloseTo(W(0.2e-6), 6)
  })
  // EN 300 162: 6 to 25 W on high, 0.1 to 1 W on low; 80.215(g): at least 8 W.
  it.each([
    ['eu-marine', 'highest', 6],
    ['eu-marine', 'lowest', 0.1],
    ['us-marine', 'highest', 8],
  ] as const)('%s asks for a least power too, on the %s level %d W', (book, level, watts) => {
    const facts = { frequencyHz: 156.8e6, powerW: 4, kind: 'mobile' as const, level }
    expect(evaluateLimit(rulebookById(book), facts, undefined, 'carrier-power')).toMatchObject({
      lowestDbm: expect.closeTo(W(watts), 9),
    })
  })
  it('13 cm is two stretches, 2300 to 2310 and 2390 to 2450 MHz', () => {
    const kind = (mhz: number) =>
      evaluateLimit(
        rulebookById('us-amateur'),
        { frequencyHz: mhz * 1e6, powerW: 1 },
        undefined,
        'carrier-power',
      ).kind
    expect([2305, 2311, 2389, 2400].map(kind)).toEqual(['limit', 'no-figure', 'no-figure', 'limit'])
  })
  // Two quantities, never compared (receivers.md, section 5).
  it('a receiver’s figure that was come by otherwise is no figure in that law', () => {
    const at = (method: ReceiverMethod) =>
      evaluateScalar(rulebookById('eu-land-mobile'), 'sensitivity', { frequencyHz: 155e6, powerW: 4, method })
        .kind
    expect(at('sinad-20-psophometric')).toBe('scalar')
    expect(at('sinad-20')).toBe('no-figure')
    expect(at('sinad-12')).toBe('no-figure')
  })
  // What was recalled too vaguely gives no verdict (limits.md, preface)
  it.each([
    ['us-murs', 'deviation', 151.82],
    ['uk-cb', 'deviation', 27.78125],
    ['eu-pmr446', 'frequency-error', 446.1],
    ['tia-603', 'sensitivity', 155],
  ] as const)('%s, %s is switched off', (book, about, mhz) => {
    expect(
      evaluateScalar(rulebookById(book), about, {
        frequencyHz: mhz * 1e6,
        powerW: 1,
        channelSpacingHz: 12.5e3,
      }).kind,
    ).toBe('no-figure')
  })
})
