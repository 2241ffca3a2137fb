import { combine } from '@atlaskit/pragmatic-drag-and-drop/combine'
import { draggable, dropTargetForElements } from '@atlaskit/pragmatic-drag-and-drop/element/adapter'
import { onMounted, onScopeDispose, ref } from 'vue'
import type { Ref } from 'vue'

type Side = 'before' | 'after'

/**
 * Makes an item's row something to drag, and a place to drop another's: before it in its upper half, after it in its
 * lower one. Returns where what is dragged over it would come.
 */
export function useItemDrag(
  row: Readonly<Ref<HTMLElement | null>>,
  itemId: () => string,
  bring: (dragged: string, side: Side) => void,
): Readonly<Ref<Side | undefined>> {
  const over = ref<Side>()
  const sideAt = (clientY: number): Side => {
    const { top = 0, height = 0 } = row.value?.getBoundingClientRect() ?? {}
    return clientY < top + height / 2 ? 'before' : 'after'
  }
  const draggedIn = (data: Record<string | symbol, unknown>): string | undefined =>
    typeof data['itemId'] === 'string' && data['itemId'] !== itemId() ? data['itemId'] : undefined
  let stop: (() => void) | undefined
  onMounted(() => {
    const element = row.value
    if (!element) return
    stop = combine(
      draggable({ element, getInitialData: () => ({ itemId: itemId() }) }),
      dropTargetForElements({
        element,
        canDrop: ({ source }) => draggedIn(source.data) !== undefined,
        onDrag: ({ location }) => {
          over.value = sideAt(location.current.input.clientY)
        },
        onDragLeave: () => {
          over.value = undefined
        },
        onDrop: ({ source, location }) => {
          over.value = undefined
          const dragged = draggedIn(source.data)
          if (dragged !== undefined) bring(dragged, sideAt(location.current.input.clientY))
        },
      }),
    )
  })
  onScopeDispose(() => stop?.())
  return over
}
