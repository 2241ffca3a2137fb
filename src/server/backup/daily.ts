import type { Clock } from '#server/clock'
import { backupsBeside, clearLeftovers, isDue, pastTheirTime, removeBackups } from './kept-backups.ts'
import { makeBackup } from './make-backup.ts'
import type { Kept } from './make-backup.ts'

const hourMs = 3_600_000

/**
 * Makes the backup of the day where it is due, and clears away those past their time. Says what went wrong, undefined where
 * nothing did; what there is stays as it is then.
 */
export async function backUpWhereDue(kept: Kept, clock: Clock): Promise<unknown> {
  try {
    const nowMs = clock.now().getTime()
    if (!isDue(await backupsBeside(kept), nowMs)) return undefined
    await makeBackup(kept, 'daily', clock)
    await removeBackups(pastTheirTime(await backupsBeside(kept), nowMs))
    await clearLeftovers(kept, nowMs)
    return undefined
  } catch (error) {
    return error
  }
}

/** Looks every hour whether a backup is due, from now on; `told` hears how each ended. Stops where its end is called. */
export function keepBackingUp(kept: Kept, clock: Clock, told: (failure: unknown) => void): () => Promise<void> {
  let running = Promise.resolve()
  const look = (): void => {
    running = running.then(async () => {
      told(await backUpWhereDue(kept, clock))
    })
  }
  look()
  const timer = setInterval(look, hourMs)
  timer.unref()
  return async () => {
    clearInterval(timer)
    await running
  }
}
