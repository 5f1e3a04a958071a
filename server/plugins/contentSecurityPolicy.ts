import { randomBytes } from 'node:crypto'
import { defineNitroPlugin } from 'nitropack/runtime'

/**
 * What a page of this product may load: itself and nothing else; inline scripts only with this reply's nonce.
 */
function policy(nonce: string): string {
  return [
    `default-src 'self'`,
    `script-src 'self' 'nonce-${nonce}'`,
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

export default defineNitroPlugin(nitro => {
  if (import.meta.dev) return
  nitro.hooks.hook('render:response', response => {
    if (typeof response.body !== 'string') return
    const nonce = randomBytes(16).toString('base64')
    response.body = response.body.replace(/<script(?=[\s>])/g, `<script nonce="${nonce}"`)
    delete response.headers?.['x-powered-by']
    response.headers = {
      ...response.headers,
      'content-security-policy': policy(nonce),
      'x-content-type-options': 'nosniff',
      'referrer-policy': 'no-referrer',
      'cross-origin-opener-policy': 'same-origin',
      'permissions-policy': 'camera=(), microphone=(self), geolocation=()',
    }
  })
})
