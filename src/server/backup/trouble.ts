import { backupTroubleWords } from '#words/backups'
import type { BackupTrouble } from '#model/backup'

/** A backup that cannot be read, made or put back: the message is a sentence with the file and what to do. */
export class CannotBackUp extends Error {
  readonly trouble: BackupTrouble

  constructor(trouble: BackupTrouble, file: string, cause?: unknown) {
    super(backupTroubleWords(trouble, file), { cause })
    this.name = 'CannotBackUp'
    this.trouble = trouble
  }
}
