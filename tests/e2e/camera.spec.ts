import { expect } from '@playwright/test'
import { DEMO, openDemoAt } from './support'
import { test } from './test'

test(
  'a second window for a camera follows the figure in hand, while it is typed',
  { tag: '@all' },
  async ({ page, context }) => {
    await openDemoAt(page, `${DEMO}/carrier-power?set=trek-b&step=carrier-power:2m:2m-2:high`)
    await expect(page.getByTestId('set-now')).toBeVisible()
    const [camera] = await Promise.all([
      context.waitForEvent('page'),
      page.getByRole('button', { name: 'Camera window' }).click(),
    ])
    const view = camera.getByTestId('camera')
    await expect(view).toContainText('Trek 2, sample B')
    await expect(view).toContainText('Carrier power')
    const field = page.getByRole('textbox', { name: /Reading on/ })
    await field.fill('2.5')
    await expect(view).toContainText(/2\.\d+\sW/)
    await expect(view).toContainText(/Short by/)

    // At a quarter of its size the figure is as large as running text.
    const height = await camera.locator('.value').evaluate(one => one.getBoundingClientRect().height)
    expect(height / 4).toBeGreaterThan(20)
    await camera.keyboard.press('4')
    await expect(camera.locator('.strip')).toHaveCount(0)
    await camera.keyboard.press('1')
    await expect(view).not.toContainText('Trek 2, sample B')
    await camera.keyboard.press('b')
    await expect(view).toHaveCSS('background-color', 'rgb(0, 177, 64)')
    await camera.close()
  },
)
