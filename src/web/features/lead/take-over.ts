import type { LedClass, LedStart } from '#model/led-class'
import type { ClassNow } from '#model/device'
import type { FromElsewhere } from '#core/lead'
import { readLedClass, takeOverLedClass } from '#web/shared/api/led-classes.ts'
import { serverAheadMs } from '#web/shared/api/now.ts'
import { deviceId } from '#web/shared/lead/device-id.ts'
import { ports } from '#web/shared/ports.ts'

const away = 'Zovrin’s server does not answer: the class goes on where it is led.'

/** Takes a class over from the device that leads it: what is known of it, or why it cannot be. */
export async function takeOver(now: ClassNow): Promise<FromElsewhere | string> {
  const aheadMs = await serverAheadMs()
  if (aheadMs === undefined) return away
  const taken = await takeOverLedClass(now.id, deviceId())
  if (taken.kind === 'problem') return taken.problem.detail
  const read = await readLedClass(now.id)
  if (read.kind === 'problem') return read.problem.detail
  if (taken.kind === 'away' || read.kind === 'away') return away
  if (read.value.format !== 2) return 'This class was led by an older Zovrin and cannot be led on here.'
  return {
    ...{ start: startOf(read.value), events: read.value.events },
    runMs: ports().epochMs() + aheadMs - now.zeroMs,
    silentSinceMs: now.leads?.isInTouch === true ? undefined : taken.value.conductedMs,
  }
}

/** What the class was begun with, without what became of it. */
function startOf(led: Extract<LedClass, { format: 2 }>): LedStart {
  const {
    events: _,
    asides: _a,
    marks: _m,
    conductedMs: _c,
    endedAt: _e,
    left: _l,
    note: _n,
    breath: _b,
    ledBy: _w,
    ...rest
  } = led
  const { version: _v, format: _f, visits: _s, ...start } = rest
  return start
}
