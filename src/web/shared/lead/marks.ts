import type { DBSchema } from 'idb'
import { browserDatabase, keptOrHere, putAtOnce } from '#web/shared/saving/browser-database.ts'
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

const database = browserDatabase<Stores>(itsOwn('zovrin-marks'), 1, (db) => {
  db.createObjectStore('marks', { keyPath: 'id' }).createIndex('class', 'classId')
})

const marks = keptOrHere<Mark>({
  put: async (mark) => putAtOnce(await database(), 'marks', mark),
  delete: async (id) => (await database()).delete('marks', id),
  all: async () => (await database()).getAll('marks'),
})

export const keepMark = async (mark: Mark): Promise<void> => {
  await marks.put(mark)
}

/** The marks made here in a class, the newest first. */
export async function marksOf(classId: string): Promise<readonly Mark[]> {
  const all = await marks.all()
  return all.filter((one) => one.classId === classId && !one.isGone).sort((a, b) => b.atMs - a.atMs)
}

/** Sends what the server has not; false where some of it is left. What changed meanwhile is sent the next time. */
export async function sendMarks(): Promise<boolean> {
  for (const mark of await marks.all()) if (!mark.isSent) await sent(mark)
  return (await marks.all()).every(({ isSent }) => isSent)
}

async function sent({ id, classId, atMs, text, isGone }: Mark): Promise<void> {
  const reply = isGone
    ? await dropObservedMark(classId, id)
    : await keepObservedMark(classId, id, { by: deviceId(), atMs, text })
  const now = (await marks.all()).find((one) => one.id === id)
  if (reply.kind !== 'ok' || now?.text !== text || now.isGone !== isGone) return
  if (isGone) await marks.delete(id)
  else await marks.put({ ...now, isSent: true })
}

/** Forgets the marks of other classes that the server has. */
export async function forgetOtherMarks(classId: string): Promise<void> {
  for (const mark of await marks.all()) if (mark.isSent && mark.classId !== classId) await marks.delete(mark.id)
}
