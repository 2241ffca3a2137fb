import { useSessionStorage } from '@vueuse/core'

/** A plan that was pasted as text and is not taken yet: it outlives a reload of its window. */
export const usePastedText = () => useSessionStorage('zovrin.pasted', '')
