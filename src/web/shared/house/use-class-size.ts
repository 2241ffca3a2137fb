import { watch } from 'vue'
import { comingTo } from '#core/class'
import { useOwnStore } from '#web/shared/own/own-store.ts'
import { useSessionStore } from '#web/shared/session/session-store.ts'
import { usePlannedClassesStore } from './planned-classes-store.ts'

/** Plans the open session for as many as come to the class it is opened for. To be called once, by the application. */
export function useClassSize(): void {
  const session = useSessionStore()
  const classes = usePlannedClassesStore()
  const own = useOwnStore()
  void classes.load()
  watch(
    () => {
      const planned = session.document && classes.openFor(session.document.id)
      return planned && comingTo(planned).length
    },
    (count) => (own.people = count),
    { immediate: true },
  )
}
