import { type FftEngine, keptTransforms } from '../fft'
import { audioPowerGain } from './audioFilter'
import { changePoints } from './changePoints'
import { neighbourScatter } from './neighbourScatter'
import { type PowerDensity, powerDensity } from './powerDensity'
import { type Audio, decimated } from './decimated'
import {
  LEAST_BLOCK_S,
  readDecimated,
  type SinadBlock,
  type SinadSettings,
  tooShort,
  tooSlow,
} from './sinadBlock'

/** A stretch of a recording over which nothing was changed: its blocks of a second, and what they come to. */
export interface SinadStretch {
  fromS: number
  toS: number
  blocks: SinadBlock[]
  /** Mean over its blocks; null where no block has a tone. */
  mean: { sinadDb: number; standardUncertaintyDb: number; toneHz: number } | null
}

/** One point of the course of a recording, s. */
const HOP_S = 0.1

/** What is cut off either end of a stretch, s: the step itself lies somewhere there. */
const GUARD_S = 0.15

/** Stretches shorter than this are no steps. */
const LEAST_STRETCH_S = 0.6

/** Neighbouring stretches that differ by less belong together, dB. */
const LEAST_STEP_DB = 0.8

/** Nothing is quieter than this, dB of full scale: what lies below is silence. */
const SILENT_DB = -90

/** A figure of the course scatters by at least this much, dB. */
const LEAST_SCATTER_DB = 0.2

/**
 * Cuts a recording where its level or its noise steps, and reads each stretch second by second.
 * @throws CoreError `too-few` for a recording too short for one block, or whose samples come too seldom for the tone.
 */
export function steppedBlocks(
  samples: Float64Array,
  sampleRateHz: number,
  settings: SinadSettings,
  engine: FftEngine,
): SinadStretch[] {
  if (samples.length < LEAST_BLOCK_S * sampleRateHz) throw tooShort(samples.length / sampleRateHz)
  const slow = tooSlow(sampleRateHz, settings)
  if (slow) throw slow
  const kept = keptTransforms(engine)
  try {
    const audio = { samples, sampleRateHz }
    const low = decimated(audio, settings.weighting.filter)
    return stretchEnds(low.samples, low.sampleRateHz, settings, kept.engine).map(({ fromS, toS }) => {
      const blocks = secondsOf(fromS, toS).map(part =>
        readDecimated(pieceOf(audio, part), pieceOf(low, part), settings, kept.engine),
      )
      return { fromS, toS, blocks, mean: meanOf(blocks) }
    })
  } finally {
    kept.release()
  }
}

/** A stretch in equal parts of about a second. */
function secondsOf(fromS: number, toS: number): { fromS: number; toS: number }[] {
  const count = Math.max(1, Math.floor(toS - fromS))
  const length = (toS - fromS) / count
  return Array.from({ length: count }, (_unused, i) => ({
    fromS: fromS + i * length,
    toS: fromS + (i + 1) * length,
  }))
}

function pieceOf({ samples, sampleRateHz }: Audio, { fromS, toS }: { fromS: number; toS: number }): Audio {
  const at = (seconds: number) => Math.round(seconds * sampleRateHz)
  return { samples: samples.subarray(at(fromS), at(toS)), sampleRateHz }
}

/** Powers are averaged, not decibels; the scatter of the blocks counts where it is larger than their own. */
function meanOf(blocks: readonly SinadBlock[]): SinadStretch['mean'] {
  const parts = blocks.flatMap(({ parts: one }) => one ?? [])
  if (parts.length === 0) return null
  const mean = (values: number[]) => values.reduce((sum, one) => sum + one, 0) / values.length
  const rest = mean(parts.map(({ noisePower, distortionPower }) => noisePower + distortionPower))
  const signal = mean(parts.map(({ signalPower }) => signalPower))
  const sinads = parts.map(({ sinadDb }) => sinadDb)
  const middle = mean(sinads)
  const scatter = Math.sqrt(
    sinads.reduce((sum, one) => sum + (one - middle) ** 2, 0) / Math.max(1, parts.length - 1),
  )
  const own = Math.sqrt(mean(parts.map(({ standardUncertaintyDb }) => standardUncertaintyDb ** 2)))
  return {
    sinadDb: 10 * Math.log10((signal + rest) / rest),
    standardUncertaintyDb: Math.max(own, parts.length < 4 ? 0 : scatter) / Math.sqrt(parts.length),
    toneHz: mean(parts.map(({ toneHz }) => toneHz)),
  }
}

function stretchEnds(
  samples: Float64Array,
  sampleRateHz: number,
  settings: SinadSettings,
  engine: FftEngine,
): { fromS: number; toS: number }[] {
  const totalS = samples.length / sampleRateHz
  const course = courseOf(samples, sampleRateHz, settings, engine)
  const length = course.toneDb.length
  if (length < 2 * (LEAST_STRETCH_S / HOP_S)) return [{ fromS: 0, toS: totalS }]
  const rows = [course.toneDb, course.noiseDb].map(row => {
    const scatter = Math.max(LEAST_SCATTER_DB, neighbourScatter(row))
    return row.map(value => value / scatter)
  })
  const price = 3 * rows.length * Math.log(length)
  const starts = changePoints(rows, { least: Math.round(LEAST_STRETCH_S / HOP_S), price })
  const kept = starts.filter((_start, i) => i === 0 || isStep(course, starts, i))
  return kept.map((start, i) => {
    const end = kept[i + 1]
    return {
      fromS: start === 0 ? 0 : start * course.hopS + GUARD_S,
      toS: end === undefined ? totalS : end * course.hopS - GUARD_S,
    }
  })
}

interface Course {
  /** From one point to the next, s: a whole number of samples. */
  hopS: number
  toneDb: Float64Array
  noiseDb: Float64Array
}

function isStep({ toneDb, noiseDb }: Course, starts: readonly number[], i: number): boolean {
  const [before, here, after] = [starts[i - 1]!, starts[i]!, starts[i + 1] ?? toneDb.length]
  const mean = (row: Float64Array, from: number, to: number) =>
    row.subarray(from, to).reduce((sum, one) => sum + one, 0) / (to - from)
  return [toneDb, noiseDb].some(
    row => Math.abs(mean(row, here, after) - mean(row, before, here)) >= LEAST_STEP_DB,
  )
}

/** Tone and noise of a recording, tenth of a second by tenth, dB of full scale. */
function courseOf(
  samples: Float64Array,
  sampleRateHz: number,
  settings: SinadSettings,
  engine: FftEngine,
): Course {
  const hop = Math.round(HOP_S * sampleRateHz)
  const length = Math.floor(samples.length / hop)
  const toneDb = new Float64Array(length)
  const noiseDb = new Float64Array(length)
  let bins: CourseBins | null = null
  for (let i = 0; i < length; i++) {
    const piece = samples.subarray(i * hop, (i + 1) * hop)
    const found = powerDensity(piece, { sampleRateHz, weighting: settings.weighting, engine })
    bins ??= courseBins(found, settings)
    let all = 0
    for (let k = 0; k < bins.gains.length; k++) all += found.density[k]! * bins.gains[k]!
    let tone = 0
    for (let k = bins.toneFrom; k < bins.toneTo; k++) tone += found.density[k]! * bins.gains[k]!
    toneDb[i] = Math.max(SILENT_DB, 10 * Math.log10(tone || 1e-12))
    noiseDb[i] = Math.max(SILENT_DB, 10 * Math.log10(Math.max(0, all - tone) || 1e-12))
  }
  return { hopS: hop / sampleRateHz, toneDb, noiseDb }
}

/** The bins of every piece of a course: the filter’s gain times the bin’s width, and which of them hold the tone. */
interface CourseBins {
  gains: Float64Array
  toneFrom: number
  toneTo: number
}

function courseBins({ density, binHz }: PowerDensity, { weighting, toneHz }: SinadSettings): CourseBins {
  const reach = 0.02 * toneHz + 4 * binHz
  return {
    gains: density.map((_power, k) => binHz * audioPowerGain(weighting, k * binHz)),
    toneFrom: Math.max(0, Math.floor((toneHz - reach) / binHz) + 1),
    toneTo: Math.min(density.length, Math.ceil((toneHz + reach) / binHz)),
  }
}
