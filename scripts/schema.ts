import { mkdirSync, writeFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { sessionJsonSchema } from '#model/json-schema'
import { rootFolder } from './shared/pages.ts'

/** Writes the published JSON Schema of the session document. */
const file = join(rootFolder, 'public', 'schemas', 'zovrin-session.schema.json')
mkdirSync(dirname(file), { recursive: true })
writeFileSync(file, `${JSON.stringify(sessionJsonSchema(), null, 2)}\n`)
console.log(file)
