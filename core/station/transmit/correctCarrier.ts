import type { Context } from '../../context'
import type { LevelReading } from '../../review'
import {
  correctReading,
  type FoundLevel,
  isCorrected,
  type NotCorrected,
  type Step,
  withMore,
} from '../../step'
import { type HarmonicContent, harmonicContent } from './harmonicContent'
import { evenPeakLine, type PeakEffect, peakMeterEffect } from '../../uncertainty'

/** So far down, dB, the harmonics of a set may be that nobody has read (common practice, no source). */
export const ASSUMED_HARMONICS_DOWN_DB = 20

/** Harmonics that change a meter by less than this, ± dB, are left out. */
const SMALLEST_DB = 0.005

/**
 * The carrier as a power meter shows it, taken to the socket: what feels the peak of the voltage is moved by the
 * carrier’s harmonics, one way or the other as their angles fall; what feels heat adds their powers.
 */
export function correctCarrier(
  reading: LevelReading,
  step: Step,
  context: Context,
): FoundLevel | NotCorrected {
  return context.derive(reading, 'carrier', () => corrected(reading, step, context))
}

function corrected(reading: LevelReading, step: Step, context: Context): FoundLevel | NotCorrected {
  const found = correctReading(reading, context)
  const meter = context.instrument(reading.instrumentId)
  if (!isCorrected(found) || meter?.kind !== 'power-meter') return found
  const content = harmonicContent(step, found.value, context)
  if (meter.sensor === 'thermal') return withoutHarmonicPower(found, content, context)
  const { correctionDb, lines } = peakEffect(content)
  if (lines.length === 0) return found
  return withMore(found, { correctionDb, lines, notes: peakNotes(content, meter.sensor) }, context)
}

/** Heat adds the harmonics’ powers: those that were read are taken off. */
function withoutHarmonicPower(found: FoundLevel, { read }: HarmonicContent, context: Context): FoundLevel {
  const share = read.reduce((sum, { downDb }) => sum + 10 ** (-downDb / 10), 0)
  const correctionDb = 10 * Math.log10(1 + share)
  return correctionDb < SMALLEST_DB ? found : withMore(found, { correctionDb, lines: [] }, context)
}

/** What the harmonics that were read leave open; where none was, one that nobody knows, either way alike. */
function peakEffect({ read }: HarmonicContent): PeakEffect {
  if (read.length === 0) return { correctionDb: 0, lines: [UNREAD] }
  return peakMeterEffect(
    harmonic => ({
      id: `harmonics:${harmonic ? `x${harmonic.n}` : 'read'}`,
      label: `${harmonic ? `Harmonic ×${harmonic.n}` : 'Harmonics'} in the meter`,
    }),
    // One standard uncertainty stronger than read: what is not quite known may be as much.
    read.map(({ n, downDb, doubtDb }) => ({ n, downDb: downDb - doubtDb })),
  )
}

const UNREAD = evenPeakLine(
  {
    id: 'harmonics:unread',
    label: `Harmonics nobody has read, ${ASSUMED_HARMONICS_DOWN_DB} dB down at most, in the meter`,
    assumed: true,
  },
  ASSUMED_HARMONICS_DOWN_DB,
)

function peakNotes({ read }: HarmonicContent, sensor: 'diode' | 'unknown'): string[] {
  const what =
    sensor === 'diode'
      ? 'This meter feels the peak of the voltage'
      : 'Nobody said what this meter feels; it is taken for one that feels the peak of the voltage'
  return [
    read.length > 0
      ? `${what}, which the harmonics read at this channel and level move.`
      : `${what}: harmonics nobody has read may move it. Read them at this channel and level.`,
  ]
}
