/** What everything this server sends is sent with. */
const COMMON = {
  'x-content-type-options': 'nosniff',
  'referrer-policy': 'no-referrer',
  'cross-origin-opener-policy': 'same-origin',
  'permissions-policy': 'camera=(), microphone=(self), geolocation=()',
}

/** What a page or a worker of this product may load: itself and nothing else. */
function policy(scripts: string): string {
  return [
    `default-src 'self'`,
    `script-src 'self' ${scripts}`,
    `style-src 'self' 'unsafe-inline'`,
    `img-src 'self' data: blob:`,
    `font-src 'self' data:`,
    `connect-src 'self'`,
    `worker-src 'self'`,
    `object-src 'none'`,
    `base-uri 'none'`,
    `form-action 'none'`,
    `frame-ancestors 'none'`,
  ].join('; ')
}

/** Headers of a page: inline scripts only with this reply's nonce. */
export const pageHeaders = (nonce: string): Record<string, string> => ({
  ...COMMON,
  'content-security-policy': policy(`'nonce-${nonce}'`),
})

/** Headers of every file: workers that read foreign files run under them, and compile WebAssembly of our own. */
export const fileHeaders: Record<string, string> = {
  ...COMMON,
  'content-security-policy': policy(`'wasm-unsafe-eval'`),
}
