// npm run coverage-study: 10 000 simulated benches of each kind with known truth; writes docs/coverage.md.
// npm run coverage-study -- hearing: the same for what a radio hears; writes docs/coverage-hearing.md.
// npm run coverage-study -- physical: benches built from physics that lie; writes docs/coverage-physical.md.
// node scripts/coverage-study.mjs [hearing|physical] [benches] [seed]
import { ensurePackages, must, runTool } from './lib.mjs'

const [first, ...rest] = process.argv.slice(2)
const OTHERS = ['hearing', 'physical']
const script = OTHERS.includes(first) ? first : 'coverage'
const args = script === first || first === undefined ? rest : [first, ...rest]

await ensurePackages()
must(
  await runTool(
    ['tsx', 'dist', 'cli.mjs'],
    ['--tsconfig', 'core/tsconfig.json', `scripts/study/${script}.ts`, ...args],
  ),
  'the coverage study',
)
