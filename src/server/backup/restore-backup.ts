import { existsSync } from 'node:fs'
import { copyFile, mkdtemp, rename, rm } from 'node:fs/promises'
import { join } from 'node:path'
import { Sequelize } from 'sequelize'
import { backupDatabase, backupSounds } from '#model/backup'
import type { Backup } from '#model/backup'
import { stampOf } from '#server/clock'
import type { Clock } from '#server/clock'
import { isDiskFull } from '#server/db/failures'
import { refuseFuture } from '#server/db/migrate'
import { CannotOpen, checkWhole } from '#server/db/opening'
import { backupName, backupsFolder, makeBackup } from './make-backup.ts'
import type { Kept, Made } from './make-backup.ts'
import { unpackBackup } from './read-backup.ts'
import { CannotBackUp } from './trouble.ts'

/** What was put back, and where what there was before lies now: as a backup, or as it was where it was damaged. */
export interface Restored {
  readonly backup: Backup
  readonly before?: Made
  readonly damaged?: string
}

/**
 * Puts a backup in the place of what there is, which is kept first; nobody may have the database open. Whole or not at all:
 * until the new database takes the place of the old one in a single step, everything is as it was. Throws a CannotBackUp.
 */
export async function restoreBackup(path: string, kept: Kept, clock: Clock): Promise<Restored> {
  const beside = await mkdtemp(join(kept.folder, 'restoring-'))
  try {
    const backup = await unpackBackup(path, beside)
    await checkDatabase(path, join(beside, backupDatabase))
    const before = await keepWhatIs(kept, clock)
    await putInPlace(kept, beside, before.damaged)
    return { backup, ...before }
  } catch (error) {
    throw isDiskFull(error) ? new CannotBackUp('disk full', kept.folder, error) : error
  } finally {
    await rm(beside, { recursive: true, force: true })
  }
}

/** Looks at a database that is not in place yet. Throws a CannotBackUp where it is damaged, or of a newer Zovrin. */
async function checkDatabase(path: string, file: string): Promise<void> {
  const sequelize = new Sequelize({ dialect: 'sqlite', storage: file, logging: false })
  try {
    await checkWhole(sequelize, file)
    await refuseFuture(sequelize, file)
  } catch (error) {
    const isNewer = error instanceof CannotOpen && error.trouble === 'from the future'
    throw new CannotBackUp(isNewer ? 'from the future' : 'database damaged', path, error)
  } finally {
    await sequelize.close()
  }
}

/** Where what there is will be kept: what a restore of the same second kept stays beside it. */
function freePath(kept: Kept, clock: Clock): string {
  for (let atMs = clock.now().getTime(); ; atMs += 1000) {
    const path = join(backupsFolder(kept), backupName(kept, 'beforeRestore', { now: () => new Date(atMs) }))
    if (!existsSync(path)) return path
  }
}

/** What there is, as a backup; a database that is damaged cannot be copied by itself, and is put aside as it is. */
async function keepWhatIs(kept: Kept, clock: Clock): Promise<Pick<Restored, 'before' | 'damaged'>> {
  if (!existsSync(kept.file)) return {}
  try {
    const before = await makeBackup(kept, 'beforeRestore', clock, freePath(kept, clock))
    await emptyJournal(kept.file)
    return { before }
  } catch (error) {
    if (isDiskFull(error) || error instanceof CannotBackUp) throw error
    const damaged = kept.file.replace(/(\.sqlite)?$/, `-damaged-${stampOf(clock.now())}.sqlite`)
    for (const ending of ['', ...journals])
      if (existsSync(kept.file + ending)) await copyFile(kept.file + ending, damaged + ending)
    return { damaged }
  }
}

const journals = ['-wal', '-shm'] as const

/** All that stands in the journal beside a database, into the database. */
async function emptyJournal(file: string): Promise<void> {
  const sequelize = new Sequelize({ dialect: 'sqlite', storage: file, logging: false })
  try {
    await sequelize.query('PRAGMA wal_checkpoint(TRUNCATE)')
  } finally {
    await sequelize.close()
  }
}

/** Sounds that went into no backup, beside a damaged database, stay beside it. */
async function putInPlace({ file, folder }: Kept, beside: string, damaged: string | undefined): Promise<void> {
  const sounds = join(folder, backupSounds)
  const former = damaged === undefined ? join(beside, 'former-sounds') : damaged.replace(/\.sqlite$/, '-sounds')
  // A journal of the former database would be taken for one of the new one.
  for (const ending of journals) await rm(file + ending, { force: true })
  await rename(join(beside, backupDatabase), file)
  if (existsSync(sounds)) await rename(sounds, former)
  if (existsSync(join(beside, backupSounds))) await rename(join(beside, backupSounds), sounds)
}
