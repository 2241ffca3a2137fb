import { rmSync } from 'node:fs'
import { dirname } from 'node:path'
import { freshFile } from '#testing/fresh-database'

/** Jest's after everything: no database of a test is left. */
export default function afterAll(): void {
  rmSync(dirname(freshFile()), { recursive: true, force: true })
}
