import request from 'supertest'
import type { FormerBreathBlock } from '#model/former-block'
import type { Session } from '#model/session'
import { schools } from '#library/schools'
import { createApp } from '#server/app'
import type { Database } from '#server/db/open'
import { aBreath, aHold, aSession, aTalk } from '#testing/sessions'
import { ownPoseFrom } from '#testing/own-poses'
import { freshDatabase } from '#testing/fresh-database'

const clock = { now: () => new Date('2026-03-12T18:00:00Z') }
let database: Database
beforeEach(async () => {
  database = await freshDatabase()
})
afterEach(() => database.close())

const app = () => request(createApp({ database, hosts: [], clock }))
const makePose = (id: string) =>
  app().put(`/api/own/pose/${id}`).set('If-Match', '"0"').send(ownPoseFrom('deer', { id }))
const putVariant = (poseId: string, based: number) =>
  app()
    .put('/api/own/variant/wide')
    .set('If-Match', `"${String(based)}"`)
    .send({ id: 'wide', poseId, name: 'Wide', grade: 'easier', change: 'the knees wider' })
const save = (session: Session, based: number) =>
  app()
    .put(`/api/sessions/${session.id}`)
    .set('If-Match', `"${String(based)}"`)
    .send(session)
const envelope = (sessions: Session[], own: object = {}) => ({
  format: 'zovrin.session',
  version: 2,
  sessions,
  own: { schema: 3, poses: [], variants: [], techniques: [], schools: [], ...own },
})
const take = (body: object) => app().post('/api/exchange').send(body)
const breath = (details: Partial<FormerBreathBlock>, id = 'breath') => aBreath('even-breath', { ...details, id })

/** Whatever is kept can be saved back as it is. */
async function savesBack(id: string): Promise<void> {
  const read = await app().get(`/api/sessions/${id}`)
  const based = Number(/\d+/.exec(String(read.headers['etag']))?.[0])
  expect([id, (await save(read.body as Session, based)).status]).toEqual([id, 200])
}

describe('what is past the limits', () => {
  const many = { pattern: { in: 1, full: 1, out: 1, empty: 1 }, amount: { sets: 20, roundsPerSet: 500 } }
  const huge = aSession(Array.from({ length: 200 }, (_, at) => breath(many, `b${String(at)}`)))

  test('is refused by every way in, with what is too long and what to do', async () => {
    await app().post('/api/sessions').send(aSession()).expect(201)
    for (const reply of [
      await app()
        .post('/api/sessions')
        .send({ ...huge, id: 'huge' }),
      await save(huge, 1),
      await app().post('/api/sessions/session-1/history').set('If-Match', '"1"').send(huge),
      await take(envelope([{ ...huge, id: 'huge' }])),
      await take({ ...envelope([]), sessions: undefined, blocks: huge.blocks }),
    ]) {
      expect([reply.status, reply.body.code]).toEqual([422, 'DOCUMENT_REFUSED'])
      expect(reply.body.detail).toMatch(/10000 rounds in one block: at most 1200.* And \d+ more\.$/)
      expect(reply.body.refusals.length).toBeLessThanOrEqual(50)
    }
  })

  test('names each field as it is on screen', async () => {
    const slow = breath({ pattern: { in: 8, full: 32, out: 16, empty: 0 }, pace: { num: 4000, den: 1 } })
    const { body } = await app()
      .post('/api/sessions')
      .send(aSession([aTalk(), slow]))
    expect(body.refusals.map(({ sentence }: { sentence: string }) => sentence)).toEqual([
      'Block 2, section 1, breathing out: 32 s, at most 20 s: take fewer counts or a quicker pace.',
      'Block 2, section 1, retention full: 64 s, at most 30 s: take fewer counts or a quicker pace.',
    ])
    const hours = Array.from({ length: 3 }, (_, at) => aTalk(`talk-${String(at)}`, 7200))
    const long = await app().post('/api/sessions').send(aSession(hours))
    expect(long.body.detail).toBe(
      'Blocks come to 6:00:00: a session lasts at most 4:00:00, so shorten or take out some.',
    )
  })

  test('of a kept document of before is still read', async () => {
    await database.inTransaction((transaction) =>
      database.models.sessions.create(
        {
          ...{ id: 'old', name: 'Old', practice: 'breath', lengthS: 3600, version: 4, savedAt: clock.now() },
          ...{ archivedAt: null, deletedAt: null, document: JSON.stringify({ ...huge, id: 'old' }) },
        },
        { transaction },
      ),
    )
    const read = await app().get('/api/sessions/old')
    expect([read.status, read.headers['etag'], read.body.blocks.length]).toEqual([200, '"4"', 200])
  })
})

describe('what is stored can be saved', () => {
  test('also when what it names is taken away in the same moment: one of the two is told', async () => {
    for (let round = 0; round < 12; round += 1) {
      const [pose, id] = [`pose-${String(round)}`, `session-${String(round)}`]
      await makePose(pose).expect(200)
      await app().post('/api/sessions').send(aSession([], { id })).expect(201)
      const [saved, removed] = await Promise.all([
        save(aSession([aHold(pose)], { id }), 1),
        app().delete(`/api/own/pose/${pose}`).set('If-Match', '"1"'),
      ])
      // Whichever was first: the save keeps the pose, or the pose out of sight is still there for the save.
      expect([saved.status, [204, 409].includes(removed.status)]).toEqual([200, true])
      await savesBack(id)
    }
  })

  test('a variant stays with its pose while a session asks for it', async () => {
    await putVariant('deer', 0).expect(200)
    await app()
      .post('/api/sessions')
      .send(aSession([aHold('deer', { variantId: 'wide' })]))
      .expect(201)
    const moved = await putVariant('sphinx', 1)
    expect([moved.status, moved.body.code, moved.body.facts.where]).toEqual([409, 'IN_USE', 'A session'])
    await savesBack('session-1')
    await save(aSession([]), 2).expect(200)
    // A kept version asks for it as well, and can be brought back.
    expect((await putVariant('sphinx', 1)).status).toBe(409)
  })

  test('a breath over a hold that has no counts is refused by import as by saving, and told truly', async () => {
    const over = aSession([aHold('deer', { breathOver: { techniqueId: 'watching-the-breath' } })])
    const posted = await app().post('/api/sessions').send(over)
    const taken = await take(envelope([over]))
    for (const { body } of [posted, taken]) expect(body.detail).toContain('has no counts of its own: give it a pattern')
    expect([posted.status, taken.status]).toEqual([422, 422])
  })

  test('a session too large to be saved back is not taken in', async () => {
    const wordy = Array.from({ length: 60 }, (_, at) => ({ ...aTalk(`t${String(at)}`), text: 'ā'.repeat(10_000) }))
    const { status, body } = await take(envelope([aSession(wordy)]))
    expect([status, body.code, body.path]).toEqual([413, 'BODY_TOO_LARGE', 'sessions[0]'])
  })

  test('own things that name what is nowhere are not taken in', async () => {
    const lost = { id: 'lost', poseId: 'nowhere', name: 'Lost', grade: 'easier', change: 'wider' }
    const { status, body } = await take(envelope([aSession()], { variants: [lost] }))
    expect([status, body.path]).toEqual([422, 'own.poseId'])
    const pose = ownPoseFrom('deer', { id: 'mine', counterposes: ['nowhere'] })
    expect((await take(envelope([aSession()], { poses: [pose] }))).body.path).toBe('own.counterposes[0]')
  })
})

describe('import', () => {
  test('brings back a session that was deleted, from its own file', async () => {
    await app()
      .post('/api/sessions')
      .send(aSession([aTalk()]))
      .expect(201)
    const file = (await app().get('/api/exchange/sessions/session-1')).body as object
    await app().post('/api/sessions/session-1/state').send({ deleted: true }).expect(204)
    expect((await take(file)).body).toMatchObject({ sessions: ['session-1'], alreadyHere: [] })
    await savesBack('session-1')
    expect((await take(file)).body).toMatchObject({ sessions: [], alreadyHere: ['session-1'] })
  })

  test('of hundreds of own things beside hundreds that are there is done at once', async () => {
    const many = (from: number) => ({
      poses: Array.from({ length: 200 }, (_, at) =>
        ownPoseFrom('deer', { id: `p${String(from + at)}`, variants: [] }),
      ).map((pose, at) => ({ ...pose, comingOut: [`Step ${String(from + at)}`] })),
      variants: Array.from({ length: 400 }, (_, at) => ({
        ...{ id: `v${String(from + at)}`, poseId: `p${String(from + (at % 200))}` },
        ...{ name: `Form ${String(from + at)}`, grade: 'easier', change: 'wider' },
      })),
    })
    for (const from of [0, 1000, 2000])
      expect((await take(envelope([aSession([], { id: `s${String(from)}` })], many(from)))).status).toBe(200)
    const again = await take(envelope([aSession([], { id: 's0' })], many(0)))
    expect(again.body).toMatchObject({ own: [], alreadyHere: ['s0'] })
  })

  test('keeps a pose and a school of one id apart, and refuses two sessions of one id', async () => {
    const school = { ...schools.find(({ id }) => id === 'restorative'), id: 'bellows', name: 'Bellows' }
    const both = aSession([aHold('bellows')], { schoolId: 'bellows' })
    const { status, body } = await take(
      envelope([both], { poses: [ownPoseFrom('deer', { id: 'bellows' })], schools: [school] }),
    )
    expect([status, body.sessions]).toEqual([200, ['session-1']])
    await savesBack('session-1')
    const read = (await app().get('/api/sessions/session-1')).body as Session
    const own = (await app().get('/api/own')).body as { kind: string; document: { id: string } }[]
    const [hold] = read.blocks
    expect(own.find(({ kind }) => kind === 'school')?.document.id).toBe(read.schoolId)
    expect(own.find(({ kind }) => kind === 'pose')?.document.id).toBe(hold?.kind === 'hold' ? hold.poseId : '')
    const twice = await take(envelope([aSession([], { id: 'twin' }), aSession([], { id: 'twin', name: 'Other' })]))
    expect([twice.status, twice.body.path]).toEqual([422, 'sessions[1].id'])
    expect(twice.body.detail).toContain('is also that of number 1')
  })

  test('cuts a long name between characters', async () => {
    const name = `${'a'.repeat(108)}\ud83e\udd8c`
    await take(envelope([aSession([], { name })])).expect(200)
    await take(envelope([aSession([aTalk()], { name })])).expect(200)
    const { body } = await app().get('/api/sessions')
    const names = (body as { name: string }[]).map((session) => session.name)
    expect(names.toSorted()).toEqual([`${'a'.repeat(108)} (imported)`, name].toSorted())
  })
})

describe('slips in a document', () => {
  const cue = { id: 'bell', at: { fromStartS: 40 }, text: 'Soften' }
  const twice = aSession([aHold('deer', { cues: [cue, { ...cue, at: { fromStartS: 60 } }] })])

  test('are refused in what is written, by both ways in, with their place', async () => {
    for (const reply of [await app().post('/api/sessions').send(twice), await take(envelope([twice]))]) {
      expect([reply.status, reply.body.code]).toEqual([422, 'DOCUMENT_REFUSED'])
      expect(reply.body.path).toMatch(/blocks\[0\]\.cues\[1\]\.id$/)
      expect(reply.body.detail).toContain('is also that of number 1: give each its own')
    }
    const invisible = await app()
      .post('/api/sessions')
      .send(aSession([], { name: '\u200b\u3164\u200b' }))
    expect([invisible.status, invisible.body.detail]).toEqual([422, 'Name: write something.'])
    const phases = [
      { id: 'a', name: 'Up', length: { s: 60 } },
      { id: 'a', name: 'Down', length: { rest: true } as const },
    ]
    const folded = await app()
      .post('/api/sessions')
      .send(aSession([aHold('deer', { phases })]))
    expect(folded.body.path).toBe('blocks[0].phases[1].id')
  })

  test('in what is kept already are read all the same', async () => {
    const row = { id: 'old', name: 'Old', practice: 'yin', lengthS: 3600, version: 1, savedAt: clock.now() }
    const document = JSON.stringify({ ...twice, id: 'old' })
    await database.inTransaction((transaction) =>
      database.models.sessions.create({ ...row, archivedAt: null, deletedAt: null, document }, { transaction }),
    )
    expect((await app().get('/api/sessions/old')).status).toBe(200)
  })

  test.each(['__proto__', 'constructor', 'toString', 'hasOwnProperty'])('an id %s is refused', async (id) => {
    const { status, body } = await app()
      .post('/api/sessions')
      .send(aSession([aTalk(id)]))
    expect([status, body.path]).toEqual([422, 'blocks[0].id'])
    expect(body.detail).toContain('is a word programs keep for themselves')
  })

  test('a state set aside is based on one that was there', async () => {
    await app().post('/api/sessions').send(aSession()).expect(201)
    const aside = (based: number) =>
      app()
        .post('/api/sessions/session-1/history')
        .set('If-Match', `"${String(based)}"`)
        .send(aSession([], { name: 'Given up' }))
    expect((await aside(999_999_999)).status).toBe(412)
    expect((await aside(1)).status).toBe(204)
  })
})
