import { shallowRef, watch } from 'vue'
import { usePlannedClassesStore } from '#web/shared/house/planned-classes-store.ts'

/** What is said at the closing of the class after this one, where it is one of a series: fetched before the class begins. */
export function useNextClass(sessionId: string) {
  const classes = usePlannedClassesStore()
  const next = shallowRef<string>()
  watch(
    () => classes.openFor(sessionId)?.series,
    async (series) => {
      next.value = undefined
      if (!series) return
      // Weeks and their days are much to load: a class that is no series' does without.
      const found = await import('#web/shared/house/next-in-series.ts')
        .then(({ nextInSeries }) => nextInSeries(series))
        // Away from the server the class begins without it.
        .catch(() => undefined)
      if (classes.openFor(sessionId)?.series?.id === series.id) next.value = found
    },
    { immediate: true },
  )
  return next
}
