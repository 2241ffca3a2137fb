import type { DBSchema } from 'idb'
import { browserDatabase } from '#web/shared/saving/browser-database.ts'
import type { Drawing } from '../picture.ts'

interface KeptThumbnail {
  readonly key: string
  /** What drew it: a newer drawing draws it anew. */
  readonly edition: string
  readonly drawing: Drawing
}

interface Stores extends DBSchema {
  thumbnails: { key: string; value: KeptThumbnail; indexes: { edition: string } }
}

/** So many are kept, about 3 kB each: the whole shelf three times over. Past it all are drawn anew. */
const mostKept = 900

const database = browserDatabase<Stores>('zovrin-thumbnails', 1, (db) => {
  db.createObjectStore('thumbnails', { keyPath: 'key' }).createIndex('edition', 'edition')
})

/** All that this browser keeps of an edition; what others drew is thrown away, and all once they are too many. */
export async function keptThumbnails(edition: string): Promise<ReadonlyMap<string, Drawing>> {
  const db = await database()
  const kept = await db.getAllFromIndex('thumbnails', 'edition', edition)
  const isFull = kept.length > mostKept
  if (isFull || (await db.count('thumbnails')) > kept.length) {
    await db.clear('thumbnails')
    const { store, done } = db.transaction('thumbnails', 'readwrite')
    for (const one of isFull ? [] : kept) void store.put(one)
    await done
  }
  return new Map(isFull ? [] : kept.map(({ key, drawing }) => [key, drawing]))
}

export async function keepThumbnail(edition: string, key: string, drawing: Drawing): Promise<void> {
  await (await database()).put('thumbnails', { key, edition, drawing })
}
