import security from '../security/headers.json'

/**
 * What a page or a worker of this product may load: itself and nothing else. `npm run static` writes the same for a
 * host of plain files.
 */
function policy(scripts: string): string {
  return Object.entries({
    ...security.policy,
    'script-src': `${security.policy['script-src']} ${scripts}`,
  })
    .map(([what, from]) => `${what} ${from}`)
    .join('; ')
}

/** Headers of a page: inline scripts only with this reply's nonce. */
export const pageHeaders = (nonce: string): Record<string, string> => ({
  ...security.common,
  'content-security-policy': policy(`'nonce-${nonce}'`),
})

/** Headers of every file: workers that read foreign files run under them, and compile WebAssembly of our own. */
export const fileHeaders: Record<string, string> = {
  ...security.common,
  'content-security-policy': policy(`'wasm-unsafe-eval'`),
}
