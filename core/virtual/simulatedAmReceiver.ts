import { convolveEven, lowPass } from '../signal'
import type { Reception } from './simulatedFmReceiver'
import { THERMAL_NOISE_DBM_PER_HZ } from './simulatedFmReceiver'

/** An AM receiver whose truth is known. */
export interface SimulatedAmReceiver {
  noiseFigureDb: number
  /** Edge of the flat part of its channel filter, and where it is 80 dB down, Hz from the middle. */
  passHz: number
  stopHz: number
}

/** An amplitude-modulated carrier at the receiver’s socket. */
export interface SimulatedAmCarrier {
  levelDbm: number
  toneHz: number
  /** Depth of modulation, 0 to 1; 0: the modulation is off. */
  depth: number
}

/**
 * What comes out of an AM receiver's speaker, full scale ±1 at full depth: carrier and noise at I/Q level
 * through the channel filter, the envelope against its mean.
 * @see receivers.md, sections 2 and 8.
 */
export function receivedAmAudio(
  { noiseFigureDb, passHz, stopHz }: SimulatedAmReceiver,
  { levelDbm, toneHz, depth }: SimulatedAmCarrier,
  { sampleRateHz, seconds, random }: Reception,
): Float64Array {
  const kernel = lowPass({ sampleRateHz, passHz, stopHz })
  const length = Math.round(seconds * sampleRateHz) + kernel.length
  const amplitude = 10 ** (levelDbm / 20)
  const density = 10 ** ((THERMAL_NOISE_DBM_PER_HZ + noiseFigureDb) / 10)
  const scale = Math.sqrt((density * sampleRateHz) / 2)
  const tone = (2 * Math.PI * toneHz) / sampleRateHz
  const re = new Float64Array(length)
  const im = new Float64Array(length)
  for (let n = 0; n < length; n++) {
    const size = scale * Math.sqrt(-2 * Math.log(1 - random()))
    const angle = 2 * Math.PI * random()
    re[n] = amplitude * (1 + depth * Math.cos(tone * n)) + size * Math.cos(angle)
    im[n] = size * Math.sin(angle)
  }
  const [i, q] = [convolveEven(re, kernel), convolveEven(im, kernel)]
  const envelope = i.map((value, n) => Math.hypot(value, q[n]!))
  const mean = envelope.reduce((sum, value) => sum + value, 0) / envelope.length
  return envelope.map(value => value / mean - 1)
}
