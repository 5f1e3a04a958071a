import { assertPositive } from '../../errors'

/** Attenuation beyond the filter’s edge, dB. */
export const STOP_BAND_DB = 80

const KAISER_BETA = 0.1102 * (STOP_BAND_DB - 8.7)

/**
 * A linear-phase low-pass, unity at 0: flat to `passHz`, at least 80 dB down from `stopHz` on.
 * @see Kaiser, “Nonrecursive digital filter design using the I0-sinh window function” (1974).
 */
export function lowPass(band: { sampleRateHz: number; passHz: number; stopHz: number }): Float64Array {
  const { taps, cutoff, beta } = design(band)
  const middle = (taps - 1) / 2
  const kernel = Float64Array.from(
    { length: taps },
    (_unused, n) => sinc(2 * cutoff * (n - middle)) * kaiser((n - middle) / middle, beta),
  )
  const sum = kernel.reduce((total, tap) => total + tap, 0)
  return kernel.map(tap => tap / sum)
}

/**
 * The same low-pass with the slope taken in one go: fed with phase in radians it gives frequency in Hz, right
 * up to `passHz` (a plain
 * difference of neighbours reads fast tones low). Its window and the window’s slope both run out to nought,
 * so nothing is cut off at
 * the ends that the slope would miss.
 * @see Nuttall, “Some windows with very good sidelobe behavior”, IEEE Trans. ASSP-29 (1981): four terms,
 *   continuous first derivative (from memory).
 * @throws CoreError `not-positive` where the stop band does not lie above the pass band.
 */
export function lowPassSlope({
  sampleRateHz,
  passHz,
  stopHz,
}: {
  sampleRateHz: number
  passHz: number
  stopHz: number
}): Float64Array {
  assertPositive('stopHz − passHz', stopHz - passHz)
  const middle = Math.ceil((SLOPE_LOBES * sampleRateHz) / (stopHz - passHz) / 2)
  const cutoff = (passHz + stopHz) / 2 / sampleRateHz
  const kernel = Float64Array.from({ length: 2 * middle + 1 }, (_unused, n) => {
    const t = n - middle
    const x = 2 * Math.PI * cutoff * t
    const slope = t === 0 ? 0 : (x * Math.cos(x) - Math.sin(x)) / (2 * Math.PI * cutoff * t * t)
    const u = (Math.PI * t) / middle
    return slope * nuttall(u) + (sinc(2 * cutoff * t) * nuttallSlope(u) * Math.PI) / middle
  })
  // Scaled so that a phase rising by one radian per sample reads exactly its frequency.
  const ramp = kernel.reduce((total, tap, n) => total - tap * (n - middle), 0)
  return kernel.map(tap => (tap / ramp) * (sampleRateHz / (2 * Math.PI)))
}

/** Width of the transition, in cycles over the kernel’s length. */
const SLOPE_LOBES = 7

const NUTTALL = [0.355768, 0.487396, 0.144232, 0.012604] as const

/** The window over −π to π, 1 at 0. */
function nuttall(u: number): number {
  return NUTTALL.reduce((sum, a, m) => sum + a * Math.cos(m * u), 0)
}

function nuttallSlope(u: number): number {
  return NUTTALL.reduce((sum, a, m) => sum - a * m * Math.sin(m * u), 0)
}

function design({ sampleRateHz, passHz, stopHz }: { sampleRateHz: number; passHz: number; stopHz: number }): {
  taps: number
  cutoff: number
  beta: number
} {
  assertPositive('stopHz − passHz', stopHz - passHz)
  const width = (2 * Math.PI * (stopHz - passHz)) / sampleRateHz
  const half = Math.ceil((STOP_BAND_DB - 7.95) / (2.285 * width) / 2)
  return { taps: 2 * half + 1, cutoff: (passHz + stopHz) / 2 / sampleRateHz, beta: KAISER_BETA }
}

function sinc(x: number): number {
  return x === 0 ? 1 : Math.sin(Math.PI * x) / (Math.PI * x)
}

function kaiser(x: number, beta: number): number {
  return besselI0(beta * Math.sqrt(Math.max(0, 1 - x * x))) / besselI0(beta)
}

/** Modified Bessel function of order nought, by its series. */
function besselI0(x: number): number {
  let term = 1
  let sum = 1
  for (let k = 1; k < 60 && term > 1e-17 * sum; k++) {
    term *= (x / (2 * k)) ** 2
    sum += term
  }
  return sum
}
