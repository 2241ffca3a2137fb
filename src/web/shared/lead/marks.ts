import { openDB } from 'idb'
import type { DBSchema, IDBPDatabase } from 'idb'
import type { ObservedMarkSent } from '#model/observed-mark'
import { dropObservedMark, keepObservedMark } from '#web/shared/api/led-classes.ts'
import { deviceId } from './device-id.ts'
import { itsOwn } from '#web/shared/teachers/teacher-here.ts'

/** A mark made here in a class that another device leads, until the server has it and the class is over. */
export interface Mark extends Pick<ObservedMarkSent, 'atMs' | 'text'> {
  readonly id: string
  readonly classId: string
  /** Taken away again. */
  readonly isGone: boolean
  readonly isSent: boolean
}

interface Stores extends DBSchema {
  marks: { key: string; value: Mark; indexes: { class: string } }
}

let opened: Promise<IDBPDatabase<Stores>> | undefined

function database(): Promise<IDBPDatabase<Stores>> {
  opened ??= openDB<Stores>(itsOwn('zovrin-marks'), 1, {
    upgrade(db) {
      db.createObjectStore('marks', { keyPath: 'id' }).createIndex('class', 'classId')
    },
  })
  return opened
}

export async function keepMark(mark: Mark): Promise<void> {
  await (await database()).put('marks', mark)
}

/** The marks made here in a class, the newest first. */
export async function marksOf(classId: string): Promise<readonly Mark[]> {
  const marks = await (await database()).getAllFromIndex('marks', 'class', classId)
  return marks.filter(({ isGone }) => !isGone).sort((a, b) => b.atMs - a.atMs)
}

/** Sends what the server has not; false where some of it is left. What changed meanwhile is sent the next time. */
export async function sendMarks(): Promise<boolean> {
  const db = await database()
  for (const mark of await db.getAll('marks')) if (!mark.isSent) await sent(db, mark)
  return (await db.getAll('marks')).every(({ isSent }) => isSent)
}

async function sent(db: IDBPDatabase<Stores>, { id, classId, atMs, text, isGone }: Mark): Promise<void> {
  const reply = isGone
    ? await dropObservedMark(classId, id)
    : await keepObservedMark(classId, id, { by: deviceId(), atMs, text })
  const now = await db.get('marks', id)
  if (reply.kind !== 'ok' || now?.text !== text || now.isGone !== isGone) return
  if (isGone) await db.delete('marks', id)
  else await db.put('marks', { ...now, isSent: true })
}

/** Forgets the marks of other classes that the server has. */
export async function forgetOtherMarks(classId: string): Promise<void> {
  const db = await database()
  for (const mark of await db.getAll('marks'))
    if (mark.isSent && mark.classId !== classId) await db.delete('marks', mark.id)
}
