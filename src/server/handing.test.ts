import type { FormOfPerson, KeptPlannedClass, PlannedClass } from '#model/planned-class'
import type { LedClassLine } from '#model/journal'
import type { LedClass } from '#model/led-class'
import type { Session } from '#model/session'
import type { Database } from '#server/db/open'
import { bellowsHouse, bellowsPeople } from '#server/demo/bellows-house'
import { formerDatabase, freshDatabase } from '#testing/fresh-database'
import { aClassToSend } from '#testing/led-classes'
import { aHold, aSession } from '#testing/sessions'
import { joined, studio } from '#testing/teachers'
import type { Agent, Studio } from '#testing/teachers'

const clock = { now: () => new Date('2026-03-12T10:00:00Z') }
const [imke] = bellowsPeople(clock.now())
const slow = aSession([aHold('deer', { id: 'deer', times: { changeS: 0, setUpS: 20 } })], {
  id: 'slow',
  name: 'Slow hour',
})
const taken: FormOfPerson = {
  ...{ personId: imke?.id ?? '', blockId: 'deer', poseId: 'deer', by: 'teacher', at: '2026-03-11T08:00:00Z' },
  takes: { kind: 'changed' },
}
const evening: PlannedClass = {
  ...{ id: 'evening', sessionId: 'slow', placeId: bellowsHouse.id, day: '2026-03-12', startsAt: '17:30' },
  people: [{ personId: imke?.id ?? '', notToday: ['the knee since Monday'] }],
  ...{ guests: 2, fetching: 'before', setAside: [], substitutes: [] },
  forms: [{ ...taken, why: 'the knee, as she told me' }],
}
/** As a window says it to whoever is not told why. */
const inWords = { ...taken, handed: { says: 'front leg long', mostS: 60 } }

let database: Database
let house: Studio
let [kaia, noor, ole] = [] as unknown as [Agent, Agent, Agent]
beforeEach(async () => {
  database = await freshDatabase()
  house = await studio(database, clock)
  kaia = house.keeper
  noor = await joined(house, 'Noor')
  ole = await joined(house, 'Ole')
  await kaia.put(`/api/places/${bellowsHouse.id}`).set('If-Match', '"0"').send(bellowsHouse).expect(200)
  await kaia
    .put(`/api/people/${imke?.id ?? ''}`)
    .set('If-Match', '"0"')
    .send(imke)
    .expect(200)
  await kaia.post('/api/sessions').send(slow).expect(201)
  await kaia.put('/api/planned-classes/evening').set('If-Match', '"0"').send(evening).expect(200)
})
afterEach(() => database.close())

const planned = async (agent: Agent): Promise<readonly KeptPlannedClass[]> =>
  (await agent.get('/api/planned-classes').expect(200)).body as readonly KeptPlannedClass[]
const only = async (agent: Agent): Promise<KeptPlannedClass> => {
  const [one, ...more] = await planned(agent)
  if (!one || more.length > 0) throw new Error('not just one planned class')
  return one
}
const handOver = (body: object, based = 1) =>
  kaia
    .put('/api/planned-classes/evening/handed')
    .set('If-Match', `"${String(based)}"`)
    .send({ forms: [inWords], ...body })
const takeBack = (based: number) =>
  kaia.delete('/api/planned-classes/evening/handed').set('If-Match', `"${String(based)}"`)
const code = (reply: { body: unknown }) => (reply.body as { code: string }).code

/** Led for the class that was handed over, its first set-up ended by hand. */
async function leads(agent: Agent, note: string, saidWhich: 'first' | 'last' = 'first'): Promise<string> {
  const { planned: theirs, version } = await only(agent)
  const { start, told, end } = aClassToSend(slow, [{ type: 'end', atMs: 12_000 }])
  const id = 'led-by-noor'
  const sayWhich = () =>
    agent
      .put(`/api/planned-classes/${theirs.id}`)
      .set('If-Match', `"${String(version)}"`)
      .send({ ...theirs, ledClassId: id, posesLed: ['deer'] })
      .expect(200)
  await agent
    .put(`/api/led-classes/${id}`)
    .send({ ...start, id, sessionId: theirs.sessionId })
    .expect(204)
  if (saidWhich === 'first') await sayWhich()
  await agent.post(`/api/led-classes/${id}/events?after=0`).send(told).expect(200)
  await agent
    .put(`/api/led-classes/${id}/end`)
    .send({ ...end, note })
    .expect(204)
  if (saidWhich === 'last') await sayWhich()
  return id
}
const journal = async (agent: Agent) => (await agent.get('/api/led-classes').expect(200)).body as LedClassLine[]

test('a colleague has plan, sheet, set-ups, forms and words of their own, and no reasons', async () => {
  const reply = await handOver({ to: 'noor', words: 'The heating takes a while.' }).expect(200)
  const { planned: theirs } = await only(noor)
  expect(reply.body).toMatchObject({
    version: 2,
    planned: { handedTo: { teacherId: 'noor', name: 'Noor', classId: theirs.id, words: 'The heating takes a while.' } },
  })
  expect(theirs).toMatchObject({
    ...{ placeId: bellowsHouse.id, day: '2026-03-12', startsAt: '17:30', guests: 2, fetching: 'before' },
    people: [{ personId: imke?.id }],
    forms: [inWords],
    setAside: [],
    handedFrom: { teacherId: 'owner', name: 'Kaia', classId: 'evening', words: 'The heating takes a while.' },
  })
  expect(JSON.stringify(await planned(noor))).not.toMatch(/knee/)
  const session = (await noor.get(`/api/sessions/${theirs.sessionId}`).expect(200)).body as Session
  expect(session).toEqual({ ...slow, id: theirs.sessionId })
  // What each changes from here on is theirs alone.
  await noor
    .put(`/api/sessions/${theirs.sessionId}`)
    .set('If-Match', '"1"')
    .send({ ...session, name: 'Slower' })
    .expect(200)
  expect(((await kaia.get('/api/sessions/slow')).body as Session).name).toBe('Slow hour')
  expect(await planned(ole)).toEqual([])
  await noor.get('/api/sessions/slow').expect(404)
  // Whoever leads in one’s place can say something of the plan as well.
  const remark = { blockId: 'deer', text: 'They like it longer.' }
  await noor.put(`/api/remarks/${theirs.sessionId}/r1`).send(remark).expect(200)
  expect((await kaia.get('/api/remarks/slow').expect(200)).body).toMatchObject({ on: [{ ...remark, by: 'Noor' }] })
})

test('the record comes back to both, and what is written of it afterwards follows until one writes oneself', async () => {
  await handOver({ to: 'noor' }).expect(200)
  const id = await leads(noor, 'Two came late.')
  const { planned: mine } = await only(kaia)
  const record = mine.handedTo?.record?.id ?? ''
  expect(mine).toMatchObject({ ledClassId: record, posesLed: ['deer'] })
  expect(await journal(noor)).toMatchObject([{ id, ledBy: null }])
  expect(await journal(kaia)).toMatchObject([{ id: record, sessionId: 'slow', ledBy: 'Noor', note: 'Two came late.' }])
  const [hers, back] = await Promise.all(
    [noor.get(`/api/led-classes/${id}`), kaia.get(`/api/led-classes/${record}`)].map(
      async (asked) => (await asked.expect(200)).body as LedClass,
    ),
  )
  expect(back).toEqual({ ...hers, id: record, sessionId: 'slow', ledBy: 'Noor', version: 1 })
  // A colleague's pace teaches them alone.
  expect((await noor.get('/api/led-classes/times')).body).not.toEqual([])
  expect((await kaia.get('/api/led-classes/times')).body).toEqual([])

  const writes = (agent: Agent, of: string, note: string, based: number) =>
    agent
      .put(`/api/led-classes/${of}/note`)
      .set('If-Match', `"${String(based)}"`)
      .send({ note })
      .expect(200)
  await writes(noor, id, 'Two came late; all were quiet.', 2)
  expect(await journal(kaia)).toMatchObject([{ note: 'Two came late; all were quiet.' }])
  await writes(kaia, record, 'Thank her.', 2)
  await writes(noor, id, 'Nothing more.', 3)
  expect(await journal(kaia)).toMatchObject([{ note: 'Thank her.' }])
  expect(await journal(noor)).toMatchObject([{ note: 'Nothing more.' }])
  // What happened to somebody stays with whoever was there.
  await noor
    .put(`/api/led-classes/${id}/incident`)
    .set('If-Match', '"4"')
    .send({ incident: { at: '17:50', happened: 'One slid off a chair.', done: 'She sat.' } })
    .expect(200)
  expect((await kaia.get(`/api/led-classes/${record}/incident`).expect(200)).body).toMatchObject({ incident: null })
  expect(code(await takeBack((await only(kaia)).version).expect(409))).toBe('CLASS_LED')
  expect(code(await handOver({ to: 'ole' }, (await only(kaia)).version).expect(409))).toBe('CLASS_LED')
})

test('it comes back also where it is told only afterwards which class it was', async () => {
  await handOver({ to: 'noor' }).expect(200)
  await leads(noor, 'Short.', 'last')
  expect(await journal(kaia)).toMatchObject([{ ledBy: 'Noor', note: 'Short.' }])
})

test('no record of anybody else’s comes with it', async () => {
  const { start, told, end } = aClassToSend(slow)
  await ole
    .post('/api/sessions')
    .send({ ...slow, id: 'his' })
    .expect(201)
  await ole
    .put('/api/led-classes/his-own')
    .send({ ...start, id: 'his-own', sessionId: 'his' })
    .expect(204)
  await ole.post('/api/led-classes/his-own/events?after=0').send(told).expect(200)
  await ole.put('/api/led-classes/his-own/end').send(end).expect(204)
  await handOver({ to: 'noor' }).expect(200)
  const { planned: theirs } = await only(noor)
  const said = { ...theirs, ledClassId: 'his-own' }
  await noor.put(`/api/planned-classes/${theirs.id}`).set('If-Match', '"1"').send(said).expect(200)
  expect(await journal(kaia)).toEqual([])
})

test('a class is taken back, or given back, as long as it was not led', async () => {
  await handOver({ to: 'noor' }).expect(200)
  expect(code(await handOver({ to: 'ole' }, 2).expect(409))).toBe('CLASS_HANDED')
  expect((await takeBack(2).expect(200)).body).toMatchObject({ version: 3, planned: { id: 'evening' } })
  expect(await planned(noor)).toEqual([])
  expect((await noor.get('/api/sessions').expect(200)).body).toEqual([])
  await handOver({ to: 'noor' }, 3).expect(200)
  const { planned: theirs, version } = await only(noor)
  await noor
    .delete(`/api/planned-classes/${theirs.id}`)
    .set('If-Match', `"${String(version)}"`)
    .expect(204)
  expect((await only(kaia)).planned.handedTo).toBeUndefined()
  // What is taken away here is nobody's over there.
  await handOver({ to: 'ole' }, 5).expect(200)
  await kaia.delete('/api/planned-classes/evening').set('If-Match', '"6"').expect(204)
  expect(await planned(ole)).toEqual([])
})

test('a session the colleague has worked on stays theirs', async () => {
  await handOver({ to: 'noor' }).expect(200)
  const { sessionId } = (await only(noor)).planned
  await noor
    .put(`/api/sessions/${sessionId}`)
    .set('If-Match', '"1"')
    .send({ ...slow, id: sessionId, name: 'Slower' })
    .expect(200)
  await takeBack(2).expect(200)
  expect((await noor.get('/api/sessions').expect(200)).body).toMatchObject([{ name: 'Slower' }])
})

test('nobody is handed a class who is not there, nor one that is not there; a stale window hands over nothing', async () => {
  expect(code(await handOver({ to: 'nobody' }).expect(404))).toBe('UNKNOWN_TEACHER')
  expect(code(await handOver({ to: 'owner' }).expect(404))).toBe('UNKNOWN_TEACHER')
  expect(code(await handOver({ to: 'noor' }, 7).expect(412))).toBe('VERSION_STALE')
  expect(code(await handOver({ to: 'noor', words: '  ' }).expect(422))).toBe('DOCUMENT_REFUSED')
  await noor
    .put('/api/planned-classes/evening/handed')
    .set('If-Match', '"1"')
    .send({ to: 'ole', forms: [] })
    .expect(404)
  expect(await planned(noor)).toEqual([])
})

test('how a class is handed over is not for a window to say', async () => {
  const handedFrom = { teacherId: 'ole', name: 'Ole', classId: 'his' }
  await kaia
    .put('/api/planned-classes/evening')
    .set('If-Match', '"1"')
    .send({ ...evening, handedFrom })
    .expect(200)
  expect((await only(kaia)).planned).toEqual(evening)
  await handOver({ to: 'noor' }, 2).expect(200)
  await kaia.put('/api/planned-classes/evening').set('If-Match', '"3"').send(evening).expect(200)
  expect((await only(kaia)).planned.handedTo).toMatchObject({ name: 'Noor' })
})

test('records of before are led by whose they are', async () => {
  const former = await formerDatabase('027.sqlite')
  const [led] = await former.models.ledClasses.findAll()
  expect(led).toMatchObject({ ledBy: null, ownerId: 'owner' })
  await former.close()
})
