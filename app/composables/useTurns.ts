import { breathe } from './breathe'

/**
 * Draws the parts of a heavy page one after the other when it is first shown, so that the page answers in between.
 * @returns how many parts are due: one at first, then one more a turn.
 */
export function useTurns(parts: number): Readonly<Ref<number>> {
  const due = ref(1)
  let isHere = true
  onMounted(async () => {
    while (isHere && due.value < parts) {
      await breathe()
      due.value += 1
      await nextTick()
    }
  })
  onScopeDispose(() => (isHere = false))
  return readonly(due)
}
