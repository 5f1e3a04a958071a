import type { Mode } from '../rules'
import type { SetKind } from '../review'
import type { Service } from './homes'

/** A band as sets of a kind have it. */
export interface BandOfKind {
  name: string
  service: Service
  mode: Mode
  channelSpacingHz: number | null
  /** What such sets usually claim, W, by level id; null where boxes mostly say nothing. */
  claimsW: Readonly<Record<string, number | null>>
  /** Channels to begin with, Hz, by home; the ones of `elsewhere` where a home has none of its own. */
  channelsHz: Readonly<Record<string, readonly number[]>> & { elsewhere: readonly number[] }
}

/** A kind of radio, as its cards mostly look. */
export interface RadioKind {
  id: string
  title: string
  detail: string
  kind: SetKind
  levels: readonly { id: string; name: string }[]
  bands: readonly BandOfKind[]
}

const HIGH_LOW = [
  { id: 'high', name: 'High' },
  { id: 'low', name: 'Low' },
] as const
const ONE_LEVEL = [{ id: 'high', name: 'Full' }] as const
const mhz = (...values: number[]) => values.map(value => Math.round(value * 1e6))

/** The 2 m band: low, calling and high end; Region 1 ends at 146 MHz. */
const TWO_METRES: BandOfKind = {
  name: '2 m',
  service: 'amateur',
  mode: 'FM',
  channelSpacingHz: 12_500,
  claimsW: { high: 5, low: 1 },
  channelsHz: {
    us: mhz(146.52, 144.39, 147.54),
    ca: mhz(146.52, 144.39, 147.54),
    elsewhere: mhz(145.5, 144.8, 145.7875),
  },
}
const SEVENTY_CENTIMETRES: BandOfKind = {
  ...TWO_METRES,
  name: '70 cm',
  channelsHz: {
    us: mhz(446, 432.1, 449.5),
    ca: mhz(446, 432.1, 449.5),
    elsewhere: mhz(433.5, 430.1, 439.9),
  },
}
const ONE_TWENTY_FIVE: BandOfKind = {
  ...TWO_METRES,
  name: '1.25 m',
  channelsHz: { elsewhere: mhz(223.5, 222.2, 224.9) },
}
const asMobile = (band: BandOfKind, highW: number, lowW: number): BandOfKind => ({
  ...band,
  claimsW: { high: highW, low: lowW },
})

/**
 * Kinds of radio one may begin with: bands, levels and power as such sets usually have them (common practice, no
 * source); what nobody said stays “not said”. Own: an empty card.
 */
export const radioKinds: readonly RadioKind[] = [
  {
    id: 'dual-band-handheld',
    title: 'Dual-band handheld',
    detail: '2 m and 70 cm, 5 W and 1 W',
    kind: 'handheld',
    levels: HIGH_LOW,
    bands: [TWO_METRES, SEVENTY_CENTIMETRES],
  },
  {
    id: 'three-band-handheld',
    title: 'Three-band handheld',
    detail: '2 m, 1.25 m and 70 cm',
    kind: 'handheld',
    levels: HIGH_LOW,
    bands: [TWO_METRES, ONE_TWENTY_FIVE, SEVENTY_CENTIMETRES],
  },
  {
    id: 'mobile',
    title: 'Mobile',
    detail: '2 m and 70 cm, 50 W and 10 W',
    kind: 'mobile',
    levels: HIGH_LOW,
    bands: [asMobile(TWO_METRES, 50, 10), asMobile(SEVENTY_CENTIMETRES, 40, 10)],
  },
  {
    id: '27-mhz',
    title: '27 MHz set',
    detail: 'FM and AM, 4 W',
    kind: 'mobile',
    levels: ONE_LEVEL,
    bands: [
      {
        name: '27 MHz',
        service: 'citizens',
        mode: 'FM',
        channelSpacingHz: 10_000,
        claimsW: { high: 4 },
        // Channels 19, 1 and 40.
        channelsHz: { elsewhere: mhz(27.185, 26.965, 27.405) },
      },
      {
        name: '27 MHz AM',
        service: 'citizens',
        mode: 'AM',
        channelSpacingHz: 10_000,
        claimsW: { high: 4 },
        channelsHz: { elsewhere: mhz(27.185) },
      },
    ],
  },
  {
    id: 'short-range',
    title: 'Short-range set',
    detail: 'without a licence, fixed antenna',
    kind: 'handheld',
    levels: ONE_LEVEL,
    bands: [
      {
        name: '446 MHz',
        service: 'short-range',
        mode: 'FM',
        channelSpacingHz: 12_500,
        claimsW: { high: 0.5 },
        // Channels 1, 4 and 8 of each scheme.
        channelsHz: {
          us: mhz(462.5625, 462.6375, 467.5625),
          ca: mhz(462.5625, 462.6375, 467.5625),
          elsewhere: mhz(446.00625, 446.04375, 446.09375),
        },
      },
    ],
  },
  {
    id: 'marine',
    title: 'Marine handheld',
    detail: '156 MHz, 5 W and 1 W',
    kind: 'handheld',
    levels: HIGH_LOW,
    bands: [
      {
        name: 'Marine VHF',
        service: 'marine',
        mode: 'FM',
        channelSpacingHz: 25_000,
        claimsW: { high: 5, low: 1 },
        // Channels 72, 6 and 77: 16 and 70 are for distress.
        channelsHz: { elsewhere: mhz(156.625, 156.3, 156.875) },
      },
    ],
  },
  {
    id: 'airband-handheld',
    title: 'Airband handheld',
    detail: '118 to 137 MHz, AM',
    kind: 'handheld',
    levels: ONE_LEVEL,
    bands: [
      {
        name: 'Airband',
        service: 'airband',
        mode: 'AM',
        channelSpacingHz: 25_000,
        // Boxes mostly give a peak power: what the carrier is, they do not say.
        claimsW: { high: null },
        channelsHz: { elsewhere: mhz(127.5, 118.1, 136.9) },
      },
    ],
  },
  {
    id: 'own',
    title: 'Something else',
    detail: 'you fill the card in',
    kind: 'handheld',
    levels: ONE_LEVEL,
    bands: [],
  },
]
