import pino from 'pino'
import request from 'supertest'
import { createApp } from '#server/app'
import { demoClasses } from '#server/demo/led-classes'
import { freshDatabase } from '#testing/fresh-database'

test('who comes late is counted in the journal once, however often the event is sent', async () => {
  const thursday = new Date(2026, 2, 12, 21)
  const [led] = demoClasses(thursday)
  if (!led) throw new Error('the demo has classes')
  const { start } = led
  const database = await freshDatabase()
  const app = request(
    createApp({ database, hosts: [], clock: { now: () => thursday }, logger: pino({ level: 'silent' }) }),
  )
  await app.put(`/api/led-classes/${start.id}`).send(start).expect(204)
  const late = (n: number) => ({ n, by: 'window', event: { type: 'cameLate', atMs: n * 1000 } })
  const send = (after: number, events: object[]) =>
    app.post(`/api/led-classes/${start.id}/events?after=${String(after)}`).send({ events, conductedMs: 9000 })
  await send(0, [late(1)]).expect(200)
  await send(0, [late(1), late(2)]).expect(200)
  await send(2, [{ n: 3, by: 'window', event: { type: 'mark', atMs: 4000 } }]).expect(200)
  expect((await app.get('/api/led-classes')).body[0].people).toBe(start.people + 2)
  // The record says how many there were at Start, and who came after it.
  const kept = (await app.get(`/api/led-classes/${start.id}`)).body
  expect([kept.people, kept.events.length]).toEqual([start.people, 3])
  await database.close()
})
