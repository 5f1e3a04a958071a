// npm run fuzz [-- files] [seed]: files with faults in them, over every reader, and 10 000 ugly changes to a review.
// None may take two seconds, show an error that is not ours, or be accepted with a figure that is none.
import { fork } from 'node:child_process'
import { rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { bundleProgram, ensurePackages, must, runTool, say } from './lib.mjs'

const [files = '10000', seed = '1', only = ''] = process.argv.slice(2)
/** A file that is read for longer than this hangs, ms. */
const HANGS_MS = 20_000

await ensurePackages()
const bundle = join(tmpdir(), `rigorous-meter-fuzz-${process.pid}.mjs`)
await bundleProgram('scripts/fuzz/fuzz.ts', bundle, 'esm')
say(`${files} files, seed ${seed}`)
const code = await new Promise(resolve => {
  const child = fork(bundle, [files, seed, only])
  let last = { what: '', at: Date.now() }
  child.on('message', ({ what }) => (last = { what, at: Date.now() }))
  const watch = setInterval(() => {
    if (Date.now() - last.at < HANGS_MS) return
    console.log(`${last.what}: hangs`)
    child.kill('SIGKILL')
  }, 1000)
  child.on('exit', exit => {
    clearInterval(watch)
    resolve(exit ?? 1)
  })
})
rmSync(bundle, { force: true })
must(code, 'the files')
say('Ugly changes to a review')
must(
  await runTool(['vitest', 'vitest.mjs'], ['run', 'tests/app/uglyChanges.test.ts'], {
    env: { UGLY_STEPS: '10000', UGLY_SEED: seed },
  }),
  'the changes',
)
