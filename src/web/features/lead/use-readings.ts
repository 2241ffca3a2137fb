import { onScopeDispose } from 'vue'
import { useEventListener, useWakeLock } from '@vueuse/core'
import type { Reading } from '#core/lead'
import { ports } from '#web/shared/ports.ts'
import type { Ports } from '#web/shared/ports.ts'

/** Two clocks read one after the other count as read at once within this, ms; tried a few times on a busy machine. */
const atOnceMs = 0.1
const tries = 8

/**
 * Both clocks at one moment. Whatever comes between the two looks would shift the class by as much after a reload, so
 * the steady clock is read on both sides and the pair that lies closest is taken.
 */
function bothAtOnce({ epochMs, steadyMs }: Pick<Ports, 'epochMs' | 'steadyMs'>): Pick<Reading, 'epochMs' | 'steadyMs'> {
  let best = { epochMs: 0, steadyMs: 0, apartMs: Infinity }
  for (let at = 0; at < tries && best.apartMs > atOnceMs; at += 1) {
    const before = steadyMs()
    const epoch = epochMs()
    const apartMs = steadyMs() - before
    if (apartMs < best.apartMs) best = { epochMs: epoch, steadyMs: before + apartMs / 2, apartMs }
  }
  return { epochMs: best.epochMs, steadyMs: best.steadyMs }
}

/** The page's two clocks, read ten times a second by a worker, with the screen kept awake meanwhile. */
export function useReadings(look: () => void) {
  const clocks = ports()
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
      const reading = { ...bothAtOnce(clocks), wasAway }
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
