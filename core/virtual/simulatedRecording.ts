import { seededRandom } from './seededRandom'
import { samplesInMemory, type SampleSource } from '../signal'

/** A tone modulating a simulated transmitter. */
export interface SimulatedTone {
  frequencyHz: number
  /** Peak frequency swing it makes, Hz. */
  deviationHz: number
}

/** A made-up FM recording whose truth is known. */
export interface SimulatedFm {
  sampleRateHz: number
  seconds: number
  /** Carrier relative to the middle of the recording, Hz. */
  offsetHz: number
  /** Of full scale, dB. */
  levelDb: number
  tones: readonly SimulatedTone[]
  /** Noise in the whole width of the recording, dB of full scale; null: none. */
  noiseDb: number | null
  /** Unkeyed for so long at the beginning, s. */
  quietS?: number
  centreHz?: number | null
  seed?: number
}

/**
 * A frequency-modulated transmitter as an I/Q receiver would record it: its frequency is the offset plus the
 * sum of the tones’ swings, exactly.
 */
export function simulatedFm({
  sampleRateHz,
  seconds,
  offsetHz,
  levelDb,
  tones,
  noiseDb,
  quietS = 0,
  seed = 1,
}: SimulatedFm): Float32Array {
  const count = Math.round(sampleRateHz * seconds)
  const samples = noiseDb === null ? new Float32Array(2 * count) : simulatedNoise(count, noiseDb, seed)
  const amplitude = 10 ** (levelDb / 20)
  for (let n = Math.round(quietS * sampleRateHz); n < count; n++) {
    const t = n / sampleRateHz
    let phase = 2 * Math.PI * ((offsetHz * t) % 1)
    for (const { frequencyHz, deviationHz } of tones)
      phase -= (deviationHz / frequencyHz) * Math.cos(2 * Math.PI * frequencyHz * t)
    samples[2 * n] = samples[2 * n]! + amplitude * Math.cos(phase)
    samples[2 * n + 1] = samples[2 * n + 1]! + amplitude * Math.sin(phase)
  }
  return samples
}

/** A steady tone of a simulated recording. */
export interface SimulatedLine {
  frequencyHz: number
  levelDb: number
}

/** Steady tones in noise, as an I/Q receiver would record them. */
export function simulatedLines(wanted: {
  sampleRateHz: number
  seconds: number
  lines: readonly SimulatedLine[]
  noiseDb: number | null
  seed?: number
}): Float32Array {
  const count = Math.round(wanted.sampleRateHz * wanted.seconds)
  const samples =
    wanted.noiseDb === null
      ? new Float32Array(2 * count)
      : simulatedNoise(count, wanted.noiseDb, wanted.seed ?? 1)
  for (const [index, { frequencyHz, levelDb }] of wanted.lines.entries()) {
    const amplitude = 10 ** (levelDb / 20)
    for (let n = 0; n < count; n++) {
      const phase = 2 * Math.PI * (((frequencyHz * n) / wanted.sampleRateHz) % 1) + index
      samples[2 * n] = samples[2 * n]! + amplitude * Math.cos(phase)
      samples[2 * n + 1] = samples[2 * n + 1]! + amplitude * Math.sin(phase)
    }
  }
  return samples
}

/**
 * White Gaussian noise of a power in the whole width of the recording (Box and Muller, with a fixed seed).
 */
export function simulatedNoise(count: number, powerDb: number, seed: number): Float32Array {
  const sigma = Math.sqrt(10 ** (powerDb / 10) / 2)
  const random = seededRandom(seed)
  const samples = new Float32Array(2 * count)
  for (let n = 0; n < count; n++) {
    const radius = sigma * Math.sqrt(-2 * Math.log(1 - random()))
    const angle = 2 * Math.PI * random()
    samples[2 * n] = radius * Math.cos(angle)
    samples[2 * n + 1] = radius * Math.sin(angle)
  }
  return samples
}

/** A simulated transmitter as a source of samples. */
export function simulatedFmSource(wanted: SimulatedFm): SampleSource {
  return samplesInMemory(simulatedFm(wanted), {
    sampleRateHz: wanted.sampleRateHz,
    centreHz: wanted.centreHz ?? null,
  })
}
