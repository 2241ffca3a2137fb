import request from 'supertest'
import { createApp } from '#server/app'
import type { Database } from '#server/db/open'
import { freshDatabase } from '#testing/fresh-database'

let database: Database
beforeEach(async () => {
  database = await freshDatabase()
})
afterEach(async () => {
  await database.close()
})

const app = () => request(createApp({ database, hosts: [] }))
const write = (body: object, based: number) =>
  app()
    .put('/api/settings')
    .set('If-Match', `"${String(based)}"`)
    .send(body)
const tone = { kind: 'tone', loudness: 70 }

test('where nothing was set nothing stands, and what is set is there for every window', async () => {
  const before = await app().get('/api/settings').expect(200)
  expect([before.body, before.headers['etag']]).toEqual([{ schema: 1 }, '"0"'])
  const settings = { schema: 1, breathSounds: { in: tone, out: { kind: 'none', loudness: 50 } }, speakingPace: 95 }
  expect((await write(settings, 0).expect(200)).body).toEqual({ version: 1 })
  const after = await app().get('/api/settings')
  expect([after.body, after.headers['etag']]).toEqual([settings, '"1"'])
})

test('a change is written by whoever saw the one before', async () => {
  await write({ schema: 1, letterKeys: false }, 0).expect(200)
  const stale = await write({ schema: 1 }, 0)
  expect([stale.status, stale.body.facts]).toEqual([412, { based: 0, current: 1 }])
  expect((await app().get('/api/settings')).body).toEqual({ schema: 1, letterKeys: false })
  await app().put('/api/settings').send({ schema: 1 }).expect(428)
})

test.each([
  [{ schema: 1, breathSounds: { in: { kind: 'gong', loudness: 5 }, out: tone } }, 'breathSounds.in.kind'],
  [{ schema: 1, breathSounds: { in: { kind: 'bowl', loudness: 101 }, out: tone } }, 'breathSounds.in.loudness'],
  [{ schema: 1, speakingPace: 900 }, 'speakingPace'],
])('%j is refused by its field', async (body, path) => {
  const reply = await write(body, 0)
  expect([reply.status, reply.body.path]).toEqual([422, path])
})

test('settings that cannot be read keep nobody from their work, and are set anew', async () => {
  await database.inTransaction((transaction) =>
    database.models.settings.create({ version: 4, document: '{"schema":7' }, { transaction }),
  )
  expect((await app().get('/api/settings').expect(200)).body).toEqual({ schema: 1 })
  await write({ schema: 1, letterKeys: true }, 4).expect(200)
})
