// npm run static: plain files for any web host, and the headers they are to be sent with.
import { createHash } from 'node:crypto'
import { readFileSync, rmSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { ensurePackages, must, root, runTool, say } from './lib.mjs'
import { writeServiceWorker } from './serviceWorker.mjs'

const folder = join(root, 'dist')
const files = join(folder, 'public')

await ensurePackages()
rmSync(folder, { recursive: true, force: true })
say('Building plain files, about a minute')
must(
  await runTool(['nuxt', 'bin', 'nuxt.mjs'], ['generate', '--logLevel', 'silent'], {
    env: { RIGOROUS_METER_STATIC: '1' },
    stdio: ['ignore', 'ignore', 'inherit'],
  }),
  'the build',
)
await writeServiceWorker(files, '/')
const page = readFileSync(join(files, 'index.html'), 'utf8')
const hashes = [...page.matchAll(/<script(?![^>]*\bsrc=)([^>]*)>([\s\S]*?)<\/script>/g)]
  .filter(([, attributes]) => !attributes.includes('application/json'))
  .map(([, , script]) => `'sha256-${createHash('sha256').update(script).digest('base64')}'`)
const { common, policy } = JSON.parse(readFileSync(join(root, 'server', 'security', 'headers.json'), 'utf8'))
const scripts = `${policy['script-src']} 'wasm-unsafe-eval' ${[...new Set(hashes)].join(' ')}`.trim()
const allowed = Object.entries({ ...policy, 'script-src': scripts }).map(([what, from]) => `${what} ${from}`)
const headers = Object.entries({ 'Content-Security-Policy': allowed.join('; '), ...common }).map(
  ([name, value]) => `${name}: ${value}`,
)
writeFileSync(
  join(folder, 'HEADERS.txt'),
  [
    'Send these headers with every file. Every address that is no file is answered with /index.html.',
    'The service worker /sw.js must not be kept by the host or its caches: Cache-Control: no-cache.',
    '',
    ...headers,
    '',
  ].join('\n'),
)
say('Done')
console.log(
  `\n    Files:   dist/public\n    Headers: dist/HEADERS.txt\n\nWhat needs a server of its own is not in them, and says so where it is.`,
)
