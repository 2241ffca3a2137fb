import { CannotOpen } from '#server/db/opening'
import { backupHolds, backupOffer } from '#words/backups'
import { newestWhole } from './kept-backups.ts'
import type { Kept } from './make-backup.ts'

/** A database that is damaged, or none at all, with the newest backup that could stand in its place. */
export async function withOffer(error: unknown, kept: Kept, isDemo = false): Promise<unknown> {
  if (!(error instanceof CannotOpen) || !['damaged', 'not a database'].includes(error.trouble)) return error
  const newest = await newestWhole(kept).catch(() => undefined)
  const sounds = (newest?.backup.files.length ?? 1) - 1
  const offer = newest
    ? backupOffer({
        path: newest.path,
        madeAt: newest.backup.madeAt,
        holds: backupHolds(newest.backup.counts, sounds),
        isDemo,
      })
    : backupOffer()
  return new Error(`${error.message} ${offer}`, { cause: error.cause })
}
