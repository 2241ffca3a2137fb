import request from 'supertest'
import type { KeptPerson, Person } from '#model/person'
import type { KeptPlannedClass, PlannedClass } from '#model/planned-class'
import { createApp } from '#server/app'
import { bellowsHouse } from '#server/demo/bellows-house'
import { peopleKeptMigration } from '#server/db/migrations/014-people-kept'
import type { Database } from '#server/db/open'
import { ownedBy } from '#server/db/owned'
import { demoClasses } from '#server/demo/led-classes'
import { ledClassStore } from '#server/features/led-classes/store'
import { peopleStore } from '#server/features/people/store'
import { placeStore } from '#server/features/places/store'
import { plannedClassStore } from '#server/features/planned-classes/store'
import { sessionStore } from '#server/features/sessions/store'
import { aSession, aTalk } from '#testing/sessions'
import { formerDatabase, freshDatabase } from '#testing/fresh-database'

const clock = { now: () => new Date(2026, 10, 29, 12) }
let database: Database
beforeEach(async () => {
  database = await freshDatabase()
})
afterEach(async () => {
  await database.close()
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

describe('what somebody tells', () => {
  const of = (ownerId: string) => peopleStore(ownedBy(database, ownerId))
  const seen = async (ownerId: string) => (await of(ownerId).list())[0]
  const knee = { id: 'knee', severe: 'yes', askedOn: '2026-11-20' } as const

  test('is seen by the teacher who was told; the rest of the page by all', async () => {
    await of('kaia').put({ ...ilka, note: 'Sings', statureMm: 1700 }, 0)
    expect(await seen('noor')).toEqual({
      version: 1,
      person: { id: ilka.id, name: ilka.name, level: 'regular', statureMm: 1700, conditions: [], consents: [] },
    })
    expect((await seen('kaia'))?.person).toMatchObject({
      conditions: ilka.conditions,
      note: 'Sings',
      inCase: ilka.inCase,
    })
  })

  test('to one teacher stays beside what they told another, whoever changes the page', async () => {
    await of('kaia').put(ilka, 0)
    const page = await seen('noor')
    if (!page) throw new Error('she is there')
    await of('noor').put({ ...page.person, level: 'experienced', conditions: [knee], note: 'Told Noor' }, 1)
    expect((await seen('kaia'))?.person).toEqual({ ...ilka, level: 'experienced' })
    expect((await seen('noor'))?.person).toMatchObject({ conditions: [knee], note: 'Told Noor', level: 'experienced' })
    await of('kaia').put({ ...ilka, level: 'new' }, 2)
    expect((await seen('noor'))?.person).toMatchObject({ conditions: [knee], note: 'Told Noor', level: 'new' })
    expect((await seen('ole'))?.person).toMatchObject({ conditions: [], level: 'new' })
  })

  test('is known to colleagues from the day the person lets them, and no longer than that', async () => {
    const back = { id: 'si_pain', severe: 'no', askedOn: '2026-11-02' } as const
    await of('kaia').put({ ...ilka, conditions: [back], note: 'Sings', othersMayKnowSince: '2026-11-20' }, 0)
    const page = await seen('noor')
    expect(page?.person).toMatchObject({ conditions: [back], inCase: ilka.inCase })
    // What a teacher wrote of somebody is the teacher's.
    expect(page?.person.note).toBeUndefined()
    if (!page) throw new Error('she is there')
    // Sent back with something of Noor's own: what is Kaia's stays Kaia's.
    await of('noor').put({ ...page.person, conditions: [...page.person.conditions, knee] }, 1)
    expect((await seen('noor'))?.person.conditions).toEqual([knee, back])
    expect((await seen('kaia'))?.person.conditions).toEqual([back])
    await of('kaia').put({ ...ilka, conditions: [back] }, 2)
    expect((await seen('noor'))?.person).toMatchObject({ conditions: [knee] })
    expect((await seen('noor'))?.person.inCase).toBeUndefined()
  })

  test('goes with the person, to whomever it was told', async () => {
    await of('kaia').put(ilka, 0)
    const page = await seen('noor')
    if (page) await of('noor').put({ ...page.person, note: 'Told Noor' }, 1)
    expect(await database.models.peopleTold.count()).toBe(1)
    await of('kaia').remove(ilka.id, 2)
    expect(await database.models.peopleTold.count()).toBe(0)
    expect(await seen('noor')).toBeUndefined()
  })
})

describe('people of before they could be changed', () => {
  const opened = async () => {
    return formerDatabase('013.sqlite')
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
