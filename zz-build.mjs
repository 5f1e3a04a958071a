import { bundleProgram } from './scripts/lib.mjs'
await bundleProgram('zz-judge.ts', '/tmp/zzj.cjs')
