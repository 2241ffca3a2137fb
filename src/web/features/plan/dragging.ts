import { draggable } from '@atlaskit/pragmatic-drag-and-drop/element/adapter'
import type { Directive } from 'vue'
import type { ShelfThing } from '#web/shared/session/new-block.ts'

/** What can be dragged in Plan: a thing of the shelf, or a block of the session. */
export type Dragged =
  | { readonly what: 'thing'; readonly thing: ShelfThing; readonly name: string }
  | { readonly what: 'block'; readonly id: string }

const cleanUps = new WeakMap<HTMLElement, () => void>()
const current = new WeakMap<HTMLElement, Dragged>()

/** Makes an element draggable with what it stands for. */
export const vDraggable: Directive<HTMLElement, Dragged> = {
  mounted(element, { value }) {
    current.set(element, value)
    const stop = draggable({ element, getInitialData: () => ({ dragged: current.get(element) }) })
    cleanUps.set(element, stop)
  },
  updated(element, { value }) {
    current.set(element, value)
  },
  unmounted(element) {
    cleanUps.get(element)?.()
  },
}

export const draggedOf = (data: Record<string | symbol, unknown>): Dragged | undefined =>
  data['dragged'] as Dragged | undefined
