import { WaveFile } from 'wavefile'

/** Sound as a file. */
export interface WavOfSound {
  /** The file as a data URL. */
  dataUrl: string
  bytes: number
}

const FULL_SCALE = 32767

/**
 * Sound as a WAV file of one channel and 16 bit; what is louder than full scale is cut.
 * @param samples - full scale 1.
 */
export function wavOf(samples: Float32Array, sampleRateHz: number): WavOfSound {
  const whole = Int16Array.from(samples, value => Math.round(FULL_SCALE * Math.min(1, Math.max(-1, value))))
  const file = new WaveFile()
  file.fromScratch(1, sampleRateHz, '16', whole)
  return { dataUrl: file.toDataURI(), bytes: file.toBuffer().length }
}
