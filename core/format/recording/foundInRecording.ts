import { printHz, printSigned } from '../../quantity'
import type { RecordingAnalysis } from '../../signal'
import type { Found } from './sigmf'

/** Peaks that are marked at most. */
const MOST_PEAKS = 10

/**
 * What was found in a recording, each with its stretch of frequency, to be marked in its metadata: carrier,
 * peaks beside it, neighbouring channels.
 * @param referenceDb - what the ratios count from: the channel’s own power, or the strongest line.
 * @param carrierComment - what is said of the carrier.
 */
export function foundInRecording(
  found: RecordingAnalysis,
  facts: { referenceDb: number; carrierComment: string },
): Found[] {
  const { carrierHz, spectrum, occupied, adjacent } = found
  const { enbwHz } = spectrum
  const half = occupied ? (occupied.highHz - occupied.lowHz) / 2 : 2 * enbwHz
  const carrier: Found[] =
    carrierHz === null
      ? []
      : [
          {
            label: 'carrier',
            comment: facts.carrierComment,
            lowHz: carrierHz - half,
            highHz: carrierHz + half,
          },
        ]
  const peaks = found.peaks
    .filter(({ frequencyHz }) => Math.abs(frequencyHz - (carrierHz ?? 0)) > 2 * half)
    .slice(0, MOST_PEAKS)
    .map(({ frequencyHz, levelDb }): Found => ({
      label: 'peak',
      comment: `${printSigned(levelDb - facts.referenceDb)} dBc`,
      lowHz: frequencyHz - 2 * enbwHz,
      highHz: frequencyHz + 2 * enbwHz,
    }))
  const channels = (adjacent?.channels ?? []).map(({ side, step, ratioDb, lowHz, highHz }): Found => ({
    label: `${side} ${step}`,
    comment: `${printSigned(ratioDb)} dBc in ${printHz(adjacent!.filterHz, 3)}`,
    lowHz,
    highHz,
  }))
  return [...carrier, ...peaks, ...channels]
}
