import type { SpectrumAnalyser } from '../chain'
import type { Phrasebook } from './phrasebook/types'
import { type InstrumentLine, speak } from './speak'

/** A sweep as it was read: frequencies of its points, and the levels an instrument showed there. */
export interface ReadTrace {
  frequenciesHz: Float64Array
  levelsDbm: Float64Array
}

/** What reading a sweep came to. */
export type TraceResult = { is: 'read'; trace: ReadTrace } | { is: 'failed'; why: string }

/** Points closer than this share of the bandwidth step over no line; so many are asked for at most. */
const POINTS_PER_BANDWIDTH = 2
const MOST_POINTS = 100_001
const FEWEST_POINTS = 101

/** How many points a sweep is asked for, so that no line falls between two of them. */
export function pointsFor(spanHz: number, bandwidthHz: number): number {
  const wanted = Math.ceil((POINTS_PER_BANDWIDTH * spanHz) / bandwidthHz) + 1
  return Math.min(MOST_POINTS, Math.max(FEWEST_POINTS, wanted))
}

/** Asks an analyser for a sweep, in its resolution bandwidth. */
export async function readTrace(
  line: InstrumentLine,
  {
    book,
    instrument,
    fromHz,
    toHz,
  }: {
    book: Phrasebook
    instrument: Pick<SpectrumAnalyser, 'resolutionBandwidthHz'>
    fromHz: number
    toHz: number
  },
): Promise<TraceResult> {
  const spanHz = toHz - fromHz
  const bandwidthHz = instrument.resolutionBandwidthHz
  const values = {
    centreHz: (fromHz + toHz) / 2,
    spanHz,
    bandwidthHz,
    points: pointsFor(spanHz, bandwidthHz),
  }
  const result = await speak(line, { book, name: 'read-trace', values })
  if (result.is === 'error')
    return { is: 'failed', why: `it says ${result.error.code}, ${result.error.words}` }
  if (result.is !== 'heard')
    return { is: 'failed', why: result.is === 'refused' ? result.why : 'it answered nothing' }
  const levels = result.heard.values
  if (levels.length < 2) return { is: 'failed', why: `a sweep of ${levels.length} points` }
  // An instrument gives as many points as it likes: they lie evenly from end to end.
  const stepHz = spanHz / (levels.length - 1)
  return {
    is: 'read',
    trace: {
      frequenciesHz: Float64Array.from(levels, (_level, i) => fromHz + i * stepHz),
      levelsDbm: Float64Array.from(levels),
    },
  }
}
