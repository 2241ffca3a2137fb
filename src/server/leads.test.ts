import type { Express } from 'express'
import request from 'supertest'
import type { KeptEvent, LedClass } from '#model/led-class'
import { ledStart } from '#core/lead'
import { orThrow } from '#core/result'
import { compileTimeline } from '#core/timeline'
import { shippedCatalog } from '#library/shipped'
import { createApp } from '#server/app'
import type { Database } from '#server/db/open'
import { aHold, aSession } from '#testing/sessions'
import { formerDatabase, freshDatabase } from '#testing/fresh-database'

const session = aSession([aHold('deer'), aHold('sphinx')])
const startedAtMs = Date.UTC(2026, 10, 29, 18)
const start = ledStart(session, orThrow(compileTimeline(session, shippedCatalog)), {
  ...{ id: 'evening', people: 6, startedAtMs, promisedEndMs: startedAtMs + 3_600_000 },
  ...{ nameOf: () => 'Deer', sectionNameOf: () => '' },
})
let [nowMs, database]: [number, Database | undefined] = [startedAtMs, undefined]
const clock = { now: () => new Date(nowMs) }
let app: Express | undefined
const there = (former?: Database) => {
  const asked = former ? createApp({ database: former, hosts: [], clock }) : app
  if (!asked) throw new Error('no database')
  return request(asked)
}
beforeEach(async () => {
  nowMs = startedAtMs
  database = await freshDatabase()
  app = createApp({ database, hosts: [], clock })
})
afterEach(() => database?.close())

const begin = () => there().put('/api/led-classes/evening?by=laptop').send(start).expect(204)
const mark = (n: number, by: string): KeptEvent => ({ n, by, event: { type: 'mark', atMs: n * 1000 } })
const tell = (by: string, after: number, events: readonly KeptEvent[], conductedMs = 0) =>
  there()
    .post(`/api/led-classes/evening/events?after=${String(after)}`)
    .send({ events, conductedMs, by })
const takeOver = (by: string) => there().put('/api/led-classes/evening/leads').send({ by })
const read = async () => (await there().get('/api/led-classes/evening').expect(200)).body as LedClass
const now = async () => (await there().get('/api/now').expect(200)).body as object | null

test('whoever begins a class leads it, and is in touch for thirty seconds after it was heard of', async () => {
  expect(await now()).toBeNull()
  await begin()
  const leads = { by: 'laptop', name: 'The computer Zovrin runs on' }
  expect(await now()).toMatchObject({ id: 'evening', sessionId: session.id, leads: { ...leads, isInTouch: true } })
  nowMs += 29_999
  expect(await now()).toMatchObject({ leads: { isInTouch: true } })
  nowMs += 1
  expect(await now()).toMatchObject({ leads: { ...leads, isInTouch: false } })
  await tell('laptop', 0, [], 30_000).expect(200)
  expect(await now()).toMatchObject({ leads: { isInTouch: true }, conductedMs: 30_000 })
})

test('one that was out of touch leads on: only a device that took over ends that', async () => {
  await begin()
  nowMs += 600_000
  expect((await tell('laptop', 0, [mark(1, 'laptop')]).expect(200)).body).toEqual({ kept: 1 })
  expect(await now()).toMatchObject({ leads: { by: 'laptop', isInTouch: true } })
})

test('after another took over, what the one before tells is refused, kept beside the record and shown with it', async () => {
  await begin()
  await tell('laptop', 0, [mark(1, 'laptop')], 5000).expect(200)
  expect((await takeOver('tablet').expect(200)).body).toEqual({ conductedMs: 5000 })
  expect(await now()).toMatchObject({ leads: { by: 'tablet' } })
  const refused = await tell('laptop', 1, [mark(2, 'laptop')], 9000).expect(409)
  expect(refused.body).toMatchObject({ code: 'LED_ELSEWHERE', facts: { name: 'The computer Zovrin runs on' } })
  // Told again, and more: each once.
  await tell('laptop', 1, [mark(2, 'laptop'), mark(3, 'laptop')], 12_000).expect(409)
  await tell('tablet', 1, [mark(2, 'tablet')], 8000).expect(200)
  const led = await read()
  expect(led.events).toEqual([mark(1, 'laptop'), mark(2, 'tablet')])
  expect(led.asides).toMatchObject([
    { by: 'laptop', events: [mark(2, 'laptop'), mark(3, 'laptop')], conductedMs: 12_000 },
  ])
})

test('a device that hears at once of another has nothing kept beside: it was only there', async () => {
  await begin()
  await tell('laptop', 0, [mark(1, 'laptop')], 5000).expect(200)
  await takeOver('tablet').expect(200)
  await tell('laptop', 0, [mark(1, 'laptop')], 9000).expect(409)
  expect((await read()).asides).toEqual([])
  // For longer than a lease it led on, whatever was told.
  await tell('laptop', 1, [], 36_000).expect(409)
  expect((await read()).asides).toMatchObject([{ by: 'laptop', events: [], conductedMs: 36_000 }])
})

test('the end that a lost device tells does not end the class, whose record stays the other’s', async () => {
  await begin()
  await takeOver('tablet').expect(200)
  const visits = [{ segment: 0, blockId: session.blocks[0]?.id ?? '', startMs: 0, endMs: 70_000, again: false }]
  const end = (by: string) =>
    there()
      .put('/api/led-classes/evening/end')
      .send({ endedAt: new Date(startedAtMs + 70_000).toISOString(), left: true, visits, by, note: 'A quiet one' })
  expect((await end('laptop').expect(409)).body).toMatchObject({ code: 'LED_ELSEWHERE' })
  expect(await read()).toMatchObject({
    endedAt: null,
    asides: [{ by: 'laptop', conductedMs: 70_000, note: 'A quiet one' }],
  })
  await end('tablet').expect(204)
  expect(await now()).toBeNull()
  // It is over for all then; nobody takes it over, and what comes later is put beside.
  expect((await takeOver('laptop').expect(409)).body).toMatchObject({ code: 'CLASS_ENDED' })
  await tell('laptop', 0, [mark(1, 'laptop')]).expect(409)
  expect((await read()).asides).toMatchObject([{ events: [mark(1, 'laptop')] }])
})

test('a class nobody ended is none that runs after half a day, and the newest of two is the one', async () => {
  await begin()
  nowMs += 60_000
  const second = { ...start, id: 'second', startedAt: new Date(nowMs).toISOString() }
  await there().put('/api/led-classes/second').send(second).expect(204)
  expect(await now()).toMatchObject({ id: 'second', leads: null })
  nowMs += 12 * 3_600_000
  expect(await now()).toBeNull()
})

test('its clock is told by the server’s: by what was heard with the least delay', async () => {
  await begin()
  expect(await now()).toMatchObject({ zeroMs: startedAtMs })
  const heard = async (runMs: number, delayMs: number) => {
    nowMs = startedAtMs + 400 + runMs + delayMs
    await tell('laptop', 0, [], runMs).expect(200)
  }
  await heard(5000, 90)
  await heard(10_000, 4)
  await heard(15_000, 60)
  expect(await now()).toMatchObject({ zeroMs: startedAtMs + 404 })
})

test('classes of before other devices could lead open as they were, and can be led on', async () => {
  const former = await formerDatabase('015.sqlite')
  const led = (await there(former).get('/api/led-classes/running').expect(200)).body as LedClass
  expect(led.events.map(({ n, by, event }) => [n, by, event.type])).toEqual([
    [1, 'window', 'pause'],
    [2, 'window', 'resume'],
  ])
  expect(led).toMatchObject({ conductedMs: 60_000, endedAt: null, asides: [], people: 6 })
  const over = (await there(former).get('/api/led-classes/over').expect(200)).body as LedClass
  expect(over).toMatchObject({ note: 'Left early', left: true, asides: [] })
  // A window of before, which says of no device, is taken as it was; then one that does leads.
  const events = (n: number) => [{ n, by: 'window', event: { type: 'mark', atMs: 61_000 } }]
  const add = (after: number, more: object) =>
    there(former)
      .post(`/api/led-classes/running/events?after=${String(after)}`)
      .send({ events: events(after + 1), conductedMs: 61_000, ...more })
  expect((await add(2, {}).expect(200)).body).toEqual({ kept: 3 })
  expect((await add(3, { by: 'laptop' }).expect(200)).body).toEqual({ kept: 4 })
  await former.close()
})
