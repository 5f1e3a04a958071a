import { gaussian } from './simulatedPath'
import { seededRandom } from './seededRandom'

/** A voice through a radio, to be listened to. */
export interface SimulatedVoice {
  sampleRateHz: number
  seconds: number
  /** Power of the voice over that of the noise, dB. */
  signalToNoiseDb: number
  /** Where the radio’s audio ends above, Hz. */
  toHz: number
  /** Peak of the voice, full scale 1. */
  peak: number
  seed: number
}

/**
 * Formants of four vowels of men, Hz.
 * @see G. E. Peterson and H. L. Barney, J. Acoust. Soc. Am. 24 (1952) 175, table II (from memory).
 */
const VOWELS: readonly (readonly [number, number, number])[] = [
  [730, 1090, 2440],
  [530, 1840, 2480],
  [270, 2290, 3010],
  [570, 840, 2410],
]
const FORMANT_WIDTH_HZ = [80, 100, 140] as const
const SYLLABLES_PER_S = 3.2
const PITCH_HZ = 118
/** Where a radio’s audio begins, Hz. */
const FROM_HZ = 300

/** Vowels one after another as a radio makes them heard: pulses through three resonances, a band, noise beside. */
export function simulatedVoice(wanted: SimulatedVoice): Float32Array {
  const { sampleRateHz, seconds, peak } = wanted
  const voice = new Float64Array(Math.round(seconds * sampleRateHz))
  const resonances = FORMANT_WIDTH_HZ.map(widthHz => resonance(widthHz, sampleRateHz))
  const band = bandPass(FROM_HZ, wanted.toHz, sampleRateHz)
  let phase = 0
  for (let n = 0; n < voice.length; n++) {
    const atS = n / sampleRateHz
    const syllable = (atS * SYLLABLES_PER_S) % 1
    const vowel = VOWELS[Math.floor(atS * SYLLABLES_PER_S) % VOWELS.length]!
    phase += (PITCH_HZ * (1 + 0.12 * Math.sin(2 * Math.PI * 0.7 * atS))) / sampleRateHz
    const pulse = phase >= 1 ? 1 : 0
    phase -= pulse
    const sung = resonances.reduce((sum, one, i) => sum + one(pulse, vowel[i]!) / (i + 1), 0)
    voice[n] = band(sung * Math.sin(Math.PI * syllable) ** 0.5)
  }
  return withNoise(voice, peak / greatest(voice), wanted)
}

function withNoise(voice: Float64Array, scale: number, wanted: SimulatedVoice): Float32Array {
  const random = seededRandom(wanted.seed)
  const power = voice.reduce((sum, value) => sum + (scale * value) ** 2, 0) / voice.length
  const noiseBand = bandPass(FROM_HZ, wanted.toHz, wanted.sampleRateHz)
  const noise = Float64Array.from(voice, () => noiseBand(gaussian(random)))
  const noisePower = noise.reduce((sum, value) => sum + value * value, 0) / noise.length
  const noiseScale = Math.sqrt(power / 10 ** (wanted.signalToNoiseDb / 10) / noisePower)
  return Float32Array.from(voice, (value, n) => scale * value + noiseScale * noise[n]!)
}

function greatest(values: Float64Array): number {
  return values.reduce((most, value) => Math.max(most, Math.abs(value)), 1e-12)
}

/** A resonance whose frequency may move with every sample. */
function resonance(widthHz: number, sampleRateHz: number): (input: number, centreHz: number) => number {
  const radius = Math.exp((-Math.PI * widthHz) / sampleRateHz)
  let [one, two] = [0, 0]
  return (input, centreHz) => {
    const out =
      (1 - radius) * input +
      2 * radius * Math.cos((2 * Math.PI * centreHz) / sampleRateHz) * one -
      radius * radius * two
    two = one
    one = out
    return out
  }
}

/** First order at either end, twice: enough for a voice. */
function bandPass(fromHz: number, toHz: number, sampleRateHz: number): (input: number) => number {
  const stages = [highPass(fromHz, sampleRateHz), highPass(fromHz, sampleRateHz)]
  const ends = [lowPass(toHz, sampleRateHz), lowPass(toHz, sampleRateHz)]
  return input => [...stages, ...ends].reduce((value, stage) => stage(value), input)
}

function lowPass(cornerHz: number, sampleRateHz: number): (input: number) => number {
  const share = 1 - Math.exp((-2 * Math.PI * cornerHz) / sampleRateHz)
  let held = 0
  return input => (held += share * (input - held))
}

function highPass(cornerHz: number, sampleRateHz: number): (input: number) => number {
  const below = lowPass(cornerHz, sampleRateHz)
  return input => input - below(input)
}
