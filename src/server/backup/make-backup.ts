import { constants, existsSync } from 'node:fs'
import { access, readdir, rename, rm } from 'node:fs/promises'
import { basename, dirname, join } from 'node:path'
import { nanoid } from 'nanoid'
import { QueryTypes, Sequelize } from 'sequelize'
import { backupDatabase, backupFormat, backupSounds, backupVersion } from '#model/backup'
import type { Backup, BackupReason } from '#model/backup'
import { stampOf } from '#server/clock'
import type { Clock } from '#server/clock'
import { checkWhole, keepPrivate, makeFolder } from '#server/db/opening'
import { CannotBackUp, isFolderClosed } from './trouble.ts'
import { listedFile, writeListed } from './write-listed.ts'

/** Where everything of a house lies. */
export interface Kept {
  /** The database. */
  readonly file: string
  /** The folder it lies in, with the own sounds. */
  readonly folder: string
}

/** Where the backups of a database lie, and what they are called. */
export const backupsFolder = ({ folder }: Kept): string => join(folder, 'backups')
export const backupName = ({ file }: Kept, why: BackupReason, clock: Clock): string =>
  `${basename(file, '.sqlite')}-${why}-${stampOf(clock.now())}.zip`

/** A backup that was made: where it lies, and what is in it. */
export interface Made {
  readonly path: string
  readonly backup: Backup
}

/**
 * The database, copied as of one instant while others write to it, and the own sounds, as one file: whole before it gets its
 * name. `to` is where; absent: among the backups beside the database. Rejects where the database is damaged or the disk full.
 */
export async function makeBackup(kept: Kept, why: BackupReason, clock: Clock, to?: string): Promise<Made> {
  const path = to ?? join(backupsFolder(kept), backupName(kept, why, clock))
  await openFolder(path)
  // Each under a name of its own: two may be made at once.
  const [copy, part] = ['copy', 'part'].map((what) => `${path}-${nanoid(6)}.${what}`) as [string, string]
  try {
    const told = await copyDatabase(kept.file, copy)
    const sounds = await soundsIn(kept)
    const files = await Promise.all(
      [{ name: backupDatabase, path: copy }, ...sounds].map(async ({ name, path: at }) => ({
        name,
        path: at,
        file: await listedFile({ name, path: at }),
      })),
    )
    const backup: Backup = {
      ...{ format: backupFormat, version: backupVersion, madeAt: clock.now().toISOString(), why, ...told },
      files: files.map(({ file }) => file),
    }
    // Sounds are compressed already.
    await writeListed(part, { name: 'backup.json', content: backup }, files, (name) => name === backupDatabase)
    keepPrivate(part)
    await rename(part, path)
    return { path, backup }
  } finally {
    await Promise.all([copy, part].map((one) => rm(one, { force: true })))
  }
}

/** Makes the folder of a file where it is not there. Throws a CannotBackUp where nothing can be written into it. */
export async function openFolder(file: string): Promise<void> {
  try {
    makeFolder(file)
    await access(dirname(file), constants.R_OK | constants.W_OK | constants.X_OK)
  } catch (error) {
    throw isFolderClosed(error) ? new CannotBackUp('folder closed', dirname(file), error) : error
  }
}

/** The database as it stands now, beside; with what it holds. */
async function copyDatabase(file: string, copy: string): Promise<Pick<Backup, 'schema' | 'counts'>> {
  if (!existsSync(file)) throw new CannotBackUp('not readable', file)
  await rm(copy, { force: true })
  const sequelize = new Sequelize({ dialect: 'sqlite', storage: file, logging: false })
  try {
    await checkWhole(sequelize, file)
    await sequelize.query('VACUUM INTO :copy', { replacements: { copy } })
  } finally {
    await sequelize.close()
  }
  keepPrivate(copy)
  return holdsOf(copy)
}

/** The newest migration of a database, and the rows of each of its tables. */
export async function holdsOf(file: string): Promise<Pick<Backup, 'schema' | 'counts'>> {
  const sequelize = new Sequelize({ dialect: 'sqlite', storage: file, logging: false })
  const asked = <T extends object>(sql: string) => sequelize.query<T>(sql, { type: QueryTypes.SELECT })
  try {
    const tables = await asked<{ name: string }>(
      "SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT LIKE 'sqlite_%' AND name <> 'migrations'",
    )
    const counts: Record<string, number> = {}
    for (const { name } of tables) {
      const [row] = await asked<{ n: number }>(`SELECT COUNT(*) AS n FROM "${name}"`)
      counts[name] = row?.n ?? 0
    }
    const [last] = await asked<{ name: string | null }>('SELECT MAX(name) AS name FROM migrations')
    return { schema: last?.name ?? 'none', counts }
  } finally {
    await sequelize.close()
  }
}

async function soundsIn({ folder }: Kept): Promise<{ readonly name: string; readonly path: string }[]> {
  const sounds = join(folder, backupSounds)
  if (!existsSync(sounds)) return []
  const names = await readdir(sounds)
  // What is just being brought in has its name later.
  return names
    .filter((name) => !name.includes('.'))
    .map((name) => ({ name: backupSounds + name, path: join(sounds, name) }))
}
