import { backupTroubleWords } from '#words/backups'
import type { BackupTrouble } from '#model/backup'
import { failureCode } from '#server/db/failures'

/** A backup that cannot be read, made or put back: the message is a sentence with the file and what to do. */
export class CannotBackUp extends Error {
  readonly trouble: BackupTrouble

  constructor(trouble: BackupTrouble, file: string, cause?: unknown) {
    super(backupTroubleWords(trouble, file), { cause })
    this.name = 'CannotBackUp'
    this.trouble = trouble
  }
}

/** Whether a folder is refused: it is none, somebody else's, or on a disk that is only read. */
export const isFolderClosed = (error: unknown): boolean =>
  ['EACCES', 'EPERM', 'EROFS', 'ENOTDIR', 'EEXIST', 'ELOOP'].includes(failureCode(error) ?? '')
