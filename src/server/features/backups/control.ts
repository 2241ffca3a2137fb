import { createWriteStream, existsSync } from 'node:fs'
import { rename, rm, stat } from 'node:fs/promises'
import { basename, join } from 'node:path'
import { pipeline } from 'node:stream/promises'
import type { Readable } from 'node:stream'
import { nanoid } from 'nanoid'
import type { Backup, BackupReason, BackupTold, PersonGone } from '#model/backup'
import { sha256Of } from '#server/backup/hash'
import { backupsBeside } from '#server/backup/kept-backups'
import { backupName, backupsFolder, makeBackup, openFolder } from '#server/backup/make-backup'
import type { Kept } from '#server/backup/make-backup'
import { peopleIn } from '#server/backup/people-in'
import { checkBackup, readBackup } from '#server/backup/read-backup'
import { CannotBackUp } from '#server/backup/trouble'
import type { Clock } from '#server/clock'
import { ProblemError } from '#server/problems'

/** What the application can do with the backups of its house. */
export interface BackupControl {
  list(): Promise<readonly BackupTold[]>
  make(): Promise<BackupTold>
  /** Takes in a file from elsewhere, whole or not at all. */
  bring(file: Readable): Promise<BackupTold>
  /** Where one lies. Throws UNKNOWN_BACKUP. */
  pathOf(name: string): Promise<string>
  /** The people who are in one, and here no more. Throws UNKNOWN_BACKUP, BACKUP_TROUBLE. */
  peopleGone(name: string): Promise<readonly PersonGone[]>
  /**
   * Puts one in the place of what there is, but for the people who are not to be there again; the house is closed meanwhile, and
   * opens anew with it. Throws CLASS_RUNS.
   */
  restore(name: string, without?: readonly string[]): Promise<void>
  /** Whether the backup of the day was not made when it was due last. */
  readonly isLate: () => boolean
}

interface Parts {
  readonly kept: Kept
  readonly clock: Clock
  readonly isLate: () => boolean
  readonly isClassRunning: () => Promise<boolean>
  /** Who is here now. */
  readonly peopleHere: () => Promise<readonly string[]>
  /** Restores while the house is closed; whoever is not to be there again is not. */
  readonly restoreClosed: (path: string, without: readonly string[]) => Promise<void>
}

export function backupControl({
  kept,
  clock,
  isLate,
  isClassRunning,
  peopleHere,
  restoreClosed,
}: Parts): BackupControl {
  const found = async (name: string) => {
    const one = (await backupsBeside(kept)).find(({ path }) => basename(path) === name)
    if (!one) throw new ProblemError('UNKNOWN_BACKUP', { name })
    return one.path
  }
  // Two at once would each put their own in the place of the same database.
  let turn: Promise<unknown> = Promise.resolve()
  const inTurn = <T>(work: () => Promise<T>): Promise<T> => {
    const run = turn.then(() => told(work))
    turn = run.catch(() => undefined)
    return run
  }
  return {
    isLate,
    list: () =>
      told(async () => {
        const all = await backupsBeside(kept)
        return Promise.all(
          all.map(async ({ path, why, atMs }) =>
            toldOf(path, await readBackup(path).catch(() => ({ why, madeAt: new Date(atMs).toISOString() }))),
          ),
        )
      }),
    make: () =>
      told(async () => {
        const { path, backup } = await makeBackup(kept, 'asked', clock)
        return toldOf(path, backup)
      }),
    bring: (file) => told(() => bring(kept, file)),
    pathOf: (name) => told(() => found(name)),
    peopleGone: (name) =>
      told(async () => {
        const here = new Set(await peopleHere())
        return (await peopleIn(await found(name), kept, clock)).filter(({ id }) => !here.has(id))
      }),
    restore: (name, without = []) =>
      inTurn(async () => {
        const path = await found(name)
        if (await isClassRunning()) throw new ProblemError('CLASS_RUNS', {})
        // What is none is told before anything is closed for it.
        await checkBackup(path)
        await restoreClosed(path, without)
      }),
  }
}

/** What goes wrong with a backup, as a problem in its words. */
async function told<T>(work: () => Promise<T>): Promise<T> {
  try {
    return await work()
  } catch (error) {
    throw error instanceof CannotBackUp ? new ProblemError('BACKUP_TROUBLE', { trouble: error.trouble }) : error
  }
}

type Known = Backup | { readonly why: BackupReason; readonly madeAt: string }

/** One whose list cannot be read is told without what is in it: it is not whole. */
async function toldOf(path: string, known: Known): Promise<BackupTold> {
  const { size } = await stat(path)
  const { why, madeAt } = known
  const holds = 'counts' in known ? { counts: known.counts, sounds: known.files.length - 1 } : {}
  return { name: basename(path), why, madeAt, bytes: size, ...holds }
}

async function bring(kept: Kept, file: Readable): Promise<BackupTold> {
  const part = join(backupsFolder(kept), `${nanoid()}.coming`)
  await openFolder(part)
  try {
    await pipeline(file, createWriteStream(part, { mode: 0o600 }))
    const backup = await checkBackup(part)
    const path = await freeName(kept, part, Date.parse(backup.madeAt))
    await rename(part, path)
    return await toldOf(path, { ...backup, why: 'asked' })
  } finally {
    await rm(part, { force: true })
  }
}

/** Named by when it was made; another one of the same second keeps its name, and the same one is there once. */
async function freeName(kept: Kept, part: string, madeAtMs: number): Promise<string> {
  const path = join(backupsFolder(kept), backupName(kept, 'asked', { now: () => new Date(madeAtMs) }))
  if (!existsSync(path) || (await sha256Of(path)) === (await sha256Of(part))) return path
  return freeName(kept, part, madeAtMs + 1000)
}
