import { test as base } from '@playwright/test'

/**
 * Playwright's test, in a browser that saves data: what the application would fetch while it idles, in case it is
 * wanted, takes the processor from what a test looks at. `test.use({ savesData: false })` has it as it comes.
 */
export const test = base.extend<{ savesData: boolean }>({
  savesData: [true, { option: true }],
  context: async ({ context, savesData }, use) => {
    if (savesData)
      await context.addInitScript(() => {
        Object.defineProperty(navigator, 'connection', { value: { saveData: true } })
      })
    await use(context)
  },
})
