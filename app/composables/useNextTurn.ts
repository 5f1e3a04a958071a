import { breathe } from './breathe'

/** True from a turn of the event loop after a condition holds, so that what waits for it is drawn by itself. */
export function useNextTurn(holds: () => boolean): Readonly<Ref<boolean>> {
  const isDue = ref(false)
  watch(
    holds,
    async () => {
      isDue.value = false
      await nextTick()
      await breathe()
      isDue.value = holds()
    },
    { immediate: true },
  )
  return readonly(isDue)
}
