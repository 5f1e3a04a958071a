import { tinykeys, type KeyBindingMap } from 'tinykeys'
import { isTyping } from '~/keys/isTyping'

/** A plain key within this time after G belongs to “go to”, ms: on a slow machine the page needs some of it. */
const GO_MS = 2000

let wentAt = -Infinity

/** Binds keys while the component lives. Plain keys are silent while the person types, and right after G. */
export function useKeys(bindings: Record<string, (event: KeyboardEvent) => void>): void {
  const guarded: KeyBindingMap = Object.fromEntries(
    Object.entries(bindings).map(([keys, run]) => [
      keys,
      (event: KeyboardEvent) => {
        if (isTyping(event) && !keys.includes('$mod')) return
        const sequence = keys.includes(' ')
        if (!sequence && event.timeStamp - wentAt < GO_MS && /^[a-z]$/i.test(keys)) return
        // Plain keys bound elsewhere see this same key after: it is spent once all have seen it.
        if (sequence) setTimeout(() => (wentAt = -Infinity))
        run(event)
      },
    ]),
  )
  onMounted(() => {
    const stop = tinykeys(window, guarded, { timeout: GO_MS })
    window.addEventListener('keydown', noteGo, true)
    onBeforeUnmount(() => {
      stop()
      window.removeEventListener('keydown', noteGo, true)
    })
  })
}

function noteGo(event: KeyboardEvent): void {
  if (event.key.toLowerCase() === 'g' && !event.ctrlKey && !event.metaKey && !isTyping(event))
    wentAt = event.timeStamp
}
