import type { BackupTold, PersonGone } from '#model/backup'
import { ask } from './client.ts'

/** A large house takes its time. */
const patienceMs = 120_000

export const listBackups = () => ask<{ readonly isLate: boolean; readonly backups: readonly BackupTold[] }>('/backups')
export const makeBackup = () => ask<BackupTold>('/backups', { method: 'POST', patienceMs })
/** Brings a backup in as the file it is. */
export const bringBackup = (file: Blob) =>
  ask<BackupTold>('/backups', { method: 'PUT', file: new Blob([file], { type: 'application/zip' }) })
/** Who is in a backup, and here no more. */
export const peopleGone = (name: string) =>
  ask<readonly PersonGone[]>(`/backups/${encodeURIComponent(name)}/people`, { patienceMs })
export const restoreBackup = (name: string, without: readonly string[]) =>
  ask<undefined>(`/backups/${encodeURIComponent(name)}/restored`, { method: 'POST', body: { without }, patienceMs })
/** Where it is saved from. */
export const backupAt = (name: string): string => `/api/backups/${encodeURIComponent(name)}`

/** What of the house needs somebody: a backup that was not made when it was due, a disk that is nearly full. */
export interface Wanting {
  readonly isBackupLate: boolean
  readonly isDiskLow: boolean
}
export const whatIsWanting = async (): Promise<Wanting> => {
  const reply = await ask<{ readonly isBackupLate?: boolean; readonly disk?: { readonly isLow: boolean } }>('/health')
  if (reply.kind !== 'ok') return { isBackupLate: false, isDiskLow: false }
  return { isBackupLate: reply.value.isBackupLate === true, isDiskLow: reply.value.disk?.isLow === true }
}
