import { spawn, spawnSync } from 'node:child_process'
import { existsSync, readdirSync, readFileSync, statSync } from 'node:fs'
import { createServer } from 'node:net'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'

/** Where the project lies. */
export const root = join(dirname(fileURLToPath(import.meta.url)), '..')

/**
 * What every Chromium of tests and scripts is started with. The last switch keeps the browser from loading the pages
 * of its own address bar into each window: a second of processor time each.
 */
export const BROWSER_ARGS = JSON.parse(readFileSync(join(root, 'scripts', 'browserArguments.json'), 'utf8'))

/** Says what is going on, with the seconds since the start. */
export function say(text) {
  console.log(`[${((Date.now() - started) / 1000).toFixed(0).padStart(3)} s] ${text}`)
}
const started = Date.now()

/** Runs a command with its output shown; resolves to its exit code. */
export function run(command, args, options = {}) {
  return new Promise(resolve => {
    const child = spawn(command, args, {
      cwd: root,
      stdio: 'inherit',
      ...options,
      env: { ...process.env, ...options.env },
    })
    running.add(child)
    child.on('exit', () => running.delete(child))
    child.on('error', error => {
      console.error(`${command}: ${error.message}`)
      resolve(1)
    })
    child.on('exit', code => resolve(code ?? 1))
  })
}

// A step that fails ends the script: what still runs beside it must not go on writing.
const running = new Set()
process.on('exit', () => running.forEach(child => child.kill()))

/** Runs a tool of the project's own node_modules. */
export function runTool(name, args, options) {
  return run(process.execPath, [join(root, 'node_modules', ...name), ...args], options)
}

/** Stops the script with one line when a step failed. */
export function must(code, what) {
  if (code === 0) return
  console.error(`\nStopped: ${what} failed (exit ${code}).`)
  process.exit(code)
}

const QUIET = ['--no-audit', '--no-fund', '--loglevel=error']

/** Installs the packages when they are missing or older than the lock file. */
export async function ensurePackages() {
  const [major, minor] = process.versions.node.split('.').map(Number)
  if (major < 20 || (major === 20 && minor < 11)) {
    console.error(`Node.js 20.11 or newer is needed; this is ${process.version}.`)
    process.exit(1)
  }
  const stamp = join(root, 'node_modules', '.package-lock.json')
  if (existsSync(stamp) && statSync(stamp).mtimeMs >= statSync(join(root, 'package-lock.json')).mtimeMs)
    return
  say('Installing the packages (npm ci), one or two minutes')
  if ((await run('npm', ['ci', ...QUIET], { stdio: ['ignore', 'ignore', 'ignore'] })) === 0) return
  // Some npm 11 write lock files without other platforms' optional packages and then refuse them; install
  // reads the same lock.
  say('npm ci refuses the lock file of this platform; npm install with the same lock')
  must(await run('npm', ['install', '--no-save', ...QUIET]), 'npm install')
}

/** Makes Nuxt's generated types when they are not there, or older than what they name. */
export async function ensurePrepared() {
  const made = join(root, '.nuxt', 'nuxt.d.ts')
  if (!existsSync(made) || statSync(made).mtimeMs < newest(join(root, 'app'))) {
    say('Preparing the generated types')
    must(
      await runTool(['nuxt', 'bin', 'nuxt.mjs'], ['prepare'], { stdio: ['ignore', 'ignore', 'inherit'] }),
      'nuxt prepare',
    )
  }
}

const CHROMIUM_PATHS = [
  '/usr/bin/chromium',
  '/usr/bin/chromium-browser',
  '/usr/bin/google-chrome',
  '/Applications/Google Chrome.app/Contents/MacOS/Google Chrome',
  '/Applications/Chromium.app/Contents/MacOS/Chromium',
]

/** Path of a Chromium, installed from Debian's packages when there is none and we may. */
export async function ensureChromium() {
  const named = process.env.CHROMIUM_PATH
  if (named) {
    if (existsSync(named)) return named
    console.error(`CHROMIUM_PATH points to ${named}, which is not there.`)
    process.exit(1)
  }
  const found = CHROMIUM_PATHS.find(path => existsSync(path))
  if (found) return found
  const mayInstall =
    process.getuid?.() === 0 && spawnSync('apt-get', ['--version'], { stdio: 'ignore' }).status === 0
  if (!mayInstall) {
    console.error(
      'No Chromium found: install Debian’s package “chromium”, or set CHROMIUM_PATH to a Chromium or Chrome.',
    )
    process.exit(1)
  }
  say('Installing Chromium from Debian’s packages (apt-get), about a minute')
  const quiet = { stdio: ['ignore', 'ignore', 'inherit'], env: { DEBIAN_FRONTEND: 'noninteractive' } }
  must(await run('apt-get', ['update', '-qq'], quiet), 'apt-get update')
  must(
    await run('apt-get', ['install', '-y', '-qq', '--no-install-recommends', 'chromium'], quiet),
    'apt-get install chromium',
  )
  return '/usr/bin/chromium'
}

const SOURCES = ['app', 'core', 'server', 'public', 'nuxt.config.ts', 'package-lock.json', 'package.json']

/** Builds the application unless the last build is newer than every source. */
export async function ensureBuilt() {
  const built = join(root, '.output', 'nitro.json')
  if (
    existsSync(built) &&
    statSync(built).mtimeMs > Math.max(...SOURCES.map(name => newest(join(root, name))))
  )
    return
  say('Building the application, about a minute')
  must(
    await runTool(['nuxt', 'bin', 'nuxt.mjs'], ['build', '--logLevel', 'silent'], {
      stdio: ['ignore', 'ignore', 'inherit'],
    }),
    'the build',
  )
}

function newest(path) {
  const stat = statSync(path)
  if (!stat.isDirectory()) return stat.mtimeMs
  return Math.max(stat.mtimeMs, ...readdirSync(path).map(name => newest(join(path, name))))
}

/** The first free port from `from` on, on the loopback. */
export async function freePort(from) {
  for (let port = from; port < from + 50; port++) if (await isFree(port)) return port
  throw new Error(`No free port from ${from} on.`)
}

function isFree(port) {
  return new Promise(resolve => {
    const probe = createServer()
    probe.once('error', () => resolve(false))
    probe.listen(port, '127.0.0.1', () => probe.close(() => resolve(true)))
  })
}

/** Makes one file of a program with all it imports, by whose format Node runs it. */
export async function bundleProgram(entry, outfile, format = 'cjs', platform = 'node') {
  // Only here: this file is read before the packages are there.
  const { build } = await import('esbuild')
  // A library of the other kind asks for `require`, which a module does not have.
  const js =
    "import { createRequire as requireFrom } from 'node:module'; const require = requireFrom(import.meta.url);"
  await build({
    entryPoints: [join(root, entry)],
    bundle: true,
    platform,
    format,
    outfile,
    alias: { '#core': join(root, 'core') },
    logLevel: 'error',
    banner: format === 'esm' ? { js } : {},
  })
}

/** Starts the built application on the loopback; resolves when it answers. */
export async function startServer({ port, demo }) {
  const child = spawn(process.execPath, [join(root, '.output', 'server', 'index.mjs')], {
    cwd: root,
    stdio: ['ignore', 'ignore', 'inherit'],
    env: {
      ...process.env,
      NITRO_HOST: '127.0.0.1',
      HOST: '127.0.0.1',
      NITRO_PORT: String(port),
      PORT: String(port),
      NUXT_PUBLIC_DEMO: demo ? 'true' : 'false',
    },
  })
  const address = `http://127.0.0.1:${port}/`
  for (let i = 0; i < 150; i++) {
    if (child.exitCode !== null) throw new Error('The server stopped at once.')
    const answers = await fetch(address).then(
      reply => reply.ok,
      () => false,
    )
    if (answers) return { child, address }
    await new Promise(resolve => setTimeout(resolve, 100))
  }
  child.kill()
  throw new Error('The server did not answer within 15 seconds.')
}
