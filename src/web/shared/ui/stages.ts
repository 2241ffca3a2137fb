import { onScopeDispose, ref } from 'vue'
import type { Ref } from 'vue'

/**
 * Counts up from 0, a step a turn of the browser's own: heavy parts of a panel are set out one after the
 * other, so that no key waits for all of them.
 */
export function useStages(count: number, everyMs = 40): Readonly<Ref<number>> {
  const stage = ref(0)
  const timer = setInterval(() => {
    stage.value += 1
    if (stage.value >= count) clearInterval(timer)
  }, everyMs)
  onScopeDispose(() => {
    clearInterval(timer)
  })
  return stage
}
