import { expect } from '@playwright/test'
import { DEMO } from './support'
import { test } from './test'

test.use({ serviceWorkers: 'allow' })

test(
  'in a hall without a network: everything opens after the first load',
  { tag: '@all' },
  async ({ page, context }) => {
    await page.goto('/')
    await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined))
    await page.getByRole('button', { name: 'Open the demo review' }).click()
    await expect(page).toHaveURL(/findings/)
    // What is kept is all there once the worker has installed.
    await expect
      .poll(() => page.evaluate(async () => (await caches.keys()).some(name => name.includes('precache'))))
      .toBe(true)

    await context.setOffline(true)
    await page.goto(`${DEMO}/sheet`)
    await expect(page.getByTestId('sheet-page')).toContainText('Osmere Trek 2')
    await page.goto('/')
    await expect(page.getByRole('heading', { name: 'Fell-race marshals’ handhelds' })).toBeVisible()
    await page.goto('/start')
    await page.getByRole('button', { name: 'Begin' }).click()
    await expect(page.getByRole('heading', { name: /step 1 of/ }).first()).toBeVisible()
    await context.setOffline(false)
  },
)
