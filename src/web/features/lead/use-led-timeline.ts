import { computed } from 'vue'
import type { Ref } from 'vue'
import type { LedStart } from '#model/led-class'
import { leadPlan } from '#core/lead'
import { compileTimeline } from '#core/timeline'
import { useOwnStore } from '#web/shared/own/own-store.ts'

/** The timeline a class is led from, of the session as it was at Start; nothing where the shelf is not what it was on the day. */
export function useLedTimeline(start: Readonly<Ref<LedStart | undefined>>) {
  const own = useOwnStore()
  return computed(() => {
    if (!start.value) return undefined
    const { document, plan } = start.value
    const compiled = compileTimeline(document, own.catalog)
    if (!compiled.ok || leadPlan(compiled.value, {}).segments.length !== plan.segments.length) return undefined
    return compiled.value
  })
}
