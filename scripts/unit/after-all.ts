import { rmSync } from 'node:fs'
import { dirname } from 'node:path'
import { freshFile } from '#testing/fresh-database'
import { servers } from './servers.ts'

/** Jest's after everything: no database of a test is left. */
export default function afterAll(): void {
  for (const server of servers.splice(0)) server.stop()
  rmSync(dirname(freshFile()), { recursive: true, force: true })
}
