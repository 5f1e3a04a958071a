import FFT from 'fft.js'
import { CoreError } from '../errors'

/**
 * A forward transform of one size that works on buffers of its own: fill `input`, call `run`, read `output`;
 * both hold re, im, re, im …
 */
export interface ComplexFft {
  readonly size: number
  readonly input: Float32Array | Float64Array
  readonly output: Float32Array | Float64Array
  run: () => void
  release: () => void
}

/** Makes transforms. The page’s workers bring the fast one; everything else takes the portable one. */
export type FftEngine = (size: number) => ComplexFft

/**
 * The portable transform: double precision, anywhere. Sizes are powers of two from 2 up.
 * @throws CoreError `out-of-range` for another size.
 */
export const portableFft: FftEngine = size => {
  if (size < 2 || !Number.isInteger(Math.log2(size)))
    throw new CoreError('out-of-range', `A transform’s size must be a power of two, got ${size}.`, {
      name: 'size',
      got: size,
      min: 2,
      max: 2 ** 24,
    })
  const transform = new FFT(size)
  const input = new Float64Array(2 * size)
  const output = new Float64Array(2 * size)
  return { size, input, output, run: () => transform.transform(output, input), release: () => {} }
}

/**
 * An engine that makes each size once and gives it again and again: a transform is set up at a cost. `release`
 * lets all of them go; what it gave must not be used at the same time in two places.
 */
export function keptTransforms(engine: FftEngine): { engine: FftEngine; release: () => void } {
  const made = new Map<number, ComplexFft>()
  return {
    engine: size => {
      const known = made.get(size) ?? engine(size)
      made.set(size, known)
      return {
        size,
        get input() {
          return known.input
        },
        get output() {
          return known.output
        },
        run: known.run,
        release: () => {},
      }
    },
    release: () => {
      for (const one of made.values()) one.release()
      made.clear()
    },
  }
}
