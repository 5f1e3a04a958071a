import { fullDeviationHz } from '../../band'
import type { Keyed } from './radio'

/** What is at a microphone. */
export type Speaks = 'nothing' | 'tone' | 'loudest'

/** The load at the speaker of a virtual bench, Ω. */
export const SPEAKER_LOAD_OHM = 8

/** What comes out of the speaker of a radio of known truth. */
export interface VirtualSpeaker {
  /** Volts across the load where a tenth of them is distortion, and with the volume where it usually is. */
  ratedV: number
  usualV: number
  /** What is left without a tone at a strong signal, beside the tone, dB. */
  humDb: number
  /** A tone beside the same at 1 kHz, dB. */
  responseDb: (toneHz: number) => number
}

/** How far a carrier swings by what is said: a share of what its channel is made for, a little hum besides. */
export function virtualDeviation(random: () => number): (keyed: Keyed) => number {
  const shares: Readonly<Record<Speaks, number>> = {
    nothing: 0.004 + 0.008 * random(),
    tone: 0.55 + 0.1 * random(),
    loudest: 0.84 + 0.2 * random(),
  }
  return ({ spacingHz = null, speaks = 'nothing' }) =>
    shares[speaks] * fullDeviationHz({ channelSpacingHz: spacingHz })
}

const REFERENCE_HZ = 1000

/** A speaker with 6 dB an octave of de-emphasis, and ends of its own. */
export function virtualSpeaker(random: () => number): VirtualSpeaker {
  const ends = { lowHz: 120 + 120 * random(), highHz: 3200 + 1200 * random() }
  return {
    ratedV: 1.6 + 0.6 * random(),
    usualV: 0.45 + 0.2 * random(),
    humDb: -36 - 8 * random(),
    responseDb: speakerResponse(ends),
  }
}

/** A fall of 6 dB an octave between two ends, counted from 1 kHz, dB. */
export function speakerResponse({
  lowHz,
  highHz,
}: {
  lowHz: number
  highHz: number
}): VirtualSpeaker['responseDb'] {
  const gain = (hz: number) => REFERENCE_HZ / hz / Math.hypot(1, lowHz / hz) / Math.hypot(1, hz / highHz)
  return toneHz => 20 * Math.log10(gain(toneHz) / gain(REFERENCE_HZ))
}
