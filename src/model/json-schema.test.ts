import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { sessionJsonSchema } from './json-schema.ts'

test('the published schema is the one the model makes: run `npm run schema` after a change', () => {
  const published: unknown = JSON.parse(
    readFileSync(join(process.cwd(), 'public/schemas/zovrin-session.schema.json'), 'utf8'),
  )
  expect(published).toEqual(JSON.parse(JSON.stringify(sessionJsonSchema())))
})
