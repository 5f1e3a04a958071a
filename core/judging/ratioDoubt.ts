import type { Instrument } from '../chain'
import type { Context } from '../context'
import type { FigureReading } from '../review'
import type { OwnContribution } from './foundFigure'

/**
 * What a ratio of two powers is taken to be good to where nobody knows what it was read with, dB (assumed).
 */
const ASSUMED_RATIO_DB = 1

/**
 * What the instrument leaves open of a ratio of two powers read together: what it does to both cancels, what
 * changes with frequency and level stays.
 */
export function ratioDoubt(reading: FigureReading, context: Context): OwnContribution[] {
  const instrument = context.instrument(reading.instrumentId)
  const knownDb = instrument ? ratioOf(instrument) : null
  const known = instrument && knownDb !== null ? instrument : null
  return [
    {
      id: `ratio:${known?.id ?? 'none'}`,
      group: 'reference',
      label: `${known?.name ?? 'Receiver or analyser not known'}, ratio of powers`,
      distribution: 'rectangular',
      halfWidth: knownDb ?? ASSUMED_RATIO_DB,
      assumed: known?.assumed ?? true,
    },
  ]
}

/** How well an instrument tells a ratio of powers, dB; null for one that does not tell it. */
function ratioOf(instrument: Instrument): number | null {
  switch (instrument.kind) {
    case 'receiver':
      return instrument.ratioDb
    case 'spectrum-analyser':
      return instrument.flatnessDb ?? instrument.amplitudeAccuracyDb
    default:
      return null
  }
}
