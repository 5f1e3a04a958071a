// npm run types: every kind of code against what it may use: the core without DOM or Node, the server, tests and
// settings by TypeScript's native compiler; the application and its tests, which have templates, by vue-tsc.
import { fileURLToPath } from 'node:url'
import { ensurePackages, ensurePrepared, must, runTool } from './lib.mjs'

/** What was found out about types, for the next time. */
const TYPES_CACHE = 'node_modules/.cache/vue-tsc/app.tsbuildinfo'

const native = project => runTool(['typescript-native', 'bin', 'tsc'], ['--noEmit', '-p', project])

/** Stops the script where anything does not fit. */
export async function checkTypes() {
  must(await native('core'), 'types of core')
  must(await native('.nuxt/tsconfig.server.json'), 'types of the server')
  must(await native('tests'), 'types of the tests and the settings')
  must(
    await runTool(
      ['vue-tsc', 'bin', 'vue-tsc.js'],
      ['-p', 'tests/app', '--incremental', '--tsBuildInfoFile', TYPES_CACHE],
    ),
    'types of the application and its tests',
  )
}

if (process.argv[1] === fileURLToPath(import.meta.url)) {
  await ensurePackages()
  await ensurePrepared()
  await checkTypes()
}
