import { computed, shallowRef } from 'vue'
import type { Ref } from 'vue'
import type { SeenTime } from '#model/seen-time'
import { learnedTimes, usedTimes } from '#core/journal'
import type { Catalog, LearnedTimes } from '#core/session'
import { readSeenTimes } from '#web/shared/api/led-classes.ts'
import { useSettingsStore } from '#web/shared/settings/settings-store.ts'
import { itsOwn } from '#web/shared/teachers/teacher-here.ts'

const keptAs = itsOwn('zovrin.seen-times')

/** What this browser knew last, for when the server is away. */
function kept(): readonly SeenTime[] {
  try {
    return JSON.parse(localStorage.getItem(keptAs) ?? '[]') as SeenTime[]
  } catch {
    return []
  }
}

/** What led classes taught, with what the teacher said of it, for a class of so many. */
export function useLearned(shelf: Readonly<Ref<Catalog>>, people: Readonly<Ref<number | undefined>>) {
  const settings = useSettingsStore()
  const seen = shallowRef(kept())
  const times = computed(() =>
    learnedTimes({ seen: seen.value, said: settings.times, catalog: shelf.value, people: people.value }),
  )
  let last: LearnedTimes = new Map()
  return {
    times,
    /** The same times keep the same map, so that nothing is compiled anew. */
    learned: computed(() => {
      const next = usedTimes(times.value)
      const isSame = JSON.stringify([...next]) === JSON.stringify([...last])
      if (!isSame) last = next
      return last
    }),
    /** Reads what the records have taught since; whether the server answered. */
    async loadTimes(): Promise<boolean> {
      const reply = await readSeenTimes()
      if (reply.kind !== 'ok') return false
      localStorage.setItem(keptAs, JSON.stringify(reply.value))
      seen.value = reply.value
      return true
    },
  }
}
