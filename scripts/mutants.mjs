// npm run mutants: changes the core in small ways, one at a time, and counts which changes no test notices.
// core/decision and core/judging whole; of uncertainty, rules, chain, signal and station lines drawn by a seed.
// node scripts/mutants.mjs [whole|sample] [seed]
import { mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import CRC32 from 'crc-32'
import { ensurePackages, must, root, runTool, say } from './lib.mjs'

const WHOLE = ['core/decision', 'core/judging']
const SAMPLED = ['core/uncertainty', 'core/rules', 'core/chain', 'core/signal', 'core/station']
/** Share that must be killed, %, and the least that must have been tried. */
const GOALS = { whole: { killed: 90, least: 1 }, sample: { killed: 80, least: 400 } }
const SAMPLE_LINES = 480
/** Lines in which nothing can be changed. */
const NO_CODE = /^\s*(\/\/|\/?\*|import |export \*|export (type|interface) |interface |type |[\]})]*,?$)/

const [which = 'both', seed = '20261127'] = process.argv.slice(2)
const kept = join(root, '.stryker')

await ensurePackages()
const parts = which === 'both' ? ['whole', 'sample'] : [which]
const scores = []
for (const part of parts) scores.push(await tried(part))
process.exit(scores.every(Boolean) ? 0 : 1)

/** Tries one part and says what it came to; true where it is as good as asked. */
async function tried(part) {
  const mutate = part === 'whole' ? WHOLE.map(folder => `${folder}/**/*.ts`) : sampledLines()
  mkdirSync(kept, { recursive: true })
  const config = join(kept, `${part}.config.json`)
  const report = join(kept, `${part}.json`)
  writeFileSync(config, JSON.stringify(settings(mutate, report), null, 2))
  say(`Mutants: ${part}`)
  must(await runTool(['@stryker-mutator', 'core', 'bin', 'stryker.js'], ['run', config]), `mutants, ${part}`)
  return told(part, JSON.parse(readFileSync(report, 'utf8')))
}

function settings(mutate, report) {
  return {
    mutate,
    testRunner: 'vitest',
    vitest: { configFile: 'scripts/mutants/vitest.config.ts', related: false },
    plugins: ['@stryker-mutator/vitest-runner'],
    // What a sentence says is not tried: words are read by people, and looked at on the screen.
    mutator: { excludedMutations: ['StringLiteral'] },
    coverageAnalysis: 'perTest',
    ignoreStatic: true,
    concurrency: 2,
    timeoutMS: 5_000,
    timeoutFactor: 1.2,
    reporters: ['progress-append-only', 'json'],
    jsonReporter: { fileName: report },
    tempDirName: join(kept, 'sandbox'),
    ignorePatterns: ['/.output', '/.nuxt', '/.shots', '/docs', '/test-results', '/.stryker'],
    allowConsoleColors: false,
  }
}

/**
 * Lines that hold code, drawn by the seed, as places Stryker understands. A line is drawn by what stands in it and in
 * which file, so that a change elsewhere leaves the others in the sample.
 */
function sampledLines() {
  const lines = SAMPLED.flatMap(folder => filesOf(join(root, folder))).flatMap(codeLines)
  return lines
    .map(({ place, text }) => ({ place, lot: CRC32.str(`${seed}:${text}`) >>> 0 }))
    .sort((a, b) => a.lot - b.lot)
    .slice(0, SAMPLE_LINES)
    .map(({ place }) => place)
    .sort()
}

function filesOf(folder) {
  return readdirSync(folder, { withFileTypes: true, recursive: true })
    .filter(entry => entry.isFile() && /(?<!\.d|\.table)\.ts$/.test(entry.name))
    .map(entry => join(entry.parentPath ?? entry.path, entry.name))
    .sort()
}

function codeLines(file) {
  const name = file.slice(root.length + 1)
  return readFileSync(file, 'utf8')
    .split('\n')
    .flatMap((line, i) =>
      NO_CODE.test(line) ? [] : [{ place: `${name}:${i + 1}-${i + 1}`, text: `${name}:${line.trim()}` }],
    )
}

/** The score in words, and every survivor with its place. */
function told(part, { files }) {
  const all = Object.entries(files).flatMap(([name, { mutants }]) =>
    mutants.map(mutant => ({ ...mutant, name })),
  )
  const are = (...statuses) => all.filter(({ status }) => statuses.includes(status))
  const killed = are('Killed', 'Timeout')
  const survived = are('Survived', 'NoCoverage')
  const count = killed.length + survived.length
  const share = (100 * killed.length) / Math.max(1, count)
  const place = ({ name, location: { start }, mutatorName, replacement, status }) =>
    `${name}:${start.line}:${start.column} ${mutatorName} → ${String(replacement).replace(/\s+/g, ' ').slice(0, 90)}${status === 'NoCoverage' ? ' (no test comes here)' : ''}`
  writeFileSync(join(kept, `${part}.survivors.txt`), `${survived.map(place).join('\n')}\n`)
  const goal = GOALS[part]
  say(
    `${part}: ${killed.length} of ${count} killed, ${share.toFixed(1)} % (asked ${goal.killed} %); survivors in .stryker/${part}.survivors.txt`,
  )
  if (count < goal.least) say(`${part}: only ${count} mutants were tried, ${goal.least} are asked.`)
  return share >= goal.killed && count >= goal.least
}
