import type { Context } from '../../context'
import type { LevelReading } from '../../review'
import { correctReading, type FoundLevel, type NotCorrected, roughlyDbm, type Step } from '../../step'
import { type HarmonicContent, harmonicContent } from './harmonicContent'
import { evenPeakLine, type PeakEffect, type PeakLineOf, peakMeterEffect } from '../../uncertainty'

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
  return context.forGood(corrected, reading, step, context)
}

function corrected(reading: LevelReading, step: Step, context: Context): FoundLevel | NotCorrected {
  const meter = context.instrument(reading.instrumentId)
  const roughDbm = meter?.kind === 'power-meter' ? roughlyDbm(reading, context) : null
  if (meter?.kind !== 'power-meter' || roughDbm === null) return correctReading(reading, context)
  const content = harmonicContent(step, roughDbm, context)
  const { correctionDb, lines } = meter.sensor === 'thermal' ? heatEffect(content) : peakEffect(content)
  if (correctionDb < SMALLEST_DB && lines.length === 0) return correctReading(reading, context)
  const notes = meter.sensor === 'thermal' ? [] : peakNotes(content, meter.sensor)
  return correctReading(reading, context, { also: { correctionDb, lines, notes } })
}

/** Heat adds the harmonics’ powers: those that were read are taken off. */
function heatEffect({ read }: HarmonicContent): PeakEffect {
  const share = read.reduce((sum, { downDb }) => sum + 10 ** (-downDb / 10), 0)
  return { correctionDb: 10 * Math.log10(1 + share), lines: [] }
}

/** What the harmonics that were read leave open; where none was, one that nobody knows, either way alike. */
function peakEffect({ read }: HarmonicContent): PeakEffect {
  if (read.length === 0) return { correctionDb: 0, lines: [UNREAD] }
  return peakMeterEffect(
    lineName,
    // One standard uncertainty stronger than read: what is not quite known may be as much.
    read.map(({ n, downDb, doubtDb }) => ({ n, downDb: downDb - doubtDb })),
  )
}

function lineName(which: PeakLineOf) {
  switch (which) {
    case 'strong':
      return { id: 'harmonics:read', label: 'Harmonics in the meter' }
    case 'weak':
      return { id: 'harmonics:weak', label: 'Weak harmonics in the meter' }
    default:
      return { id: `harmonics:x${which}`, label: `Harmonic ×${which} in the meter` }
  }
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
