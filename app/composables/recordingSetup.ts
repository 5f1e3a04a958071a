import { ASSUMED_PHASE_NOISE_DBC, type SamplePart } from '#core/signal'
import type { RecordingLook } from '~/workers/recording.worker'

/** How a recording is to be taken. */
export interface RecordingSetup extends SamplePart {
  index: number
  as: 'iq' | 'audio'
  /** Which pair of I and Q, or which channel of audio, from nought. */
  channel: number
  sampleRateHz: number
  centreHz: number | null
  /** Signal to be read, Hz from the middle; null: the strongest. */
  shiftHz: number | null
  /** Phase noise of the receiver 10 kHz from a carrier, dBc/Hz; assumed where nobody says. */
  phaseNoiseDbcPerHz: number
}

/** How a recording is taken to begin with, for a channel where one is in hand. */
export function firstSetup(index: number, look: RecordingLook, channelHz: number | null): RecordingSetup {
  const { mayBeIq, sampleRateHz, centreHz } = look
  return {
    index,
    as: mayBeIq ? 'iq' : 'audio',
    channel: 0,
    fromS: null,
    toS: null,
    sampleRateHz,
    centreHz,
    phaseNoiseDbcPerHz: ASSUMED_PHASE_NOISE_DBC,
    shiftHz: shiftTo(channelHz, { centreHz, sampleRateHz }),
  }
}

/**
 * The channel where the recording says where it stands and the channel lies inside; else the strongest signal.
 */
function shiftTo(
  channelHz: number | null,
  { centreHz, sampleRateHz }: Pick<RecordingSetup, 'centreHz' | 'sampleRateHz'>,
): number | null {
  if (centreHz === null || channelHz === null) return null
  return Math.abs(channelHz - centreHz) < 0.45 * sampleRateHz ? channelHz - centreHz : null
}

/** Which samples of which file, as the workers are told. */
export function choiceOf(chosen: RecordingSetup) {
  const { index, as, channel, sampleRateHz, centreHz, fromS, toS } = chosen
  const use = as === 'iq' ? { kind: 'iq' as const, pair: channel } : { kind: 'audio' as const, channel }
  return { index, use, sampleRateHz, centreHz, fromS, toS }
}
