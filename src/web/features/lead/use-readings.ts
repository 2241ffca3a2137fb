import { onScopeDispose } from 'vue'
import { useEventListener, useWakeLock } from '@vueuse/core'
import type { Reading } from '#core/lead'
import { bothAtOnce } from '#web/shared/lead/both-at-once.ts'
import type { Clocks } from './led-clock.ts'

/** The page's two clocks, read ten times a second by a worker, with the screen kept awake meanwhile. */
export function useReadings(look: () => void, clocks: () => Clocks) {
  const wake = useWakeLock()
  let worker: Worker | undefined
  let wasAway = false
  useEventListener(document, 'visibilitychange', () => (wasAway ||= document.visibilityState === 'hidden'))

  const stop = () => {
    worker?.terminate()
    worker = undefined
    void wake.release().catch(() => undefined)
  }
  onScopeDispose(stop)
  return {
    staysAwake: wake.isActive,
    read(): Reading {
      const { steadyMs, other: epochMs } = bothAtOnce(clocks().steadyMs, clocks().epochMs)
      const reading = { epochMs, steadyMs, wasAway }
      wasAway = false
      return reading
    },
    go(): void {
      if (worker) return
      void wake.request('screen').catch(() => undefined)
      worker = new Worker(new URL('../../shared/lead/tick-worker.ts', import.meta.url), { type: 'module' })
      worker.onmessage = look
    },
    stop,
  }
}
