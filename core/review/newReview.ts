import { HEAT_DEFAULTS } from '../chain'
import type { Review } from './types'
import type { Band, Channel, PowerLevel, RadioSet } from './cardTypes'

/** A year: the usual interval between calibrations (common practice, no source). */
export const DEFAULT_CALIBRATION_AGE_DAYS = 365

/** An empty review with the default settings. */
export function newReview(input: { id: string; title: string; at: string }): Review {
  return {
    id: input.id,
    title: input.title,
    purpose: '',
    reviewer: '',
    createdAt: input.at,
    updatedAt: input.at,
    settings: {
      rulebookIds: ['us-amateur'],
      yardstickId: null,
      decisionRule: 'sure-either-way',
      claimToleranceDb: 0,
      calibrationMaxAgeDays: DEFAULT_CALIBRATION_AGE_DAYS,
      ambientC: HEAT_DEFAULTS.ambientC,
      duty: { ...HEAT_DEFAULTS.duty },
      soundCue: false,
      alsoStations: [],
    },
    sets: [],
    instruments: [],
    chains: [],
    readings: [],
    traces: [],
    curves: [],
    keyDowns: [],
    notes: [],
    pictures: [],
    clips: [],
    skipped: [],
    runOrder: [],
    calibrations: [],
    calibrationSwaps: [],
    padTests: [],
    controlChecks: [],
    otherFigures: [],
    ownRulebooks: [],
    ticks: {},
    memos: {},
    sheetWords: {},
    publications: [],
  }
}

/** An empty card with one level and no band. */
export function newRadioSet(input: { id: string; sample: string; levelId: string }): RadioSet {
  return {
    id: input.id,
    kind: 'handheld',
    role: 'under-test',
    make: '',
    model: '',
    sample: input.sample,
    serial: '',
    firmware: '',
    price: '',
    howObtained: '',
    inTheBox: '',
    battery: { voltageV: null, capacityAh: null, energyWh: null },
    levels: [newLevel(input.levelId, 'High')],
    bands: [],
    supplyNow: '',
    keyDownLimitS: 60,
    readyFor: null,
    chains: {},
  }
}

/** A power level. */
export function newLevel(id: string, name: string): PowerLevel {
  return { id, name }
}

/** A band without channels; claims start as “the maker does not say”. */
export function newBand(input: { id: string; name: string; levelIds: string[] }): Band {
  return {
    id: input.id,
    name: input.name,
    channels: [],
    claims: Object.fromEntries(input.levelIds.map(id => [id, { kind: 'not-said' as const }])),
    mode: 'FM',
    channelSpacingHz: null,
    alsoSpacingsHz: [],
    antennaGainDbd: null,
    antennaGainDoubtDb: null,
    receives: [],
    rulebookIds: null,
  }
}

/** A channel; the first of a band is the one for harmonics. */
export function newChannel(input: {
  id: string
  name: string
  frequencyHz: number
  harmonics: boolean
}): Channel {
  return { ...input }
}
