#!/usr/bin/env node
// npm run cli -- judge REVIEW.json: the same core from a shell, without a browser.
import { rmSync } from 'node:fs'
import { createRequire } from 'node:module'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { bundleProgram } from './lib.mjs'

const bundle = join(tmpdir(), `rigorous-meter-cli-${process.pid}.cjs`)
await bundleProgram('cli/main.ts', bundle)
try {
  const { run } = createRequire(import.meta.url)(bundle)
  process.exitCode = await run(process.argv.slice(2), {
    out: text => process.stdout.write(text),
    err: text => process.stderr.write(text),
    isWatched: process.stderr.isTTY,
  })
} finally {
  rmSync(bundle, { force: true })
}
