import pino from 'pino'
import request from 'supertest'
import type { SeenTime } from '#model/seen-time'
import { mostRecords } from '#core/journal'
import { createApp } from '#server/app'
import type { Database } from '#server/db/open'
import { aClassToSend } from '#testing/led-classes'
import { aHold, aSession } from '#testing/sessions'
import { formerDatabase, freshDatabase } from '#testing/fresh-database'

const there = (database: Database) =>
  request(createApp({ database, hosts: [], clock: { now: () => new Date() }, logger: pino({ level: 'silent' }) }))
const taught = async (database: Database) =>
  (await there(database).get('/api/led-classes/times').expect(200)).body as readonly SeenTime[]

const session = aSession([aHold('sphinx', { times: { changeS: 0, setUpS: 20 }, hold: { holdS: 60 } })])
async function led(database: Database, day: number, tookS: number): Promise<void> {
  const startedAt = new Date(Date.UTC(2026, 0, day, 18)).toISOString()
  const { start, told, end } = aClassToSend(session, [{ type: 'end', atMs: tookS * 1000 }], { startedAt })
  const id = `class-${String(day)}`
  await there(database)
    .put(`/api/led-classes/${id}`)
    .send({ ...start, id })
    .expect(204)
  await there(database).post(`/api/led-classes/${id}/events?after=0`).send(told).expect(200)
  await there(database).put(`/api/led-classes/${id}/end`).send(end).expect(204)
}

test('each class that ended teaches what was ended by hand, the newest first, and no more of a thing than count', async () => {
  const database = await freshDatabase()
  expect(await taught(database)).toEqual([])
  await led(database, 1, 12)
  await led(database, 2, 15)
  expect((await taught(database)).map(({ key, s, level }) => [key, s, level])).toEqual([
    ['setUp:sphinx', 15, 'regular'],
    ['setUp:sphinx', 12, 'regular'],
  ])
  for (let day = 3; day <= mostRecords + 4; day += 1) await led(database, day, 14)
  expect(await taught(database)).toHaveLength(mostRecords)
  await database.close()
})

test('classes of before they were asked teach too, and are read once', async () => {
  const database = await formerDatabase('017.sqlite')
  const first = await taught(database)
  // In both the first set-up was ended by hand after 9 s.
  expect(first.map(({ key, s }) => [key, s])).toEqual([
    ['setUp:wide-knee-fold', 9],
    ['setUp:wide-knee-fold', 9],
  ])
  const rows = await database.models.ledClasses.findAll({ raw: true })
  expect(rows.map(({ seenTimes }) => typeof seenTimes)).toEqual(['string', 'string'])
  await database.inTransaction((transaction) =>
    database.models.ledClasses.update({ seenTimes: 'spoilt' }, { where: { id: rows[0]?.id ?? '' }, transaction }),
  )
  expect(await taught(database)).toEqual(first)
  await database.close()
})
