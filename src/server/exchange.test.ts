import request from 'supertest'
import { envelopeFormat, envelopeVersion } from '#model/envelope'
import type { Envelope } from '#model/envelope'
import { poses } from '#library/poses'
import { createApp } from '#server/app'
import { seedDemo } from '#server/demo/seed'
import type { Database } from '#server/db/open'
import { aHold, aSession, aTalk } from '#testing/sessions'
import { ownPoseFrom } from '#testing/own-poses'
import { freshDatabase } from '#testing/fresh-database'

let database: Database
const clock = { now: () => new Date('2026-03-12T18:00:00Z') }
beforeEach(async () => {
  database = await freshDatabase()
})
afterEach(() => database.close())

const app = () => request(createApp({ database, hosts: [], clock }))
const setState = (id: string, state: object) => app().post(`/api/sessions/${id}/state`).send(state)
const listed = async () =>
  (await app().get('/api/sessions')).body as {
    id: string
    archived: boolean
    template: boolean
    lastLed: string | null
  }[]
const mine = ownPoseFrom('deer', { id: 'mine' })
const envelope = (change: object = {}): object => ({
  format: envelopeFormat,
  version: envelopeVersion,
  sessions: [aSession([aTalk(), aHold('mine')])],
  own: { schema: 5, poses: [mine], variants: [], setUps: [], techniques: [], schools: [] },
  ...change,
})

test('a session goes out with its own things, comes into another Zovrin, and goes out the same', async () => {
  expect((await app().post('/api/exchange').send(envelope())).body).toMatchObject({
    sessions: ['session-1'],
    alreadyHere: [],
    own: [{ kind: 'pose' }],
  })
  const out = (await app().get('/api/exchange/sessions/session-1')).body as Envelope
  expect(out).toEqual(JSON.parse(JSON.stringify(envelope())))
  expect((await app().post('/api/exchange').send(out)).body).toMatchObject({
    sessions: [],
    alreadyHere: ['session-1'],
    own: [],
  })
})

test('copied blocks come back ready to be put in, with what they stand on', async () => {
  const sent = envelope({ sessions: undefined, blocks: [aHold('mine')] })
  expect((await app().post('/api/exchange').send(sent)).body).toMatchObject({
    blocks: [aHold('mine')],
    own: [{ kind: 'pose' }],
  })
})

test('a hand-made file is refused with every mistake, path and mend, and nothing of it is kept', async () => {
  const bad = envelope({
    sessions: [
      aSession([aTalk('a', 2), { ...aHold('deer'), hold: { holdS: 4 } }], { lengthS: 10 }),
      { ...aSession(), practice: 'hot' },
    ],
  })
  const refused = await app().post('/api/exchange').send(bad)
  expect(refused.status).toBe(422)
  expect((refused.body.refusals as { path: string }[]).map(({ path }) => path)).toEqual([
    'sessions[0].lengthS',
    'sessions[0].blocks[0].s',
    'sessions[0].blocks[1].hold.holdS',
    'sessions[1].practice',
  ])
  const unknown = await app()
    .post('/api/exchange')
    .send(
      envelope({
        sessions: [aSession([aHold('nowhere'), aHold('deer', { id: 'b', variantId: 'none' })], { schoolId: 'nobody' })],
      }),
    )
  expect((unknown.body.refusals as { path: string }[]).map(({ path }) => path)).toEqual([
    'sessions[0].schoolId',
    'sessions[0].blocks[0].poseId',
    'sessions[0].blocks[1].variantId',
  ])
  expect(await listed()).toEqual([])
  expect((await app().get('/api/own')).body).toEqual([])
})

test.each([
  [{ version: 4 }, 409],
  [{ sessions: undefined }, 422],
  [{ blocks: [aTalk()] }, 422],
])('an envelope with %j is refused', async (change, status) => {
  expect((await app().post('/api/exchange').send(envelope(change))).status).toBe(status)
})

test.each([{}, [], [1], { format: 'something' }, { id: 'mine', schema: 2, blocks: [] }])(
  'a file that is none of sessions, as %j, is told to be one',
  async (other) => {
    const { status, body } = await app().post('/api/exchange').send(other)
    expect([status, body.code, body.path]).toEqual([422, 'NOT_SESSIONS', 'format'])
    expect(body.detail).toContain('No sessions are in this file: choose one that Zovrin saved')
    expect(await listed()).toEqual([])
  },
)

test('sessions are put away, made templates, deleted and brought back, and say when they were led last', async () => {
  await seedDemo(database, clock)
  const state = async (id: string) => (await listed()).find((line) => line.id === id)
  expect((await state('thursday-slow-hour'))?.lastLed).toMatch(/^2026-03-05/)
  expect((await setState('thursday-slow-hour', { archived: true, template: true })).status).toBe(204)
  expect(await state('thursday-slow-hour')).toMatchObject({ archived: true, template: true })
  await setState('thursday-slow-hour', { archived: false })
  // A class to come is planned with it.
  expect((await setState('thursday-slow-hour', { deleted: true })).status).toBe(409)
  await app().delete('/api/planned-classes/next-thursday').set('If-Match', '"1"').expect(204)
  await setState('thursday-slow-hour', { deleted: true })
  expect(await state('thursday-slow-hour')).toBeUndefined()
  expect((await app().get('/api/sessions/thursday-slow-hour')).status).toBe(404)
  expect((await setState('thursday-slow-hour', { archived: true })).status).toBe(404)
  expect((await setState('thursday-slow-hour', { deleted: false })).status).toBe(204)
  expect(await state('thursday-slow-hour')).toMatchObject({ archived: false, template: true })
  expect((await setState('nobody', { archived: true })).status).toBe(404)
  expect((await setState('thursday-slow-hour', { colour: 'red' })).status).toBe(422)
})

test('one own pose that is twice in a file comes in once; two of one id that differ come in as two', async () => {
  const own = (list: object[]) => ({ schema: 3, poses: list, variants: [], techniques: [], schools: [] })
  const twice = await app()
    .post('/api/exchange')
    .send(envelope({ own: own([mine, mine]) }))
  expect([twice.status, twice.body.own]).toEqual([200, [{ kind: 'pose' }]])
  const other = { ...mine, energyLines: [] }
  const two = await app()
    .post('/api/exchange')
    .send(envelope({ own: own([other, { ...other, mistakes: ['Hurried'] }]) }))
  expect([two.status, two.body.own]).toEqual([200, [{ kind: 'pose' }, { kind: 'pose' }]])
})

test('a file of the first edition comes in as it is written today', async () => {
  const wall = poses.find(({ id }) => id === 'legs-up-the-wall')
  const comingOut = ['Bend the knees', 'roll to one side, or the side you prefer']
  const former = { poses: [{ ...wall, id: 'mine', comingOut }], variants: [], techniques: [], schools: [] }
  const even = { kind: 'breath', id: 'even', techniqueId: 'even-breath', naturalBeforeS: 20 }
  const sessions = [{ ...aSession([aHold('mine')]), schema: 1, blocks: [even, aHold('mine')] }]
  await app()
    .post('/api/exchange')
    .send(envelope({ version: 1, sessions, own: former }))
    .expect(200)
  expect((await app().get('/api/sessions/session-1')).body).toMatchObject({
    schema: 2,
    blocks: [{ kind: 'breath', sections: [{ kind: 'natural', s: 20 }, { kind: 'rounds' }] }, { poseId: 'mine' }],
  })
  const copied = await app()
    .post('/api/exchange')
    .send(envelope({ version: 1, sessions: undefined, blocks: [even], own: former }))
  expect(copied.body).toMatchObject({ blocks: [{ sections: [{ kind: 'natural' }, { techniqueId: 'even-breath' }] }] })
  const [kept] = (await app().get('/api/own')).body as { document: { comingOut: string[] } }[]
  expect(kept?.document.comingOut).toEqual(['Bend the knees', '{roll}'])
})

test('a breath without counts over a hold is said to be that, not to be off the shelf', async () => {
  const document = aSession([aHold('sphinx', { breathOver: { techniqueId: 'watching-the-breath' } })])
  const refused = await app().post('/api/sessions').send(document)
  expect([refused.status, refused.body.code, refused.body.path]).toEqual([
    422,
    'TECHNIQUE_NOT_COUNTED',
    'blocks[0].breathOver.techniqueId',
  ])
  expect(refused.body.detail).toContain('has no counts of its own')
})
