import request from 'supertest'
import type { KeptPlace, Place } from '#model/place'
import { createApp } from '#server/app'
import { bellowsHouse } from '#server/demo/bellows-house'
import type { Database } from '#server/db/open'
import { aSession } from '#testing/sessions'
import { formerDatabase, freshDatabase } from '#testing/fresh-database'

let database: Database
beforeEach(async () => {
  database = await freshDatabase()
})
afterEach(() => database.close())

const app = () => request(createApp({ database, hosts: [], clock: { now: () => new Date(Date.UTC(2026, 2, 12)) } }))
const put = (place: Place, based = 0) =>
  app()
    .put(`/api/places/${place.id}`)
    .set('If-Match', `"${String(based)}"`)
    .send(place)
const list = async () => (await app().get('/api/places').expect(200)).body as KeptPlace[]
const barn: Place = { ...bellowsHouse, id: 'barn', name: 'The barn', atCupboard: 2 }

test('a place is kept as it was sent, changed over its version, and not over another', async () => {
  await put(bellowsHouse).expect(200)
  // Items come in the order of their ids.
  const sorted = [...bellowsHouse.cupboard].sort((a, b) => (a.id < b.id ? -1 : 1))
  expect(await list()).toEqual([{ place: { ...bellowsHouse, cupboard: sorted }, version: 1 }])
  const fewer = { ...bellowsHouse, cupboard: sorted.slice(1), name: 'Bellows' }
  expect((await put(fewer, 1).expect(200)).headers['etag']).toBe('"2"')
  expect((await list())[0]).toEqual({ place: fewer, version: 2 })
  expect((await put(bellowsHouse, 1)).body).toMatchObject({ code: 'VERSION_STALE' })
  expect((await put(bellowsHouse)).body).toMatchObject({ code: 'VERSION_STALE' })
  expect((await put(barn, 3)).body).toMatchObject({ code: 'UNKNOWN_PLACE' })
})

test('of several places one is the usual one, each with a cupboard of its own', async () => {
  await put(bellowsHouse)
  await put(barn)
  const all = await list()
  expect(all.map(({ place }) => [place.name, place.usual ?? false])).toEqual([
    ['Bellows House', false],
    ['The barn', true],
  ])
  expect(all.map(({ place }) => place.cupboard.length)).toEqual([11, 11])
  expect(new Set(all.flatMap(({ place }) => place.cupboard.map(({ id }) => id))).size).toBe(22)
})

test('what a place may not be is refused by its field', async () => {
  const { body } = await put({ ...barn, cupboard: [{ id: 'a', kind: 'blanket', count: -1 }] })
  expect(body).toMatchObject({ code: 'DOCUMENT_REFUSED', refusals: [{ path: 'cupboard[0].count' }] })
  expect((await put({ ...barn, rooms: [] })).body).toMatchObject({ code: 'DOCUMENT_REFUSED' })
})

test('a place has a time zone by its name; one that there is not is refused', async () => {
  await put({ ...barn, timeZone: 'Australia/Lord_Howe' }).expect(200)
  expect((await list())[0]?.place.timeZone).toBe('Australia/Lord_Howe')
  const { body } = await put({ ...barn, timeZone: 'Europe/Bellows' }, 1)
  expect(body).toMatchObject({ code: 'DOCUMENT_REFUSED', refusals: [{ path: 'timeZone' }] })
})

test('a place that a session names stays until that names another; it is said which', async () => {
  await put(barn)
  await app()
    .post('/api/sessions')
    .send(aSession([], { placeId: 'barn' }))
    .expect(201)
  const remove = (based = 1) =>
    app()
      .delete('/api/places/barn')
      .set('If-Match', `"${String(based)}"`)
  expect((await remove()).body).toMatchObject({ code: 'IN_USE', facts: { where: 'A session' } })
  await app().put('/api/sessions/session-1').set('If-Match', '"1"').send(aSession([])).expect(200)
  expect((await remove(2)).body).toMatchObject({ code: 'VERSION_STALE' })
  await remove().expect(204)
  expect(await list()).toEqual([])
  expect((await remove()).body).toMatchObject({ code: 'UNKNOWN_PLACE' })
})

/** A database as the commit before some change wrote it, with the requests it answers. */
async function formerly(fixture: string, does: (there: ReturnType<typeof request>) => Promise<void>): Promise<void> {
  const former = await formerDatabase(fixture)
  await does(request(createApp({ database: former, hosts: [] })))
  await former.close()
}

test('places of before open with their cupboard, and can be changed', () =>
  formerly('011.sqlite', async (there) => {
    const [kept] = (await there.get('/api/places')).body as KeptPlace[]
    expect(kept).toMatchObject({ version: 1, place: { id: 'bellows-house' } })
    expect(kept?.place.cupboard).toHaveLength(11)
    await there
      .put('/api/places/bellows-house')
      .set('If-Match', '"1"')
      .send({ ...kept?.place, usual: true })
      .expect(200)
    expect((await there.get('/api/places')).body).toMatchObject([{ version: 2, place: { usual: true } }])
  }))

test('places and settings of before it was said until when a place is free, and whom to call, open as they were', () =>
  formerly('014.sqlite', async (there) => {
    const [kept] = (await there.get('/api/places')).body as KeptPlace[]
    expect(kept?.place).toEqual({
      ...{ id: 'barn', name: 'The barn', lengthUnit: 'cm', usual: true, atCupboard: 4 },
      rooms: [{ id: 'loft', name: 'Loft', lengthMm: 9500, widthMm: 6000, walls: [], noSockets: true }],
      cupboard: [{ id: 'b', kind: 'blanket', count: 12, sizeMm: { length: 2000, width: 1500 } }],
    })
    const said = { freeUntil: '20:30', emergency: ['Ring 4471', 'The side door'] }
    await there
      .put('/api/places/barn')
      .set('If-Match', '"1"')
      .send({ ...kept?.place, ...said })
      .expect(200)
    expect((await there.get('/api/places')).body).toMatchObject([{ version: 2, place: said }])
    const settings = (await there.get('/api/settings').expect(200)).body as object
    expect(settings).toEqual({
      ...{ schema: 1, speakingPace: 96, letterKeys: false },
      breathSounds: { in: { kind: 'tone', loudness: 40 }, out: { kind: 'none', loudness: 50 } },
    })
    const classSounds = {
      ...{ bowl: { kind: 'heldTone', loudness: 60 }, lowBell: { kind: 'none', loudness: 50 } },
      wood: { kind: 'tap', loudness: 50 },
    }
    await there
      .put('/api/settings')
      .set('If-Match', '"1"')
      .send({ ...settings, classSounds, behindFromS: 300 })
      .expect(200)
    expect((await there.get('/api/settings')).body).toMatchObject({ classSounds, behindFromS: 300 })
  }))

test('places of before there were time zones have none, and can be given one', () =>
  formerly('023.sqlite', async (there) => {
    const read = async () => (await there.get('/api/places')).body as KeptPlace[]
    const [kept] = await read()
    expect(kept?.place).toMatchObject({ id: 'bellows-house', freeUntil: '21:30' })
    expect(kept?.place.timeZone).toBeUndefined()
    const zoned = { ...kept?.place, timeZone: 'Europe/Amsterdam' }
    await there.put('/api/places/bellows-house').set('If-Match', '"1"').send(zoned).expect(200)
    expect((await read())[0]?.place.timeZone).toBe('Europe/Amsterdam')
  }))
