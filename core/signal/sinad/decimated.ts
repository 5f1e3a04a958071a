import { convolveEven } from '../filter/convolve'
import { lowPass } from '../filter/lowPass'
import { AUDIO_BANDS, type AudioFilter } from './audioFilter'

/** Audio at a rate of its own. */
export interface Audio {
  samples: Float64Array
  sampleRateHz: number
}

/** A tone that is not the wanted one is looked for up to here, Hz. */
const LEAST_PASS_HZ = 4200

/** Between what passes and what would fold onto it lies at least this, Hz. */
const SLOPE_HZ = 3000

/**
 * The same audio at the lowest rate that still holds a filter’s band: everything after it has less to do. What
 * would fold into the band is 80 dB down.
 */
export function decimated(audio: Audio, filter: AudioFilter): Audio {
  const passHz = Math.max(LEAST_PASS_HZ, AUDIO_BANDS[filter].toHz)
  return stagesOf(Math.floor(audio.sampleRateHz / (2 * passHz + SLOPE_HZ))).reduce(
    (before, factor) => thinned(before, factor, passHz),
    audio,
  )
}

/** A large factor in steps of two as far as it goes: filters by two are short, and half of their taps nought. */
function stagesOf(factor: number): number[] {
  if (factor < 2) return []
  return factor > 2 && factor % 2 === 0 ? [2, ...stagesOf(factor / 2)] : [factor]
}

function thinned(audio: Audio, factor: number, passHz: number): Audio {
  const { samples, sampleRateHz } = audio
  const stopHz = sampleRateHz / factor - passHz
  const kernel = lowPass({ sampleRateHz, passHz, stopHz })
  if (samples.length < 4 * kernel.length) return audio
  return { samples: convolveEven(samples, kernel, factor), sampleRateHz: sampleRateHz / factor }
}
