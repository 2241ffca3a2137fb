import request from 'supertest'
import { createApp } from '#server/app'
import type { Database } from '#server/db/open'
import { deletedKeptAtLeast, keptAtLeast } from '#server/features/sessions/store'
import { aSession } from '#testing/sessions'
import { freshDatabase } from '#testing/fresh-database'

const [hourMs, dayMs] = [3_600_000, 24 * 3_600_000]
let database: Database
let nowMs: number
beforeEach(async () => {
  database = await freshDatabase()
  nowMs = Date.UTC(2026, 2, 12, 18)
})
afterEach(() => database.close())

const app = () => request(createApp({ database, hosts: [], clock: { now: () => new Date(nowMs) } }))
const named = (name: string, id = 'session-1') => aSession([], { id, name })
const save = (version: number, id = 'session-1') =>
  app()
    .put(`/api/sessions/${id}`)
    .set('If-Match', `"${String(version)}"`)
    .send(named(`State ${String(version + 1)}`, id))
    .expect(200)
const versions = async (id = 'session-1') =>
  ((await app().get(`/api/sessions/${id}/history`)).body as { version: number }[]).map(({ version }) => version)
/** Versions as years of use leave them, one a day, the last of them kept now. */
async function kept(count: number, id = 'session-1'): Promise<void> {
  const rows = Array.from({ length: count }, (_, at) => ({
    ...{ sessionId: id, version: at + 1, reason: 'fit', document: JSON.stringify(named('Former', id)) },
    keptAt: new Date(nowMs - (count - 1 - at) * dayMs),
  }))
  await database.inTransaction((transaction) => database.models.history.bulkCreate(rows, { transaction }))
}
const make = (id = 'session-1') => app().post('/api/sessions').send(named('State 1', id)).expect(201)

test('a clock that goes back keeps the states as they come, as one that goes on', async () => {
  await make()
  await save(1)
  nowMs -= dayMs
  for (let version = 2; version <= 21; version += 1) {
    nowMs += hourMs
    await save(version)
  }
  expect(await versions()).toHaveLength(21)
  // Still at most every five minutes.
  await save(22)
  expect(await versions()).toHaveLength(21)
})

test('one save with the clock a year ahead clears nothing, here or elsewhere', async () => {
  await make()
  await make('other')
  await kept(keptAtLeast - 1)
  await kept(120, 'other')
  nowMs += 365 * dayMs
  await save(1)
  expect(await versions()).toHaveLength(keptAtLeast)
  expect(await versions('other')).toHaveLength(120)
  // Set right again, states are kept as before.
  nowMs -= 365 * dayMs
  for (let version = 2; version <= 6; version += 1) {
    nowMs += dayMs
    await save(version)
  }
  expect((await versions()).slice(0, 5)).toEqual([6, 5, 4, 3, 2])
})

test('what is old, and past as many as are always kept, goes at the next keeping', async () => {
  await make()
  await kept(keptAtLeast + 50)
  await save(1)
  // 251 with the one kept now; 51 are past the number, and all of those are older than ninety days.
  expect(await versions()).toHaveLength(keptAtLeast)
  await make('young')
  const rows = Array.from({ length: keptAtLeast + 50 }, (_, at) => ({
    ...{ sessionId: 'young', version: at + 1, reason: 'fit', document: JSON.stringify(named('Former', 'young')) },
    keptAt: new Date(nowMs - hourMs),
  }))
  await database.inTransaction((transaction) => database.models.history.bulkCreate(rows, { transaction }))
  await save(1, 'young')
  expect(await versions('young')).toHaveLength(keptAtLeast + 51)
})

test('a deleted session comes back also after a clock was wrong; the oldest of very many goes in the end', async () => {
  await make()
  const setState = (id: string, state: object) => app().post(`/api/sessions/${id}/state`).send(state).expect(204)
  await setState('session-1', { deleted: true })
  nowMs += 365 * dayMs
  await make('other')
  await setState('other', { deleted: true })
  await setState('session-1', { deleted: false })
  await setState('session-1', { deleted: true })
  for (let at = 0; at < deletedKeptAtLeast; at += 1) {
    nowMs += 60_000
    await make(`later-${String(at)}`)
    await setState(`later-${String(at)}`, { deleted: true })
  }
  nowMs += 91 * dayMs
  await make('last')
  await setState('last', { deleted: true })
  await app().post('/api/sessions/other/state').send({ deleted: false }).expect(404)
  await setState('later-50', { deleted: false })
})
