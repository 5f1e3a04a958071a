/** A harmonic beside a carrier: its number, and how far down it is, dB. */
export interface HarmonicBeside {
  n: number
  downDb: number
}

const STEPS = 720

/**
 * What a meter with a peak-reading diode makes of a carrier with harmonics, dB against the carrier alone: the highest
 * voltage in one period of the sum, looked for step by step. Every harmonic has an angle of its own.
 */
export function diodeReadsDb(harmonics: readonly HarmonicBeside[], random: () => number): number {
  const waves = harmonics.map(({ n, downDb }) => ({
    n,
    size: 10 ** (-downDb / 20),
    angle: 2 * Math.PI * random(),
  }))
  let highest = 0
  for (let i = 0; i < STEPS; i++) {
    const t = (2 * Math.PI * i) / STEPS
    const volts = waves.reduce((sum, { n, size, angle }) => sum + size * Math.cos(n * t + angle), Math.cos(t))
    highest = Math.max(highest, volts)
  }
  return 20 * Math.log10(highest)
}

/** What a meter that warms up makes of the same, dB: all powers together. */
export function heatReadsDb(harmonics: readonly HarmonicBeside[]): number {
  return 10 * Math.log10(harmonics.reduce((sum, { downDb }) => sum + 10 ** (-downDb / 10), 1))
}
