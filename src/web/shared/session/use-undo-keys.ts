import { useEventListener } from '@vueuse/core'

/** In a field the browser's own undo and the letters belong to what is typed. */
export const isTyping = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement &&
  target.matches('input:not([type=file], [type=checkbox], [type=radio]), textarea, [contenteditable]')

/** Ctrl or ⌘ with Z takes a step back in this view, with Shift it is done again. */
export function useUndoKeys({ undo, redo }: { readonly undo: () => void; readonly redo: () => void }): void {
  useEventListener(window, 'keydown', (event: KeyboardEvent) => {
    const command = event.ctrlKey || event.metaKey
    if (!command || event.altKey || event.key.toLowerCase() !== 'z' || isTyping(event.target)) return
    event.preventDefault()
    if (event.shiftKey) redo()
    else undo()
  })
}
