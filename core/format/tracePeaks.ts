import { printFrequencyShort } from '../quantity'
import type { TracePoints } from '../review'
import { TraceNoise } from './traceNoise'

/** What the trace says at one harmonic. */
export interface HarmonicPeak {
  harmonic: number
  frequencyHz: number
  /** null where the trace has no point near. */
  peak: {
    frequencyHz: number
    levelDbm: number
    /** No higher than noise alone reaches in a stretch this wide: what may stand there is at most this. */
    isNoise: boolean
  } | null
  /** Levels the trace has at that very frequency, where they differ: how many, and how far apart; null: one. */
  sweeps: { levels: number; spreadDb: number } | null
  /** Largest distance between neighbouring points around it, Hz. */
  stepHz: number | null
  /** A peak can fall between two points here. */
  coarse: boolean
  /** In words, where something is wanting. */
  warning: string | null
}

/** The peaks of a trace at a carrier and its harmonics, and what the trace itself is like. */
export interface TracePeaks {
  peaks: HarmonicPeak[]
  /** Median level of the trace: its noise floor, dBm. */
  floorDbm: number
  /** Typical distance between points, Hz. */
  stepHz: number
}

/** Where peaks are looked for, and how the trace was taken. */
export interface TracePeaksInput {
  carrierHz: number
  highestHarmonic: number
  /** null when nobody says; then every harmonic counts as coarse. */
  resolutionBandwidthHz: number | null
  /** The instrument keeps the highest level between two points, so none is stepped over. */
  keepsHighest: boolean
}

/**
 * A carrier and its instrument may be off by this much, Hz per Hz (pocket instruments; common practice, no
 * source).
 */
const FREQUENCY_DOUBT = 20e-6
const NECESSARY_BANDWIDTH_HZ = 16e3
/** Noise is taken for a harmonic once in so many harmonics that are not there. */
const FALSE_PEAK = 1 / 100

/**
 * Finds the highest point near each harmonic, and says where the trace is too coarse or has a gap. A
 * trace is too coarse where its points lie further apart than its resolution bandwidth, unless the
 * instrument keeps the highest level between them.
 */
export function tracePeaks(points: TracePoints, input: TracePeaksInput): TracePeaks {
  const stepHz = medianStep(points.frequenciesHz)
  const rbw = input.resolutionBandwidthHz
  const noise = new TraceNoise(points.levelsDbm)
  const peaks = Array.from({ length: input.highestHarmonic }, (_unused, index): HarmonicPeak => {
    const harmonic = index + 1
    const frequencyHz = harmonic * input.carrierHz
    const half = Math.max(
      NECESSARY_BANDWIDTH_HZ,
      3 * (rbw ?? 0),
      1.01 * stepHz,
      FREQUENCY_DOUBT * frequencyHz,
    )
    const first = lowerBound(points.frequenciesHz, frequencyHz - half)
    const last = lowerBound(points.frequenciesHz, frequencyHz + half)
    const gapHz = widestGap(points.frequenciesHz, first, last, frequencyHz)
    if (first === last || gapHz === null)
      return {
        harmonic,
        frequencyHz,
        peak: null,
        sweeps: null,
        stepHz: null,
        coarse: false,
        warning: gapWords(points, frequencyHz),
      }
    let best = first
    for (let i = first; i < last; i++) if (points.levelsDbm[i]! > points.levelsDbm[best]!) best = i
    const coarse = !input.keepsHighest && (rbw === null || gapHz > rbw * 1.001)
    return {
      harmonic,
      frequencyHz,
      peak: {
        frequencyHz: points.frequenciesHz[best]!,
        levelDbm: points.levelsDbm[best]!,
        isNoise: points.levelsDbm[best]! <= noise.highestNear(best, last - first, FALSE_PEAK),
      },
      sweeps: sweepsAt(points, best),
      stepHz: gapHz,
      coarse,
      warning: coarse ? coarseWords(gapHz, rbw) : null,
    }
  })
  return { peaks, floorDbm: median(points.levelsDbm), stepHz }
}

/** All that a trace says of one frequency; its points are in rising order. */
function sweepsAt({ frequenciesHz, levelsDbm }: TracePoints, at: number): HarmonicPeak['sweeps'] {
  const same = (i: number) => frequenciesHz[i] === frequenciesHz[at]
  let [first, last] = [at, at]
  while (same(first - 1)) first -= 1
  while (same(last + 1)) last += 1
  const levels = Array.from(levelsDbm.subarray(first, last + 1))
  const spreadDb = Math.max(...levels) - Math.min(...levels)
  return spreadDb > 0 ? { levels: levels.length, spreadDb } : null
}

function coarseWords(gapHz: number, rbw: number | null): string {
  return rbw === null
    ? `Points ${printFrequencyShort(gapHz)} apart, and the resolution bandwidth is not known.`
    : `Points ${printFrequencyShort(gapHz)} apart, wider than the resolution bandwidth of ${printFrequencyShort(rbw)}.`
}

function gapWords(points: TracePoints, frequencyHz: number): string {
  const from = points.frequenciesHz[0] ?? 0
  const to = points.frequenciesHz[points.frequenciesHz.length - 1] ?? 0
  return frequencyHz < from || frequencyHz > to
    ? `The trace runs from ${printFrequencyShort(from)} to ${printFrequencyShort(to)}: not covered.`
    : 'The trace has a gap here: not covered.'
}

/** Index of the first frequency not below `hz`. */
function lowerBound(frequenciesHz: Float64Array, hz: number): number {
  let low = 0
  let high = frequenciesHz.length
  while (low < high) {
    const middle = (low + high) >> 1
    if (frequenciesHz[middle]! < hz) low = middle + 1
    else high = middle
  }
  return low
}

/**
 * Widest step among the points used and the two around the harmonic; null where the harmonic is not between
 * points.
 */
function widestGap(frequenciesHz: Float64Array, first: number, last: number, hz: number): number | null {
  const above = lowerBound(frequenciesHz, hz)
  const onPoint = frequenciesHz[above] === hz
  if (!onPoint && (above === 0 || above >= frequenciesHz.length)) return null
  const typical = medianStep(frequenciesHz)
  const around = onPoint ? 0 : frequenciesHz[above]! - frequenciesHz[above - 1]!
  if (around > Math.max(10 * typical, 2e6)) return null
  let widest = around
  for (let i = Math.max(1, first); i < last; i++)
    widest = Math.max(widest, frequenciesHz[i]! - frequenciesHz[i - 1]!)
  return widest || typical
}

function medianStep(frequenciesHz: Float64Array): number {
  if (frequenciesHz.length < 2) return 0
  const steps = new Float64Array(frequenciesHz.length - 1)
  for (let i = 1; i < frequenciesHz.length; i++) steps[i - 1] = frequenciesHz[i]! - frequenciesHz[i - 1]!
  return median(steps)
}

function median(values: Float64Array): number {
  const sorted = Float64Array.from(values).sort()
  const middle = sorted.length >> 1
  return sorted.length % 2 ? sorted[middle]! : (sorted[middle - 1]! + sorted[middle]!) / 2
}
