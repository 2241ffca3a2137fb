import { useIntervalFn } from '@vueuse/core'
import { computed, onScopeDispose, ref, shallowRef } from 'vue'
import type { ScreenClass, ScreenNow } from '#core/lead'
import { fold, step } from '#core/lead'
import { serverAheadMs } from '#web/shared/api/now.ts'
import { ports } from '#web/shared/ports.ts'

/** The server's clock is looked at anew this often: two clocks run apart. */
const lookEveryMs = 60_000
/** A look for each picture a breath line needs; on a device that wants little movement, one for each count. */
const framesMs = matchMedia('(prefers-reduced-motion: reduce)').matches ? 250 : 50

/** The class that runs as this screen follows it: told by the server, gone on with by the plan when it is out of touch. */
export function useScreenFeed() {
  const led = shallowRef<ScreenClass | null>()
  const now = shallowRef<ScreenNow>()
  const aheadMs = ref<number>()
  /** Since when the server is out of touch, by this screen's clock. */
  const awaySinceMs = ref<number>()
  /** The server lets this screen in no more. */
  const isOut = ref(false)
  const atMs = ref(ports().epochMs())

  const measure = async (): Promise<void> => {
    aheadMs.value = (await serverAheadMs()) ?? aheadMs.value
  }
  void measure()
  useIntervalFn(() => void measure(), lookEveryMs)
  useIntervalFn(() => (atMs.value = ports().epochMs()), framesMs)

  const source = new EventSource('/api/screen/stream')
  source.addEventListener('class', ({ data }: MessageEvent<string>) => {
    led.value = JSON.parse(data) as ScreenClass | null
  })
  source.addEventListener('now', ({ data }: MessageEvent<string>) => {
    now.value = JSON.parse(data) as ScreenNow
  })
  source.addEventListener('open', () => {
    awaySinceMs.value = undefined
    void measure()
  })
  source.addEventListener('error', () => {
    awaySinceMs.value ??= ports().epochMs()
    // What does not answer is asked again by itself; what refuses is not.
    isOut.value = source.readyState === EventSource.CLOSED
  })
  onScopeDispose(() => {
    source.close()
  })

  /** Where the class was at its last event; from there it runs on by its plan. */
  const base = computed(() => {
    const { events = [], id } = now.value ?? {}
    if (!led.value || led.value.id !== id) return undefined
    return { led: led.value, state: fold(led.value.plan, events, events.at(-1)?.atMs ?? 0) }
  })
  return {
    awaySinceMs,
    isOut,
    showsClock: computed(() => now.value?.showsClock ?? true),
    isInTouch: computed(() => now.value?.isInTouch ?? true),
    /** The class at this instant; nothing where none runs, or the screen does not know yet when it is. */
    running: computed(() => {
      if (!base.value || !now.value || aheadMs.value === undefined) return undefined
      const runMs = Math.max(0, Math.round(atMs.value + aheadMs.value - now.value.zeroMs))
      const { led: shown, state } = base.value
      return { led: shown, state: step(shown.plan, state, { type: 'tick', atMs: runMs })[0] }
    }),
  }
}
