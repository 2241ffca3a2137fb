import { writeFile } from 'node:fs/promises'
import { Writable } from 'node:stream'
import { pino } from 'pino'
import request from 'supertest'
import { createApp } from '#server/app'
import type { Database } from '#server/db/open'
import { aSession, aTalk } from '#testing/sessions'
import { freshDatabase } from '#testing/fresh-database'

const clock = { now: () => new Date('2026-03-12T18:00:00Z') }
let database: Database

beforeEach(async () => {
  database = await freshDatabase()
})
afterEach(async () => {
  await database.close()
})

const app = (over: Partial<Database> = {}) =>
  request(createApp({ database: { ...database, ...over }, hosts: [], clock }))
const fifty = Array.from({ length: 50 }, (_, index) => index)
const statuses = (replies: readonly { status: number }[]): Record<number, number> =>
  replies.reduce<Record<number, number>>((sum, { status }) => ({ ...sum, [status]: (sum[status] ?? 0) + 1 }), {})

test('fifty windows that save one session: one of them is first, the others are told', async () => {
  await app().post('/api/sessions').send(aSession())
  const replies = await Promise.all(
    fifty.map((index) =>
      app()
        .put('/api/sessions/session-1')
        .set('If-Match', '"1"')
        .send(aSession([], { name: `Window ${String(index)}` })),
    ),
  )
  expect(statuses(replies)).toEqual({ 200: 1, 412: 49 })
  const first = replies.find(({ status }) => status === 200)
  const { body } = await app().get('/api/sessions/session-1')
  expect(body).toEqual(first?.body)
})

test('fifty sessions made, put away and set aside at once are all kept', async () => {
  const id = (index: number) => `session-${String(index)}`
  const made = await Promise.all(
    fifty.map((index) =>
      app()
        .post('/api/sessions')
        .send(aSession([aTalk()], { id: id(index) })),
    ),
  )
  expect(statuses(made)).toEqual({ 201: 50 })
  const acts = await Promise.all(
    fifty.flatMap((index) => [
      app()
        .post(`/api/sessions/${id(index)}/state`)
        .send({ archived: true }),
      app()
        .post(`/api/sessions/${id(index)}/history`)
        .set('If-Match', '"1"')
        .send(aSession([], { id: id(index) })),
      app().get(`/api/sessions/${id(index)}`),
    ]),
  )
  expect(statuses(acts)).toEqual({ 204: 100, 200: 50 })
  const { body } = await app().get('/api/sessions')
  expect(body.filter(({ archived }: { archived: boolean }) => archived)).toHaveLength(50)
})

test('one that fails in the middle keeps nothing and stops none of those behind it', async () => {
  const { models, inTransaction } = database
  const note = (name: string) =>
    inTransaction((transaction) => models.notes.create({ name, value: '' }, { transaction }))
  const results = await Promise.allSettled([
    note('before'),
    inTransaction(async (transaction) => {
      await models.notes.create({ name: 'half', value: '' }, { transaction })
      throw new Error('in the middle')
    }),
    note('after'),
  ])
  expect(results.map(({ status }) => status)).toEqual(['fulfilled', 'rejected', 'fulfilled'])
  expect((await models.notes.findAll()).map(({ name }) => name).toSorted()).toEqual(['after', 'before'])
})

test('a write that goes past the one door is refused', async () => {
  const { models, inTransaction } = database
  const note = { name: 'a', value: '' }
  await expect(models.notes.create(note)).rejects.toThrow('outside inTransaction')
  await inTransaction((transaction) => models.notes.create(note, { transaction }))
  await expect(models.notes.update({ value: 'b' }, { where: {} })).rejects.toThrow('outside inTransaction')
  await expect(models.notes.destroy({ where: {} })).rejects.toThrow('outside inTransaction')
  await expect(models.notes.bulkCreate([note])).rejects.toThrow('outside inTransaction')
})

/** The driver's error for a statement that holds what a teacher wrote. */
function driverError(code: string): Error {
  const original = Object.assign(new Error(`${code}: near "a private purpose"`), { code })
  return Object.assign(new Error(original.message), {
    name: 'SequelizeDatabaseError',
    original,
    sql: "INSERT INTO sessions VALUES ('a private purpose')",
  })
}

describe('what the database cannot do', () => {
  const failing = (code: string) => ({ inTransaction: () => Promise.reject(driverError(code)) })

  test('a full disk is told as what it is, with what to do', async () => {
    const { status, body } = await app(failing('SQLITE_FULL')).post('/api/sessions').send(aSession())
    expect([status, body.code]).toEqual([507, 'DISK_FULL'])
    expect(body.detail).toMatch(/no room left.*make room/)
  })

  test('nor is a file that the disk has no room for told as a fault of ours', async () => {
    // As where a sound or a backup is written: what the system says of a disk that is always full.
    const files = {
      inTransaction: async (): Promise<never> => {
        await writeFile('/dev/full', 'a sound')
        throw new Error('there was room')
      },
    }
    const { status, body } = await app(files).post('/api/sessions').send(aSession())
    expect([status, body.code]).toEqual([507, 'DISK_FULL'])
  })

  test('the log says where it broke, and nothing of what was written', async () => {
    let logged = ''
    const stream = new Writable({
      write(chunk, _encoding, done) {
        logged += String(chunk)
        done()
      },
    })
    const deps = { database: { ...database, ...failing('SQLITE_CORRUPT') }, hosts: [], clock, logger: pino(stream) }
    const { status } = await request(createApp(deps)).post('/api/sessions').send(aSession())
    expect(status).toBe(500)
    expect(logged).toContain('SQLITE_CORRUPT')
    expect(logged).toContain('writes.test.ts')
    expect(logged).not.toMatch(/private purpose|INSERT/)
  })
})
