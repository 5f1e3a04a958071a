import { describe, expect, it } from 'vitest'
import { type CarrierFacts, evaluateLimit, rulebookById } from '#core/rules'

// Every limit that ships, with its clause. All of it recalled without the documents at hand
// (docs/sources.md), so these rows hold
// the data to what was recalled; they do not prove the recall right. Figures in dBm worked out by hand from
// the recalled text.
const W = (watts: number) => 10 * Math.log10(watts) + 30

interface Unwanted {
  book: string
  mhz: number
  powerW: number
  at: number
  clause: string
  dbm: number
  more?: Partial<CarrierFacts>
  state?: 'standby'
  harmonic?: number | null
}

const unwanted: Unwanted[] = [
  // 47 CFR 97.307(d), (e)
  { book: 'us-amateur', mhz: 14.2, powerW: 100, at: 28.4, clause: '97.307(d)', dbm: 50 - 43 },
  { book: 'us-amateur', mhz: 52, powerW: 10, at: 104, clause: '97.307(e)', dbm: -16.02 },
  { book: 'us-amateur', mhz: 146.52, powerW: 50, at: 293.04, clause: '97.307(e)', dbm: W(50) - 60 },
  // 47 CFR 95.579(a): 25 dB, 35 dB, 43 + 10 log P
  {
    book: 'us-frs',
    mhz: 462.5625,
    powerW: 2,
    at: 462.5725,
    clause: '95.579(a)',
    dbm: W(2) - 25,
    harmonic: null,
  },
  {
    book: 'us-frs',
    mhz: 462.5625,
    powerW: 2,
    at: 462.5825,
    clause: '95.579(a)',
    dbm: W(2) - 35,
    harmonic: null,
  },
  { book: 'us-frs', mhz: 462.5625, powerW: 2, at: 925.125, clause: '95.579(a)', dbm: -13 },
  // 47 CFR 95.1779: 50, 100, 250 % of the authorised bandwidth
  { book: 'us-gmrs', mhz: 462.55, powerW: 5, at: 462.565, clause: '95.1779', dbm: W(5) - 25, harmonic: null },
  { book: 'us-gmrs', mhz: 462.55, powerW: 5, at: 462.59, clause: '95.1779', dbm: W(5) - 35, harmonic: null },
  { book: 'us-gmrs', mhz: 462.55, powerW: 5, at: 925.1, clause: '95.1779', dbm: -13 },
  {
    book: 'us-gmrs',
    mhz: 467.5625,
    powerW: 0.5,
    at: 467.5725,
    clause: '95.1779',
    dbm: W(0.5) - 25,
    harmonic: null,
  },
  // 47 CFR 95.2779
  {
    book: 'us-murs',
    mhz: 151.82,
    powerW: 2,
    at: 151.83,
    clause: '95.2779',
    dbm: W(2) - 7.27 * (10 - 2.88),
    harmonic: null,
  },
  { book: 'us-murs', mhz: 151.82, powerW: 2, at: 303.64, clause: '95.2779', dbm: -20 },
  { book: 'us-murs', mhz: 154.57, powerW: 2, at: 309.14, clause: '95.2779', dbm: -13 },
  // 47 CFR 95.979: 53 + 10 log P and, for harmonics, 60 dB; at 4 W −23.0 and −24 dBm
  {
    book: 'us-cb',
    mhz: 27.185,
    powerW: 4,
    at: 40,
    clause: '95.979',
    dbm: -23,
    more: { mode: 'AM' },
    harmonic: null,
  },
  {
    book: 'us-cb',
    mhz: 27.185,
    powerW: 4,
    at: 54.37,
    clause: '95.979, twice the carrier',
    dbm: W(4) - 60,
    more: { mode: 'AM' },
  },
  {
    book: 'us-cb',
    mhz: 27.185,
    powerW: 12,
    at: 27.193,
    clause: '95.979',
    dbm: W(12) - 35,
    more: { mode: 'SSB' },
    harmonic: null,
  },
  // 47 CFR 80.211(f): 25 W is −13 dBm far out
  { book: 'us-marine', mhz: 156.8, powerW: 25, at: 313.6, clause: '80.211(f)', dbm: -13 },
  {
    book: 'us-marine',
    mhz: 156.8,
    powerW: 25,
    at: 156.815,
    clause: '80.211(f)',
    dbm: W(25) - 25,
    harmonic: null,
  },
  // 47 CFR 90.210: B far −13, D far −20 up to 100 W, E far −25 up to 10 W
  {
    book: 'us-land-mobile',
    mhz: 155,
    powerW: 5,
    at: 310,
    clause: 'mask B',
    dbm: -13,
    more: { channelSpacingHz: 25e3 },
  },
  {
    book: 'us-land-mobile',
    mhz: 155,
    powerW: 5,
    at: 310,
    clause: 'mask D',
    dbm: -20,
    more: { channelSpacingHz: 12.5e3 },
  },
  {
    book: 'us-land-mobile',
    mhz: 155,
    powerW: 200,
    at: 310,
    clause: 'mask D',
    dbm: W(200) - 70,
    more: { channelSpacingHz: 12.5e3 },
  },
  {
    book: 'us-land-mobile',
    mhz: 155,
    powerW: 5,
    at: 155.01,
    clause: 'mask D',
    dbm: W(5) - 7.27 * (10 - 2.88),
    more: { channelSpacingHz: 12.5e3 },
    harmonic: null,
  },
  {
    book: 'us-land-mobile',
    mhz: 450,
    powerW: 5,
    at: 900,
    clause: 'mask E',
    dbm: -25,
    more: { channelSpacingHz: 6.25e3 },
  },
  {
    book: 'us-land-mobile',
    mhz: 450,
    powerW: 5,
    at: 450.004,
    clause: 'mask E',
    dbm: W(5) - (30 + 16.67 * 1),
    more: { channelSpacingHz: 6.25e3 },
    harmonic: null,
  },
  // RR Appendix 3 = SM.329 category A; 43 + 10 log P is −13 dBm up to 500 W, 70 dBc above; below 30 MHz 50
  // and 60 dB
  { book: 'itu-spurious', mhz: 155, powerW: 5, at: 310, clause: 'Appendix 3', dbm: -13 },
  { book: 'itu-spurious', mhz: 155, powerW: 1000, at: 310, clause: 'Appendix 3', dbm: -10 },
  { book: 'itu-spurious', mhz: 14.2, powerW: 100, at: 28.4, clause: 'amateur below 30 MHz', dbm: 0 },
  {
    book: 'itu-spurious',
    mhz: 27.185,
    powerW: 4,
    at: 54.37,
    clause: 'below 30 MHz',
    dbm: -13,
    more: { mode: 'FM' },
  },
  {
    book: 'itu-spurious',
    mhz: 9,
    powerW: 1000,
    at: 18,
    clause: 'below 30 MHz',
    dbm: 0,
    more: { mode: 'AM' },
  },
  // The row for SSB: 43 dB below the peak envelope power
  {
    book: 'itu-spurious',
    mhz: 27.185,
    powerW: 12,
    at: 54.37,
    clause: 'single sideband',
    dbm: W(12) - 43,
    more: { mode: 'SSB' },
  },
  // Category B is −36 dBm, and right at 1 GHz the lower segment holds
  { book: 'itu-spurious-b', mhz: 500, powerW: 5, at: 1000, clause: 'category B', dbm: -36 },
  {
    book: 'itu-spurious-b',
    mhz: 500,
    powerW: 5,
    at: 1000.001,
    clause: 'category B',
    dbm: -30,
    harmonic: null,
  },
  // 95.979: 60 dB from twice the carrier up, not only at harmonics; below that 53 + 10 log P
  {
    book: 'us-cb',
    mhz: 27.185,
    powerW: 4,
    at: 60,
    clause: 'twice the carrier',
    dbm: W(4) - 60,
    harmonic: null,
    more: { mode: 'AM' },
  },
  {
    book: 'us-cb',
    mhz: 27.185,
    powerW: 4,
    at: 54.3,
    clause: '95.979',
    dbm: -23,
    harmonic: null,
    more: { mode: 'AM' },
  },
  // 90.210(b) from 25 to 50 MHz
  { book: 'us-land-mobile', mhz: 40, powerW: 50, at: 80, clause: 'mask B', dbm: -13 },
  // SM.329 category B, land mobile: −36 and −30 dBm
  { book: 'itu-spurious-b', mhz: 155, powerW: 5, at: 310, clause: 'category B', dbm: -36.02 },
  { book: 'itu-spurious-b', mhz: 446, powerW: 5, at: 1338, clause: 'category B', dbm: -30 },
  // ETSI: four numbers, operating and standby, below and above 1 GHz
  ...(['eu-land-mobile', 'eu-marine', 'eu-pmr446'] as const).flatMap((book): Unwanted[] => {
    const mhz = book === 'eu-marine' ? 156.8 : 446.1
    return (
      [
        [900, undefined, -36.02],
        [1500, undefined, -30],
        [900, 'standby', -56.99],
        [1500, 'standby', -46.99],
      ] as const
    ).map(([at, state, dbm]) => ({
      book,
      mhz,
      powerW: 0.5,
      at,
      clause: 'spurious',
      dbm,
      harmonic: null,
      ...(state ? { state } : {}),
    }))
  }),
  // EN 300 433: 4 nW in the broadcast bands, 0.25 µW elsewhere, 1 µW above 1 GHz
  { book: 'eu-cb', mhz: 27.185, powerW: 4, at: 54.37, clause: 'EN 300 433', dbm: -53.98 },
  { book: 'eu-cb', mhz: 27.185, powerW: 4, at: 81.555, clause: 'EN 300 433', dbm: -36.02 },
  { book: 'eu-cb', mhz: 27.185, powerW: 4, at: 1100, clause: 'EN 300 433', dbm: -30, harmonic: null },
  // MPT 1320: 0.25 µW, 50 nW in protected bands
  { book: 'uk-cb', mhz: 27.78125, powerW: 4, at: 55.5625, clause: 'MPT 1320', dbm: -36.02 },
  { book: 'uk-cb', mhz: 27.78125, powerW: 4, at: 83.34375, clause: 'MPT 1320', dbm: -43.01 },
  // TIA-603: 43 and 50 + 10 log P
  {
    book: 'tia-603',
    mhz: 155,
    powerW: 5,
    at: 310,
    clause: 'TIA-603',
    dbm: -13,
    more: { channelSpacingHz: 25e3 },
  },
  {
    book: 'tia-603',
    mhz: 155,
    powerW: 5,
    at: 310,
    clause: 'TIA-603',
    dbm: -20,
    more: { channelSpacingHz: 12.5e3 },
  },
  // Common practice, no source
  { book: 'good-practice', mhz: 446, powerW: 5, at: 892, clause: '60 dB', dbm: W(5) - 60 },
  { book: 'good-practice-40', mhz: 446, powerW: 5, at: 892, clause: '40 dB', dbm: W(5) - 40 },
]

describe('limits on unwanted emissions, recalled', () => {
  it.each(
    unwanted.map(
      row =>
        [
          `${row.book}: ${row.powerW} W on ${row.mhz} MHz, ${row.state ?? 'operating'}, at ${row.at} MHz`,
          row,
        ] as const,
    ),
  )('%s', (_name, row) => {
    const answer = evaluateLimit(
      rulebookById(row.book),
      { frequencyHz: row.mhz * 1e6, powerW: row.powerW, ...row.more },
      {
        frequencyHz: row.at * 1e6,
        harmonic: row.harmonic === undefined ? Math.round(row.at / row.mhz) : row.harmonic,
        ...(row.state ? { state: row.state } : {}),
      },
    )
    expect(answer).toMatchObject({ kind: 'limit', limitDbm: expect.closeTo(row.dbm, 1) })
    expect(answer.clause).toContain(row.clause)
  })
})

// SM.1539 and Appendix 3, Annex 1: 62.5 kHz for emissions narrower than 25 kHz between 30 MHz and 1 GHz (from memory).
describe('where spurious begins', () => {
  const at = (offsetHz: number) =>
    evaluateLimit(
      rulebookById('itu-spurious'),
      { frequencyHz: 146.52e6, powerW: 5 },
      { frequencyHz: 146.52e6 + offsetHz, harmonic: null },
    )
  it('is 62.5 kHz from the carrier, on either side', () => {
    expect([62.5e3, -62.5e3].map(offset => at(offset).kind)).toEqual(['limit', 'limit'])
    expect([62.4e3, -62.4e3].map(offset => at(offset).kind)).toEqual(['no-figure', 'no-figure'])
    expect(at(40e3).reason).toContain('out-of-band')
  })
})
