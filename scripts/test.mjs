// npm test: installs what is missing, then build and unit checks beside lint and types, then browser tests.
// By itself it runs, of the browser tests, what tells most in little time; with --all, as CI does, all of them.
import {
  ensureBuilt,
  ensureChromium,
  ensurePackages,
  ensurePrepared,
  must,
  run,
  runTool,
  say,
} from './lib.mjs'
import { checkTypes } from './types.mjs'

const isAll = process.argv.includes('--all')
process.env.RIGOROUS_METER_TESTS = isAll ? 'all' : 'quick'

await ensurePackages()
const chromium = await ensureChromium()
await ensurePrepared()

/** What lint found is remembered for files that have not changed. */
const ESLINT_CACHE = 'node_modules/.cache/eslint/'

/** Lint and types, which run no code. */
async function readTheCode() {
  say('Lint and formatting')
  must(
    await runTool(
      ['prettier', 'bin', 'prettier.cjs'],
      ['--check', '--cache', '--cache-strategy', 'content', '--log-level', 'warn', '.'],
    ),
    'formatting',
  )
  must(
    await runTool(
      ['eslint', 'bin', 'eslint.js'],
      ['--cache', '--cache-strategy', 'content', '--cache-location', ESLINT_CACHE, '.'],
    ),
    'lint',
  )
  say('Types: core without DOM or Node, the server, the tests, the application')
  await checkTypes()
}

/** The build, and after it what runs the code without a browser. */
async function runTheCode() {
  await ensureBuilt()
  say('Unit and outside checks')
  must(await runTool(['vitest', 'vitest.mjs'], ['run']), 'unit and outside checks')
}

// Each keeps about one core busy for about as long as the other.
await Promise.all([runTheCode(), readTheCode()])
say(isAll ? 'Browser tests, all of them' : 'Browser tests: the main ones; `npm test -- --all` runs all')
must(
  await runTool(['@playwright', 'test', 'cli.js'], ['test'], { env: { CHROMIUM_PATH: chromium } }),
  'browser tests',
)
must(await run(process.execPath, ['scripts/firstLoad.mjs']), 'the size of the first load')
say('All done')
