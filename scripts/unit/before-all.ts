import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { openDatabase } from '#server/db/open'
import { freshFile } from '#testing/fresh-database'

/** Jest's before everything: a folder for the databases of the tests, and in it the one they are copies of. */
export default async function beforeAll(): Promise<void> {
  process.env['ZOVRIN_DATABASES'] = mkdtempSync(join(tmpdir(), 'zovrin-databases-'))
  await (await openDatabase(freshFile())).close()
}
