import type { ArchiveCame } from '#model/archive'
import { ask } from './client.ts'

/** All of one’s own as a zip of open files; a large house takes its time. */
export const readArchive = () => ask<Blob>('/archive', { isFile: true, patienceMs: 120_000 })
/** Brings in what such a zip holds and is not here yet. */
export const bringArchive = (file: Blob) =>
  ask<ArchiveCame>('/archive', { method: 'PUT', file: new Blob([file], { type: 'application/zip' }) })
