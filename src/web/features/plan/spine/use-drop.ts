import { autoScrollForElements } from '@atlaskit/pragmatic-drag-and-drop-auto-scroll/element'
import { combine } from '@atlaskit/pragmatic-drag-and-drop/combine'
import { dropTargetForElements } from '@atlaskit/pragmatic-drag-and-drop/element/adapter'
import { computed, onMounted, onScopeDispose, shallowRef } from 'vue'
import type { Ref } from 'vue'
import { usualBlocksEnd } from '#core/session'
import { draggedOf } from '../dragging.ts'
import { usePlan } from '../use-plan.ts'
import { dropIndex, dropLinePx } from './layout.ts'

type Element = Readonly<Ref<HTMLElement | null>>

/**
 * Takes what is dragged over the spine: `box` scrolls by itself near its edges, heights count from the top
 * of `canvas`. Returns where the drop line stands, undefined while nothing is dragged.
 */
export function useDrop(box: Element, canvas: Element, pxPerMinute: Readonly<Ref<number>>) {
  const plan = usePlan()
  const { document, timeline } = plan
  const dropAt = shallowRef<number>()
  const dropLine = computed(() =>
    dropAt.value === undefined || !timeline.value
      ? undefined
      : dropLinePx(timeline.value, dropAt.value, pxPerMinute.value),
  )

  function placeUnder(clientY: number): number | undefined {
    const top = canvas.value?.getBoundingClientRect().top
    if (top === undefined || !timeline.value || !document.value) return undefined
    return Math.min(dropIndex(timeline.value, clientY - top, pxPerMinute.value), usualBlocksEnd(document.value))
  }

  function drop(data: Record<string | symbol, unknown>, clientY: number): void {
    const dragged = draggedOf(data)
    const at = placeUnder(clientY)
    dropAt.value = undefined
    if (!dragged || at === undefined || !document.value) return
    if (dragged.what === 'thing') {
      plan.add(dragged.thing, dragged.name, at)
      return
    }
    // One of several chosen takes the others along.
    const taken = plan.chosenIds.value.includes(dragged.id) ? plan.chosenIds.value : [dragged.id]
    plan.moveTo(taken, at)
  }

  let stop: (() => void) | undefined
  onMounted(() => {
    const element = box.value
    if (!element) return
    stop = combine(
      dropTargetForElements({
        element,
        canDrop: ({ source }) => draggedOf(source.data) !== undefined,
        onDrag: ({ location }) => {
          dropAt.value = placeUnder(location.current.input.clientY)
        },
        onDragLeave: () => {
          dropAt.value = undefined
        },
        onDrop: ({ source, location }) => {
          drop(source.data, location.current.input.clientY)
        },
      }),
      autoScrollForElements({ element }),
    )
  })
  onScopeDispose(() => stop?.())

  return { dropLine }
}
