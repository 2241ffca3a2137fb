import type { BackupReason, BackupTrouble } from '#model/backup'
import { clockText, dayText } from './dates.ts'
import { counted } from './text.ts'

const troubleWords: Readonly<Record<BackupTrouble, (file: string) => string>> = {
  'not a backup': (file) => `${file} is no backup of Zovrin: choose a file that Zovrin saved as one.`,
  'not an archive': (file) => `${file} holds no open files of Zovrin: choose a zip that Zovrin saved as that.`,
  'cut off': (file) =>
    `${file} ends before its end, as after a copy that was broken off: copy it again, or choose another.`,
  changed: (file) => `${file} is not what was saved: something in it was changed or is damaged. Choose another one.`,
  'from the future': (file) => `${file} was made by a newer Zovrin: update Zovrin, then restore it.`,
  'database damaged': (file) => `The database in ${file} is damaged: choose an older backup.`,
  'disk full': (file) => `There is no room on the disk for ${file}: make room and try again.`,
  'not readable': (file) => `${file} cannot be read: see whether it is there, and yours to read.`,
  'folder closed': (file) =>
    `${file} cannot be read or written: see that it is a folder, and Zovrin’s to read and write.`,
}

/** One sentence with the file and what to do; what there was is as it was. */
export const backupTroubleWords = (trouble: BackupTrouble, file: string): string =>
  `${troubleWords[trouble](file)} Nothing was changed.`

const tables = [
  ['sessions', 'session', 'sessions'],
  ['ledClasses', 'led class', 'led classes'],
  ['classPlans', 'planned class', 'planned classes'],
  ['people', 'person', 'people'],
  ['places', 'place', 'places'],
  ['series', 'series', 'series'],
  ['longDays', 'long day', 'long days'],
  ['ownThings', 'own thing', 'own things'],
  ['voices', 'recorded sentence', 'recorded sentences'],
] as const

/** So many of each thing, by the tables they are rows of, in the words of the house; empty where there is nothing one would name. */
export function thingsOf(counts: Readonly<Record<string, number>>, sounds: number): string {
  const parts = tables.flatMap(([table, one, many]) => {
    const count = counts[table] ?? 0
    return count === 0 ? [] : [counted(count, one, many)]
  })
  return [...parts, ...(sounds === 0 ? [] : [counted(sounds, 'own sound')])].join(', ')
}

/** What is in a backup. */
export const backupHolds = (counts: Readonly<Record<string, number>>, sounds: number): string =>
  thingsOf(counts, sounds) || 'nothing yet'

/** When a backup was made. */
export const backupTime = (madeAt: string): string => `${dayText(madeAt)}, ${clockText(Date.parse(madeAt))}`

/** What to do where a database does not open: the newest whole backup, and the command that puts it back. */
export const backupOffer = (newest?: {
  readonly path: string
  readonly madeAt: string
  readonly holds: string
  /** Of the demo's database, which is not the usual one. */
  readonly isDemo: boolean
}): string =>
  newest
    ? `The newest whole backup is of ${backupTime(newest.madeAt)} and holds ${newest.holds}. Put it back with: npm run restore -- ${typed(newest.path)}${newest.isDemo ? ' --demo' : ''}`
    : 'No whole backup lies beside it.'

/** A path as it is typed in a command: one with gaps in it stands in quotes. */
const typed = (path: string): string => (/\s/.test(path) ? `"${path}"` : path)

/** Why a backup was made. */
export const backupReasonWords: Readonly<Record<BackupReason, string>> = {
  asked: 'asked for',
  daily: 'by itself',
  beforeRestore: 'before a restore',
}

/** How long ago, in whole days and hours. */
export function backupAge(madeAt: string, nowMs: number): string {
  const hours = Math.floor((nowMs - Date.parse(madeAt)) / 3_600_000)
  if (hours < 1) return 'just now'
  return hours < 24 ? `${counted(hours, 'hour')} ago` : `${counted(Math.floor(hours / 24), 'day')} ago`
}
