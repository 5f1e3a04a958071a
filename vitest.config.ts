import { fileURLToPath } from 'node:url'
import vue from '@vitejs/plugin-vue'
import { defineConfig } from 'vitest/config'

const folder = (path: string) => fileURLToPath(new URL(path, import.meta.url))

export default defineConfig({
  plugins: [vue()],
  resolve: { alias: { '#core': folder('./core'), '~': folder('./app') } },
  test: {
    include: ['tests/{core,outside,app}/**/*.test.ts'],
    environment: 'node',
    testTimeout: 20_000,
    isolate: false,
    pool: 'threads',
  },
})
