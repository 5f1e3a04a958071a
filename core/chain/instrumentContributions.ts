import { printPlusMinus, wattsFromDbm } from '../quantity'
import { type Contribution, contribution, percentAsDb } from '../uncertainty'
import type { Instrument } from './types'

/**
 * What the instrument adds to a reading's uncertainty: its accuracy and the step of its display.
 * @param reading.atInstrumentDbm - level at the instrument's own connector.
 * @param reading.resolutionDb - weight of the last digit that was typed, dB.
 */
export function instrumentContributions(instrument: Instrument, reading: { atInstrumentDbm: number; resolutionDb: number }): Contribution[] {
  const readingW = wattsFromDbm(reading.atInstrumentDbm)
  const accuracyDb = instrument.kind === 'spectrum-analyser'
    ? instrument.amplitudeAccuracyDb
    : percentAsDb(instrument.accuracyPercent, { scaleW: instrument.accuracyOf === 'reading' ? readingW : instrument.fullScaleW, readingW })
  const displayDb = instrument.kind === 'spectrum-analyser' || instrument.resolution === 0
    ? instrument.resolution
    : percentAsDb(100, { scaleW: instrument.resolution, readingW })
  const stepDb = Math.max(displayDb, reading.resolutionDb)
  return [
    contribution({ id: 'instrument', group: 'instrument', label: instrument.name, distribution: 'rectangular', halfWidthDb: accuracyDb, assumed: instrument.assumed }),
    contribution({ id: 'resolution', group: 'resolution', label: 'Last digit of the display', distribution: 'rectangular', halfWidthDb: stepDb / 2 }),
  ]
}

/** The instrument's accuracy in words: `±5 % of full scale, 20 W` or `±2 dB`. */
export function accuracyInWords(instrument: Instrument): string {
  if (instrument.kind === 'spectrum-analyser') return printPlusMinus(instrument.amplitudeAccuracyDb)
  return instrument.accuracyOf === 'reading'
    ? `±${instrument.accuracyPercent} % of reading`
    : `±${instrument.accuracyPercent} % of full scale (${instrument.fullScaleW} W)`
}
