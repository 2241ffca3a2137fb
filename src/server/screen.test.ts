import request from 'supertest'
import type { Express } from 'express'
import type { AddressInfo } from 'node:net'
import { createServer } from 'node:http'
import type { Server } from 'node:http'
import { ledStart } from '#core/lead'
import type { ScreenClass, ScreenNow } from '#core/lead'
import { orThrow } from '#core/result'
import { compileTimeline } from '#core/timeline'
import { shippedCatalog } from '#library/shipped'
import { mainDoor } from '#server/app'
import { makeHouse } from '#server/house'
import type { Database } from '#server/db/open'
import type { Hub } from '#server/features/following/hub'
import { aHold, aSession, aTalk } from '#testing/sessions'
import { freshDatabase } from '#testing/fresh-database'

const session = aSession([
  { ...aTalk(), title: 'Welcome Quirinia', text: 'Quirinia sits by the wall' },
  aHold('deer', { cues: [{ id: 'c', at: { fromStartS: 10 }, text: 'Quirinia, soften the knee' }] }),
  aHold('sphinx'),
])
const startedAtMs = Date.UTC(2026, 10, 29, 18)
const start = ledStart(session, orThrow(compileTimeline(session, shippedCatalog)), {
  ...{ id: 'evening', people: 497, startedAtMs, promisedEndMs: startedAtMs + 3_600_000 },
  forms: [{ blockId: session.blocks[1]?.id ?? '', form: 'front leg long', people: 3 }],
  ...{ emergency: ['Ring Onkel Zwackelmann'] },
  ...{ nameOf: (block) => (block.kind === 'talk' ? 'Welcome Quirinia' : 'Deer'), sectionNameOf: () => '' },
})

let [database, app, server, hub]: [Database?, Express?, Server?, Hub?] = []
let nowMs = startedAtMs
beforeEach(async () => {
  nowMs = startedAtMs
  database = await freshDatabase()
  const house = makeHouse({ database, clock: { now: () => new Date(nowMs) } })
  hub = house.hub
  app = mainDoor(house, { hosts: [] })
  server = createServer(app)
  await new Promise<void>((done) => server?.listen(0, '127.0.0.1', done))
})
afterEach(async () => {
  hub?.end()
  await new Promise((done) => server?.close(done))
  await database?.close()
})

const there = () => request(app ?? '')

/** A stream as a page reads it: its messages by name, the one after the other. */
async function follow(path: string) {
  const { port } = server?.address() as AddressInfo
  const reply = await fetch(`http://127.0.0.1:${String(port)}${path}`)
  const reader = (reply.body as ReadableStream<Uint8Array>).getReader()
  let text = ''
  let read = 0
  const all: string[] = []
  return {
    whole: () => all.join('\n'),
    /** The next message of that name. */
    async next<T>(name: string): Promise<T> {
      for (;;) {
        const messages = text.split('\n\n')
        for (; read < messages.length - 1; read += 1) {
          const message = messages[read] ?? ''
          if (!message.includes(`event:${name}\n`) && !message.includes(`event: ${name}\n`)) continue
          read += 1
          return JSON.parse(/^data: ?(.*)$/m.exec(message)?.[1] ?? '') as T
        }
        const { value, done } = await reader.read()
        if (done) throw new Error(`ended before ${name}: ${text}`)
        const part = new TextDecoder().decode(value)
        all.push(part)
        text += part
      }
    },
    end: () => reader.cancel(),
  }
}
const tell = (after: number, events: object[], conductedMs: number, by = 'laptop') =>
  there()
    .post(`/api/led-classes/evening/events?after=${String(after)}`)
    .send({ events, conductedMs, by })
    .expect(200)

test('a screen is told the class that runs, what happens to it, and its end', async () => {
  const screen = await follow('/api/screen/stream')
  expect(await screen.next('class')).toBeNull()
  await there().put('/api/led-classes/evening?by=laptop').send(start).expect(204)
  const shown = await screen.next<ScreenClass>('class')
  expect(shown.plan.segments.map(({ lengthMs }) => lengthMs)).toEqual(
    start.plan.segments.map(({ lengthMs }) => lengthMs),
  )
  expect(Object.keys(shown.figures).length).toBeGreaterThan(0)
  expect(await screen.next<ScreenNow>('now')).toMatchObject({
    id: 'evening',
    events: [],
    zeroMs: startedAtMs,
    showsClock: true,
  })
  nowMs += 60_250
  await tell(0, [{ n: 1, by: 'laptop', event: { type: 'pause', atMs: 59_000 } }], 60_000)
  expect(await screen.next<ScreenNow>('now')).toMatchObject({
    events: [{ type: 'pause', atMs: 59_000 }],
    zeroMs: startedAtMs + 250,
  })
  await there().put('/api/settings').set('If-Match', '"0"').send({ schema: 1, screenClock: false }).expect(200)
  expect(await screen.next<ScreenNow>('now')).toMatchObject({ showsClock: false })
  const ended = { endedAt: new Date(nowMs).toISOString(), left: true, visits: [], by: 'laptop' }
  await there().put('/api/led-classes/evening/end').send(ended).expect(204)
  expect(await screen.next('class')).toBeNull()
  await screen.end()
})

test('of what is said, of people and of how many there are a screen is told nothing', async () => {
  await there().put('/api/led-classes/evening?by=laptop').send(start).expect(204)
  const screen = await follow('/api/screen/stream')
  await screen.next('now')
  await tell(
    0,
    [
      { n: 1, by: 'laptop', event: { type: 'cameLate', atMs: 1000 } },
      { n: 2, by: 'laptop', event: { type: 'mark', atMs: 2000 } },
    ],
    3000,
  )
  expect(await screen.next<ScreenNow>('now')).toMatchObject({ events: [] })
  expect(screen.whole()).not.toMatch(/Quirinia|Zwackelmann|front leg|soften|cameLate|emergency|people|forms/)
  await screen.end()
})

test('a device that leads is in touch while its stream is open, and out of touch at once when it closes', async () => {
  await there().put('/api/led-classes/evening?by=laptop').send(start).expect(204)
  const tablet = await follow('/api/now/stream')
  const laptop = await follow('/api/now/stream?by=laptop')
  expect(await tablet.next('now')).toMatchObject({ leads: { by: 'laptop', isInTouch: true } })
  await tell(0, [], 1000)
  await laptop.end()
  // What is told between the two may come first: the stream ends with the one that is asked for.
  for (;;) if (!(await tablet.next<{ leads: { isInTouch: boolean } }>('now')).leads.isInTouch) break
  // Heard of again, and not only by what was under way, it is there.
  await tell(0, [], 2000)
  await tell(0, [], 3000)
  for (;;) if ((await tablet.next<{ leads: { isInTouch: boolean } }>('now')).leads.isInTouch) break
  await there().put('/api/led-classes/evening/leads').send({ by: 'tablet' }).expect(200)
  expect(await tablet.next('now')).toMatchObject({ leads: { by: 'tablet', isInTouch: true } })
  await tablet.end()
})
