import { convolveEven, lowPass } from '../signal'

/** An FM receiver whose truth is known. */
export interface SimulatedFmReceiver {
  noiseFigureDb: number
  /** Edge of the flat part of its channel filter, and where it is 80 dB down, Hz from the middle. */
  passHz: number
  stopHz: number
  /** Where its middle stands against the channel, Hz. */
  offHz: number
  /** Its own distortion: second harmonic of the audio, as a share of the tone at the test deviation. */
  distortion: number
  /** Time constant of its de-emphasis, s. */
  deEmphasisS: number
}

/** A carrier at the receiver's socket. */
export interface SimulatedCarrier {
  levelDbm: number
  /** From the channel, Hz. */
  offsetHz: number
  toneHz: number
  deviationHz: number
  /** Its noise beside it, dBc in 1 Hz, level over the receiver's channel. */
  phaseNoiseDbc: number
}

/** Thermal noise at 290 K, dBm in 1 Hz. */
export const THERMAL_NOISE_DBM_PER_HZ = -173.975

/** How a stretch of reception is made. */
export interface Reception {
  sampleRateHz: number
  seconds: number
  random: () => number
}

/**
 * What comes out of a receiver's speaker, full scale ±1 at twice the test deviation: carriers and noise at
 * I/Q level through the channel filter, a limiter and a discriminator, de-emphasis. Clicks at the threshold
 * come by themselves.
 * @see receivers.md, section 8.
 */
export function receivedAudio(
  receiver: SimulatedFmReceiver,
  carriers: readonly SimulatedCarrier[],
  { sampleRateHz, seconds, random }: Reception,
): Float64Array {
  const kernel = lowPass({ sampleRateHz, passHz: receiver.passHz, stopHz: receiver.stopHz })
  const length = Math.round(seconds * sampleRateHz) + kernel.length + 1
  const { re, im } = atSocket(receiver, carriers, { length, sampleRateHz, random })
  const [i, q] = [convolveEven(re, kernel), convolveEven(im, kernel)]
  const test = carriers[0]?.deviationHz ?? 1500
  return speaker(discriminated(i, q, sampleRateHz), receiver, { sampleRateHz, fullHz: 2 * test })
}

interface AtSocket {
  re: Float64Array
  im: Float64Array
}

function atSocket(
  receiver: SimulatedFmReceiver,
  carriers: readonly SimulatedCarrier[],
  { length, sampleRateHz, random }: { length: number; sampleRateHz: number; random: () => number },
): AtSocket {
  const re = new Float64Array(length)
  const im = new Float64Array(length)
  const mw = (dbm: number) => 10 ** (dbm / 10)
  let densityMw = mw(THERMAL_NOISE_DBM_PER_HZ + receiver.noiseFigureDb)
  for (const carrier of carriers) {
    densityMw += mw(carrier.levelDbm + carrier.phaseNoiseDbc)
    addCarrier({ re, im }, carrier, { sampleRateHz, offHz: receiver.offHz, phase: 2 * Math.PI * random() })
  }
  const scale = Math.sqrt((densityMw * sampleRateHz) / 2)
  for (let n = 0; n < length; n++) {
    // Both halves of Box and Muller: one draw, two independent numbers.
    const size = scale * Math.sqrt(-2 * Math.log(1 - random()))
    const angle = 2 * Math.PI * random()
    re[n]! += size * Math.cos(angle)
    im[n]! += size * Math.sin(angle)
  }
  return { re, im }
}

function addCarrier(
  { re, im }: AtSocket,
  { levelDbm, offsetHz, toneHz, deviationHz }: SimulatedCarrier,
  { sampleRateHz, offHz, phase }: { sampleRateHz: number; offHz: number; phase: number },
): void {
  const amplitude = 10 ** (levelDbm / 20)
  const step = (2 * Math.PI * (offsetHz - offHz)) / sampleRateHz
  const tone = (2 * Math.PI * toneHz) / sampleRateHz
  const swing = deviationHz / toneHz
  for (let n = 0; n < re.length; n++) {
    const angle = phase + step * n - swing * Math.cos(tone * n + phase)
    re[n]! += amplitude * Math.cos(angle)
    im[n]! += amplitude * Math.sin(angle)
  }
}

/** The frequency at each sample, Hz, whatever the amplitude. */
function discriminated(i: Float64Array, q: Float64Array, sampleRateHz: number): Float64Array {
  const scale = sampleRateHz / (2 * Math.PI)
  return Float64Array.from({ length: i.length - 1 }, (_unused, n) => {
    const re = i[n + 1]! * i[n]! + q[n + 1]! * q[n]!
    const im = q[n + 1]! * i[n]! - i[n + 1]! * q[n]!
    return scale * Math.atan2(im, re)
  })
}

function speaker(
  hz: Float64Array,
  { distortion, deEmphasisS, offHz }: SimulatedFmReceiver,
  { sampleRateHz, fullHz }: { sampleRateHz: number; fullHz: number },
): Float64Array {
  const keep = Math.exp(-1 / (sampleRateHz * deEmphasisS))
  const gainAt1k = Math.hypot(1, 2 * Math.PI * 1000 * deEmphasisS)
  let state = 0
  return hz.map(value => {
    const straight = (2 * (value + offHz)) / fullHz
    const bent = straight + 2 * distortion * straight * straight
    state = keep * state + (1 - keep) * bent
    return (state * gainAt1k) / 2
  })
}
