import type { Detection } from '../../../uncertainty'
import { type HarmonicPeak, traceDoubt, type TracePeaks, type TraceSpur } from '../../../format'
import { MINUS, parseLevel } from '../../../quantity'
import type { ReadingSource, SeenLevel } from '../../../review'
import { type KeptLevel, seenLevel, type Slot } from '../../../step'
import { type Moment, slotAt, spurSlot } from './harmonicSlots'

/** How a trace was taken, and what is taken from it. */
export interface TakenTrace {
  peaks: TracePeaks
  resolutionBandwidthHz: number | null
  keepsHighest: boolean
  /** How its points show a level; null where nobody says so of the trace: as its instrument does. */
  detection: Detection | null
  moment: Moment
  source: ReadingSource
}

/** A peak from a trace becomes a reading like any other, with its file, its floor and its doubts. */
export function levelFromPeak(
  slots: readonly Slot[],
  peak: HarmonicPeak,
  taken: TakenTrace,
): KeptLevel | null {
  const settled = slots.find(({ kind }) => kind.n === peak.harmonic)
  if (!settled || !peak.peak) return null
  const { levelDbm, frequencyHz, isNoise } = peak.peak
  const decimals = Number.isInteger(levelDbm * 10) ? 1 : 2
  const doubt = traceDoubt(peak, taken)
  const { sweeps } = peak
  return levelOf(
    slotAt(settled, taken.moment),
    { levelDbm, frequencyHz, decimals, doubt, sweeps, isNoise },
    taken,
  )
}

/** A peak as it is typed: “<” where it is no higher than noise alone. */
export function peakText(
  { levelDbm, isNoise }: { levelDbm: number; isNoise: boolean },
  decimals = 1,
): string {
  return `${isNoise ? '< ' : ''}${levelDbm.toFixed(decimals).replace('-', MINUS)}`
}

/** A spur found in a trace becomes a reading in a slot of its own. */
export function levelFromSpur({ levelDbm, frequencyHz }: TraceSpur, taken: TakenTrace): KeptLevel | null {
  const slot = slotAt(spurSlot(frequencyHz), taken.moment)
  return levelOf(
    slot,
    { levelDbm, frequencyHz, decimals: 1, doubt: null, sweeps: null, isNoise: false },
    taken,
  )
}

/** A point that keeps the highest of what lies before it is the highest of nobody knows how many looks. */
function traceShows({ detection, keepsHighest }: TakenTrace): Pick<SeenLevel, 'detection'> {
  if (detection) return { detection }
  return keepsHighest ? { detection: { shows: 'highest', looks: null } } : {}
}

function levelOf(
  slot: Slot,
  peak: Pick<SeenLevel, 'levelDbm' | 'frequencyHz' | 'doubt'> & {
    decimals: number
    sweeps: HarmonicPeak['sweeps']
    isNoise: boolean
  },
  taken: TakenTrace,
): KeptLevel | null {
  const text = peakText({ levelDbm: peak.levelDbm, isNoise: peak.isNoise }, peak.decimals)
  const read = parseLevel(text, { bareUnit: 'dBm' })
  if (!read.ok) return null
  return {
    slotId: slot.id,
    text,
    seen: seenLevel(read, {
      levelDbm: peak.levelDbm,
      frequencyHz: peak.frequencyHz,
      traceFloorDbm: taken.peaks.floorDbm,
      doubt: peak.doubt,
      ...(peak.sweeps ? { sweeps: peak.sweeps } : {}),
      ...(taken.resolutionBandwidthHz === null ? {} : { resolutionBandwidthHz: taken.resolutionBandwidthHz }),
      ...traceShows(taken),
    }),
    source: taken.source,
  }
}
