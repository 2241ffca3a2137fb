import { mostNextTime } from '#model/limits'
import type { Session } from '#model/session'
import type { Edit } from './apply-edit.ts'

const withNotes = (nextTime: Session['nextTime']): Edit => ({
  type: 'details',
  details: { nextTime: nextTime?.length === 0 ? undefined : nextTime } as Partial<Session>,
})

/** Writes down what to think of the next time a session is planned or led; undefined where nothing is said or no more fits. */
export function nextTimeEdit({ nextTime = [] }: Session, note: { readonly id: string; readonly text: string }) {
  const text = note.text.trim()
  return text === '' || nextTime.length >= mostNextTime ? undefined : withNotes([...nextTime, { ...note, text }])
}

/** Ticks a note: it has been thought of, and no longer stands there. */
export const tickedEdit = ({ nextTime = [] }: Session, id: string): Edit =>
  withNotes(nextTime.filter((note) => note.id !== id))
