import request from 'supertest'
import type { KeptLongDay, LongDay } from '#model/long-day'
import { createApp } from '#server/app'
import { bellowsHouse } from '#server/demo/bellows-house'
import type { Database } from '#server/db/open'
import { peopleStore } from '#server/features/people/store'
import { sessionStore } from '#server/features/sessions/store'
import { formerDatabase } from '#testing/fresh-database'

const clock = { now: () => new Date(2026, 10, 30, 12) }
let database: Database

beforeEach(async () => {
  // As it was left before there were long days: with a session, a place and somebody.
  database = await formerDatabase('024.sqlite')
})
afterEach(async () => {
  await database.close()
})

const app = () => request(createApp({ database, hosts: [], clock }))
const saturday: LongDay = {
  ...{ schema: 1, id: 'saturday', name: 'Three hours with tea', day: '2026-12-05', startsAt: '10:00' },
  ...{ placeId: bellowsHouse.id, people: ['somebody'], guests: 4 },
  parts: [
    { kind: 'session', id: 'first', sessionId: 'session-1' },
    { kind: 'break', id: 'tea', name: 'Tea', s: 1200, eaten: 'snack' },
    { kind: 'session', id: 'second', sessionId: 'session-1', startsAt: '11:30' },
  ],
}
const put = (longDay: object, based = 0) =>
  app()
    .put('/api/long-days/saturday')
    .set('If-Match', `"${String(based)}"`)
    .send(longDay)
const list = async () => (await app().get('/api/long-days').expect(200)).body as KeptLongDay[]

test('a long day is made, changed over its version, and taken away', async () => {
  expect(await list()).toEqual([])
  await put(saturday).expect(200)
  const later: LongDay = { ...saturday, startsAt: '10:30' }
  await put(later, 1).expect(200)
  expect(await list()).toEqual([{ longDay: later, version: 2 }])
  expect((await put(saturday, 1)).body).toMatchObject({ code: 'VERSION_STALE', facts: { based: 1, current: 2 } })
  const remove = () => app().delete('/api/long-days/saturday').set('If-Match', '"2"')
  await remove().expect(204)
  expect((await remove()).body).toMatchObject({ code: 'UNKNOWN_LONG_DAY' })
})

test('one with a session, a place or somebody nobody knows, or that makes no sense, is refused by its field', async () => {
  const refused = async (more: object) => (await put({ ...saturday, ...more })).body as object
  const [first] = saturday.parts
  const unknown = [first, { kind: 'session', id: 'other', sessionId: 'nothing' }]
  expect(await refused({ parts: unknown })).toMatchObject({ code: 'UNKNOWN_SESSION', path: 'parts[1].sessionId' })
  expect(await refused({ placeId: 'nowhere' })).toMatchObject({ code: 'UNKNOWN_PLACE', path: 'placeId' })
  expect(await refused({ people: ['nobody'] })).toMatchObject({ code: 'UNKNOWN_PERSON', path: 'people' })
  expect(await refused({ startsAt: '25:00' })).toMatchObject({ code: 'DOCUMENT_REFUSED', path: 'startsAt' })
  expect(await refused({ parts: [first, first] })).toMatchObject({ code: 'DOCUMENT_REFUSED', path: 'parts[1].id' })
  expect(await list()).toEqual([])
})

test('a part whose session was deleted since stays where it is, and nothing new is put on that session', async () => {
  await put(saturday).expect(200)
  await sessionStore(database, clock).setState('session-1', { deleted: true })
  const renamed: LongDay = { ...saturday, name: 'A longer Saturday' }
  await put(renamed, 1).expect(200)
  expect(await list()).toEqual([{ longDay: renamed, version: 2 }])
  const more = [...saturday.parts, { kind: 'session', id: 'third', sessionId: 'session-1' }]
  expect((await put({ ...saturday, parts: more }, 2)).body).toMatchObject({ code: 'UNKNOWN_SESSION' })
})

test('somebody who is taken away is in no long day any more', async () => {
  await put(saturday).expect(200)
  await peopleStore(database).remove('somebody', 1)
  expect(await list()).toEqual([{ longDay: { ...saturday, people: [] }, version: 2 }])
})

test('a class that is planned for a part says which, and is read back so', async () => {
  await put(saturday).expect(200)
  const planned = {
    ...{ id: 'planned', sessionId: 'session-1', longDay: { id: 'saturday', partId: 'second' } },
    ...{ placeId: bellowsHouse.id, day: '2026-12-05', startsAt: '11:30', people: [], guests: 4 },
    ...{ forms: [], substitutes: [], setAside: [] },
  }
  await app().put('/api/planned-classes/planned').set('If-Match', '"0"').send(planned).expect(200)
  expect((await app().get('/api/planned-classes')).body).toMatchObject([{ planned }])
})
