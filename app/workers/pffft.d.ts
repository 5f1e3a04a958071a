declare module '@echogarden/pffft-wasm/simd' {
  import type { FastFftModule } from '#core/signal'

  const load: () => Promise<FastFftModule>
  export default load
}
