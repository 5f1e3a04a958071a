import { expect } from '@playwright/test'
import { DEMO, openDemoAt } from './support'
import { test } from './test'

test.use({ savesData: false })

test(
  'the files of the steps’ screens come while the page idles, before anybody opens one',
  { tag: '@all' },
  async ({ page }) => {
    const asked = new Set<string>()
    page.on('request', request => asked.add(new URL(request.url()).pathname))
    await openDemoAt(page, `${DEMO}/run?set=trek-a`)
    await expect(page.getByRole('heading', { name: 'The run' })).toBeVisible()
    const files = () => [...asked].filter(path => /^\/_nuxt\/.*\.js$/.test(path)).length
    const atFirst = files()
    await expect.poll(files).toBeGreaterThan(atFirst + 15)
  },
)
