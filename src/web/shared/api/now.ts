import type { ClassNow } from '#model/device'
import { aheadBy } from '#core/lead'
import type { ClockLook } from '#core/lead'
import { ports } from '#web/shared/ports.ts'
import { ask } from './client.ts'

/** The class that runs now, whichever device leads it; null where none does. A class that is led here waits for it no longer. */
export const readClassNow = () => ask<ClassNow | null>('/now', { patienceMs: 2000 })

/** So many looks, of which the quickest counts. */
const looks = 4

/** How far the server's clock is ahead of this page's, ms; undefined where it cannot be asked. */
export async function serverAheadMs(): Promise<number | undefined> {
  const seen: ClockLook[] = []
  for (let n = 0; n < looks; n += 1) {
    const askedMs = ports().epochMs()
    const reply = await ask<{ readonly nowMs: number }>('/screen/time')
    if (reply.kind === 'ok') seen.push({ askedMs, answeredMs: ports().epochMs(), theirsMs: reply.value.nowMs })
  }
  return seen.length === 0 ? undefined : aheadBy(seen)
}
