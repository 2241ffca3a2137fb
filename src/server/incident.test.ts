import request from 'supertest'
import type { LedClass } from '#model/led-class'
import { createApp } from '#server/app'
import type { Database } from '#server/db/open'
import { formerDatabase } from '#testing/fresh-database'

const incident = {
  at: '18:41',
  happened: 'Somebody fainted while getting up',
  done: 'Lay down, legs up; went home by taxi',
}
let database: Database

beforeEach(async () => {
  // As it was left before there was a place for an incident.
  database = await formerDatabase('020.sqlite')
})
afterEach(async () => {
  await database.close()
})

const there = () => request(createApp({ database, hosts: [] }))
const read = async () => (await there().get('/api/led-classes/one/incident').expect(200)).body as unknown
const write = (written: object | null, based: number) =>
  there()
    .put('/api/led-classes/one/incident')
    .set('If-Match', `"${String(based)}"`)
    .send({ incident: written })

test('a class of before has none, and one is written over what was read, changed and taken away', async () => {
  expect(await read()).toEqual({ incident: null, version: 2 })
  expect((await write(incident, 2).expect(200)).body).toEqual({ version: 3 })
  expect(await read()).toEqual({ incident, version: 3 })
  const stale = await write({ ...incident, at: '18:45' }, 2).expect(412)
  expect(stale.body).toMatchObject({ facts: { based: 2, current: 3 } })
  await write(null, 3).expect(200)
  expect(await read()).toEqual({ incident: null, version: 4 })
  await there().get('/api/led-classes/nobody/incident').expect(404)
  const refused = await write({ ...incident, done: 7 }, 4).expect(422)
  expect(refused.body).toMatchObject({ path: 'incident.done' })
})

test('nothing of it is in the record, in the journal, in what is found there, or in what goes out', async () => {
  await write(incident, 2).expect(200)
  const led = (await there().get('/api/led-classes/one').expect(200)).body as LedClass
  expect(led.note).toBe('Two came late')
  const listed = await there().get('/api/led-classes').query({ find: 'late' }).expect(200)
  expect(listed.body).toHaveLength(1)
  const found = await there().get('/api/led-classes').query({ find: 'fainted' }).expect(200)
  expect(found.body).toEqual([])
  const drifts = await there().get('/api/led-classes/drifts').expect(200)
  const told = [led, listed.body, drifts.body].map((one) => JSON.stringify(one)).join()
  expect(told).not.toMatch(/fainted|taxi|18:41/)
})
