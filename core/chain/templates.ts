import { libraryPart } from './partLibrary.table'
import type { Chain, Part, PartKind, PowerMeter, Receiver, SpectrumAnalyser } from './types'

const PLAIN: Record<PartKind, { name: string; libraryId: string }> = {
  jumper: { name: 'Jumper', libraryId: 'adapter' },
  pad: { name: 'Pad', libraryId: 'pad-30-10' },
  adapter: { name: 'Adapter', libraryId: 'adapter' },
  load: { name: 'Load', libraryId: 'load-50' },
  sampler: { name: 'Sampler', libraryId: 'sampler-40' },
  coupler: { name: 'Coupler', libraryId: 'coupler-20' },
  combiner: { name: 'Combiner', libraryId: 'combiner-2' },
  filter: { name: 'Filter', libraryId: 'low-pass-150' },
  'dc-block': { name: 'DC block', libraryId: 'dc-block' },
}

/** A new part of a kind with typical figures, marked as assumed. */
export function newPart(id: string, kind: PartKind): Part {
  const { name, libraryId } = PLAIN[kind]
  const part = {
    ...libraryPart(libraryId, id),
    kind,
    name,
    note: '',
    toHz: null,
    zeroRatingAtC: null,
    peakW: null,
  }
  if (kind === 'jumper')
    return {
      ...part,
      loss: { kind: 'figure', lossDb: 0.1 },
      lossUncertainty: { ...part.lossUncertainty, halfWidthDb: 0.1 },
    }
  if (kind === 'pad') return { ...part, lossUncertainty: { ...part.lossUncertainty, halfWidthDb: 0.5 } }
  return part
}

/** A new chain without parts. */
export function newChain(id: string, name: string, instrumentId: string): Chain {
  return { id, name, instrumentId, parts: [], offsetOnInstrumentDb: 0, revision: 1 }
}

/** An inexpensive in-line power meter: ±10 % of full scale, assumed (handbook, section 5). */
export function newPowerMeter(id: string): PowerMeter {
  return {
    id,
    kind: 'power-meter',
    name: 'Power meter',
    note: '',
    fromHz: 1e6,
    toHz: 500e6,
    vswr: 1.1,
    assumed: true,
    resolution: 0.01,
    referencePpm: null,
    accuracyPercent: 10,
    accuracyOf: 'full-scale',
    fullScaleW: 20,
    maxInputW: 100,
    inLine: true,
  }
}

/** A pocket spectrum analyser: ±2 dB, assumed (handbook, section 5). */
export function newSpectrumAnalyser(id: string): SpectrumAnalyser {
  return {
    id,
    kind: 'spectrum-analyser',
    name: 'Spectrum analyser',
    note: '',
    fromHz: 100e3,
    toHz: 960e6,
    vswr: 1.5,
    assumed: true,
    resolution: 0.1,
    referencePpm: null,
    damageDbm: 10,
    overloadDbm: -10,
    floorDbm: -90,
    resolutionBandwidthHz: 100e3,
    amplitudeAccuracyDb: 2,
    flatnessDb: null,
    floorDoubtDb: 2,
  }
}

/**
 * An inexpensive I/Q receiver: 1 ppm, ±1 % of deviation, ±0.5 dB in ratios, assumed (common practice, no
 * source).
 */
export function newReceiver(id: string): Receiver {
  return {
    id,
    kind: 'receiver',
    name: 'I/Q receiver',
    note: '',
    fromHz: 1e6,
    toHz: 1.7e9,
    vswr: 1.5,
    assumed: true,
    resolution: 0.1,
    referencePpm: 1,
    damageDbm: 10,
    overloadDbm: -20,
    deviationPercent: 1,
    ratioDb: 0.5,
  }
}
