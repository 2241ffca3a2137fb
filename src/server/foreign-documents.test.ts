import request from 'supertest'
import { schools } from '#library/schools'
import { createApp } from '#server/app'
import type { Database } from '#server/db/open'
import { demoClasses } from '#server/demo/led-classes'
import { aHold, aSession } from '#testing/sessions'
import { ownPoseFrom } from '#testing/own-poses'
import { freshDatabase } from '#testing/fresh-database'

const now = new Date('2026-03-12T18:00:00Z')
const [led] = demoClasses(now)
let database: Database
beforeEach(async () => {
  database = await freshDatabase()
})
afterEach(() => database.close())
const app = () => request(createApp({ database, hosts: [], clock: { now: () => now } }))

/** A session as another edition, or an accident, left it in its row. */
const keep = (id: string, document: string) =>
  database.inTransaction((transaction) =>
    database.models.sessions.create(
      {
        ...{ id, name: `Row ${id}`, practice: 'yin', lengthS: 3600, version: 1, savedAt: now },
        ...{ archivedAt: null, deletedAt: null, document },
      },
      { transaction },
    ),
  )
const newer = JSON.stringify({ ...aSession([aHold('mine')], { id: 'newer' }), schema: 9 })
const makePose = (id = 'mine') =>
  app().put(`/api/own/pose/${id}`).set('If-Match', '"0"').send(ownPoseFrom('deer', { id }))

beforeEach(async () => {
  await keep('newer', newer)
  await keep('broken', '{"schema":1,"name":')
  await keep('odd', '{"schema":1,"name":"Odd"}')
})

test.each([
  ['newer', 'SCHEMA_NEWER', 'update Zovrin'],
  ['broken', 'DOCUMENT_UNREADABLE', 'was left as it is'],
  ['odd', 'DOCUMENT_UNREADABLE', 'was left as it is'],
])('a session that is %s is told where it is asked for', async (id, code, words) => {
  for (const path of [`/api/sessions/${id}`, `/api/exchange/sessions/${id}`, `/api/sessions/${id}/history`]) {
    const { status, body } = await app().get(path)
    expect([path, status, body.code]).toEqual([path, 409, code])
    expect(body.detail).toContain(words)
  }
})

test('they stand in the way of nothing else: lists, saves, and what is one’s own', async () => {
  await app().post('/api/sessions').send(aSession()).expect(201)
  const list = (await app().get('/api/sessions')).body as { name: string }[]
  expect(list.map(({ name }) => name).toSorted()).toEqual(['A session', 'Row broken', 'Row newer', 'Row odd'])
  await makePose('other').expect(200)
  await app().delete('/api/own/pose/other').set('If-Match', '"1"').expect(204)
  await app()
    .put('/api/sessions/session-1')
    .set('If-Match', '"1"')
    .send(aSession([], { name: 'Saved' }))
    .expect(200)
})

test('what one of them names is still used: it is not taken away from under it', async () => {
  await makePose().expect(200)
  const { status, body } = await app().delete('/api/own/pose/mine').set('If-Match', '"1"')
  expect([status, body.code, body.facts.where]).toEqual([409, 'IN_USE', 'Row newer'])
})

test('a file whose session has the id of one of them comes in beside it, which stays as it is', async () => {
  const file = {
    ...{ format: 'zovrin.session', version: 2, sessions: [aSession([], { id: 'newer', name: 'From a file' })] },
    own: { schema: 3, poses: [], variants: [], techniques: [], schools: [] },
  }
  const { body } = await app().post('/api/exchange').send(file).expect(200)
  expect(body.sessions).toHaveLength(1)
  expect(body.sessions[0]).not.toBe('newer')
  expect((await database.models.sessions.findByPk('newer'))?.document).toBe(newer)
})

test('an own thing that cannot be read is left out, and everything else works with what is left', async () => {
  await makePose().expect(200)
  const row = { kind: 'school', id: 'strange', name: 'Strange', version: 1, schema: 9, savedAt: now, hiddenAt: null }
  await database.inTransaction((transaction) =>
    database.models.ownThings.create({ ...row, document: '{"id":"strange"}' }, { transaction }),
  )
  const own = (await app().get('/api/own')).body as { document: { id: string } }[]
  expect(own.map(({ document }) => document.id)).toEqual(['mine'])
  await app()
    .post('/api/sessions')
    .send(aSession([aHold('mine')]))
    .expect(201)
  const named = await app()
    .post('/api/sessions')
    .send(aSession([], { id: 's2', schoolId: 'strange' }))
  expect([named.status, named.body.path]).toEqual([422, 'schoolId'])
  // Its id is taken: another of that id is told so, or comes in under one of its own.
  const school = { ...schools.find(({ id }) => id === 'restorative'), id: 'strange', name: 'Mine' }
  const put = (based: number) =>
    app()
      .put('/api/own/school/strange')
      .set('If-Match', `"${String(based)}"`)
      .send(school)
  expect((await put(0)).body.code).toBe('VERSION_STALE')
  const file = {
    ...{ format: 'zovrin.session', version: 2, sessions: [aSession([], { id: 's3', schoolId: 'strange' })] },
    own: { schema: 3, poses: [], variants: [], techniques: [], schools: [school] },
  }
  expect((await app().post('/api/exchange').send(file)).status).toBe(200)
  const read = (await app().get('/api/sessions/s3')).body as { schoolId: string }
  expect(read.schoolId).not.toBe('strange')
  expect((await app().get('/api/exchange/sessions/session-1')).status).toBe(200)
})

test('the record of a class that cannot be read is told by itself; the journal lists it with the others', async () => {
  if (!led) throw new Error('the demo has classes')
  await app().put(`/api/led-classes/${led.start.id}`).send(led.start).expect(204)
  const second = { ...led.start, id: 'second' }
  await app().put('/api/led-classes/second').send(second).expect(204)
  await database.inTransaction((transaction) =>
    database.models.ledClasses.update({ document: '{"id":"second"}' }, { where: { id: 'second' }, transaction }),
  )
  const { status, body } = await app().get('/api/led-classes/second')
  expect([status, body.code]).toEqual([409, 'DOCUMENT_UNREADABLE'])
  await app().get(`/api/led-classes/${led.start.id}`).expect(200)
  expect((await app().get('/api/led-classes')).body).toHaveLength(2)
})
