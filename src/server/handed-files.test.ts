import request from 'supertest'
import type { HandedClass, HandedRecord } from '#model/handed-file'
import type { LedClassLine } from '#model/journal'
import type { LedClass } from '#model/led-class'
import type { FormOfPerson, KeptPlannedClass, PlannedClass } from '#model/planned-class'
import type { Session } from '#model/session'
import { createApp } from '#server/app'
import type { Database } from '#server/db/open'
import { bellowsHouse, bellowsPeople } from '#server/demo/bellows-house'
import { freshDatabase } from '#testing/fresh-database'
import { aClassToSend } from '#testing/led-classes'
import { ownPoseFrom } from '#testing/own-poses'
import { aHold, aSession } from '#testing/sessions'
import { joined, studio } from '#testing/teachers'

const clock = { now: () => new Date('2026-03-12T10:00:00Z') }
const [imke, corvin] = bellowsPeople(clock.now())
const [imkeId, corvinId] = [imke?.id ?? '', corvin?.id ?? '']
const slow = aSession([aHold('mine', { id: 'deer' }), aHold('deer', { id: 'second' })], {
  ...{ id: 'slow', name: 'Slow hour', placeId: bellowsHouse.id },
})
const form = (personId: string, takes: FormOfPerson['takes'], says: string): FormOfPerson => ({
  ...{
    personId,
    blockId: 'second',
    poseId: 'deer',
    by: 'teacher',
    at: '2026-03-11T08:00:00Z',
    takes,
    handed: { says },
  },
})
const evening: PlannedClass = {
  ...{ id: 'evening', sessionId: 'slow', placeId: bellowsHouse.id, day: '2026-03-12', startsAt: '17:30' },
  roomId: bellowsHouse.rooms[0]?.id ?? '',
  people: [
    { personId: imkeId, away: true },
    { personId: corvinId, notToday: ['the knee since Monday'] },
  ],
  ...{ guests: 1, fetching: 'before', setAside: [], forms: [] },
  needs: [{ id: 'n', condition: { id: 'shoulder', severe: 'no' }, people: 2 }],
  substitutes: [
    { blockId: 'second', who: [imkeId], way: 'few', replaced: [], from: [], items: [] },
    { blockId: 'second', who: [corvinId, 'guest-1'], way: 'few', replaced: [], from: [], items: [] },
  ],
}
const forms = [
  form(imkeId, { kind: 'changed' }, 'stays at home'),
  form(corvinId, { kind: 'pose', poseId: 'other' }, 'a chair'),
  form('guest-2', { kind: 'changed' }, 'arm low'),
]

let [giver, taker] = [] as unknown as [Database, Database]
beforeEach(async () => {
  ;[giver, taker] = [await freshDatabase(), await freshDatabase()]
  for (const [id, like] of [
    ['mine', 'deer'],
    ['other', 'sphinx'],
  ] as const)
    await here().put(`/api/own/pose/${id}`).set('If-Match', '"0"').send(ownPoseFrom(like, { id })).expect(200)
  await here().put(`/api/places/${bellowsHouse.id}`).set('If-Match', '"0"').send(bellowsHouse).expect(200)
  for (const person of [imke, corvin])
    await here()
      .put(`/api/people/${person?.id ?? ''}`)
      .set('If-Match', '"0"')
      .send(person)
      .expect(200)
  await here().post('/api/sessions').send(slow).expect(201)
  await here().put('/api/planned-classes/evening').set('If-Match', '"0"').send(evening).expect(200)
})
afterEach(() => Promise.all([giver.close(), taker.close()]))

const house = (database: Database) => request(createApp({ database, hosts: [], clock }))
const here = () => house(giver)
const there = () => house(taker)
type House = ReturnType<typeof here>

const only = async (of: House): Promise<KeptPlannedClass> => {
  const [one, ...more] = (await of.get('/api/planned-classes').expect(200)).body as readonly KeptPlannedClass[]
  if (!one || more.length > 0) throw new Error('not just one planned class')
  return one
}
const handOver = (based: number, more: object = {}) =>
  here()
    .put('/api/planned-classes/evening/handed/file')
    .set('If-Match', `"${String(based)}"`)
    .send({ name: 'Noor', from: 'Kaia', words: 'The heating takes a while.', forms, ...more })
const fileOf = async (based = 1): Promise<HandedClass> => {
  const { file } = (await handOver(based).expect(200)).body as { file: HandedClass }
  // As it lies on a disk in between.
  return JSON.parse(JSON.stringify(file)) as HandedClass
}
const take = (file: object) => there().post('/api/handed/classes').send(file)
const bring = (record: object) => here().post('/api/handed/records').send(record)
const code = (reply: { body: unknown }) => (reply.body as { code: string }).code
const journal = async (of: House) => (await of.get('/api/led-classes').expect(200)).body as LedClassLine[]

/** Led where it went, with a note; the record as a file. */
async function led(note: string): Promise<HandedRecord> {
  const { planned, version } = await only(there())
  const session = (await there().get(`/api/sessions/${planned.sessionId}`)).body as Session
  const plain = aSession([aHold('deer', { id: 'second' })], { id: session.id, name: session.name })
  const { start, told, end } = aClassToSend(plain, [
    { type: 'end', atMs: 12_000 },
    { type: 'cameLate', atMs: 13_000 },
  ])
  await there()
    .put('/api/led-classes/led')
    .send({ ...start, id: 'led', sessionId: session.id })
    .expect(204)
  await there().post('/api/led-classes/led/events?after=0').send(told).expect(200)
  await there().put('/api/led-classes/led/marks/m').send({ by: 'tablet', atMs: 5, text: 'all quiet' }).expect(204)
  await there()
    .put('/api/led-classes/led/end')
    .send({ ...end, note })
    .expect(204)
  await there()
    .put('/api/led-classes/led/incident')
    .set('If-Match', '"2"')
    .send({ incident: { at: '17:50', happened: 'One slid off a chair.', done: 'She sat.' } })
    .expect(200)
  await there()
    .put(`/api/planned-classes/${planned.id}`)
    .set('If-Match', `"${String(version)}"`)
    .send({ ...planned, ledClassId: 'led', posesLed: ['deer'] })
    .expect(200)
  return recordFile()
}
const recordFile = async () => (await there().get('/api/handed/records/led').expect(200)).body as HandedRecord

test('a class goes as a file with plan, place, set-ups, forms and words; nobody’s name is in it, nor why', async () => {
  const file = await fileOf()
  const text = JSON.stringify(file)
  for (const told of [imke?.name, corvin?.name, imkeId, corvinId, 'since Monday']) expect(text).not.toContain(told)
  expect((await only(here())).planned.handedTo).toEqual({
    ...{ name: 'Noor', at: '2026-03-12T10:00:00.000Z', words: 'The heating takes a while.' },
  })
  const taken = (await take(file).expect(200)).body as { sessionId: string; classId: string }
  const { planned } = await only(there())
  expect(planned).toMatchObject({
    ...{ id: taken.classId, sessionId: taken.sessionId, placeId: bellowsHouse.id, roomId: evening.roomId },
    ...{ day: '2026-03-12', startsAt: '17:30', fetching: 'before', people: [], needs: evening.needs },
    // Two of whom something is told are guests already; whoever comes by name is the third.
    guests: 3,
    substitutes: [{ who: ['guest-3', 'guest-1'] }],
    forms: [
      { personId: 'guest-3', takes: { kind: 'pose', poseId: 'other' }, handed: { says: 'a chair' } },
      { personId: 'guest-2', handed: { says: 'arm low' } },
    ],
    handedFrom: { name: 'Kaia', classId: 'evening', words: 'The heating takes a while.' },
  })
  expect((await there().get(`/api/sessions/${taken.sessionId}`).expect(200)).body).toMatchObject({
    ...{ name: 'Slow hour', placeId: bellowsHouse.id, blocks: [{ poseId: 'mine' }, { poseId: 'deer' }] },
  })
  const own = (await there().get('/api/own')).body as { document: { id: string } }[]
  expect(own.map(({ document }) => document.id).toSorted()).toEqual(['mine', 'other'])
  const [place] = (await there().get('/api/places')).body as { place: typeof bellowsHouse }[]
  expect(place?.place).toMatchObject({ name: bellowsHouse.name, rooms: bellowsHouse.rooms })
  expect(place?.place.cupboard).toHaveLength(bellowsHouse.cupboard.length)
})

test('a place that is called the same is the place; own things that are others here come beside them, forms with them', async () => {
  const lower = { ...bellowsHouse, id: 'theirs', name: ` ${bellowsHouse.name.toLowerCase()} `, cupboard: [] }
  const rooms = bellowsHouse.rooms.map((room) => ({ ...room, id: `their-${room.id}` }))
  await there()
    .put('/api/places/theirs')
    .set('If-Match', '"0"')
    .send({ ...lower, rooms })
    .expect(200)
  await there()
    .put('/api/own/pose/other')
    .set('If-Match', '"0"')
    .send(ownPoseFrom('deer', { id: 'other', energyLines: [] }))
    .expect(200)
  const { sessionId } = (await take(await fileOf()).expect(200)).body as { sessionId: string }
  const { planned } = await only(there())
  expect(planned).toMatchObject({ placeId: 'theirs', roomId: `their-${evening.roomId ?? ''}` })
  expect((await there().get(`/api/sessions/${sessionId}`)).body).toMatchObject({ placeId: 'theirs' })
  const [taken] = planned.forms
  const poseId = taken?.takes.kind === 'pose' ? taken.takes.poseId : ''
  expect(poseId).not.toBe('other')
  expect(
    ((await there().get('/api/own')).body as { document: { id: string } }[]).map((one) => one.document.id),
  ).toContain(poseId)
})

test('a newer file takes the place of the one before; after the class was led none does', async () => {
  await take(await fileOf()).expect(200)
  const first = await only(there())
  const { file } = (await handOver(2, { words: 'Bring a scarf.' }).expect(200)).body as { file: HandedClass }
  await take({ ...file, planned: { ...file.planned, day: '2026-03-13' } }).expect(200)
  const { planned, version } = await only(there())
  expect(planned).toMatchObject({ id: first.planned.id, day: '2026-03-13', handedFrom: { words: 'Bring a scarf.' } })
  expect(version).toBe(2)
  await led('Quiet.')
  expect(code(await take(file).expect(409))).toBe('CLASS_LED')
})

test('the record comes back as a file: to both, told once; what is written in it since follows, until one writes oneself', async () => {
  await take(await fileOf()).expect(200)
  const record = await led('Two came late.')
  expect(JSON.stringify(record)).not.toContain('slid off')
  const { ledClassId } = (await bring(record).expect(200)).body as { ledClassId: string }
  expect((await only(here())).planned).toMatchObject({ ledClassId, posesLed: ['deer'], handedTo: { name: 'Noor' } })
  expect(await journal(here())).toMatchObject([
    { id: ledClassId, sessionId: 'slow', ledBy: 'Noor', note: 'Two came late.' },
  ])
  const [theirs, back] = await Promise.all(
    [there().get('/api/led-classes/led'), here().get(`/api/led-classes/${ledClassId}`)].map(
      async (asked) => (await asked.expect(200)).body as LedClass,
    ),
  )
  expect(back).toMatchObject({
    ...{ visits: theirs?.visits, events: theirs?.events, conductedMs: theirs?.conductedMs, endedAt: theirs?.endedAt },
    marks: [{ text: 'all quiet', atMs: 5 }],
  })
  expect(await journal(there())).toMatchObject([{ id: 'led', ledBy: null }])
  expect((await here().get('/api/led-classes/times')).body).toEqual([])

  const writes = (of: House, id: string, note: string, based: number) =>
    of
      .put(`/api/led-classes/${id}/note`)
      .set('If-Match', `"${String(based)}"`)
      .send({ note })
      .expect(200)
  await writes(there(), 'led', 'All were quiet.', 3)
  await bring(await recordFile()).expect(200)
  expect(await journal(here())).toMatchObject([{ note: 'All were quiet.' }])
  await writes(here(), ledClassId, 'Thank her.', 2)
  await writes(there(), 'led', 'Nothing more.', 4)
  await bring(await recordFile()).expect(200)
  expect(await journal(here())).toMatchObject([{ note: 'Thank her.' }])
  expect(code(await handOver((await only(here())).version).expect(409))).toBe('CLASS_LED')
})

test('what is no such file, or comes back to a class that was not handed over as one, is told and changes nothing', async () => {
  const file = await fileOf()
  expect(code(await take({ format: 'zovrin.session' }).expect(422))).toBe('NOT_SESSIONS')
  expect(code(await take({ ...file, version: 2 }).expect(409))).toBe('SCHEMA_NEWER')
  const two = { ...file.session, sessions: [slow, { ...slow, id: 'more' }] }
  expect(code(await take({ ...file, session: two }).expect(422))).toBe('DOCUMENT_REFUSED')
  expect((await there().get('/api/sessions')).body).toEqual([])
  await take(file).expect(200)
  const record = await led('Quiet.')
  expect(code(await bring({ ...record, classId: 'none' }).expect(409))).toBe('NOT_HANDED')
  await here().delete('/api/planned-classes/evening/handed').set('If-Match', '"2"').expect(200)
  expect(code(await bring(record).expect(409))).toBe('NOT_HANDED')
  expect(code(await bring({ ...record, end: {} }).expect(422))).toBe('DOCUMENT_REFUSED')
  expect(await journal(here())).toEqual([])
  // The same number twice, as a hand that slips would write it.
  const at = (await only(here())).version
  await handOver(at).expect(200)
  const twice = record.events.map((event) => ({ ...event, n: 1 }))
  await bring({ ...record, events: twice }).expect(200)
  expect(await journal(here())).toHaveLength(1)
  await here().get('/api/handed/records/none').expect(404)
  const [own] = await journal(here())
  expect(
    code(
      await here()
        .get(`/api/handed/records/${own?.id ?? ''}`)
        .expect(409),
    ),
  ).toBe('NOT_HANDED')
})

test('a file that names a colleague’s class of this house has no part in it', async () => {
  const all = await studio(taker, clock)
  const [noor, ole] = [await joined(all, 'Noor'), await joined(all, 'Ole')]
  await all.keeper.put(`/api/places/${bellowsHouse.id}`).set('If-Match', '"0"').send(bellowsHouse).expect(200)
  await all.keeper
    .post('/api/sessions')
    .send(aSession([aHold('deer')], { id: 'keepers' }))
    .expect(201)
  const hers = { ...evening, id: 'hers', sessionId: 'keepers', people: [], substitutes: [] }
  await all.keeper.put('/api/planned-classes/hers').set('If-Match', '"0"').send(hers).expect(200)
  await all.keeper
    .put('/api/planned-classes/hers/handed')
    .set('If-Match', '"1"')
    .send({ to: 'ole', forms: [] })
    .expect(200)
  const file = await fileOf()
  const { classId } = (
    await noor
      .post('/api/handed/classes')
      .send({ ...file, planned: { ...file.planned, id: 'hers' } })
      .expect(200)
  ).body as { classId: string }
  await noor.delete(`/api/planned-classes/${classId}`).set('If-Match', '"1"').expect(204)
  const [kept] = (await all.keeper.get('/api/planned-classes')).body as KeptPlannedClass[]
  expect(kept?.planned.handedTo).toMatchObject({ name: 'Ole' })
  expect((await ole.get('/api/planned-classes')).body).toHaveLength(1)
})
