// npm run coverage-study: 10 000 simulated benches of each kind with known truth; writes docs/coverage.md.
// node scripts/coverage-study.mjs [benches] [seed]
import { ensurePackages, must, runTool } from './lib.mjs'

await ensurePackages()
must(
  await runTool(
    ['tsx', 'dist', 'cli.mjs'],
    ['--tsconfig', 'core/tsconfig.json', 'scripts/study/coverage.ts', ...process.argv.slice(2)],
  ),
  'the coverage study',
)
