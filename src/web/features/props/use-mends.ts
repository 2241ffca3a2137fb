import { watchDebounced } from '@vueuse/core'
import { onScopeDispose, shallowRef, watch } from 'vue'
import type { Ref } from 'vue'
import type { ElevationInput } from '#core/figure'
import type { MendAnswer, MendQuestion } from './mend-work.ts'

/** How long the hands rest before a mend is looked for. */
const restMs = 150

/** The mends of the findings of a set-up, from a worker; none until they have been looked for. */
export function useMends(input: Ref<ElevationInput | undefined>): Ref<MendAnswer['mends'] | undefined> {
  const mends = shallowRef<MendAnswer['mends']>()
  let asked = 0
  const worker = new Worker(new URL('./mend-worker.ts', import.meta.url), { type: 'module' })
  worker.onmessage = ({ data }: MessageEvent<MendAnswer>) => {
    if (data.asked === asked) mends.value = data.mends
  }
  worker.onerror = () => (mends.value = {})
  // What was offered belongs to what was there before; what is new is asked when the hands rest.
  watch(input, () => {
    mends.value = undefined
    asked += 1
  })
  watchDebounced(
    input,
    (now) => {
      // What is watched over by Vue cannot be sent to a worker; its plain copy can.
      if (now) worker.postMessage(JSON.parse(JSON.stringify({ asked, input: now } satisfies MendQuestion)))
    },
    { debounce: restMs, immediate: true },
  )
  onScopeDispose(() => {
    worker.terminate()
  })
  return mends
}
