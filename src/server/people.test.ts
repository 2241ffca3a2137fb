import { copyFileSync, mkdtempSync, readFileSync, readdirSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import request from 'supertest'
import type { KeptPerson, Person } from '#model/person'
import type { KeptPlannedClass, PlannedClass } from '#model/planned-class'
import { createApp } from '#server/app'
import { bellowsHouse } from '#server/demo/bellows-house'
import { peopleKeptMigration } from '#server/db/migrations/014-people-kept'
import { openDatabase } from '#server/db/open'
import type { Database } from '#server/db/open'
import { demoClasses } from '#server/demo/led-classes'
import { ledClassStore } from '#server/features/led-classes/store'
import { peopleStore } from '#server/features/people/store'
import { placeStore } from '#server/features/places/store'
import { plannedClassStore } from '#server/features/planned-classes/store'
import { sessionStore } from '#server/features/sessions/store'
import { aSession, aTalk } from '#testing/sessions'
import { freshDatabase } from '#testing/fresh-database'

const clock = { now: () => new Date(2026, 10, 29, 12) }
let folder: string
let database: Database
beforeEach(async () => {
  folder = mkdtempSync(join(tmpdir(), 'zovrin-people-'))
  database = await freshDatabase(join(folder, 'a.sqlite'))
})
afterEach(async () => {
  await database.close()
  rmSync(folder, { recursive: true, force: true })
})

const app = () => request(createApp({ database, hosts: [], clock }))
const ilka: Person = {
  ...{ id: 'k3Qw81', name: 'Ilka Morgenroth', level: 'regular', consents: [], inCase: 'Anders Morgenroth' },
  conditions: [{ id: 'knee', severe: 'no', side: 'left', askedOn: '2026-11-01' }],
}
const put = (kind: string, id: string, document: object, based = 0) =>
  app()
    .put(`/api/${kind}/${id}`)
    .set('If-Match', `"${String(based)}"`)
    .send(document)
const remove = (based: number) =>
  app()
    .delete(`/api/people/${ilka.id}`)
    .set('If-Match', `"${String(based)}"`)
const people = async () => (await app().get('/api/people').expect(200)).body as KeptPerson[]
const planned = async () => (await app().get('/api/planned-classes').expect(200)).body as KeptPlannedClass[]

/** A class that Ilka comes to, with a form and a substitute of theirs. */
const thursday = (by: Partial<PlannedClass> = {}): PlannedClass => ({
  ...{ id: 'thursday', sessionId: 'session-1', placeId: bellowsHouse.id, day: '2026-12-03' },
  people: [{ personId: ilka.id, notToday: ['fever'] }],
  guests: 1,
  forms: [
    {
      ...{
        personId: ilka.id,
        blockId: 'deer',
        poseId: 'deer',
        takes: { kind: 'variant', variantId: 'front-leg-long' },
      },
      ...{ by: 'teacher', at: '2026-11-29T11:00:00.000Z', why: 'the knee' },
    },
  ],
  setUps: [{ blockId: 'deer', who: [ilka.id, 'guest-1'], from: [], items: [] }],
  substitutes: [
    { blockId: 'deer', who: [ilka.id], way: 'none', replaced: [], from: [], items: [] },
    { blockId: 'fold', who: [ilka.id, 'guest-1'], way: 'none', replaced: [], from: [], items: [] },
  ],
  setAside: [],
  ...by,
})
async function planThursday(): Promise<void> {
  await sessionStore(database, clock).create(aSession([]))
  await placeStore(database, clock).put(bellowsHouse, 0)
  await put('people', ilka.id, ilka).expect(200)
  await put('planned-classes', 'thursday', thursday()).expect(200)
}

test('somebody needs nothing but a name; they are changed over their version', async () => {
  await put('people', 'x1', { id: 'x1', name: 'Ole', conditions: [], consents: [] }).expect(200)
  await put('people', ilka.id, ilka).expect(200)
  expect((await people()).map(({ person }) => person.name)).toEqual(['Ilka Morgenroth', 'Ole'])
  expect((await put('people', ilka.id, { ...ilka, touch: 'ask' }, 1).expect(200)).headers['etag']).toBe('"2"')
  expect((await people())[0]).toEqual({ person: { ...ilka, touch: 'ask' }, version: 2 })
  expect((await put('people', ilka.id, ilka, 1)).body).toMatchObject({ code: 'VERSION_STALE' })
})

test('a refusal names the field and never what was told', async () => {
  const wrong = { ...ilka, statureMm: 12, conditions: [{ ...ilka.conditions[0], askedOn: 'knee since spring' }] }
  const { body, status } = await put('people', ilka.id, wrong)
  expect(status).toBe(422)
  expect((body as { refusals: { path: string }[] }).refusals.map(({ path }) => path).sort()).toEqual([
    'conditions[0].askedOn',
    'statureMm',
  ])
  expect(JSON.stringify(body)).not.toMatch(/Ilka|Morgenroth|spring/)
})

test('whoever is deleted is gone from every planned class, and nothing of them is left in any file', async () => {
  await planThursday()
  await put('people', ilka.id, { ...ilka, note: 'Sings in the Vesterby choir' }, 1).expect(200)
  expect((await remove(1)).body).toMatchObject({ code: 'VERSION_STALE' })
  await remove(2).expect(204)
  expect(await people()).toEqual([])
  const [kept] = await planned()
  expect(kept?.version).toBe(2)
  expect(kept?.planned).toEqual(
    thursday({
      ...{ people: [], forms: [], setUps: [{ blockId: 'deer', who: ['guest-1'], from: [], items: [] }] },
      substitutes: [{ blockId: 'fold', who: ['guest-1'], way: 'none', replaced: [], from: [], items: [] }],
    }),
  )
  const left = readdirSync(folder).filter((file) => {
    const bytes = readFileSync(join(folder, file)).toString('latin1')
    return /Morgenroth|Vesterby/.test(bytes) || bytes.includes(ilka.id)
  })
  expect(left).toEqual([])
  expect((await remove(3)).body).toMatchObject({ code: 'UNKNOWN_PERSON' })
})

test('before somebody is deleted it is told where else a teacher typed their name', async () => {
  await put('people', ilka.id, ilka).expect(200)
  await put('people', 'x1', { id: 'x1', name: 'Ole Brandt', conditions: [], consents: [] }).expect(200)
  const [led] = demoClasses(clock.now())
  if (!led) throw new Error('the demo has classes')
  const sessions = sessionStore(database, clock)
  await sessions.create({ ...aSession([]), id: 'told', name: 'For Ilka' })
  await sessions.create({ ...aSession([{ ...aTalk(), text: 'Morgenroth’s hips' }]), id: 'in-a-talk', name: 'Hips' })
  await sessions.create({ ...aSession([]), id: 'other', name: 'Ilkaland' })
  const records = ledClassStore(database)
  await records.begin(led.start)
  await records.end(led.start.id, { ...led.end, note: 'Ilka slept.' })
  const mentions = async (id: string) => (await app().get(`/api/people/${id}/mentions`).expect(200)).body as unknown
  expect(await mentions(ilka.id)).toEqual([
    { kind: 'session', id: 'told', name: 'For Ilka' },
    { kind: 'session', id: 'in-a-talk', name: 'Hips' },
    { kind: 'note', id: led.start.id, name: led.start.document.name, startedAt: led.start.startedAt },
  ])
  expect(await mentions('x1')).toEqual([])
  expect((await app().get('/api/people/nobody/mentions')).body).toMatchObject({ code: 'UNKNOWN_PERSON' })
})

test('a class is planned only with people who are there', async () => {
  await planThursday()
  const reply = await put('planned-classes', 'other', { ...thursday(), id: 'other', people: [{ personId: 'nobody' }] })
  expect(reply.body).toMatchObject({ code: 'UNKNOWN_PERSON' })
})

test('marks of the day go when the class was led, and when its day is over', async () => {
  await planThursday()
  expect((await planned())[0]?.planned.people).toEqual([{ personId: ilka.id, notToday: ['fever'] }])
  await put('planned-classes', 'led', { ...thursday(), id: 'led', ledClassId: 'record' }).expect(200)
  const marks = async (id: string, at: Date) =>
    (await plannedClassStore(database, { now: () => at }).list()).find((kept) => kept.planned.id === id)?.planned.people
  expect(await marks('led', clock.now())).toEqual([{ personId: ilka.id }])
  expect(await marks('thursday', new Date(2026, 11, 3, 22))).toEqual([{ personId: ilka.id, notToday: ['fever'] }])
  expect(await marks('thursday', new Date(2026, 11, 4, 1))).toEqual([{ personId: ilka.id }])
})

describe('people of before they could be changed', () => {
  const opened = async () => {
    const file = join(folder, '013.sqlite')
    copyFileSync(join(import.meta.dirname, 'db', 'fixtures', '013.sqlite'), file)
    return openDatabase(file)
  }

  test('are there, and what one takes is said by kind', async () => {
    const former = await opened()
    const kept = await peopleStore(former).list()
    const classes = await plannedClassStore(former, clock).list()
    await former.close()
    expect(kept.map(({ person, version }) => [person.name, person.level, person.statureMm, version])).toEqual([
      ['Ansgar Tiel', 'regular', 1840, 1],
      ['Berit Oosterlo', 'experienced', 1680, 1],
    ])
    expect(classes[0]?.planned.forms).toMatchObject([
      { poseId: 'deer', takes: { kind: 'variant', variantId: 'front-leg-long' }, by: 'teacher', why: 'the knee' },
    ])
    expect(classes[0]?.planned.people).toHaveLength(2)
  })

  test('can be read by what was before when the change is taken back', async () => {
    const former = await opened()
    const query = former.sequelize.getQueryInterface()
    await peopleKeptMigration.down(query)
    const [person] = (await query.select(null, 'people', {})) as { level: string; statureMm: number }[]
    const [row] = (await query.select(null, 'classPlans', {})) as { document: string }[]
    await former.close()
    expect(person).toMatchObject({ level: 'regular', statureMm: 1840 })
    expect(JSON.parse(row?.document ?? '')).toMatchObject({ forms: [{ form: 'front-leg-long' }] })
  })
})
