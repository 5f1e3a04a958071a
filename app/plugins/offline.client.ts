import { Workbox } from 'workbox-window'

/** By then a first screen stands, also on a slow machine. */
const AFTER_FIRST_SCREEN_MS = 3000

/**
 * Everything the application needs is kept in the browser after the first load. A newer version is fetched beside it
 * and waits: it comes into force when the person asks for it, never in the middle of a run.
 */
export default defineNuxtPlugin(() => {
  if (import.meta.dev || !('serviceWorker' in navigator)) return
  const ui = useUiStore()
  const worker = new Workbox('/sw.js')
  worker.addEventListener('waiting', () => {
    ui.newVersion = () => {
      worker.addEventListener('controlling', () => window.location.reload())
      worker.messageSkipWaiting()
    }
  })
  // At an address without a certificate there are no such workers: then it works as long as the server does.
  const register = () => void worker.register().catch(() => undefined)
  // Fetching all there is, beside a first screen that is being drawn, would hold that up.
  setTimeout(register, AFTER_FIRST_SCREEN_MS)
})
