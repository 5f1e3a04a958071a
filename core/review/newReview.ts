import type { Band, Channel, PowerLevel, RadioSet, Review } from './types'

/** An empty review with the default settings. */
export function newReview(input: { id: string; title: string; at: string }): Review {
  return {
    id: input.id, title: input.title, purpose: '', reviewer: '', createdAt: input.at, updatedAt: input.at,
    settings: { rulebookId: 'us-amateur', yardstickId: null, decisionRule: 'sure-either-way', claimToleranceDb: 0 },
    sets: [], instruments: [], chains: [], readings: [], traces: [], ticks: {},
  }
}

/** An empty card with one level and no band. */
export function newRadioSet(input: { id: string; sample: string; levelId: string }): RadioSet {
  return {
    id: input.id, kind: 'handheld', role: 'under-test', make: '', model: '', sample: input.sample, serial: '', firmware: '', price: '', howObtained: '', inTheBox: '',
    battery: { voltageV: null, capacityAh: null, energyWh: null },
    levels: [newLevel(input.levelId, 'High')], bands: [], supplyNow: '', keyDownLimitS: 60, chainByStation: {},
  }
}

/** A power level. */
export function newLevel(id: string, name: string): PowerLevel {
  return { id, name }
}

/** A band without channels; claims start as “the maker does not say”. */
export function newBand(input: { id: string; name: string; levelIds: string[] }): Band {
  return { id: input.id, name: input.name, channels: [], claims: Object.fromEntries(input.levelIds.map(id => [id, { kind: 'not-said' as const }])) }
}

/** A channel; the first of a band is the one for harmonics. */
export function newChannel(input: { id: string; name: string; frequencyHz: number; harmonics: boolean }): Channel {
  return { ...input }
}
