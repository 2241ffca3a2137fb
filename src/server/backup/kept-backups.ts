import { existsSync } from 'node:fs'
import { readdir, rm, stat } from 'node:fs/promises'
import { basename, join } from 'node:path'
import type { Backup, BackupReason } from '#model/backup'
import { backupReasons } from '#model/backup'
import { backupsFolder } from './make-backup.ts'
import type { Kept } from './make-backup.ts'
import { checkBackup } from './read-backup.ts'
import { CannotBackUp, isFolderClosed } from './trouble.ts'

/** A backup beside a database, as its name tells it. */
export interface KeptBackup {
  readonly path: string
  readonly why: BackupReason
  readonly atMs: number
}

const dayMs = 24 * 3_600_000
/** Those that were made by themselves stay so long [decisions: 14 days]. */
const keptMs = 14 * dayMs

/** The backups that lie beside a database, the newest first; what else lies there is none. Throws a CannotBackUp. */
export async function backupsBeside(kept: Kept): Promise<readonly KeptBackup[]> {
  const folder = backupsFolder(kept)
  if (!existsSync(folder)) return []
  const shape = new RegExp(`^(.+)-(${backupReasons.join('|')})-(\\d{4}-\\d\\d-\\d\\d)T(\\d\\d)(\\d\\d)(\\d\\d)\\.zip$`)
  return (await namesIn(folder))
    .flatMap((name): KeptBackup[] => {
      const [, of, why = '', day, hours, minutes, seconds] = shape.exec(name) ?? []
      const reason = backupReasons.find((one) => one === why)
      const atMs = Date.parse(`${String(day)}T${String(hours)}:${String(minutes)}:${String(seconds)}Z`)
      return of === basename(kept.file, '.sqlite') && reason && !Number.isNaN(atMs)
        ? [{ path: join(folder, name), why: reason, atMs }]
        : []
    })
    .toSorted((a, b) => b.atMs - a.atMs)
}

async function namesIn(folder: string): Promise<readonly string[]> {
  try {
    return await readdir(folder)
  } catch (error) {
    throw isFolderClosed(error) ? new CannotBackUp('folder closed', folder, error) : error
  }
}

/** Whether a day has gone by since the newest one; where the clock was set back since, one is due as well. */
export const isDue = (backups: readonly KeptBackup[], nowMs: number): boolean => {
  const [newest] = backups
  return !newest || Math.abs(nowMs - newest.atMs) >= dayMs
}

/** Those that were made by themselves and are past their time; the newest stays, and what was asked for stays. */
export const pastTheirTime = (backups: readonly KeptBackup[], nowMs: number): readonly KeptBackup[] =>
  backups.slice(1).filter(({ why, atMs }) => why !== 'asked' && nowMs - atMs > keptMs)

/** What a Zovrin that was killed while it made, took in or put back a backup or open files left behind, once it is surely nobody's. */
export async function clearLeftovers(kept: Kept, nowMs: number): Promise<void> {
  const backups = backupsFolder(kept)
  const halves = (existsSync(backups) ? await readdir(backups) : [])
    .filter((name) => /\.(?:copy|part|coming)$/.test(name))
    .map((name) => join(backups, name))
  const laidOut = (await readdir(kept.folder))
    .filter((name) => /^(?:restoring|open-files)-/.test(name))
    .map((name) => join(kept.folder, name))
  for (const path of [...halves, ...laidOut])
    if (nowMs - (await stat(path)).mtimeMs > dayMs) await rm(path, { recursive: true, force: true })
}

export const removeBackups = (backups: readonly KeptBackup[]): Promise<unknown> =>
  Promise.all(backups.map(({ path }) => rm(path, { force: true })))

/** The newest backup that is whole, looked at to its last byte; undefined where none is. */
export async function newestWhole(kept: Kept): Promise<(KeptBackup & { readonly backup: Backup }) | undefined> {
  for (const one of await backupsBeside(kept)) {
    const backup = await checkBackup(one.path).catch(() => undefined)
    if (backup) return { ...one, backup }
  }
  return undefined
}
