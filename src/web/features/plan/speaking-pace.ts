import { useLocalStorage } from '@vueuse/core'
import { usualPace } from './speaking.ts'

/** How fast this teacher speaks, in words a minute, kept in this browser. */
export const useSpeakingPace = () => useLocalStorage('zovrin.speakingPace', usualPace)
