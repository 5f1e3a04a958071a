import { tinykeys, type KeyBindingMap } from 'tinykeys'
import { isTyping } from '~/keys/isTyping'

/** Binds keys while the component lives. Plain keys are silent while the person types. */
export function useKeys(bindings: Record<string, (event: KeyboardEvent) => void>): void {
  const guarded: KeyBindingMap = Object.fromEntries(Object.entries(bindings).map(([keys, run]) => [keys, (event: KeyboardEvent) => {
    if (isTyping(event) && !keys.includes('$mod')) return
    run(event)
  }]))
  onMounted(() => {
    const stop = tinykeys(window, guarded)
    onBeforeUnmount(stop)
  })
}
