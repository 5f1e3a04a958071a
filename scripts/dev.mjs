// npm run dev: the application with reloading, with the demo data, on this machine only.
import { ensurePackages, runTool } from './lib.mjs'

await ensurePackages()
process.exit(
  await runTool(['nuxt', 'bin', 'nuxt.mjs'], ['dev', '--host', '127.0.0.1'], {
    env: { NUXT_PUBLIC_DEMO: 'true' },
  }),
)
