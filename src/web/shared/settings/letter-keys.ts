import { storeToRefs } from 'pinia'
import { useSettingsStore } from './settings-store.ts'

/**
 * Whether single characters act as commands while a spine or a strip has focus. Some people's keyboards or voices
 * send stray letters: then they switch them off; arrows, Enter, Delete and Ctrl+Z still work.
 */
export const useLetterKeys = () => storeToRefs(useSettingsStore()).letterKeys

export const isCharacterKey = (event: Pick<KeyboardEvent, 'key' | 'ctrlKey' | 'metaKey' | 'altKey'>): boolean =>
  event.key.length === 1 && !event.ctrlKey && !event.metaKey && !event.altKey
