import type { DBSchema } from 'idb'
import { browserDatabase } from '#web/shared/saving/browser-database.ts'
import type { Caption, EditedSpan } from '#core/captions'
import { itsOwn } from '#web/shared/teachers/teacher-here.ts'

/** A measured recording as it is kept in this browser alone: its captions, and its spans as they were put right. */
export interface KeptRecording {
  readonly id: string
  /** The file's name. */
  readonly name: string
  /** The instant it was read at. */
  readonly readAt: string
  readonly captions: readonly Caption[]
  readonly spans: readonly EditedSpan[]
  /** What was put right as it was read, in words. */
  readonly notes: readonly string[]
}

interface Stores extends DBSchema {
  recordings: { key: string; value: KeptRecording }
}

const database = browserDatabase<Stores>(itsOwn('zovrin-recordings'), 1, (db) => {
  db.createObjectStore('recordings', { keyPath: 'id' })
})

export async function keepRecording(recording: KeptRecording): Promise<void> {
  await (await database()).put('recordings', recording)
}

export async function dropRecording(id: string): Promise<void> {
  await (await database()).delete('recordings', id)
}

/** All that were measured in this browser, the one read last first. */
export async function keptRecordings(): Promise<readonly KeptRecording[]> {
  const all = await (await database()).getAll('recordings')
  return all.sort((a, b) => b.readAt.localeCompare(a.readAt))
}
