import { backupFormat, backupSchema, backupVersion } from '#model/backup'
import type { Backup } from '#model/backup'
import { checkListed, readList, unpackListed } from './listed-zip.ts'
import type { ListedKind } from './listed-zip.ts'

const backupKind: ListedKind<Backup> = {
  ...{ listName: 'backup.json', format: backupFormat, version: backupVersion, schema: backupSchema },
  ...{ mostListBytes: 4_000_000, mostEntries: 4000, notOne: 'not a backup' },
}

/** What a backup says is in it. Throws a CannotBackUp for a file that is none, is cut off, or is of a newer Zovrin. */
export const readBackup = (path: string): Promise<Backup> => readList(backupKind, path)

/** Unpacks a backup into a folder, each file looked at whether it is what was saved. Throws a CannotBackUp. */
export const unpackBackup = (path: string, into: string): Promise<Backup> => unpackListed(backupKind, path, into)

/** Looks at all of a backup as unpacking it would. Throws a CannotBackUp. */
export const checkBackup = (path: string): Promise<Backup> => checkListed(backupKind, path)
