import { printNumber, printPercent, UNIT_SPACE } from '../../../quantity'
import type { ReadingSource } from '../../../review'
import { type KeptFigure, seenFigure } from '../../../step'
import { REFERENCE_HZ, RESPONSE_HZ } from './plan'

/** What a stretch of audio holds. */
export interface RecordedVolts {
  /** Power of all of it through the filter, full scale 1: a sine at full scale has ½. */
  totalPower: number
  /** rms of the harmonics against the tone’s; null where there is no tone. */
  distortion: number | null
  toneHz: number | null
}

/** Volts rms, as a voltmeter would show them. @param fullScaleV - volts rms of a sine at full scale. */
export function voltsOf({ totalPower }: Pick<RecordedVolts, 'totalPower'>, fullScaleV: number): number {
  return Math.sqrt(2 * totalPower) * fullScaleV
}

/** From so much distortion on a stretch is taken for the one at rated power. */
const RATED_FROM = 0.05
/** A tone this near to one of the response is that one. */
const SAME_TONE = 0.03

/** The slot a stretch most likely belongs to. */
export function likelySlot({ toneHz, distortion }: RecordedVolts): string {
  if (toneHz === null) return 'quiet-v'
  const tone = RESPONSE_HZ.find(hz => Math.abs(toneHz / hz - 1) < SAME_TONE)
  if (tone !== undefined && tone !== REFERENCE_HZ) return `response-${tone}`
  return (distortion ?? 0) >= RATED_FROM ? 'rated-v' : 'tone-v'
}

/** A stretch as a reading of volts in a slot. @param given.how - how it was come by, as a sentence begins. */
export function keptVolts(
  stretch: RecordedVolts,
  given: { slotId: string; fullScaleV: number; how: string; source: ReadingSource },
): KeptFigure {
  const { distortion } = stretch
  const volts = voltsOf(stretch, given.fullScaleV)
  const digits = Math.max(0, 2 - Math.floor(Math.log10(Math.max(volts, 1e-9))))
  const value = Number(volts.toFixed(digits))
  const distorted = distortion === null ? 'no tone' : `distortion ${printPercent(distortion, 1)}`
  return {
    slotId: given.slotId,
    text: `${printNumber(value, digits)}${UNIT_SPACE}V`,
    seen: seenFigure({
      value,
      unit: 'V',
      resolution: 10 ** -digits,
      method: `${given.how}, 20 Hz to 20 kHz; ${distorted}.`,
    }),
    source: given.source,
  }
}
