// Written after the client is built: a worker that keeps all of it in the browser (Workbox).
import { createHash } from 'node:crypto'
import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { generateSW } from 'workbox-build'

/** Largest file that is kept, bytes: fonts and scripts are far below it. */
const MOST_BYTES = 8_000_000

/**
 * Writes `sw.js` into a folder of built files.
 * @param folder - where the built client lies.
 * @param page - address of the one page all addresses are served by.
 */
export async function writeServiceWorker(folder, page) {
  // The page is made by the server: it is another one as soon as any of its files is.
  const revision = createHash('sha256')
    .update(readFileSync(join(folder, '_nuxt', 'builds', 'latest.json')))
    .digest('hex')
    .slice(0, 16)
  const { count, size, warnings } = await generateSW({
    swDest: join(folder, 'sw.js'),
    globDirectory: folder,
    globPatterns: ['_nuxt/**/*.{js,css,woff,woff2,wasm,json}', '*.{svg,png,webmanifest}', 'schema/*.json'],
    dontCacheBustURLsMatching: /\/_nuxt\//,
    additionalManifestEntries: [{ url: page, revision }],
    maximumFileSizeToCacheInBytes: MOST_BYTES,
    navigateFallback: page,
    navigateFallbackDenylist: [/^\/demo-review/, /^\/api\//],
    cleanupOutdatedCaches: true,
    clientsClaim: true,
    skipWaiting: false,
    inlineWorkboxRuntime: true,
    sourcemap: false,
    runtimeCaching: [
      {
        urlPattern: ({ url }) => url.pathname === '/demo-review',
        handler: 'NetworkFirst',
        options: { cacheName: 'demo' },
      },
    ],
  })
  for (const words of warnings) console.error(words)
  return { count, size }
}
