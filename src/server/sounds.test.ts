import { existsSync, mkdtempSync, readFileSync, readdirSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import request from 'supertest'
import { soundLimits } from '#model/limits'
import { createApp } from '#server/app'
import type { Database } from '#server/db/open'
import { freshDatabase } from '#testing/fresh-database'

let [folder, database]: [string, Database | undefined] = ['', undefined]
beforeEach(async () => {
  folder = mkdtempSync(join(tmpdir(), 'zovrin-sounds-'))
  database = await freshDatabase()
})
afterEach(async () => {
  await database?.close()
  rmSync(folder, { recursive: true })
})
const app = () => {
  if (!database) throw new Error('no database')
  return request(createApp({ database, hosts: [], folder }))
}
const said = 'name=Temple%20gong&use=bell&lengthMs=4200'
const heard = Buffer.from('RIFF....WAVE and what is heard')
const bring = (query = said, type = 'audio/wav', body = heard) =>
  app().put(`/api/sounds/gong?${query}`).set('Content-Type', type).send(body)

test('a sound is brought in as the file it is, listed, heard whole and in parts, and taken away', async () => {
  const sound = { id: 'gong', name: 'Temple gong', use: 'bell', type: 'audio/wav', bytes: heard.length, lengthMs: 4200 }
  expect((await bring().expect(200)).body).toEqual(sound)
  expect((await app().get('/api/sounds').expect(200)).body).toEqual([sound])
  const whole = await app().get('/api/sounds/gong/heard').expect(200)
  expect([whole.body, whole.headers['content-type'], whole.headers['x-content-type-options']]).toEqual([
    ...[heard, 'audio/wav', 'nosniff'],
  ])
  const part = await app().get('/api/sounds/gong/heard').set('Range', 'bytes=4-7').expect(206)
  expect(part.body).toEqual(heard.subarray(4, 8))
  await app().delete('/api/sounds/gong').expect(204)
  expect((await app().get('/api/sounds').expect(200)).body).toEqual([])
  expect(readdirSync(join(folder, 'sounds'))).toEqual([])
  expect((await app().get('/api/sounds/gong/heard').expect(404)).body).toMatchObject({ code: 'UNKNOWN_SOUND' })
})

test('one of the same id takes the place of the one before, and nothing is left in halves', async () => {
  await bring().expect(200)
  const other = Buffer.from('another')
  await bring('name=Bowl&use=bell&lengthMs=900', 'audio/ogg', other).expect(200)
  expect((await app().get('/api/sounds')).body).toMatchObject([{ name: 'Bowl', type: 'audio/ogg', bytes: 7 }])
  expect(readdirSync(join(folder, 'sounds'))).toEqual(['gong'])
  expect(readFileSync(join(folder, 'sounds', 'gong'))).toEqual(other)
})

test('what is no sound is refused with a sentence, and nothing of it is kept', async () => {
  const code = async (asked: request.Test, status: number) =>
    ((await asked.expect(status)).body as { code: string }).code
  expect(await code(bring(said, 'text/html'), 415)).toBe('WRONG_CONTENT_TYPE')
  expect(await code(bring(said, 'audio/x-page'), 415)).toBe('SOUND_NOT_HEARD')
  expect(await code(bring(said, 'audio/wav', Buffer.alloc(0)), 415)).toBe('SOUND_NOT_HEARD')
  expect(await code(bring('name=&use=bell&lengthMs=1'), 422)).toBe('DOCUMENT_REFUSED')
  expect(await code(bring('name=x&use=alarm&lengthMs=1'), 422)).toBe('DOCUMENT_REFUSED')
  const large = bring(said, 'audio/wav', Buffer.alloc(soundLimits.bytes + 1))
  expect((await large.expect(413)).body).toMatchObject({ code: 'SOUND_TOO_LARGE', facts: { mostMb: 40 } })
  // Elsewhere a sound is as wrong as it was.
  await app().put('/api/settings').set('Content-Type', 'audio/wav').send(heard).expect(415)
  expect((await app().get('/api/sounds')).body).toEqual([])
  expect(existsSync(join(folder, 'sounds'))).toBe(false)
})
