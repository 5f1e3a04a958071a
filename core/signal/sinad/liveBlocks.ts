import { type FftEngine, keptTransforms } from '../fft'
import { readSinad, type SinadBlock, type SinadSettings } from './sinadBlock'

/** What is heard just now. */
export interface LiveReport {
  /** The last second. */
  block: SinadBlock
  /** Mean of the seconds since something was changed; null before there is a tone. */
  steady: SteadyMean | null
  /** Largest sample since the last report, of full scale. */
  peak: number
}

/** The mean of seconds that follow one another and do not overlap. */
export interface SteadyMean {
  sinadDb: number
  standardUncertaintyDb: number
  seconds: number
}

/** Follows audio as it comes: five reports a second, each over the last second. */
export interface LiveBlocks {
  /** Takes samples, full scale ±1, in pieces of any length; what is to be reported, oldest first. */
  push: (samples: Float32Array) => LiveReport[]
  release: () => void
}

const BLOCK_S = 1
const HOP_S = 0.2
/** The first report does not wait for a whole second. */
const FIRST_S = 0.6
/** Seconds that are put together at most. */
const MOST_SECONDS = 8
/** A second further from the mean than this is something else: the mean begins anew, dB. */
const MOVED_DB = 1
const MOVED_TIMES = 4

/**
 * Reads SINAD of audio as it comes.
 * @param sampleRateHz - as the sound card delivers it.
 */
export function liveBlocks(sampleRateHz: number, settings: SinadSettings, engine: FftEngine): LiveBlocks {
  const kept = keptTransforms(engine)
  const ring = new Float64Array(Math.round(BLOCK_S * sampleRateHz))
  const steady = steadySeconds()
  const hop = Math.round(HOP_S * sampleRateHz)
  let filled = 0
  let sinceReport = 0
  let sinceSecond = 0
  let peak = 0

  function report(): LiveReport {
    const block = readSinad(
      filled < ring.length ? ring.slice(ring.length - filled) : ring,
      sampleRateHz,
      settings,
      kept.engine,
    )
    const isWholeSecond = filled === ring.length && sinceSecond >= ring.length
    if (isWholeSecond) sinceSecond = 0
    const mean = steady.take(block, isWholeSecond)
    const found = { block, steady: mean, peak }
    peak = 0
    sinceReport = 0
    return found
  }

  function push(samples: Float32Array): LiveReport[] {
    const reports: LiveReport[] = []
    for (let from = 0; from < samples.length; from += hop) {
      const piece = samples.subarray(from, from + hop)
      append(piece)
      const enough = filled >= FIRST_S * sampleRateHz
      if (enough && sinceReport >= hop) reports.push(report())
    }
    return reports
  }

  function append(piece: Float32Array): void {
    ring.copyWithin(0, piece.length)
    ring.set(piece, ring.length - piece.length)
    for (const sample of piece) peak = Math.max(peak, Math.abs(sample))
    filled = Math.min(ring.length, filled + piece.length)
    sinceReport += piece.length
    sinceSecond += piece.length
  }

  return { push, release: kept.release }
}

function steadySeconds() {
  let seconds: { sinadDb: number; uncertaintyDb: number }[] = []
  return {
    take({ parts, doubts }: SinadBlock, isWholeSecond: boolean): SteadyMean | null {
      if (!parts || doubts.some(({ kind }) => kind === 'level-jump')) {
        seconds = []
        return null
      }
      const second = { sinadDb: parts.sinadDb, uncertaintyDb: parts.standardUncertaintyDb }
      const mean = meanOf(seconds)
      const allowed = Math.max(MOVED_DB, MOVED_TIMES * second.uncertaintyDb)
      if (mean && Math.abs(second.sinadDb - mean.sinadDb) > allowed) seconds = []
      if (isWholeSecond || seconds.length === 0) seconds = [...seconds, second].slice(-MOST_SECONDS)
      return meanOf(seconds)
    },
  }
}

/** What its seconds say of themselves, or their scatter, whichever is larger. */
function meanOf(seconds: readonly { sinadDb: number; uncertaintyDb: number }[]): SteadyMean | null {
  const n = seconds.length
  if (n === 0) return null
  const sinadDb = seconds.reduce((sum, one) => sum + one.sinadDb, 0) / n
  const own = Math.sqrt(seconds.reduce((sum, one) => sum + one.uncertaintyDb ** 2, 0)) / n
  const spread =
    n < 3 ? 0 : Math.sqrt(seconds.reduce((sum, one) => sum + (one.sinadDb - sinadDb) ** 2, 0) / (n - 1) / n)
  return { sinadDb, standardUncertaintyDb: Math.max(own, spread), seconds: n }
}
