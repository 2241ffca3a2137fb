import pino from 'pino'
import request from 'supertest'
import type { ClassDrift } from '#model/class-drift'
import type { LastTaught } from '#core/journal'
import type { JournalChoices, LedClassLine } from '#model/journal'
import type { Series } from '#model/series'
import { createApp } from '#server/app'
import type { Database } from '#server/db/open'
import { seedDemo } from '#server/demo/seed'
import { formerDatabase, freshDatabase } from '#testing/fresh-database'

let database: Database
const now = () => new Date('2026-03-12T17:00:00Z')
const there = () => request(createApp({ database, hosts: [], clock: { now }, logger: pino({ level: 'silent' }) }))
const found = async (query: Record<string, string> = {}) =>
  ((await there().get('/api/led-classes').query(query).expect(200)).body as LedClassLine[]).map(({ id }) => id)

beforeEach(async () => {
  database = await freshDatabase()
  await seedDemo(database, { now })
})
afterEach(async () => {
  await database.close()
})

const thursdays = [1, 2, 3, 4].map((weeks) => `thursday-${String(weeks)}-weeks-ago`)

test('classes are found by words of their name or note, by session, practice and day', async () => {
  const all = await found()
  expect(all).toEqual(expect.arrayContaining([...thursdays, 'breath-week-6']))
  expect(await found({ find: 'slow thursday' })).toEqual(thursdays)
  expect(await found({ find: 'SORE backs' })).toEqual(['thursday-3-weeks-ago'])
  expect(await found({ find: '100%' })).toEqual([])
  expect(await found({ sessionId: 'breath-week-6' })).toEqual(['breath-week-6'])
  expect(await found({ practice: 'breath' })).toEqual(['breath-week-6'])
  const [from, to] = ['2026-02-18T00:00:00.000Z', '2026-02-27T00:00:00.000Z']
  expect(await found({ from, to })).toEqual(['thursday-2-weeks-ago', 'thursday-3-weeks-ago'])
  expect(await found({ from, to, find: 'sore' })).toEqual(['thursday-3-weeks-ago'])
  await there().get('/api/led-classes').query({ practice: 'running' }).expect(422)
})

test('classes are found by their series: led from its base since it began, from a session of its own, or planned for it', async () => {
  const series: Series = {
    ...{ schema: 1, id: 'thursdays', name: 'Thursdays', baseId: 'thursday-slow-hour', weekdays: ['TH'] },
    ...{ firstDay: '2026-02-19', weeks: 8, people: [], guests: 9, growth: [], classes: [] },
  }
  const put = (document: Series, based: number) =>
    there()
      .put('/api/series/thursdays')
      .set('If-Match', `"${String(based)}"`)
      .send(document)
      .expect(200)
  await put(series, 0)
  expect(await found({ seriesId: 'thursdays' })).toEqual(thursdays.slice(0, 3))
  await put({ ...series, firstDay: '2026-03-05', classes: [{ n: 2, sessionId: 'breath-week-6' }] }, 1)
  expect(new Set(await found({ seriesId: 'thursdays' }))).toEqual(new Set(['breath-week-6', thursdays[0]]))
  await put({ ...series, firstDay: '2026-12-03' }, 2)
  const planned = {
    ...{ id: 'first', sessionId: 'thursday-slow-hour', placeId: 'bellows-house', day: '2026-02-12', guests: 0 },
    ...{
      series: { id: 'thursdays', n: 1 },
      people: [],
      forms: [],
      substitutes: [],
      setAside: [],
      ledClassId: thursdays[3],
    },
  }
  await there().put('/api/planned-classes/first').set('If-Match', '"0"').send(planned).expect(200)
  expect(await found({ seriesId: 'thursdays' })).toEqual([thursdays[3]])
  expect(await found({ seriesId: 'nothing' })).toEqual([])
})

test('what there is to choose from is told, each session as it was called last', async () => {
  const { sessions, practices } = (await there().get('/api/led-classes/choices').expect(200)).body as JournalChoices
  expect(sessions).toEqual([
    { id: 'breath-week-6', name: 'Reed and bellows' },
    { id: 'sunday-long-rest', name: 'Sunday long rest' },
    { id: 'thursday-slow-hour', name: 'Thursday slow hour' },
  ])
  expect(practices).toEqual(['breath', 'restorative', 'yin'])
})

test('a class is deleted with a way back; what it taught and when the session was last led go with it', async () => {
  const say = (id: string, deleted: boolean) => there().put(`/api/led-classes/${id}/deleted`).send({ deleted })
  const lastLed = async () =>
    ((await there().get('/api/sessions').expect(200)).body as { id: string; lastLed: string | null }[]).find(
      ({ id }) => id === 'breath-week-6',
    )?.lastLed
  expect(await lastLed()).not.toBeNull()
  await say('breath-week-6', true).expect(204)
  expect(await found()).toEqual([thursdays[0], 'sunday-1-week-ago', ...thursdays.slice(1)])
  expect(await lastLed()).toBeNull()
  await say('breath-week-6', false).expect(204)
  expect(await found()).toContain('breath-week-6')
  await say('nobody', true).expect(404)
})

test('classes of before are found by their practice and place too', async () => {
  await database.close()
  database = await formerDatabase('017.sqlite')
  expect(await found({ practice: 'yin' })).toHaveLength(2)
  expect(await found({ practice: 'breath' })).toEqual([])
})

describe('what drifts', () => {
  const drifts = async (query: Record<string, string> = {}) =>
    (await there().get('/api/led-classes/drifts').query(query).expect(200)).body as ClassDrift[]

  test('is told of the classes that ended and are wished for, the newest first', async () => {
    expect((await drifts({ sessionId: 'thursday-slow-hour' })).map(({ id }) => id)).toEqual(thursdays)
    const [sore] = await drifts({ find: 'sore' })
    expect(sore).toMatchObject({
      id: 'thursday-3-weeks-ago',
      name: 'Thursday slow hour',
      ledS: expect.any(Number) as number,
    })
    // Ended by hand after 148 s of its three minutes.
    expect(sore?.of.find(({ blockId, part }) => blockId === 'sphinx' && part === 'hold')?.tookS).toBe(148)
    await there().put('/api/led-classes/thursday-3-weeks-ago/deleted').send({ deleted: true }).expect(204)
    expect(await drifts({ find: 'sore' })).toEqual([])
    await there().get('/api/led-classes/drifts').query({ practice: 'running' }).expect(422)
  })

  test('each thing of the shelf says when it was led last; a class that is deleted no longer does', async () => {
    const deer = async () =>
      ((await there().get('/api/led-classes/last-taught').expect(200)).body as LastTaught[]).find(
        ({ thing }) => thing === 'deer',
      )
    const all = await drifts({ sessionId: 'thursday-slow-hour' })
    expect(await deer()).toEqual({
      ...{ thing: 'deer', sessionId: 'thursday-slow-hour', name: 'Thursday slow hour' },
      startedAt: all[0]?.startedAt,
    })
    await there().put('/api/led-classes/thursday-1-weeks-ago/deleted').send({ deleted: true }).expect(204)
    expect((await deer())?.startedAt).toBe(all[1]?.startedAt)
  })

  test('classes of before are asked once, and what cannot be read is asked anew', async () => {
    await database.close()
    database = await formerDatabase('019.sqlite')
    const first = await drifts()
    expect(first).toHaveLength(5)
    const { ledClasses } = database.models
    const kept = async () => (await ledClasses.findAll({ raw: true })).flatMap(({ drift }) => drift ?? [])
    expect(await kept()).toHaveLength(5)
    await database.inTransaction((transaction) =>
      ledClasses.update({ drift: 'spoilt' }, { where: { id: 'breath-week-6' }, transaction }),
    )
    expect(await drifts()).toEqual(first)
    expect(await kept()).not.toContain('spoilt')
  })
})
