import type { FigureReading } from '../../review'
import type { StationContext } from '../stationContext'
import type { OwnContribution } from './figureResult'

/**
 * What a ratio of two powers is taken to be good to where nobody knows what it was read with, dB (assumed).
 */
export const ASSUMED_RATIO_DB = 1

/**
 * What the instrument leaves open of a ratio of two powers read together: what it does to both cancels, what
 * changes with frequency and level stays.
 */
export function ratioDoubt(reading: FigureReading, context: StationContext): OwnContribution[] {
  const instrument = reading.instrumentId === null ? undefined : context.instrument(reading.instrumentId)
  const known =
    instrument?.kind === 'receiver'
      ? instrument.ratioDb
      : instrument?.kind === 'spectrum-analyser'
        ? (instrument.flatnessDb ?? instrument.amplitudeAccuracyDb)
        : null
  const name = known === null ? 'Receiver or analyser not known' : instrument!.name
  return [
    {
      id: `ratio:${known === null ? 'none' : instrument!.id}`,
      group: 'reference',
      label: `${name}, ratio of powers`,
      distribution: 'rectangular',
      halfWidth: known ?? ASSUMED_RATIO_DB,
      assumed: known === null || instrument!.assumed,
    },
  ]
}
