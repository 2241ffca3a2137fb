import { mkdtemp, rm } from 'node:fs/promises'
import { join } from 'node:path'
import { backupDatabase } from '#model/backup'
import type { PersonGone } from '#model/backup'
import type { Clock } from '#server/clock'
import { openDatabase } from '#server/db/open'
import type { Kept } from './make-backup.ts'
import { unpackBackup } from './read-backup.ts'

/** The people in a backup, looked at beside the house and brought up to date there. Throws a CannotBackUp. */
export async function peopleIn(path: string, { folder }: Kept, clock: Clock): Promise<readonly PersonGone[]> {
  const beside = await mkdtemp(join(folder, 'restoring-'))
  try {
    await unpackBackup(path, beside)
    const database = await openDatabase(join(beside, backupDatabase), clock)
    try {
      const rows = await database.models.people.findAll({ attributes: ['id', 'name'], order: [['name', 'ASC']] })
      return rows.map(({ id, name }) => ({ id, name }))
    } finally {
      await database.close()
    }
  } finally {
    await rm(beside, { recursive: true, force: true })
  }
}
