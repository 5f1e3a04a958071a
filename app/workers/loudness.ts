/** What the library’s module gives. */
interface LoudnessModule {
  memory: WebAssembly.Memory
  __wbindgen_malloc: (bytes: number) => number
  ebur128_integrated_mono: (sampleRateHz: number, pointer: number, length: number) => number
}

/** Tells how loud sound is, LUFS; null where nothing of it passes the gate. */
export type LoudnessMeter = (samples: Float32Array, sampleRateHz: number) => number | null

/** Nothing softer passes the absolute gate (ITU-R BS.1770-4, 5.1; from memory). */
const GATE_LUFS = -70

/** Names under which the module asks for what it only needs when it breaks. */
const ONLY_WHEN_BROKEN = [
  '__wbg_new_693216e109162396',
  '__wbg_stack_0ddaca5d1abfb52f',
  '__wbg_error_09919627ac0992f5',
  '__wbindgen_object_drop_ref',
] as const

/** What the module is started with: it asks for its host only to say why it broke. */
export const LOUDNESS_IMPORTS: WebAssembly.Imports = {
  './ebur128_wasm_bg.js': Object.fromEntries(
    ONLY_WHEN_BROKEN.map(name => [
      name,
      () => {
        throw new Error('The loudness of this sound cannot be told.')
      },
    ]),
  ),
}

/**
 * Gated loudness of one channel by ITU-R BS.1770, as the library’s module (ebur128) works it out.
 * @param exports - of the module, started with `LOUDNESS_IMPORTS`.
 */
export function loudnessMeter(exports: WebAssembly.Exports): LoudnessMeter {
  const module = exports as unknown as LoudnessModule
  return (samples, sampleRateHz) => {
    const pointer = module.__wbindgen_malloc(samples.length * Float32Array.BYTES_PER_ELEMENT)
    new Float32Array(module.memory.buffer).set(samples, pointer / Float32Array.BYTES_PER_ELEMENT)
    const loudnessLufs = module.ebur128_integrated_mono(sampleRateHz, pointer, samples.length)
    return Number.isFinite(loudnessLufs) && loudnessLufs > GATE_LUFS ? loudnessLufs : null
  }
}
