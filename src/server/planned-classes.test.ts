import request from 'supertest'
import type { KeptPlannedClass, PlannedClass } from '#model/planned-class'
import { createApp } from '#server/app'
import { bellowsHouse } from '#server/demo/bellows-house'
import type { Database } from '#server/db/open'
import { placeStore } from '#server/features/places/store'
import { plannedClassStore } from '#server/features/planned-classes/store'
import { sessionStore } from '#server/features/sessions/store'
import { aSession } from '#testing/sessions'
import { formerDatabase, freshDatabase } from '#testing/fresh-database'

const clock = { now: () => new Date(2026, 10, 29, 12) }
let database: Database
beforeEach(async () => {
  database = await freshDatabase()
  await sessionStore(database, clock).create(aSession([]))
  await placeStore(database, clock).put(bellowsHouse, 0)
})
afterEach(() => database.close())

const app = () => request(createApp({ database, hosts: [], clock }))
const thursday: PlannedClass = {
  ...{ id: 'thursday', sessionId: 'session-1', placeId: bellowsHouse.id, day: '2026-12-03', startsAt: '18:45' },
  ...{ people: [], guests: 11, forms: [], substitutes: [], setAside: [] },
}
const put = (planned: unknown, based = 0) =>
  app()
    .put(`/api/planned-classes/${(planned as { id: string }).id}`)
    .set('If-Match', `"${String(based)}"`)
    .send(planned as object)
const list = async () => (await app().get('/api/planned-classes').expect(200)).body as KeptPlannedClass[]

test('a class is planned, changed over its version, and taken away', async () => {
  await put(thursday).expect(200)
  await put({ ...thursday, id: 'sooner', day: '2026-12-01', startsAt: undefined }).expect(200)
  expect((await list()).map(({ planned }) => planned.id)).toEqual(['sooner', 'thursday'])
  const substitutes: PlannedClass['substitutes'] = [
    {
      blockId: 'fold',
      way: 'substitutes',
      replaced: [{ kind: 'rectBolster', by: 'blanket', n: 1 }],
      from: [],
      items: [],
    },
  ]
  expect((await put({ ...thursday, substitutes }, 1).expect(200)).headers['etag']).toBe('"2"')
  expect((await list())[1]).toEqual({ planned: { ...thursday, substitutes }, version: 2 })
  expect((await put(thursday, 1)).body).toMatchObject({ code: 'VERSION_STALE' })
  const remove = (based: number) =>
    app()
      .delete('/api/planned-classes/thursday')
      .set('If-Match', `"${String(based)}"`)
  expect((await remove(1)).body).toMatchObject({ code: 'VERSION_STALE' })
  await remove(2).expect(204)
  expect((await remove(2)).body).toMatchObject({ code: 'UNKNOWN_PLANNED' })
  expect((await put(thursday, 2)).body).toMatchObject({ code: 'UNKNOWN_PLANNED' })
})

test('it is planned with a session and at a place that are there', async () => {
  expect((await put({ ...thursday, sessionId: 'gone' })).body).toMatchObject({ code: 'UNKNOWN_SESSION' })
  expect((await put({ ...thursday, placeId: 'gone' })).body).toMatchObject({ code: 'UNKNOWN_PLACE' })
  const { body } = await put({ ...thursday, day: '3 Dec', startsAt: '18:45:30' })
  const refusals = (body as { refusals: { path: string }[] }).refusals.map(({ path }) => path)
  expect(refusals).toEqual(['day', 'startsAt'])
})

test('neither its session nor its place goes while it is to come; afterwards both may', async () => {
  await put(thursday).expect(200)
  const deleteSession = () => app().post('/api/sessions/session-1/state').send({ deleted: true })
  const deletePlace = () => app().delete(`/api/places/${bellowsHouse.id}`).set('If-Match', '"1"')
  const inUse = { code: 'IN_USE', facts: { where: 'the class of Thu 3 Dec 2026' } }
  expect((await deleteSession()).body).toMatchObject(inUse)
  expect((await deletePlace()).body).toMatchObject(inUse)
  await put({ ...thursday, ledClassId: 'led' }, 1).expect(200)
  await put({ ...thursday, id: 'past', day: '2026-11-28' }).expect(200)
  await deleteSession().expect(204)
  await deletePlace().expect(204)
  expect(await list()).toHaveLength(2)
})

test('classes planned before they could be changed are there with day, time and people', async () => {
  const former = await formerDatabase('012.sqlite')
  const kept = await plannedClassStore(former, clock).list()
  await former.close()
  const dated = kept.find(({ planned }) => planned.id === 'thursday')
  const at = new Date(Date.UTC(2026, 11, 3, 17, 45))
  expect(dated).toMatchObject({
    version: 1,
    planned: { sessionId: 'slow-hour', placeId: bellowsHouse.id, guests: 0, forms: [], substitutes: [] },
  })
  expect(new Date(`${dated?.planned.day ?? ''}T${dated?.planned.startsAt ?? ''}`)).toEqual(at)
  expect(dated?.planned.people).toHaveLength(2)
  expect(kept.find(({ planned }) => planned.id === 'undated')?.planned).not.toHaveProperty('startsAt')
})
