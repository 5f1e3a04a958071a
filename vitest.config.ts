import { availableParallelism } from 'node:os'
import { fileURLToPath } from 'node:url'
import vue from '@vitejs/plugin-vue'
import { defineConfig } from 'vitest/config'

const folder = (path: string) => fileURLToPath(new URL(path, import.meta.url))
/** The build of Joi the browser gets: it lacks a few things the one for Node has. */
const joi = folder('./node_modules/joi/dist/joi-browser.min.mjs')
const alias = { '#core': folder('./core'), '~': folder('./app'), joi }
/** Tests that put another registry or another storage under everything, which nobody else is to get. */
const APART = ['toyStation', 'reviewStorage', 'reviewStore', 'shelfStore', 'ownRulebooks'].map(
  name => `tests/app/${name}.test.ts`,
)
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
          include: ['tests/{core,outside,cli}/**/*.test.ts'],
          environment: 'node',
          testTimeout: 20_000,
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
          testTimeout: 20_000,
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
          testTimeout: 20_000,
          setupFiles: ['tests/app/setup.ts'],
          pool: 'threads',
        },
      },
    ],
  },
})
