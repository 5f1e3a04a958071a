import { CoreError } from '../errors'
import type { ComplexFft, FftEngine } from './fft'

/** What is used of the single-precision SIMD library’s module once it is loaded. */
export interface FastFftModule {
  HEAPF32: Float32Array
  _pffft_new_setup: (size: number, transform: number) => number
  _pffft_destroy_setup: (setup: number) => void
  _pffft_aligned_malloc: (bytes: number) => number
  _pffft_aligned_free: (pointer: number) => void
  _pffft_transform_ordered: (
    ...pointersAndDirection: [setup: number, input: number, output: number, work: number, direction: number]
  ) => void
}

const COMPLEX = 1
const FORWARD = 0

/**
 * The fast transform: single precision, SIMD in WebAssembly. Powers of two from 16 up.
 * @throws CoreError `out-of-range`, once it is asked for another size.
 */
export function fastFft(module: FastFftModule): FftEngine {
  return (size): ComplexFft => {
    const setup = size >= 16 && Number.isInteger(Math.log2(size)) ? module._pffft_new_setup(size, COMPLEX) : 0
    if (setup === 0)
      throw new CoreError(
        'out-of-range',
        `A transform’s size must be a power of two from 16 up, got ${size}.`,
        { name: 'size', got: size, min: 16, max: 2 ** 24 },
      )
    const pointers = [0, 0, 0].map(() => module._pffft_aligned_malloc(8 * size))
    const [from, to, work] = pointers as [number, number, number]
    const view = (pointer: number) => new Float32Array(module.HEAPF32.buffer, pointer, 2 * size)
    let [input, output] = [view(from), view(to)]
    return {
      size,
      // The library’s memory may have grown since, which leaves old views empty.
      get input() {
        if (input.length === 0) input = view(from)
        return input
      },
      get output() {
        if (output.length === 0) output = view(to)
        return output
      },
      run: () => module._pffft_transform_ordered(setup, from, to, work, FORWARD),
      release: () => {
        for (const pointer of pointers) module._pffft_aligned_free(pointer)
        module._pffft_destroy_setup(setup)
      },
    }
  }
}
