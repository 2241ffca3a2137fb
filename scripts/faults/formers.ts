import { join } from 'node:path'
import { openDatabase } from '#server/db/open'
import { rootFolder } from '../shared/pages.ts'
import { fileIn } from './folder.ts'

const fixture = (name: string) => join(rootFolder, 'src', 'server', 'db', 'fixtures', name)

/** Databases as the commits before later migrations wrote them, and how many led classes are in each. */
export const formers = [
  { file: fixture('005.sqlite'), classes: 4 },
  { file: fixture('007.sqlite'), classes: 3 },
] as const

/** Opens the database of a folder; what is amiss where it does not open, or has not the classes it had. */
export async function opensWith(folder: string, classes: number): Promise<string | undefined> {
  try {
    const database = await openDatabase(fileIn(folder))
    const there = await database.models.ledClasses.count()
    await database.close()
    return there === classes ? undefined : `${String(there)} of ${String(classes)} classes`
  } catch (error) {
    return error instanceof Error ? error.message : String(error)
  }
}
