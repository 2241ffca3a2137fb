import type { BackupTold } from '#model/backup'
import { ask } from './client.ts'

/** A large house takes its time. */
const patienceMs = 120_000

export const listBackups = () => ask<{ readonly isLate: boolean; readonly backups: readonly BackupTold[] }>('/backups')
export const makeBackup = () => ask<BackupTold>('/backups', { method: 'POST', patienceMs })
/** Brings a backup in as the file it is. */
export const bringBackup = (file: Blob) =>
  ask<BackupTold>('/backups', { method: 'PUT', file: new Blob([file], { type: 'application/zip' }) })
export const restoreBackup = (name: string) =>
  ask<undefined>(`/backups/${encodeURIComponent(name)}/restored`, { method: 'POST', patienceMs })
/** Where it is saved from. */
export const backupAt = (name: string): string => `/api/backups/${encodeURIComponent(name)}`

/** Whether the backup of the day was not made when it was due. */
export const isBackupLate = async (): Promise<boolean> => {
  const reply = await ask<{ readonly isBackupLate?: boolean }>('/health')
  return reply.kind === 'ok' && reply.value.isBackupLate === true
}
