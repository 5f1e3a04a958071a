import { evenNumbers } from './audio'

/** One sample of I and Q at a moment, s. */
export type Wave = (s: number, n: number) => [i: number, q: number]

/** I/Q of a wave, in noise of so many dB of full scale in the whole width. */
export function iqOf(
  { seconds, rate, noiseDb = null }: { seconds: number; rate: number; noiseDb?: number | null },
  wave: Wave,
): Float32Array {
  const random = evenNumbers(11)
  const rms = noiseDb === null ? 0 : Math.sqrt(10 ** (noiseDb / 10) / 2)
  const count = Math.round(seconds * rate)
  const samples = new Float32Array(2 * count)
  for (let n = 0; n < count; n++) {
    const [i, q] = wave(n / rate, n)
    // Box and Muller (from memory): both of a pair.
    const size = rms === 0 ? 0 : rms * Math.sqrt(-2 * Math.log(1 - random()))
    const angle = rms === 0 ? 0 : 2 * Math.PI * random()
    samples[2 * n] = i + size * Math.cos(angle)
    samples[2 * n + 1] = q + size * Math.sin(angle)
  }
  return samples
}

/** A carrier swung by one tone, in closed form: the phase of FM is β·(1 − cos). */
export function fmWave(carrier: {
  amplitude: number
  offsetHz: number
  toneHz?: number
  deviationHz?: number
}): Wave {
  const { amplitude, offsetHz, toneHz = 1000, deviationHz = 0 } = carrier
  return s => {
    const phase =
      2 * Math.PI * offsetHz * s - (deviationHz / toneHz) * (Math.cos(2 * Math.PI * toneHz * s) - 1)
    return [amplitude * Math.cos(phase), amplitude * Math.sin(phase)]
  }
}

/** Lines of stated level, dB of full scale. */
export function linesWave(lines: readonly { hz: number; db: number }[]): Wave {
  const known = lines.map(({ hz, db }, k) => ({
    turn: 2 * Math.PI * hz,
    size: 10 ** (db / 20),
    from: 2.4 * k * k,
  }))
  return s => {
    let [i, q] = [0, 0]
    for (const { turn, size, from } of known) {
      i += size * Math.cos(turn * s + from)
      q += size * Math.sin(turn * s + from)
    }
    return [i, q]
  }
}

/** A wave that repeats, worked out once. */
export function repeating(rate: number, periodSamples: number, wave: Wave): Wave {
  const table = Array.from({ length: periodSamples }, (_x, n) => wave(n / rate, n))
  return (_s, n) => table[n % periodSamples]!
}

/** Several waves at once. */
export function together(...waves: readonly Wave[]): Wave {
  return (s, n) =>
    waves
      .map(wave => wave(s, n))
      .reduce(([i, q], [moreI, moreQ]) => [i + moreI, q + moreQ], [0, 0] as [number, number])
}

/** What a receiver makes of samples: s + a·s* + a spike, cut off at a rail. */
export function throughReceiver(
  samples: Float32Array,
  {
    image = [0, 0],
    spike = [0, 0],
    rail = Infinity,
    steps = 0,
  }: { image?: [number, number]; spike?: [number, number]; rail?: number; steps?: number },
): Float32Array {
  const cut = (value: number) => Math.max(-rail, Math.min(rail, value))
  const step = (value: number) => (steps > 0 ? Math.round(value * steps) / steps : value)
  return samples.map((_value, k) => {
    const i = samples[k & ~1]!
    const q = samples[k | 1]!
    const turned = k % 2 === 0 ? i + image[0] * i + image[1] * q : q + image[1] * i - image[0] * q
    return step(cut(turned + spike[k % 2]!))
  })
}
