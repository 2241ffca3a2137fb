import type { HandedRecord } from '#model/handed-file'
import { ask } from './client.ts'

/** A class that somebody handed over as a file, to lead in their place. */
export const takeHandedClass = (file: unknown) =>
  ask<{ readonly sessionId: string; readonly classId: string }>('/handed/classes', { method: 'POST', body: file })
/** The record of such a class, for whose class it was. */
export const handedRecord = (ledClassId: string) => ask<HandedRecord>(`/handed/records/${ledClassId}`)
/** Such a record, of a class that somebody led in one’s place. */
export const takeHandedRecord = (file: unknown) =>
  ask<{ readonly ledClassId: string }>('/handed/records', { method: 'POST', body: file })
