import { randomBytes } from 'node:crypto'
import { defineNitroPlugin } from 'nitropack/runtime'
import { pageHeaders } from '../utils/securityHeaders'

export default defineNitroPlugin(nitro => {
  if (import.meta.dev) return
  nitro.hooks.hook('render:response', response => {
    if (typeof response.body !== 'string') return
    const nonce = randomBytes(16).toString('base64')
    response.body = response.body.replace(/<script(?=[\s>])/g, `<script nonce="${nonce}"`)
    delete response.headers?.['x-powered-by']
    response.headers = { ...response.headers, ...pageHeaders(nonce) }
  })
})
