import type { ClassNow } from '#model/device'
import type { Clock } from '#server/clock'
import { leaseOf } from '#server/features/led-classes/store'
import type { LedClassStore } from '#server/features/led-classes/store'
import type { Hub } from './hub.ts'

/** The class that runs now and who leads it; undefined where none does. */
export async function classNow(store: LedClassStore, hub: Hub, clock: Clock): Promise<ClassNow | undefined> {
  const row = await store.running()
  if (!row) return undefined
  const { id, sessionId, name, conductedMs } = row
  const lease = leaseOf(row)
  const isInTouch = lease !== undefined && hub.isInTouch(lease, clock.now().getTime())
  return {
    ...{ id, sessionId, name, startedAt: row.startedAt.toISOString(), conductedMs },
    leads: lease ? { by: lease.by, name: row.leadsName ?? '', isInTouch } : null,
    // Nothing heard since this server began: by the start it was begun with.
    zeroMs: hub.zeroOf(id) ?? row.startedAt.getTime(),
  }
}
