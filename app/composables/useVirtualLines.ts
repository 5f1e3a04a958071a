import { useWindowVirtualizer } from '@tanstack/vue-virtual'
import { useEventListener } from '@vueuse/core'
import type { ShallowRef } from 'vue'
import { useTurns } from './useTurns'

/** Lists up to this long are drawn whole: nothing of them is missing when the page is searched or printed. */
const DRAWN_WHOLE = 400

/** So many lines more are drawn a turn when the list is first shown, for so many turns. */
const FIRST_LINES = 6
const FIRST_TURNS = 6

/** Lines drawn beyond either end of the window. */
const BEYOND = 12

/**
 * The lines of a long list that are near the window, with the heights of what is left out above and below.
 * @param host - the element in which the lines stand below each other.
 * @param estimatePx - height of a line that was not drawn yet.
 */
export function useVirtualLines<T>(
  host: Readonly<ShallowRef<HTMLElement | null>>,
  lines: () => readonly T[],
  estimatePx: (line: T) => number,
) {
  const isVirtual = computed(() => lines().length > DRAWN_WHOLE)
  const topPx = ref(0)
  const measureTop = (): void => {
    if (host.value) topPx.value = host.value.getBoundingClientRect().top + window.scrollY
  }
  onMounted(measureTop)
  watch([lines, host], () => void nextTick(measureTop))
  useEventListener(window, 'resize', measureTop)

  const virtualizer = useWindowVirtualizer(
    computed(() => ({
      count: isVirtual.value ? lines().length : 0,
      estimateSize: (index: number) => estimatePx(lines()[index]!),
      overscan: BEYOND,
      scrollMargin: topPx.value,
    })),
  )

  const turns = useTurns(FIRST_TURNS)
  const most = computed(() => (turns.value < FIRST_TURNS ? turns.value * FIRST_LINES : undefined))
  const shown = computed(() =>
    isVirtual.value
      ? virtualizer.value
          .getVirtualItems()
          .slice(0, most.value)
          .map(({ index }) => ({ index, line: lines()[index]! }))
      : lines().map((line, index) => ({ index, line })),
  )
  const beforePx = computed(() => {
    const [first] = isVirtual.value ? virtualizer.value.getVirtualItems() : []
    return first ? first.start - topPx.value : 0
  })
  const afterPx = computed(() => {
    const last = isVirtual.value ? virtualizer.value.getVirtualItems().at(-1) : undefined
    return last ? virtualizer.value.getTotalSize() - (last.end - topPx.value) : 0
  })

  /** Given to the element of each line, which says its `data-index`. */
  function measure(element: unknown): void {
    if (isVirtual.value && element instanceof HTMLElement) virtualizer.value.measureElement(element)
  }
  return { shown, beforePx, afterPx, isVirtual, measure }
}
