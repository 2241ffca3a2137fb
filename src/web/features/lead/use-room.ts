import { onScopeDispose, watchEffect } from 'vue'
import { useLocalStorage } from '@vueuse/core'

export type Room = 'dark' | 'light'

/** Whether Lead stands in a dark room or a light one: as this device was left. What opens over it is of the same room. */
export function useRoom() {
  const room = useLocalStorage<Room>('zovrin.room', 'dark')
  watchEffect(() => {
    document.documentElement.dataset['room'] = room.value
  })
  onScopeDispose(() => {
    delete document.documentElement.dataset['room']
  })
  return {
    room,
    turn(): void {
      room.value = room.value === 'dark' ? 'light' : 'dark'
    },
  }
}
