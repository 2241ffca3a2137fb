import { ref } from 'vue'
import { useSessionStore } from './session-store.ts'

/** What a screen reader hears of the last move; the same for every part of a view. */
export const told = ref('')

/** The last steps of the open session taken back and done again, and told. */
export function useTurns() {
  const store = useSessionStore()
  return {
    told,
    undo: (): void => {
      const words = store.undo()
      told.value = words === undefined ? 'Nothing to undo' : `Undone: ${words}`
    },
    redo: (): void => {
      const words = store.redo()
      told.value = words === undefined ? 'Nothing to redo' : `Done again: ${words}`
    },
  }
}
