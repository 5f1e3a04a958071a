import { availableParallelism } from 'node:os'
import { fileURLToPath } from 'node:url'
import vue from '@vitejs/plugin-vue'
import { defineConfig } from 'vitest/config'

const folder = (path: string) => fileURLToPath(new URL(path, import.meta.url))
/** The build of Joi the browser gets: it lacks a few things the one for Node has. */
const joi = folder('./node_modules/joi/dist/joi-browser.min.mjs')
const alias = { '#core': folder('./core'), '~': folder('./app'), joi }
/** Tests that put another registry or another storage under everything, which nobody else is to get. */
const APART = [
  ...['toyStation', 'listening', 'reviewStorage', 'reviewStore', 'reviewTabs', 'shelfStore', 'ownRulebooks'],
  'copyFolder',
  'nearWindow',
  'filesAhead',
  'spareTurn',
].map(name => `tests/app/${name}.test.ts`)
/**
 * Far above what any test needs: it only ends what hangs. A tight one turns a slow machine into a failure.
 */
const PATIENCE_MS = 240_000
const shared = { plugins: [vue()], resolve: { alias } }

export default defineConfig({
  test: {
    // By itself vitest leaves one core idle, and on two cores that is half of them.
    maxWorkers: availableParallelism(),
    projects: [
      {
        ...shared,
        test: {
          name: 'core',
          include: ['tests/{core,outside,cli,server}/**/*.test.ts'],
          environment: 'node',
          testTimeout: PATIENCE_MS,
          hookTimeout: PATIENCE_MS,
          isolate: false,
          pool: 'threads',
        },
      },
      {
        ...shared,
        test: {
          name: 'app',
          include: ['tests/app/**/*.test.ts'],
          exclude: APART,
          environment: 'happy-dom',
          testTimeout: PATIENCE_MS,
          hookTimeout: PATIENCE_MS,
          setupFiles: ['tests/app/setup.ts'],
          isolate: false,
          pool: 'threads',
        },
      },
      {
        ...shared,
        test: {
          name: 'apart',
          include: APART,
          environment: 'happy-dom',
          testTimeout: PATIENCE_MS,
          hookTimeout: PATIENCE_MS,
          setupFiles: ['tests/app/setup.ts'],
          pool: 'threads',
        },
      },
    ],
  },
})
