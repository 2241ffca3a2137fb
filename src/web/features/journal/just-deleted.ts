import { shallowRef } from 'vue'

/** The class that was deleted last in this window: the journal offers to bring it back. */
export const justDeleted = shallowRef<{ readonly id: string; readonly words: string }>()
