import type { Chain, Part, PartKind, PowerMeter, SpectrumAnalyser } from './types'

const PART_DEFAULTS: Record<PartKind, Omit<Part, 'id' | 'kind'>> = {
  jumper: { name: 'Jumper', note: '', loss: { kind: 'figure', lossDb: 0.1 }, lossUncertainty: { halfWidthDb: 0.1, distribution: 'rectangular', assumed: true }, vswr: 1.1, ratingW: null, fromHz: null, toHz: null },
  pad: { name: 'Pad', note: '', loss: { kind: 'figure', lossDb: 30 }, lossUncertainty: { halfWidthDb: 0.5, distribution: 'rectangular', assumed: true }, vswr: 1.2, ratingW: 10, fromHz: null, toHz: null },
  adapter: { name: 'Adapter', note: '', loss: { kind: 'figure', lossDb: 0.05 }, lossUncertainty: { halfWidthDb: 0.05, distribution: 'rectangular', assumed: true }, vswr: 1.1, ratingW: null, fromHz: null, toHz: null },
  load: { name: 'Load', note: '', loss: { kind: 'figure', lossDb: 0 }, lossUncertainty: { halfWidthDb: 0, distribution: 'rectangular', assumed: true }, vswr: 1.2, ratingW: 50, fromHz: null, toHz: null },
}

/** A new part of a kind with typical figures, marked as assumed. */
export function newPart(id: string, kind: PartKind): Part {
  return { id, kind, ...structureCopy(PART_DEFAULTS[kind]) }
}

/** A new chain without parts. */
export function newChain(id: string, name: string, instrumentId: string): Chain {
  return { id, name, instrumentId, parts: [], offsetOnInstrumentDb: 0, revision: 1 }
}

/** An inexpensive in-line power meter: ±10 % of full scale, assumed (handbook, section 5). */
export function newPowerMeter(id: string): PowerMeter {
  return {
    id, kind: 'power-meter', name: 'Power meter', note: '', fromHz: 1e6, toHz: 500e6, vswr: 1.1, assumed: true, resolution: 0.01,
    accuracyPercent: 10, accuracyOf: 'full-scale', fullScaleW: 20, maxInputW: 100, inLine: true,
  }
}

/** A pocket spectrum analyser: ±2 dB, assumed (handbook, section 5). */
export function newSpectrumAnalyser(id: string): SpectrumAnalyser {
  return {
    id, kind: 'spectrum-analyser', name: 'Spectrum analyser', note: '', fromHz: 100e3, toHz: 960e6, vswr: 1.5, assumed: true, resolution: 0.1,
    damageDbm: 10, overloadDbm: -10, floorDbm: -90, resolutionBandwidthHz: 100e3, amplitudeAccuracyDb: 2, floorDoubtDb: 2,
  }
}

function structureCopy<T>(value: T): T {
  return JSON.parse(JSON.stringify(value)) as T
}
