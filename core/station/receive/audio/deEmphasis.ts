/** Time constant of land mobile FM, s. */
const TIME_CONSTANT_S = 750e-6

/** De-emphasis of 750 µs against 1 kHz, dB: a first-order low-pass, −6 dB an octave well above 212 Hz. */
export function deEmphasisDb(hz: number): number {
  const power = (frequencyHz: number) => 1 / (1 + (2 * Math.PI * frequencyHz * TIME_CONSTANT_S) ** 2)
  return 10 * Math.log10(power(hz) / power(1000))
}
