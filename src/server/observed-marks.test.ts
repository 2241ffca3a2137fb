import request from 'supertest'
import type { LedClass } from '#model/led-class'
import { createApp } from '#server/app'
import type { Database } from '#server/db/open'
import { formerDatabase } from '#testing/fresh-database'

let database: Database

beforeEach(async () => {
  // As it was left before anybody could look on.
  database = await formerDatabase('021.sqlite')
})
afterEach(async () => {
  await database.close()
})

const there = () => request(createApp({ database, hosts: [] }))
const read = async () => (await there().get('/api/led-classes/one').expect(200)).body as LedClass
const put = (id: string, mark: object) => there().put(`/api/led-classes/one/marks/${id}`).send(mark)
const seen = { by: 'tablet', atMs: 90_000, text: '' }

test('a class of before has no marks of others; they are kept in the order of its time, each once, with what is written later', async () => {
  expect(await read()).toMatchObject({ marks: [], note: 'Two came late' })
  await put('late', seen).expect(204)
  await put('early', { ...seen, atMs: 30_000 }).expect(204)
  await put('late', { ...seen, text: 'Cold feet in the back row' }).expect(204)
  const { marks, events, version } = await read()
  expect(marks).toEqual([
    { id: 'early', by: 'tablet', name: 'The computer Zovrin runs on', atMs: 30_000, text: '' },
    { id: 'late', by: 'tablet', name: 'The computer Zovrin runs on', atMs: 90_000, text: 'Cold feet in the back row' },
  ])
  // The record itself is as it was.
  expect([events.length, version]).toEqual([1, 3])
  await there().delete('/api/led-classes/one/marks/early').expect(204)
  await there().delete('/api/led-classes/one/marks/early').expect(204)
  expect((await read()).marks).toHaveLength(1)
})

test('a mark of another device is not written over, one of no class or that makes no sense is refused', async () => {
  await put('one', seen).expect(204)
  expect((await put('one', { ...seen, by: 'phone' }).expect(409)).body).toMatchObject({ code: 'MARK_TAKEN' })
  expect((await put('two', { ...seen, atMs: -1 }).expect(422)).body).toMatchObject({ path: 'atMs' })
  await there().put('/api/led-classes/nobody/marks/two').send(seen).expect(404)
  expect((await read()).marks).toMatchObject([{ id: 'one', by: 'tablet' }])
})
