import { storeToRefs } from 'pinia'
import { useSettingsStore } from '#web/shared/settings/settings-store.ts'

/** How fast this teacher speaks, in words a minute. */
export const useSpeakingPace = () => storeToRefs(useSettingsStore()).speakingPace
