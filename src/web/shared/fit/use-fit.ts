import { until, useTimeoutFn } from '@vueuse/core'
import { onScopeDispose, ref, shallowRef, toRaw } from 'vue'
import type { Result } from '#core/result'
import { useOwnStore } from '#web/shared/own/own-store.ts'
import type { FitAsked, FitKind, FitQuestion } from './fit-work.ts'

/** Past this a computation shows that it runs, and can be given up. */
const slowAfterMs = 300

/**
 * One kind of question to the fits, answered by a worker of its own: the answer to the last one asked, whether
 * it is slow in coming, and whether the worker could not be had. A new question takes the place of the former.
 */
export function useFit<K extends FitKind>(kind: K) {
  type Given = FitAsked[K]['gives']
  const own = useOwnStore()
  const answer = shallowRef<Result<Given>>()
  const isSlow = ref(false)
  const isBroken = ref(false)
  const isAsking = ref(false)
  let worker: Worker | undefined
  const slow = useTimeoutFn(() => (isSlow.value = true), slowAfterMs, { immediate: false })

  function settle(): void {
    isAsking.value = false
    slow.stop()
    isSlow.value = false
  }
  function cancel(): void {
    worker?.terminate()
    worker = undefined
    settle()
  }
  function ask(asks: FitAsked[K]['asks']): void {
    // What is still being computed is for a question nobody asks any more.
    if (isAsking.value) cancel()
    isAsking.value = true
    isBroken.value = false
    worker ??= new Worker(new URL('./fit-worker.ts', import.meta.url), { type: 'module' })
    worker.onmessage = ({ data }: MessageEvent<Result<Given>>) => {
      answer.value = data
      isBroken.value = false
      settle()
    }
    worker.onerror = () => {
      isBroken.value = true
      cancel()
    }
    slow.start()
    const { people, keptForOne, catalog } = own
    const plannedFor = {
      ...{ own: toRaw(own.things), people, keptForOne: toRaw(keptForOne) },
      learned: toRaw(catalog).learned,
    }
    worker.postMessage({ kind, ...plannedFor, ...asks } as unknown as FitQuestion)
  }
  /** The answer to one question; undefined when it was given up, could not be had or another took its place. */
  function once(asks: FitAsked[K]['asks']): Promise<Result<Given> | undefined> {
    answer.value = undefined
    ask(asks)
    const isOver = (): boolean => answer.value !== undefined || isBroken.value || !isAsking.value
    return until(isOver)
      .toBe(true)
      .then(() => answer.value)
  }
  onScopeDispose(cancel)
  return { answer, isSlow, isBroken, ask, once, cancel }
}
