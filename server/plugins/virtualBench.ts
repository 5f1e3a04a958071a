import { defineNitroPlugin } from 'nitropack/runtime'
import { theLink } from '../link/running'

/** The virtual bench is there from the start: other programs may speak to its ports too. */
export default defineNitroPlugin(nitro => {
  if (import.meta.prerender) return
  void theLink()
  nitro.hooks.hook('close', async () => {
    const { service, virtual } = await theLink()
    await service.close()
    await virtual?.close()
  })
})
