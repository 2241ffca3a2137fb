import { copyFileSync, mkdtempSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { openDatabase } from '#server/db/open'
import type { Database } from '#server/db/open'

/** The database with nothing in it that is made once before all tests. */
export const freshFile = (): string => join(process.env['ZOVRIN_DATABASES'] ?? '.', 'fresh.sqlite')

const fileOfItsOwn = (): string => join(mkdtempSync(join(dirname(freshFile()), 'one-')), 'zovrin.sqlite')

/**
 * An open database with nothing in it, in a file of its own or the one that is named: a copy, since to make one anew
 * takes a dozen times as long. How it is made is tested where the migrations are.
 */
export async function freshDatabase(file = fileOfItsOwn()): Promise<Database> {
  copyFileSync(freshFile(), file)
  return openDatabase(file)
}
