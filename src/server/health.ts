import { statfs } from 'node:fs/promises'
import type { Database } from './db/open.ts'

/** How it stands with what everything rests on. */
export interface Health {
  readonly ok: boolean
  /** Whether the database answers. */
  readonly database: boolean
  /** Room on the disk everything lies on; absent: nothing lies on one. */
  readonly disk?: { readonly freeMb: number; readonly isLow: boolean }
  readonly isBackupLate?: true
}

/** Under so much room is made soon, lest a class be led that cannot be written down. */
const lowMb = 500
/** A database that takes longer than this does not answer. */
const patienceMs = 3000

/** Asks the database and the disk. Never throws: whoever asks wants to know. */
export async function healthOf(database: Database, folder: string | undefined, isBackupLate: boolean): Promise<Health> {
  const [answers, freeMb] = await Promise.all([isAnswering(database), freeIn(folder)])
  return {
    ok: answers,
    database: answers,
    ...(freeMb === undefined ? {} : { disk: { freeMb, isLow: freeMb < lowMb } }),
    ...(isBackupLate ? { isBackupLate: true as const } : {}),
  }
}

function isAnswering({ sequelize }: Database): Promise<boolean> {
  const asked = sequelize.query('SELECT 1').then(
    () => true,
    () => false,
  )
  const over = new Promise<boolean>((settle) => {
    setTimeout(settle, patienceMs, false).unref()
  })
  return Promise.race([asked, over])
}

async function freeIn(folder: string | undefined): Promise<number | undefined> {
  if (folder === undefined) return undefined
  const { bavail, bsize } = await statfs(folder).catch(() => ({ bavail: 0, bsize: 0 }))
  return Math.floor((bavail * bsize) / 1024 ** 2)
}
