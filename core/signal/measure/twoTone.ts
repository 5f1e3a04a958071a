import { CoreError } from '../../errors'
import { peakNear, type SpectrumPeak, spectrumPeaks } from '../spectrum/peaks'
import type { Spectrum } from '../spectrum/spectrum'

/** Each tone of two equal ones lies this far below the peak envelope power, dB: 20 log 2. */
export const TONE_BELOW_PEP_DB = 20 * Math.log10(2)

/** Peak envelope power of two equal tones lies this far above their mean power, dB: 10 log 2. */
export const PEP_ABOVE_MEAN_DB = 10 * Math.log10(2)

/** One intermodulation product of two tones. */
export interface ImdLine {
  order: 3 | 5 | 7
  side: 'lower' | 'upper'
  frequencyHz: number
  /** Against the mean of the two tones’ powers, dB: negative. */
  belowToneDb: number
  isUpperBound: boolean
  /** From the noise it stands in, dB. */
  standardUncertaintyDb: number
}

/** Two tones and their products; Hz relative to the middle of the recording. */
export interface TwoTone {
  lowerHz: number
  upperHz: number
  /** Upper against lower tone, dB. */
  imbalanceDb: number
  /** Of the imbalance, from the noise both tones stand in, dB. */
  imbalanceUncertaintyDb: number
  /** Mean power of the two tones, dB of full scale. */
  meanToneDb: number
  lines: ImdLine[]
  /** The worse of both sides, dB below either tone, by order. */
  worst: Record<
    3 | 5 | 7,
    { belowToneDb: number; belowPepDb: number; isUpperBound: boolean; standardUncertaintyDb: number } | null
  >
}

/** A product this little above the noise is only a bound, dB. */
const ABOVE_NOISE_DB = 6

const ORDERS = [3, 5, 7] as const

/**
 * Reads two tones and their odd products: order 3 at 2f1 − f2 and 2f2 − f1, order 5 at 3f1 − 2f2 …, order 7
 * at 4f1 − 3f2 ….
 * @throws CoreError `too-few` when two tones within 10 dB of each other are not there.
 */
export function twoTone(
  spectrum: Spectrum,
  search: { fromHz?: number; toHz?: number; isClipped?: boolean; imageDb?: number | null } = {},
): TwoTone {
  const { isClipped = false, imageDb = null, ...where } = search
  const [first, second] = spectrumPeaks(spectrum, { ...where, most: 2 })
  if (!first || !second || first.levelDb - second.levelDb > 10)
    throw new CoreError(
      'too-few',
      'Two tones of about the same strength were not found. Are both tones on, and the microphone gain down?',
      { name: 'tones', got: first ? 1 : 0, min: 2 },
    )
  const [lower, upper] = first.frequencyHz < second.frequencyHz ? [first, second] : [second, first]
  const meanPower = (lower.power + upper.power) / 2
  const spacing = upper.frequencyHz - lower.frequencyHz
  const lines = ORDERS.flatMap(order =>
    (
      [
        ['lower', lower.frequencyHz - ((order - 1) / 2) * spacing],
        ['upper', upper.frequencyHz + ((order - 1) / 2) * spacing],
      ] as const
    ).flatMap(([side, frequencyHz]): ImdLine[] => {
      const peak = peakNear(spectrum, frequencyHz, Math.min(spacing / 4, 3 * spectrum.enbwHz))
      if (!peak) return []
      const image = imageAt(spectrum, frequencyHz, imageDb)
      const line = lineOf(peak, { order, side, frequencyHz, meanPower, frames: spectrum.independentFrames })
      // What the receiver may have put there as strongly hides what the radio put there.
      return [{ ...line, isUpperBound: line.isUpperBound || isClipped || image > peak.power / 4 }]
    }),
  )
  const worst = Object.fromEntries(
    ORDERS.map(order => {
      const own = lines.filter(line => line.order === order)
      if (own.length === 0) return [order, null]
      const highest = own.reduce((a, b) => (b.belowToneDb > a.belowToneDb ? b : a))
      return [
        order,
        {
          belowToneDb: -highest.belowToneDb,
          belowPepDb: -highest.belowToneDb + TONE_BELOW_PEP_DB,
          isUpperBound: highest.isUpperBound,
          standardUncertaintyDb: highest.standardUncertaintyDb,
        },
      ]
    }),
  ) as TwoTone['worst']
  return {
    lowerHz: lower.frequencyHz,
    upperHz: upper.frequencyHz,
    imbalanceDb: upper.levelDb - lower.levelDb,
    imbalanceUncertaintyDb: Math.hypot(
      ...[lower, upper].map(tone => noiseUncertaintyDb(tone, spectrum.independentFrames)),
    ),
    meanToneDb: 10 * Math.log10(meanPower),
    lines,
    worst,
  }
}

/** Power a receiver’s image puts at a place, from what stands at its mirror, of full scale. */
function imageAt(spectrum: Spectrum, frequencyHz: number, imageDb: number | null): number {
  if (imageDb === null) return 0
  return (peakNear(spectrum, -frequencyHz, 3 * spectrum.enbwHz)?.power ?? 0) * 10 ** (imageDb / 10)
}

/** A tone S dB above the noise of K frames is known to 8.686/√(2·10^(S/10)·K) dB. */
function noiseUncertaintyDb({ aboveFloorDb }: SpectrumPeak, frames: number): number {
  return 20 / Math.LN10 / Math.sqrt(2 * 10 ** (Math.max(0, aboveFloorDb) / 10) * Math.max(1, frames))
}

function lineOf(
  peak: SpectrumPeak,
  {
    meanPower,
    frames,
    ...where
  }: { order: 3 | 5 | 7; side: 'lower' | 'upper'; frequencyHz: number; meanPower: number; frames: number },
): ImdLine {
  return {
    ...where,
    belowToneDb: 10 * Math.log10(Math.max(peak.power, 1e-30) / meanPower),
    isUpperBound: peak.aboveFloorDb < ABOVE_NOISE_DB,
    standardUncertaintyDb: noiseUncertaintyDb(peak, frames),
  }
}
