import { computed, watch } from 'vue'
import { comingTo } from '#core/class'
import { useOwnStore } from '#web/shared/own/own-store.ts'
import { useSessionStore } from '#web/shared/session/session-store.ts'
import { usePlannedClassesStore } from './planned-classes-store.ts'
import { useForms } from './use-forms.ts'

/**
 * Plans the open session for those who come to the class it is opened for: for so many, and with what is offered to all
 * where some take something else. To be called once, by the application.
 */
export function useClassSize(): void {
  const session = useSessionStore()
  const classes = usePlannedClassesStore()
  const own = useOwnStore()
  void classes.load()
  const planned = computed(() => session.document && classes.openFor(session.document.id))
  watch(
    () => planned.value && comingTo(planned.value).length,
    (count) => (own.people = count),
    { immediate: true },
  )
  const forms = useForms(() => {
    const { document, timeline } = session
    return document && timeline && planned.value && { document, timeline, planned: planned.value }
  })
  watch(
    () => forms.value.offers,
    (offers) => {
      // The same sentences keep the same catalog, so that nothing is compiled anew.
      const isSame = JSON.stringify([...offers]) === JSON.stringify([...(own.offers ?? [])])
      if (!isSame) own.offers = offers.size > 0 ? offers : undefined
    },
  )
}
