import type { Band, PowerClaim, RadioSet, ReceiverClaim } from '../review'

const watts = (powerW: number): PowerClaim => ({ kind: 'watts', powerW })
const notSaid: PowerClaim = { kind: 'not-said' }

/** What a box says of its receiver: so many microvolts, and not whether pd or emf. */
function hears(microvolts: number): ReceiverClaim {
  return {
    id: `sinad-${microvolts}`,
    kind: 'sinad-12',
    value: microvolts,
    unit: 'µV',
    voltageIs: 'not-said',
    takenAs: 'pd',
    spacingHz: null,
  }
}

const keepsOut = (ratioDb: number): ReceiverClaim => ({
  ...hears(ratioDb),
  id: `selectivity-${ratioDb}`,
  kind: 'selectivity',
  unit: 'dB',
})

const speaks = (powerW: number): ReceiverClaim => ({
  ...hears(powerW),
  id: `audio-${powerW}`,
  kind: 'audio-power',
  unit: 'W',
})

/** Chains chosen for carrier power, for harmonics, and for two generators. */
function through(powerChain: string, harmonicsChain: string): RadioSet['chains'] {
  return {
    neighbour: { generator: 'hear-two', interferer: 'hear-other' },
    'strong-signals': { generator: 'hear-two', interferer: 'hear-other' },
    'carrier-power': { instrument: powerChain },
    harmonics: { instrument: harmonicsChain },
  }
}

interface DemoBand {
  id: string
  name: string
  channels: [name: string, mhz: number][]
  /** Index of the channel harmonics are measured on. */
  harmonicsOn: number
  claims: Record<string, PowerClaim>
  receives?: ReceiverClaim[]
}

function band({ id, name, channels, harmonicsOn, claims, receives = [] }: DemoBand): Band {
  return {
    id,
    name,
    claims,
    mode: 'FM',
    channelSpacingHz: 12_500,
    alsoSpacingsHz: [],
    antennaGainDbd: null,
    antennaGainDoubtDb: null,
    receives,
    rulebookIds: null,
    channels: channels.map(([channelName, mhz], index) => ({
      id: `${id}-${index + 1}`,
      name: channelName,
      frequencyHz: Math.round(mhz * 1e6),
      harmonics: index === harmonicsOn,
    })),
  }
}

const twoMetres = (claims: Record<string, PowerClaim>) =>
  band({
    id: '2m',
    name: '2 m',
    channels: [
      ['Fell', 144.39],
      ['Valley', 146.52],
      ['Beck', 147.54],
    ],
    harmonicsOn: 1,
    claims,
  })
const seventy = (claims: Record<string, PowerClaim>, receives: ReceiverClaim[] = []) =>
  band({
    receives,
    id: '70cm',
    name: '70 cm',
    channels: [
      ['Scar', 432.1],
      ['Tarn', 446],
      ['Gill', 449.5],
    ],
    harmonicsOn: 1,
    claims,
  })

const levels = [
  { id: 'high', name: 'High' },
  { id: 'low', name: 'Low' },
]
const handheld: Pick<RadioSet, 'kind' | 'role' | 'levels' | 'keyDownLimitS' | 'readyFor'> = {
  readyFor: null,
  kind: 'handheld',
  role: 'under-test',
  levels,
  keyDownLimitS: 60,
}

const mobile: Pick<RadioSet, 'kind' | 'role' | 'levels' | 'keyDownLimitS' | 'readyFor'> = {
  readyFor: null,
  kind: 'mobile',
  role: 'under-test',
  levels,
  keyDownLimitS: 120,
}

const trek: Omit<RadioSet, 'id' | 'sample' | 'serial' | 'chains' | 'supplyNow'> = {
  ...handheld,
  make: 'Osmere',
  model: 'Trek 2',
  firmware: '2.14',
  price: '£38',
  howObtained: 'bought, two from one box',
  inTheBox: 'radio, battery, antenna, desk charger, belt clip',
  battery: { voltageV: 7.4, capacityAh: 1.8, energyWh: 13.32 },
  bands: [
    twoMetres({ high: watts(5), low: watts(1) }),
    seventy({ high: watts(5), low: notSaid }, [hears(0.2), keepsOut(60), speaks(0.5)]),
  ],
}

/** The invented radios of the demo. */
export const demoSets: readonly RadioSet[] = [
  {
    ...trek,
    id: 'trek-a',
    sample: 'A',
    serial: 'OT2-00417',
    supplyNow: 'battery full',
    chains: through('power', 'club50'),
  },
  {
    ...trek,
    id: 'trek-b',
    sample: 'B',
    serial: 'OT2-00418',
    supplyNow: 'battery 91 %',
    chains: through('power', 'pocket50'),
  },
  {
    ...handheld,
    id: 'mini',
    make: 'Quillet',
    model: 'Mini 4',
    sample: '',
    serial: 'Q4-2207-113',
    firmware: '1.0.9',
    price: '£29',
    howObtained: 'lent by a marshal',
    inTheBox: 'radio, battery, antenna, cable',
    battery: { voltageV: 3.7, capacityAh: 2.6, energyWh: 10.2 },
    supplyNow: 'battery full',
    bands: [
      twoMetres({ high: watts(3), low: notSaid }),
      seventy({ high: watts(3), low: notSaid }, [hears(0.16)]),
    ],
    chains: through('power', 'pocket50'),
  },
  {
    ...mobile,
    id: 'tarnwick',
    make: 'Tarnwick',
    model: '27',
    sample: '',
    serial: 'T27-5520',
    firmware: '',
    price: '£85',
    howObtained: 'bought used',
    inTheBox: 'radio, microphone, bracket, fused lead',
    battery: { voltageV: null, capacityAh: null, energyWh: null },
    supplyNow: '13.8 V supply',
    levels: [{ id: 'high', name: 'High' }],
    bands: [
      {
        ...band({
          id: '27mhz',
          name: '27 MHz',
          channels: [
            ['Channel 1', 26.965],
            ['Channel 19', 27.185],
            ['Channel 40', 27.405],
          ],
          harmonicsOn: 1,
          claims: { high: watts(4) },
        }),
        channelSpacingHz: 10e3,
        rulebookIds: ['us-cb', 'eu-cb'],
      },
      {
        ...band({
          id: '27ssb',
          name: '27 MHz SSB',
          channels: [['Channel 38', 27.385]],
          harmonicsOn: 0,
          claims: { high: watts(12) },
        }),
        mode: 'SSB',
        channelSpacingHz: 10e3,
        rulebookIds: ['us-cb', 'eu-cb'],
      },
    ],
    chains: through('power', 'mobile60'),
  },
  {
    ...mobile,
    id: 'pellworth',
    make: 'Pellworth',
    model: 'M25',
    sample: '',
    serial: 'PM-25-0093',
    firmware: '3.2',
    price: '£140',
    howObtained: 'bought',
    inTheBox: 'radio, microphone, bracket, lead',
    battery: { voltageV: null, capacityAh: null, energyWh: null },
    supplyNow: '13.8 V supply',
    bands: [{ ...twoMetres({ high: watts(25), low: watts(5) }), alsoSpacingsHz: [25e3] }],
    chains: through('power', 'mobile60'),
  },
  {
    ...handheld,
    id: 'c1',
    role: 'control',
    make: 'Corriemoor',
    model: 'C1',
    sample: '',
    serial: 'C1-0071',
    firmware: '5.01',
    price: '£210',
    howObtained: 'the reviewer’s own',
    inTheBox: 'not applicable',
    battery: { voltageV: 7.2, capacityAh: 2.2, energyWh: 15.8 },
    supplyNow: 'battery full',
    bands: [
      twoMetres({ high: watts(5), low: watts(1) }),
      seventy({ high: watts(5), low: watts(1) }, [hears(0.18)]),
    ],
    chains: through('power', 'club50'),
  },
]
