import { ref } from 'vue'

/** The session this one is held against: its id, '' while it is still to be chosen, undefined when closed. */
export const comparedId = ref<string>()
