import { useLocalStorage, watchDebounced } from '@vueuse/core'
import { computed, shallowRef } from 'vue'
import { whatMoved } from '#core/journal'
import type { Moved } from '#core/journal'
import { movedWords } from '#words/learned-times'
import { useOwnStore } from '#web/shared/own/own-store.ts'
import { usePlan } from './use-plan.ts'
import { itsOwn } from '#web/shared/teachers/teacher-here.ts'

/** From so much on it is told, ms. */
const toldFromMs = 15_000
/** It is worked out when the first look is over and the hands rest. */
const restMs = 400

/** By what learned times moved the open plan since the teacher last said that it is so; `take` says it. */
export function useWhatMoved() {
  const own = useOwnStore()
  const { store, document } = usePlan()
  const known = useLocalStorage<Record<string, readonly (readonly [string, number])[]>>(
    itsOwn('zovrin.times-known'),
    {},
  )
  const moved = shallowRef<Moved>()
  watchDebounced(
    () => [document.value?.id, own.catalog.learned, store.timeline?.totalMs, known.value] as const,
    ([id]) => {
      const session = document.value
      const now = id !== undefined && session ? whatMoved(session, own.catalog, new Map(known.value[id])) : undefined
      moved.value = now && Math.abs(now.byMs) >= toldFromMs ? now : undefined
    },
    { debounce: restMs, immediate: true },
  )
  return {
    words: computed(() => moved.value && movedWords(moved.value, own.catalog)),
    take(): void {
      const id = document.value?.id
      if (id !== undefined) known.value = { ...known.value, [id]: [...own.catalog.learned] }
    },
  }
}
