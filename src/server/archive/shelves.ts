import type { ArchiveFolder } from '#model/archive'
import type { Models } from '#server/db/models'

/** What lies in a folder of an archive: the rows of a table one by one, each with those that belong to it. */
export interface Shelf {
  readonly folder: Exclude<ArchiveFolder, 'people' | 'voices'>
  readonly model: keyof Models
  readonly parts: readonly { readonly model: keyof Models; readonly of: 'sessionId' | 'classId' | 'placeId' }[]
}

/** In the order in which they come in: each stands after what it stands on. */
export const shelves: readonly Shelf[] = [
  { folder: 'places', model: 'places', parts: [{ model: 'cupboard', of: 'placeId' }] },
  { folder: 'own', model: 'ownThings', parts: [] },
  { folder: 'sounds', model: 'sounds', parts: [] },
  {
    folder: 'sessions',
    model: 'sessions',
    parts: [
      { model: 'history', of: 'sessionId' },
      { model: 'voices', of: 'sessionId' },
      { model: 'remarks', of: 'sessionId' },
    ],
  },
  { folder: 'series', model: 'series', parts: [] },
  { folder: 'long-days', model: 'longDays', parts: [] },
  { folder: 'planned-classes', model: 'plannedClasses', parts: [] },
  {
    folder: 'led-classes',
    model: 'ledClasses',
    parts: [
      { model: 'ledEvents', of: 'classId' },
      { model: 'ledAsides', of: 'classId' },
      { model: 'observedMarks', of: 'classId' },
    ],
  },
  { folder: 'settings', model: 'settings', parts: [] },
]
