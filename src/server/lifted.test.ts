import request from 'supertest'
import type { BreathBlock } from '#model/block'
import type { LedClass } from '#model/led-class'
import type { Session } from '#model/session'
import { orThrow } from '#core/result'
import { compileTimeline } from '#core/timeline'
import { shippedCatalog } from '#library/shipped'
import { createApp } from '#server/app'
import type { Database } from '#server/db/open'
import { formerDatabase } from '#testing/fresh-database'

/** A database as the commit before breath work had sections wrote it: every document in it is of schema 1. */
let database: Database
beforeEach(async () => {
  database = await formerDatabase('009.sqlite')
})
afterEach(async () => {
  await database.close()
})

const app = () => request(createApp({ database, hosts: [], clock: { now: () => new Date('2026-03-13T18:00:00Z') } }))
const breathIn = ({ blocks }: Pick<Session, 'blocks'>, id: string): BreathBlock => {
  const block = blocks.find((one) => one.id === id)
  if (block?.kind !== 'breath') throw new Error(`${id} is no breath block`)
  return block
}

/** Since then the props of a hold are counted in its change: what Deer takes is brought by hand, s. */
const broughtS = 12
/** From when to when each block went, as the commit before compiled them, s. */
const before = {
  even: [0, 249],
  watch: [249, 414],
  fill: [414, 739],
  nostrils: [739, 921],
  plain: [921, 1161],
  deer: [1161, 1444 + broughtS],
}

test('a session opens as the sections it meant, and every block begins and ends when it did', async () => {
  const { body } = await app().get('/api/sessions/reed-and-bellows').expect(200)
  const session = body as Session
  expect(session.schema).toBe(2)
  const spans = orThrow(compileTimeline(session, shippedCatalog)).blocks
  expect(
    Object.fromEntries(spans.map(({ block, startMs, endMs }) => [block.block.id, [startMs / 1000, endMs / 1000]])),
  ).toEqual(before)
  expect(breathIn(session, 'even')).toMatchObject({
    priority: 'must',
    note: 'slowly',
    times: { setUpS: 15 },
    sections: [
      { kind: 'natural', s: 20 },
      { kind: 'rounds', amount: { sets: 2, roundsPerSet: 9 }, restS: 40, countedRounds: 3 },
      { kind: 'natural', s: 30 },
    ],
  })
  expect(breathIn(session, 'nostrils').sections).toMatchObject([
    { kind: 'rounds', nostrils: 'alternate', amount: { sets: 2, roundsPerSet: 3 } },
    { kind: 'natural', breaths: 2 },
  ])
})

test('it is saved back as it was read, and its kept version opens too', async () => {
  const { body, headers } = await app().get('/api/sessions/reed-and-bellows')
  await app()
    .put('/api/sessions/reed-and-bellows')
    .set('If-Match', String(headers['etag']))
    .send(body as object)
    .expect(200)
  const kept = (await app().get('/api/sessions/reed-and-bellows/history')).body as { id: number }[]
  for (const { id } of kept) {
    const { body: version } = await app()
      .get(`/api/sessions/reed-and-bellows/history/${String(id)}`)
      .expect(200)
    expect(breathIn(version as Session, 'even').sections).toHaveLength(3)
  }
  expect(kept.length).toBeGreaterThan(0)
})

test('a window of the version before may still save what it has', async () => {
  const row = await database.models.sessions.findByPk('reed-and-bellows')
  const former: unknown = JSON.parse(row?.document ?? '')
  expect(former).toMatchObject({ schema: 1 })
  const saved = await app()
    .put('/api/sessions/reed-and-bellows')
    .set('If-Match', '"2"')
    .send(former as object)
    .expect(200)
  expect(saved.body).toMatchObject({ schema: 2 })
})

test('a piece is put in as sections', async () => {
  const own = (await app().get('/api/own')).body as { kind: string; document: Pick<Session, 'blocks'> }[]
  const piece = own.find(({ kind }) => kind === 'piece')
  expect(piece && breathIn(piece.document, 'even').sections).toHaveLength(3)
})

test('a led class is shown as it was led, with the counts it had, and is not rewritten', async () => {
  const written = (await database.models.ledClasses.findByPk('led'))?.document
  const led = (await app().get('/api/led-classes/led').expect(200)).body as LedClass & { format: 2 }
  expect(breathIn(led.document, 'even').sections).toHaveLength(3)
  const counted = led.plan.segments.filter(({ doing }) => doing.kind === 'breath' && doing.part === 'counted')
  expect(counted.map(({ lengthMs }) => lengthMs / 1000)).toEqual([72, 72, 75.9, 75.9, 50.6, 56, 56, 240])
  expect(counted[2]?.doing).toMatchObject({
    rounds: 6,
    over: 1,
    parts: [
      { part: 'in', ticks: 8 },
      { part: 'full', ticks: 2 },
      { part: 'out', ticks: 13 },
    ],
  })
  expect((await database.models.ledClasses.findByPk('led'))?.document).toBe(written)
  expect(written).toContain('"schema":1')
})
