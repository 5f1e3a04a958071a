import type { Chain, Instrument, Part } from './types'

/** True for an instrument a carrier of the radio is led into to be read; true where there is none yet. */
export function isReadingInstrument(instrument: Instrument | undefined): boolean {
  if (!instrument) return true
  return ['power-meter', 'spectrum-analyser', 'receiver'].includes(instrument.kind)
}

/** The chain as the signal meets it: what lies before the instrument, and what ends it behind. */
export interface ChainPath {
  before: Part[]
  /** Load behind an in-line meter; null when the instrument itself ends the chain. */
  termination: Part | null
  /** An in-line meter with nothing behind it: the radio would look into an open. */
  endsOpen: boolean
}

/**
 * Splits a chain at its instrument. A load at the end of the row stands behind an in-line meter;
 * anywhere else a load is a part whose loss is the coupling of its tap.
 */
export function chainPath(chain: Chain, instrument: Instrument | undefined): ChainPath {
  const last = chain.parts[chain.parts.length - 1]
  const inLine = instrument?.kind === 'power-meter' && instrument.inLine
  if (!inLine) return { before: chain.parts, termination: null, endsOpen: false }
  if (last?.kind === 'load') return { before: chain.parts.slice(0, -1), termination: last, endsOpen: false }
  return { before: chain.parts, termination: null, endsOpen: true }
}
