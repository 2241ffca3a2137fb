import request from 'supertest'
import type { Person } from '#model/person'
import type { KeptSeries, Series } from '#model/series'
import { createApp } from '#server/app'
import { bellowsHouse } from '#server/demo/bellows-house'
import type { Database } from '#server/db/open'
import { peopleStore } from '#server/features/people/store'
import { placeStore } from '#server/features/places/store'
import { sessionStore } from '#server/features/sessions/store'
import { aHold, aSession } from '#testing/sessions'
import { formerDatabase } from '#testing/fresh-database'

const clock = { now: () => new Date(2026, 10, 29, 12) }
const somebody: Person = { id: 'somebody', name: 'Somebody', consents: [], conditions: [] }
let database: Database

beforeEach(async () => {
  // As it was left before there were series.
  database = await formerDatabase('022.sqlite')
  await sessionStore(database, clock).create(aSession([aHold('deer')]))
  await placeStore(database, clock).put(bellowsHouse, 0)
  await peopleStore(database).put(somebody, 0)
})
afterEach(async () => {
  await database.close()
})

const app = () => request(createApp({ database, hosts: [], clock }))
const thursdays: Series = {
  ...{ schema: 1, id: 'thursdays', name: 'Thursday slow hour', baseId: 'session-1', weekdays: ['TH'] },
  ...{ startsAt: '19:00', firstDay: '2026-12-03', weeks: 8, placeId: bellowsHouse.id, people: ['somebody'] },
  ...{ guests: 10, growth: [{ id: 'a', kind: 'longer', blockId: 'deer', everyWeeks: 2 }], classes: [] },
}
const put = (series: object, based = 0) =>
  app()
    .put('/api/series/thursdays')
    .set('If-Match', `"${String(based)}"`)
    .send(series)
const list = async () => (await app().get('/api/series').expect(200)).body as KeptSeries[]

test('a series is made, changed over its version, and taken away', async () => {
  expect(await list()).toEqual([])
  await put(thursdays).expect(200)
  const out: Series = { ...thursdays, classes: [{ n: 3, leftOut: 'holiday' }] }
  await put(out, 1).expect(200)
  expect(await list()).toEqual([{ series: out, version: 2 }])
  expect((await put(thursdays, 1)).body).toMatchObject({ code: 'VERSION_STALE', facts: { based: 1, current: 2 } })
  const remove = () => app().delete('/api/series/thursdays').set('If-Match', '"2"')
  await remove().expect(204)
  expect((await remove()).body).toMatchObject({ code: 'UNKNOWN_SERIES' })
})

test('a series of no session, at no place, with nobody known, or that makes no sense is refused by its field', async () => {
  const refused = async (more: object) => (await put({ ...thursdays, ...more })).body as object
  expect(await refused({ baseId: 'nothing' })).toMatchObject({ code: 'UNKNOWN_SESSION', path: 'baseId' })
  expect(await refused({ placeId: 'nowhere' })).toMatchObject({ code: 'UNKNOWN_PLACE', path: 'placeId' })
  expect(await refused({ people: ['nobody'] })).toMatchObject({ code: 'UNKNOWN_PERSON', path: 'people' })
  expect(await refused({ weeks: 0 })).toMatchObject({ code: 'DOCUMENT_REFUSED', path: 'weeks' })
  expect(await list()).toEqual([])
})

test('somebody who is taken away is in no series any more', async () => {
  await put(thursdays).expect(200)
  await peopleStore(database).remove('somebody', 1)
  expect(await list()).toEqual([{ series: { ...thursdays, people: [] }, version: 2 }])
})
