import { mkdtempSync, readdirSync } from 'node:fs'
import { createServer } from 'node:http'
import type { AddressInfo } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import request from 'supertest'
import { createApp } from '#server/app'
import { readConfig } from '#server/config'
import { holdDatabase } from '#server/db/hold'
import { openDatabase } from '#server/db/open'
import type { Database } from '#server/db/open'
import { demoClasses } from '#server/demo/led-classes'
import { prepareDemo, seedDemo, seedNumber } from '#server/demo/seed'
import { thursdaySlowHour } from '#server/demo/sessions'
import { peopleStore } from '#server/features/people/store'
import { placeStore } from '#server/features/places/store'
import { problemStatus } from '#server/problems'
import { startServer } from '#server/start'
import { compileTimeline } from '#core/timeline'
import { leadPlan } from '#core/lead'
import { orThrow } from '#core/result'
import { shippedCatalog } from '#library/shipped'
import { aBreath, aHold, aSession, aTalk } from '#testing/sessions'
import { freshDatabase } from '#testing/fresh-database'

const thursday = new Date('2026-03-12T18:00:00Z')
let database: Database
let nowMs = thursday.getTime()
const clock = { now: () => new Date(nowMs) }

beforeEach(async () => {
  nowMs = thursday.getTime()
  database = await freshDatabase()
})
afterEach(() => database.close())

const app = () => request(createApp({ database, hosts: [], clock }))
const create = (document: object = aSession()) => app().post('/api/sessions').send(document)
const save = (document: { id: string }, version: number) =>
  app()
    .put(`/api/sessions/${document.id}`)
    .set('If-Match', `"${String(version)}"`)
    .send(document)

test('a session is created, read with its version, listed and saved as the next version', async () => {
  const made = await create(aSession([aTalk()]))
  expect([made.status, made.headers['etag'], made.headers['location']]).toEqual([201, '"1"', '/api/sessions/session-1'])
  const saved = await save(aSession([aTalk()], { name: 'Renamed' }), 1)
  expect([saved.status, saved.headers['etag']]).toEqual([200, '"2"'])
  const read = await app().get('/api/sessions/session-1')
  expect(read.headers['etag']).toBe('"2"')
  expect(read.body).toEqual(aSession([aTalk()], { name: 'Renamed' }))
  const list = await app().get('/api/sessions')
  expect(list.body).toEqual([
    {
      id: 'session-1',
      name: 'Renamed',
      practice: 'yin',
      lengthS: 3600,
      savedAt: '2026-03-12T18:00:00.000Z',
      archived: false,
      template: false,
      lastLed: null,
    },
  ])
})

test('history keeps the former version at most every five minutes, and what a conflict sets aside', async () => {
  await create()
  await save(aSession([], { name: 'Second' }), 1)
  nowMs += 4 * 60_000
  await save(aSession([], { name: 'Third' }), 2)
  nowMs += 2 * 60_000
  await save(aSession([], { name: 'Fourth' }), 3)
  await app()
    .post('/api/sessions/session-1/history')
    .set('If-Match', '"2"')
    .send(aSession([], { name: 'Given up' }))
    .expect(204)
  const { body } = await app().get('/api/sessions/session-1/history')
  expect(body.map(({ version, reason }: { version: number; reason: string }) => [version, reason])).toEqual([
    [2, 'conflict'],
    [3, 'saved'],
    [1, 'saved'],
  ])
  const kept = await app().get(`/api/sessions/session-1/history/${String(body[1].id)}`)
  expect(kept.body.name).toBe('Third')
})

test('the other side of a conflict is kept when the teacher’s own wins', async () => {
  await create()
  await save(aSession([], { name: 'Theirs' }), 1)
  await save(aSession([], { name: 'Mine' }), 2).set('X-Keep-Former', 'conflict')
  const { body } = await app().get('/api/sessions/session-1/history')
  expect(body[0]).toMatchObject({ version: 2, reason: 'conflict' })
})

describe('the record of a class', () => {
  const [led] = demoClasses(thursday)
  if (!led) throw new Error('the demo has classes')
  const { start, events, end } = led
  const begin = (body: object = start) => app().put(`/api/led-classes/${start.id}`).send(body)
  const append = (after: number, some = events.slice(after), conductedMs = 900_000) =>
    app()
      .post(`/api/led-classes/${start.id}/events?after=${String(after)}`)
      .send({ events: some, conductedMs })
  const finish = (body: object = end) => app().put(`/api/led-classes/${start.id}/end`).send(body)
  const read = async () => (await app().get(`/api/led-classes/${start.id}`)).body

  test('is begun once, added to while it runs, ended, and read back whole', async () => {
    await begin().expect(204)
    expect((await append(0, events.slice(0, 2))).body).toEqual({ kept: 2 })
    expect((await app().get('/api/led-classes')).body[0]).toMatchObject({
      name: 'Thursday slow hour',
      endedAt: null,
      people: 9,
      ledS: 900,
    })
    expect(await read()).toMatchObject({ format: 2, conductedMs: 900_000, visits: null, endedAt: null })
    expect((await append(2)).body).toEqual({ kept: events.length })
    await finish().expect(204)
    expect(await read()).toEqual(
      JSON.parse(
        JSON.stringify({
          ...start,
          asides: [],
          marks: [],
          ...{
            events,
            endedAt: end.endedAt,
            left: end.left,
            note: end.note,
            breath: null,
            ledBy: null,
            visits: end.visits,
            format: 2,
          },
          conductedMs: end.visits.at(-1)?.endMs,
          version: 2,
        }),
      ),
    )
    const [line] = (await app().get('/api/led-classes')).body
    expect([line.plannedS, line.ledS]).toEqual([3528, Math.round((end.visits.at(-1)?.endMs ?? 0) / 1000)])
  })

  test('takes a batch that is sent again, and says how many it has where some are missing in between', async () => {
    await begin()
    await append(0, events.slice(0, 3)).expect(200)
    expect((await append(1, events.slice(1, 4))).body).toEqual({ kept: 4 })
    expect((await read()).events.map(({ n }: { n: number }) => n)).toEqual([1, 2, 3, 4])
    const early = await append(5)
    expect([early.status, early.body.code, early.body.facts]).toEqual([409, 'EVENTS_MISSING', { after: 5, kept: 4 }])
    const unordered = await append(4, events.slice(5))
    expect([unordered.status, unordered.body.path]).toEqual([422, 'events'])
  })

  test('is never replaced: not by another beginning, not by another end, not by events after it', async () => {
    await begin()
    await append(0)
    await begin().expect(204)
    expect((await begin({ ...start, people: 3 })).body.code).toBe('CLASS_TAKEN')
    await finish().expect(204)
    await finish().expect(204)
    expect((await finish({ ...end, visits: end.visits.slice(1) })).body.code).toBe('CLASS_ENDED')
    const late = { n: events.length + 1, by: 'demo', event: { type: 'mark', atMs: 5 } } as const
    expect((await append(events.length, [late])).body.code).toBe('CLASS_ENDED')
    expect((await read()).visits).toEqual(end.visits)
  })

  test('has a note that can be changed afterwards, by whoever saw the one before', async () => {
    await begin()
    await finish().expect(204)
    const { version } = await read()
    const write = (note: string, based: number) =>
      app()
        .put(`/api/led-classes/${start.id}/note`)
        .set('If-Match', `"${String(based)}"`)
        .send({ note })
    expect((await write('Two came late', version)).body).toEqual({ version: version + 1 })
    const stale = await write('From another window', version)
    expect([stale.status, stale.body.facts]).toEqual([412, { based: version, current: version + 1 }])
    expect(await read()).toMatchObject({ note: 'Two came late', visits: end.visits, version: version + 1 })
    // The same end once more, whose reply was lost, leaves it as it is.
    await finish().expect(204)
    expect((await read()).note).toBe('Two came late')
    await write('', version + 1).expect(200)
    expect((await read()).note).toBeNull()
    await app().put(`/api/led-classes/${start.id}/note`).send({ note: '' }).expect(428)
    expect((await write('x'.repeat(20_001), version + 2)).body.path).toBe('note')
  })

  test('of a class nobody ended yet keeps the note that was written, with what is written at its end', async () => {
    await begin()
    await app().put(`/api/led-classes/${start.id}/note`).set('If-Match', '"1"').send({ note: 'Lost the laptop' })
    await finish({ ...end, note: 'Found it' }).expect(204)
    expect((await read()).note).toBe('Lost the laptop\nFound it')
  })

  test.each([
    ['an event nobody knows', { type: 'foo', atMs: 0 }],
    ['a gap that does not say since when', { type: 'gap', atMs: 5 }],
    ['a press that carries more than its instant', { type: 'stay', atMs: 5, byMs: 9 }],
  ])('refuses %s', async (_, event) => {
    await begin()
    const reply = await append(0, [{ n: 1, by: 'demo', event } as never])
    expect([reply.status, reply.body.code]).toEqual([422, 'DOCUMENT_REFUSED'])
    expect((await read()).events).toEqual([])
  })

  test('keeps its own copy when its session changes or goes', async () => {
    await create(thursdaySlowHour)
    await begin().expect(204)
    await save({ ...thursdaySlowHour, name: 'Another hour', blocks: [] } as never, 1)
    await database.inTransaction((transaction) => database.models.sessions.destroy({ where: {}, transaction }))
    expect((await read()).document.name).toBe('Thursday slow hour')
  })

  test('of the longest class a session may hold is begun, saved and read again, by pattern and not by part', async () => {
    const breath = (index: number) =>
      aBreath('even-breath', {
        id: `b${String(index)}`,
        pattern: { in: 1, full: 1, out: 1, empty: 1 },
        pace: { num: 1000, den: 1 },
        amount: { sets: 3, roundsPerSet: 400 },
      })
    const long = aSession(Array.from({ length: 5 }, (_, index) => breath(index)))
    const timeline = orThrow(compileTimeline(long, shippedCatalog))
    const plan = leadPlan(timeline, {})
    const size = JSON.stringify({ ...start, document: long, plan }).length
    expect([timeline.segments.length, plan.segments.length]).toEqual([24_010, 35])
    expect(size).toBeLessThan(40_000)
    await begin({ ...start, document: long, blocks: {}, plan }).expect(204)
    expect((await read()).plan).toEqual(plan)
  })
})

describe('the journal', () => {
  const line = (at: number) => `class-${String(at).padStart(3, '0')}`
  /** Classes one an hour, two of each start, so that the cursor has to tell them apart. */
  async function held(count: number): Promise<void> {
    const [demo] = demoClasses(thursday)
    const rows = Array.from({ length: count }, (_, at) => ({
      ...{
        id: line(at),
        sessionId: 'session-1',
        startedAt: new Date(thursday.getTime() - Math.floor(at / 2) * 3_600_000),
      },
      ...{ endedAt: null, people: 1, name: 'An hour', plannedS: 3600, ledS: 0, document: JSON.stringify(demo?.start) },
      ...{ format: 2, conductedMs: 0, left: false, isAbout: false, visits: null, note: null, version: 1 },
    }))
    await database.inTransaction((transaction) => database.models.ledClasses.bulkCreate(rows, { transaction }))
  }
  const page = async (query: object) =>
    (await app().get('/api/led-classes').query(query)).body as { id: string; startedAt: string; endedAt: null }[]

  test('is read page by page, each class once, in the order in which they were', async () => {
    await held(25)
    const seen: string[] = []
    let after: object = {}
    for (let pages = 0; pages < 4; pages += 1) {
      const lines = await page({ most: 9, ...after })
      seen.push(...lines.map(({ id }) => id))
      const last = lines.at(-1)
      if (!last) break
      after = { startedAt: last.startedAt, id: last.id }
    }
    expect(seen).toEqual(Array.from({ length: 25 }, (_, at) => line(at)))
  })

  test('gives a hundred where nothing else is asked, and says of each only what its line needs', async () => {
    await held(120)
    const lines = await page({})
    expect(lines).toHaveLength(100)
    expect(lines[0]).toEqual({
      ...{ id: line(0), sessionId: 'session-1', startedAt: '2026-03-12T18:00:00.000Z', endedAt: null },
      ...{ people: 1, name: 'An hour', plannedS: 3600, ledS: 0, note: '', breath: null, ledBy: null },
    })
  })

  test('is asked for sensibly, or refused by the name of what is wrong', async () => {
    for (const [query, path] of [
      [{ most: 0 }, 'most'],
      [{ most: 1e6 }, 'most'],
      [{ startedAt: 'yesterday', id: 'x' }, 'startedAt'],
      [{ id: '../x' }, 'id'],
    ] as const) {
      const { status, body } = await app().get('/api/led-classes').query(query)
      expect([status, body.path]).toEqual([422, path])
    }
  })
})

describe('bad input gets a problem of its own, writes nothing, and the server lives', () => {
  const cases: [string, () => request.Test, number, string, string | null][] = [
    ['malformed JSON', () => app().post('/api/sessions').type('json').send('{"a":'), 400, 'MALFORMED_JSON', null],
    [
      'a body that is no JSON',
      () => app().post('/api/sessions').type('text').send('hello'),
      415,
      'WRONG_CONTENT_TYPE',
      null,
    ],
    ['no body', () => app().post('/api/sessions'), 422, 'DOCUMENT_REFUSED', 'document'],
    ['wrong types', () => create({ ...aSession(), lengthS: 'an hour' }), 422, 'DOCUMENT_REFUSED', 'lengthS'],
    ['an unknown pose', () => create(aSession([aHold('no-such-pose')])), 422, 'UNKNOWN_REFERENCE', 'blocks[0].poseId'],
    ['an oversize body', () => create({ ...aSession(), purpose: 'x'.repeat(2_000_000) }), 413, 'BODY_TOO_LARGE', null],
    ['a newer schema', () => create({ ...aSession(), schema: 3 }), 409, 'SCHEMA_NEWER', 'schema'],
    ['an unknown session', () => app().get('/api/sessions/nobody'), 404, 'UNKNOWN_SESSION', null],
    ['a save of an unknown session', () => save(aSession([], { id: 'nobody' }), 1), 404, 'UNKNOWN_SESSION', null],
    ['an unknown address', () => app().get('/api/nothing'), 404, 'UNKNOWN_ADDRESS', null],
    ['a session created twice', () => create(aSession([], { id: 'taken' })), 409, 'ID_TAKEN', null],
    [
      'a save without a version',
      () =>
        app()
          .put('/api/sessions/taken')
          .send(aSession([], { id: 'taken' })),
      428,
      'VERSION_MISSING',
      null,
    ],
    [
      'a save with a strange version',
      () => app().put('/api/sessions/taken').set('If-Match', '*').send(aSession()),
      428,
      'VERSION_MISSING',
      null,
    ],
    ['a stale version', () => save(aSession([], { id: 'taken', name: 'Late' }), 7), 412, 'VERSION_STALE', null],
    [
      'two ids',
      () => app().put('/api/sessions/taken').set('If-Match', '"1"').send(aSession()),
      422,
      'ID_MISMATCH',
      'id',
    ],
    ['an unknown kept version', () => app().get('/api/sessions/taken/history/99'), 404, 'UNKNOWN_VERSION', null],
    [
      'a kept version that is no number',
      () => app().get('/api/sessions/taken/history/first'),
      404,
      'UNKNOWN_VERSION',
      null,
    ],
    ['an unknown class', () => app().get('/api/led-classes/nobody'), 404, 'UNKNOWN_CLASS', null],
    [
      'a led class of the wrong shape',
      () => app().put('/api/led-classes/x').send({ id: 'x' }),
      422,
      'DOCUMENT_REFUSED',
      'sessionId',
    ],
    [
      'a led class under another id',
      () => app().put('/api/led-classes/x').send(demoClasses(thursday)[0]?.start),
      422,
      'ID_MISMATCH',
      'id',
    ],
    ['a foreign origin', () => create().set('Origin', 'http://elsewhere.example'), 403, 'WRONG_ORIGIN', null],
  ]

  test.each(cases)('%s', async (_, send, status, code, path) => {
    await create(aSession([], { id: 'taken', name: 'As it was' })).expect(201)
    const reply = await send()
    expect([reply.status, reply.type, reply.body.code]).toEqual([status, 'application/problem+json', code])
    expect(reply.body.path ?? null).toBe(path)
    expect(reply.body.detail).toMatch(/^[^{}]{15,}\.$/)
    const after = await app().get('/api/sessions')
    expect(after.body.map(({ name }: { name: string }) => name)).toEqual(['As it was'])
  })

  test('a wrong Host', async () => {
    const strict = createApp({ database, hosts: ['127.0.0.1:4180'] })
    const reply = await request(strict).get('/api/sessions').set('Host', 'elsewhere.example')
    expect([reply.status, reply.body.code]).toEqual([421, 'WRONG_HOST'])
    await request(strict).get('/api/health').set('Host', '127.0.0.1:4180').expect(200)
  })

  test('a mistake of the server’s own shows no stack', async () => {
    await database.sequelize.getQueryInterface().renameTable('sessions', 'gone')
    const reply = await app().get('/api/sessions')
    expect([reply.status, reply.body.code]).toEqual([500, 'INTERNAL'])
    expect(JSON.stringify(reply.body)).not.toMatch(/ at \/|sqlite|postgres|Error:/i)
  })
})

test('every problem has a status of its kind', () => {
  const odd = Object.entries(problemStatus).filter(
    ([code, status]) => !/^[A-Z_]+$/.test(code) || status < 400 || status >= 500,
  )
  // Only what is no fault of the request.
  expect(odd).toEqual([
    ['RESTORING', 503],
    ['DISK_FULL', 507],
    ['INTERNAL', 500],
  ])
})

test('pages carry the strict content policy', async () => {
  const { headers } = await app().get('/api/health')
  expect(headers['content-security-policy']).toBe(
    "default-src 'self';script-src 'self';style-src 'self' 'unsafe-inline';worker-src 'self';object-src 'none';frame-ancestors 'none';base-uri 'self'",
  )
})

test('removing a session removes its history by the foreign key', async () => {
  await create()
  await save(aSession([], { name: 'Second' }), 1)
  await database.inTransaction((transaction) =>
    database.models.sessions.destroy({ where: { id: 'session-1' }, transaction }),
  )
  expect(await database.models.history.count()).toBe(0)
})

test('the demo data is Bellows House with fourteen people, and its hour comes to 58:48', async () => {
  const folder = mkdtempSync(join(tmpdir(), 'zovrin-'))
  const { file, former } = await prepareDemo(folder, clock)
  expect(former).toBeUndefined()
  const demo = await openDatabase(file)
  const people = await peopleStore(demo).list()
  expect(people).toHaveLength(14)
  expect(people[0]?.person.conditions[0]?.askedOn).toBe('2026-02-19')
  const [kept] = await placeStore(demo, clock).list()
  expect(kept?.place.cupboard.map(({ kind, count }) => [kind, count])).toContainEqual(['blanket', 40])
  const list = await request(createApp({ database: demo, hosts: [] })).get('/api/sessions')
  expect(list.body.map(({ name }: { name: string }) => name)).toEqual([
    'Thursday slow hour',
    'Sunday long rest',
    'Twenty minutes before supper',
    'Reed and bellows',
  ])
  await demo.close()
  expect(orThrow(compileTimeline(thursdaySlowHour, shippedCatalog)).totalMs).toBe((58 * 60 + 48) * 1000)
})

test('an older demo database is put aside under its date and made anew; a current one is left alone', async () => {
  const folder = mkdtempSync(join(tmpdir(), 'zovrin-'))
  const { file } = await prepareDemo(folder, clock)
  expect((await prepareDemo(folder, clock)).former).toBeUndefined()
  const old = await openDatabase(file)
  const older = { value: String(seedNumber - 1) }
  await old.inTransaction((transaction) =>
    old.models.notes.update(older, { where: { name: 'demo seed' }, transaction }),
  )
  await old.close()
  // While another Zovrin has it open it is left where it is.
  const letGo = await holdDatabase(file)
  await expect(prepareDemo(folder, clock)).rejects.toThrow(/is open in another Zovrin/)
  await letGo()
  const again = await prepareDemo(folder, clock)
  expect(again.former).toBe(join(folder, 'demo-2026-03-12T180000.sqlite'))
  expect(readdirSync(folder).filter((name) => name.endsWith('.sqlite'))).toHaveLength(2)
})

test('the server listens on the loopback only, moves on from a taken port, and stops cleanly', async () => {
  const blocker = createServer().listen(0, '127.0.0.1')
  await new Promise((listening) => blocker.once('listening', listening))
  const { port } = blocker.address() as AddressInfo
  const config = { ...readConfig({}), port }
  const running = await startServer(config, ':memory:', undefined)
  expect(running.address).toMatch(/^http:\/\/127\.0\.0\.1:\d+\/$/)
  expect(running.address).not.toContain(`:${String(port)}/`)
  expect((await fetch(`${running.address}api/health`)).status).toBe(200)
  await running.stop()
  await expect(fetch(`${running.address}api/health`)).rejects.toThrow()
  await expect(startServer({ ...config, portIsFixed: true }, ':memory:', undefined)).rejects.toThrow(/is taken/)
  await new Promise((closed) => blocker.close(closed))
})

test('a port that is no port is refused in words', () => {
  expect(() => readConfig({ ZOVRIN_PORT: 'http' })).toThrow(/ZOVRIN_PORT is "http"/)
  expect(readConfig({ ZOVRIN_PORT: '5000' })).toMatchObject({ port: 5000, portIsFixed: true })
})

test('the places of the demo are listed with their cupboard; an empty database has none', async () => {
  expect((await app().get('/api/places').expect(200)).body).toEqual([])
  await seedDemo(database, clock)
  const [{ place }] = (await app().get('/api/places')).body
  expect(place).toMatchObject({ name: 'Bellows House', lengthUnit: 'cm' })
  expect(place.cupboard).toContainEqual({ id: 'rect-bolsters', kind: 'rectBolster', count: 9 })
})
