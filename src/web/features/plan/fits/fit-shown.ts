import { ref } from 'vue'

/** Whether the fits are shown: opened by a key, from the bar or from the foot line. */
export const fitShown = ref(false)
