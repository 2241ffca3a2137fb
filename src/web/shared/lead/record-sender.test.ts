import { ledStart } from '#core/lead'
import type { KeptEvent } from '#model/led-class'
import { orThrow } from '#core/result'
import { compileTimeline } from '#core/timeline'
import { shippedCatalog } from '#library/shipped'
import { aHold, aSession } from '#testing/sessions'
import { makeRecordSender } from './record-sender.ts'

const session = aSession([aHold('sphinx')])
const start = ledStart(session, orThrow(compileTimeline(session, shippedCatalog)), {
  id: 'class',
  people: 4,
  startedAtMs: 0,
  promisedEndMs: 3_600_000,
  nameOf: () => 'Sphinx',
  sectionNameOf: () => '',
})
const event = (n: number): KeptEvent => ({ n, by: 'window', event: { type: 'mark', atMs: n * 1000 } })

let asked: {
  readonly url: string
  readonly method: string
  readonly body: { events?: { n: number }[] } | undefined
}[] = []
let answer: (url: string, method: string) => Response = () => new Response(null, { status: 204 })
const { fetch: realFetch } = globalThis
beforeEach(() => {
  asked = []
  answer = () => new Response(null, { status: 204 })
  globalThis.fetch = (url, init) => {
    const method = init?.method ?? 'GET'
    const body = typeof init?.body === 'string' ? (JSON.parse(init.body) as { events?: { n: number }[] }) : undefined
    asked.push({ url: String(url), method, body })
    return Promise.resolve(answer(String(url), method))
  }
  Object.assign(globalThis, { window: { setTimeout: () => 0, clearTimeout: () => undefined } })
})
afterAll(() => {
  globalThis.fetch = realFetch
  Reflect.deleteProperty(globalThis, 'window')
})
const settled = () => new Promise((done) => setTimeout(done, 0))
const json = (value: unknown, status = 200, type = 'application/json') =>
  new Response(JSON.stringify(value), { status, headers: { 'Content-Type': type } })

function senderOf(events: readonly KeptEvent[]) {
  return makeRecordSender(() => ({ start, events, end: undefined, by: 'laptop' }))
}

test('the class is begun once, then its events follow in one request', async () => {
  answer = (url) => (url.includes('/events') ? json({ kept: 2 }) : new Response(null, { status: 204 }))
  const sender = senderOf([event(1), event(2)])
  sender.tell({ type: 'told', n: 2 })
  await settled()
  await settled()
  expect(asked.map(({ method, url }) => `${method} ${url.replace(/\?.*$/, '')}`)).toEqual([
    'PUT /api/led-classes/class',
    'POST /api/led-classes/class/events',
  ])
  expect(asked[1]?.body?.events?.map(({ n }) => n)).toEqual([1, 2])
  expect(sender.outbox.value).toMatchObject({ begun: true, kept: 2, trouble: null })
  sender.stop()
})

test('a refusal is told apart from a server that is away, and said as the server says it', async () => {
  answer = () =>
    json(
      { status: 409, code: 'CLASS_TAKEN', title: '', detail: 'Another class has that id.' },
      409,
      'application/problem+json',
    )
  const sender = senderOf([event(1)])
  sender.tell({ type: 'told', n: 1 })
  await settled()
  expect(sender.outbox.value.trouble).toBe('refused')
  expect(sender.refusal.value).toBe('Another class has that id.')
  expect(asked).toHaveLength(1)

  answer = () => new Response('', { status: 502 })
  const away = senderOf([event(1)])
  away.tell({ type: 'told', n: 1 })
  await settled()
  expect(away.outbox.value.trouble).toBe('away')
})

test('where the server says which events it has, those after them are sent', async () => {
  let isFirst = true
  answer = (url) => {
    if (!url.includes('/events')) return new Response(null, { status: 204 })
    if (!isFirst) return json({ kept: 3 })
    isFirst = false
    return json(
      { status: 409, code: 'EVENTS_MISSING', title: '', detail: 'Send those from 1 on.', facts: { after: 0, kept: 1 } },
      409,
      'application/problem+json',
    )
  }
  const sender = senderOf([event(1), event(2), event(3)])
  sender.tell({ type: 'told', n: 3 })
  for (let round = 0; round < 4; round += 1) await settled()
  expect(asked.at(-1)?.body?.events?.map(({ n }) => n)).toEqual([2, 3])
  expect(sender.outbox.value).toMatchObject({ kept: 3, trouble: null })
})

test('where another device leads, what was sent is beside the record, and nothing more is sent', async () => {
  const problem = { status: 409, code: 'LED_ELSEWHERE', detail: 'Tablet leads', facts: { name: 'Tablet' } }
  answer = (url) =>
    url.includes('/events')
      ? new Response(JSON.stringify(problem), {
          status: 409,
          headers: { 'Content-Type': 'application/problem+json' },
        })
      : new Response(null, { status: 204 })
  const sender = senderOf([event(1)])
  sender.tell({ type: 'told', n: 1 })
  for (let round = 0; round < 4; round += 1) await settled()
  expect([sender.elsewhere.value, sender.refusal.value, sender.state()]).toEqual(['Tablet', '', 'saved'])
  expect(asked.at(-1)?.body).toMatchObject({ by: 'laptop' })
  const before = asked.length
  sender.tell({ type: 'told', n: 2 })
  sender.tell({ type: 'over' })
  await settled()
  expect(asked).toHaveLength(before)
})

test('a class that was taken over goes on from the events the server has', async () => {
  answer = () => json({ kept: 3 })
  const sender = senderOf([event(1), event(2), event(3)])
  sender.anew({ type: 'takenOver', kept: 2 })
  sender.tell({ type: 'told', n: 3 })
  for (let round = 0; round < 4; round += 1) await settled()
  expect(asked.map(({ url, body }) => [url.includes('after=2'), body?.events?.map(({ n }) => n)])).toEqual([
    [true, [3]],
  ])
})

test('a class that was lost and taken back is told again, and late answers to what was before are passed over', async () => {
  const problem = { status: 409, code: 'LED_ELSEWHERE', detail: '', facts: { name: 'Tablet' } }
  answer = (url) => (url.includes('/events') ? json(problem, 409, 'application/problem+json') : json({}))
  const sender = senderOf([event(1), event(2)])
  sender.tell({ type: 'told', n: 1 })
  for (let round = 0; round < 4; round += 1) await settled()
  expect(sender.elsewhere.value).toBe('Tablet')
  answer = () => json({ kept: 2 })
  sender.anew({ type: 'takenOver', kept: 1 })
  expect(sender.elsewhere.value).toBeUndefined()
  sender.tell({ type: 'told', n: 2 })
  sender.anew({ type: 'takenOver', kept: 1 })
  for (let round = 0; round < 4; round += 1) await settled()
  // What was asked before it was taken over anew answered into nothing.
  expect(sender.outbox.value).toMatchObject({ kept: 1, told: 1, ended: false })
  sender.tell({ type: 'told', n: 2 })
  for (let round = 0; round < 4; round += 1) await settled()
  expect(sender.outbox.value).toMatchObject({ kept: 2, trouble: null })
})
