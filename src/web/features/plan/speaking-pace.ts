import { useLocalStorage } from '@vueuse/core'
import { usualPace } from '#core/units'

/** How fast this teacher speaks, in words a minute, kept in this browser. */
export const useSpeakingPace = () => useLocalStorage('zovrin.speakingPace', usualPace)
