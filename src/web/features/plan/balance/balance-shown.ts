import { ref } from 'vue'

/** Whether the balance is shown: opened from the session's panel or from the findings. */
export const balanceShown = ref(false)
