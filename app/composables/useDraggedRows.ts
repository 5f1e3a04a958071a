import { useSortable } from '@vueuse/integrations/useSortable'
import type { ShallowRef } from 'vue'

interface Dragged {
  item: HTMLElement
  from: HTMLElement
  oldDraggableIndex?: number
  newDraggableIndex?: number
}

/** Rows of a table that are dragged by their handles; whoever draws them moves them. */
export function useDraggedRows(
  body: Readonly<ShallowRef<HTMLElement | null>>,
  keys: () => string[],
  move: (from: number, to: number) => void,
): void {
  let afterDragged: ChildNode | null = null
  useSortable(body, computed(keys), {
    handle: '.handle',
    draggable: '.step-row',
    animation: 120,
    forceFallback: true,
    fallbackTolerance: 4,
    onStart: ({ item }: Dragged) => {
      afterDragged = item.nextSibling
    },
    onUpdate: ({ item, from, oldDraggableIndex, newDraggableIndex }: Dragged) => {
      // The rows are drawn from the review: the dragged one goes back, and the review moves it.
      from.insertBefore(item, afterDragged)
      if (oldDraggableIndex !== undefined && newDraggableIndex !== undefined)
        move(oldDraggableIndex, newDraggableIndex)
    },
  })
}
