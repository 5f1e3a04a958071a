import { defineConfig } from '@playwright/test'
import { TEST_BROWSER } from './tests/e2e/testBrowser'

const PORT = 4391

export default defineConfig({
  testDir: 'tests/e2e',
  testMatch: '**/*.spec.ts',
  timeout: 360_000,
  expect: { timeout: 75_000 },
  workers: 3,
  fullyParallel: true,
  retries: 0,
  // `npm test` by itself leaves out what its `--all` adds.
  grepInvert: process.env.RIGOROUS_METER_TESTS === 'quick' ? /@all/ : undefined,
  forbidOnly: !!process.env.CI,
  reporter: [['list']],
  outputDir: 'test-results',
  use: {
    baseURL: `http://127.0.0.1:${PORT}`,
    viewport: { width: 1280, height: 800 },
    trace: 'off',
    // Every page would fetch all of the application into its browser; the tests of that ask for it.
    serviceWorkers: 'block',
    // Nothing is looked at while it slides in: a test waits for each such step, and the processor draws it.
    contextOptions: { reducedMotion: 'reduce' },
    launchOptions: {
      executablePath: process.env.CHROMIUM_PATH ?? '/usr/bin/chromium',
      args: TEST_BROWSER,
    },
  },
  webServer: {
    command: 'node .output/server/index.mjs',
    url: `http://127.0.0.1:${PORT}/`,
    reuseExistingServer: false,
    timeout: 120_000,
    env: {
      NITRO_HOST: '127.0.0.1',
      HOST: '127.0.0.1',
      NITRO_PORT: String(PORT),
      PORT: String(PORT),
      NUXT_PUBLIC_DEMO: 'false',
    },
  },
})
