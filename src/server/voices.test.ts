import request from 'supertest'
import type { Envelope, VoicedEnvelope } from '#model/envelope'
import { voiceLimits } from '#model/limits'
import type { Voice } from '#model/voice'
import { createApp } from '#server/app'
import type { Database } from '#server/db/open'
import { deletedKeptAtLeast } from '#server/features/sessions/store'
import { aHold, aSession } from '#testing/sessions'
import { formerDatabase } from '#testing/fresh-database'

let now = new Date('2026-03-12T18:00:00Z')
let database: Database
const clock = { now: () => now }
/** As the commit before there were recordings wrote it, with one session. */
beforeEach(async () => {
  now = new Date('2026-03-12T18:00:00Z')
  database = await formerDatabase('025.sqlite')
})
afterEach(async () => {
  await database.close()
})
const app = () => request(createApp({ database, hosts: [], clock }))
const heard = Buffer.from('OggS....what is heard of it')

interface Said {
  readonly id?: string
  readonly session?: string
  readonly text?: string
  readonly body?: Buffer
  readonly type?: string
}
const bring = ({
  id = 'one',
  session = 'session-1',
  text = 'Settle in',
  body = heard,
  type = 'audio/mp4',
}: Said = {}) =>
  app()
    .put(`/api/voices/${session}/${id}?${new URLSearchParams({ text, lengthMs: '1800' }).toString()}`)
    .set('Content-Type', type)
    .send(body)
const listed = async (session = 'session-1') =>
  (await app().get(`/api/voices/${session}`).expect(200)).body as readonly Voice[]
const code = async (asked: request.Test, status: number) => ((await asked.expect(status)).body as { code: string }).code
const another = async (id: string) => {
  await app()
    .post('/api/sessions')
    .send(aSession([aHold('deer')], { id, name: `Another, ${id}` }))
    .expect(201)
}

test('a sentence is kept with its session as the file it is, listed, heard and taken away', async () => {
  const voice = { id: 'one', text: 'Settle in', type: 'audio/mp4', bytes: heard.length, lengthMs: 1800 }
  expect((await bring().expect(200)).body).toEqual(voice)
  expect(await listed()).toEqual([voice])
  const whole = await app().get('/api/voices/session-1/one/heard').responseType('blob').expect(200)
  expect([whole.body, whole.headers['content-type'], whole.headers['x-content-type-options']]).toEqual([
    ...[heard, 'audio/mp4', 'nosniff'],
  ])
  await app().delete('/api/voices/session-1/one').expect(204)
  expect(await listed()).toEqual([])
  expect(await code(app().get('/api/voices/session-1/one/heard'), 404)).toBe('UNKNOWN_VOICE')
  expect(await code(app().delete('/api/voices/session-1/one'), 404)).toBe('UNKNOWN_VOICE')
})

test('words that are recorded again stand in place of what was recorded of them', async () => {
  await bring().expect(200)
  await bring({ id: 'two', body: Buffer.from('said again') }).expect(200)
  expect(await listed()).toMatchObject([{ id: 'two', bytes: 10 }])
  await bring({ id: 'three', text: 'Stay soft' }).expect(200)
  expect((await listed()).map(({ id }) => id)).toEqual(['two', 'three'])
})

test('what is no sentence of a session that is here is refused, and nothing of it is kept', async () => {
  expect(await code(bring({ session: 'nowhere' }), 404)).toBe('UNKNOWN_SESSION')
  expect(await code(app().get('/api/voices/nowhere'), 404)).toBe('UNKNOWN_SESSION')
  expect(await code(bring({ type: 'text/html' }), 415)).toBe('WRONG_CONTENT_TYPE')
  expect(await code(bring({ type: 'audio/x-page' }), 415)).toBe('SOUND_NOT_HEARD')
  expect(await code(bring({ body: Buffer.alloc(0) }), 415)).toBe('SOUND_NOT_HEARD')
  expect(await code(bring({ text: ' ' }), 422)).toBe('DOCUMENT_REFUSED')
  expect(await code(bring({ text: 'x'.repeat(301) }), 422)).toBe('DOCUMENT_REFUSED')
  const large = bring({ body: Buffer.alloc(voiceLimits.bytes + 1) })
  expect((await large.expect(413)).body).toMatchObject({ code: 'VOICE_TOO_LARGE', facts: { mostS: 60 } })
  expect(await listed()).toEqual([])
})

test('the recordings of a session take so much together and no more; one in place of another counts once', async () => {
  const body = Buffer.alloc(voiceLimits.bytes)
  const fit = Math.floor(voiceLimits.ofSessionBytes / voiceLimits.bytes)
  for (let at = 0; at < fit; at += 1)
    await bring({ id: `v${String(at)}`, text: `Words ${String(at)}`, body }).expect(200)
  expect(await code(bring({ id: 'more', text: 'And more' }), 413)).toBe('VOICES_FULL')
  await bring({ id: 'anew', text: 'Words 0', body }).expect(200)
  expect(await listed()).toHaveLength(fit)
})

test('what other sessions have of the same words is taken from the newest that is here; what is recorded stays', async () => {
  for (const id of ['older', 'newer', 'gone']) await another(id)
  await bring({ session: 'older', id: 'o', body: Buffer.from('older') }).expect(200)
  now = new Date('2026-03-13T18:00:00Z')
  await bring({ session: 'newer', id: 'n', body: Buffer.from('newer') }).expect(200)
  await bring({ session: 'newer', id: 'p', text: 'Stay soft' }).expect(200)
  now = new Date('2026-03-14T18:00:00Z')
  await bring({ session: 'gone', id: 'g', body: Buffer.from('gone') }).expect(200)
  await app().post('/api/sessions/gone/state').send({ deleted: true }).expect(204)
  await bring({ id: 'mine', text: 'Stay soft', body: Buffer.from('mine') }).expect(200)
  const texts = ['Settle in', 'Stay soft', 'Nobody said this']
  const taken = (await app().post('/api/voices/session-1/taken').send({ texts }).expect(200)).body as readonly Voice[]
  expect(taken.map(({ text }) => text)).toEqual(['Settle in', 'Stay soft'])
  const [settle, stay] = taken
  const heardOf = async (id = '') =>
    String((await app().get(`/api/voices/session-1/${id}/heard`).responseType('blob').expect(200)).body)
  expect([await heardOf(settle?.id), await heardOf(stay?.id)]).toEqual(['newer', 'mine'])
  expect(await listed('newer')).toHaveLength(2)
})

test('they come back with a deleted session, and go when that goes for good', async () => {
  await bring().expect(200)
  const state = (deleted: boolean, id = 'session-1') =>
    app().post(`/api/sessions/${id}/state`).send({ deleted }).expect(204)
  await state(true)
  await app().get('/api/voices/session-1').expect(404)
  await state(false)
  expect(await listed()).toHaveLength(1)
  await state(true)
  now = new Date('2027-03-12T18:00:00Z')
  const { sessions } = database.models
  const gone = (await sessions.findByPk('session-1', { rejectOnEmpty: true })).get()
  const more = Array.from({ length: deletedKeptAtLeast }, (_, at) => ({
    ...gone,
    id: `s${String(at)}`,
    deletedAt: now,
  }))
  await database.inTransaction((transaction) => sessions.bulkCreate(more, { transaction }))
  await another('last')
  await state(true, 'last')
  expect(await database.models.sessions.findByPk('session-1')).toBeNull()
  expect(await database.models.voices.count()).toBe(0)
})

describe('in a file of the session', () => {
  const exported = async (query = '') =>
    (await app().get(`/api/exchange/sessions/session-1${query}`).expect(200)).body as VoicedEnvelope | Envelope

  test('they go out when they are asked for, and come back word for word with the session', async () => {
    await bring().expect(200)
    expect(await exported()).not.toHaveProperty('voices')
    const file = await exported('?voice')
    expect(file).toMatchObject({
      version: 3,
      voices: [{ sessionId: 'session-1', text: 'Settle in', heard: heard.toString('base64') }],
    })
    await app().delete('/api/voices/session-1/one').expect(204)
    await app().post('/api/exchange').send(file).expect(200)
    expect(await listed()).toMatchObject([{ text: 'Settle in', bytes: heard.length, lengthMs: 1800 }])
    // What was recorded since stays.
    await bring({ id: 'since', body: Buffer.from('since') }).expect(200)
    await app().post('/api/exchange').send(file).expect(200)
    expect(await listed()).toMatchObject([{ id: 'since' }])
  })

  test('with a session that is here otherwise they come to its copy', async () => {
    await bring().expect(200)
    const file = await exported('?voice')
    const [session] = file.sessions ?? []
    const changed = { ...file, sessions: [{ ...session, name: 'Otherwise' }] }
    const { sessions } = (await app().post('/api/exchange').send(changed).expect(200)).body as { sessions: string[] }
    expect(sessions).toHaveLength(1)
    expect(await listed(sessions[0])).toMatchObject([{ text: 'Settle in' }])
    expect(await listed()).toMatchObject([{ id: 'one' }])
  })

  test('without any, a file is as it was; of a session that is not in it, or no sound at all, it is refused whole', async () => {
    expect(await exported('?voice')).toMatchObject({ version: 2 })
    await bring().expect(200)
    const file = (await exported('?voice')) as VoicedEnvelope
    await app().delete('/api/voices/session-1/one').expect(204)
    const [voice] = file.voices
    const take = (change: object) =>
      app()
        .post('/api/exchange')
        .send({ ...file, voices: [{ ...voice, ...change }] })
    expect(await code(take({ sessionId: 'elsewhere' }), 422)).toBe('UNKNOWN_REFERENCE')
    expect(await code(take({ heard: 'not base64!' }), 422)).toBe('DOCUMENT_REFUSED')
    expect(await code(take({ type: 'text/html' }), 422)).toBe('DOCUMENT_REFUSED')
    expect(await code(take({ lengthMs: 600_000 }), 422)).toBe('DOCUMENT_REFUSED')
    expect(
      await code(
        app()
          .post('/api/exchange')
          .send({ ...file, version: 4 }),
        409,
      ),
    ).toBe('SCHEMA_NEWER')
    expect(await listed()).toEqual([])
  })
})
