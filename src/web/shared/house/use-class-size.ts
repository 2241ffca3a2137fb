import { computed, watch } from 'vue'
import { comingTo } from '#core/class'
import { keptFor } from '#core/session'
import { useOwnStore } from '#web/shared/own/own-store.ts'
import { useSessionStore } from '#web/shared/session/session-store.ts'
import { usePlannedClassesStore } from './planned-classes-store.ts'
import { useForms } from './use-forms.ts'
import { useTheOne } from './use-the-one.ts'

/**
 * Plans the open session for those who come to the class it is opened for: for so many, with what is offered to all where
 * some take something else, and for somebody who comes alone with the set-ups that are kept for them. To be called once, by the application.
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
  const one = useTheOne(planned)
  watch(
    () => JSON.stringify(one.value?.setUps ?? []),
    () => {
      const kept = one.value?.setUps ?? []
      own.keptForOne =
        kept.length === 0
          ? undefined
          : new Map(kept.map(({ poseId, variantId, items }) => [keptFor(poseId, variantId), items]))
    },
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
