import { fileURLToPath } from 'node:url'
import { defineConfig } from 'vitest/config'

const folder = (path: string) => fileURLToPath(new URL(`../../${path}`, import.meta.url))

/** Tests that draw thousands of benches or edits: seconds each, and what they see the small ones see too. */
const SLOW = [
  ...['study/**', 'context/randomEdits*', 'format/hostileFiles*', 'virtual/**', 'demo/**', 'review/**'],
  ...['station/sharedWork*', 'report/figures*', 'report/believability*', 'plan/slices*', 'hearing/**'],
]

/** What a mutant has to get past: the tests of the core and those against things outside the project. */
export default defineConfig({
  root: folder('.'),
  resolve: { alias: { '#core': folder('core'), '~': folder('app') } },
  test: {
    include: ['tests/{core,outside}/**/*.test.ts'],
    exclude: SLOW.map(one => `tests/core/${one}`),
    environment: 'node',
    testTimeout: 20_000,
    isolate: false,
    pool: 'threads',
  },
})
