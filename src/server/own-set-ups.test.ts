import request from 'supertest'
import type { Block } from '#model/block'
import { listedSetUp } from '#core/session'
import { createApp } from '#server/app'
import type { Database } from '#server/db/open'
import { ownPoseFrom } from '#testing/own-poses'
import { aBreath, aClosing, aHold, aSession } from '#testing/sessions'
import { freshDatabase } from '#testing/fresh-database'

let database: Database
beforeEach(async () => {
  database = await freshDatabase()
})
afterEach(() => database.close())

const app = () => request(createApp({ database, hosts: [], clock: { now: () => new Date(Date.UTC(2026, 2, 12)) } }))
const put = <D extends { id: string }>(kind: string, document: D) =>
  app().put(`/api/own/${kind}/${document.id}`).set('If-Match', '"0"').send(document)
const remove = (kind: string, id: string) => app().delete(`/api/own/${kind}/${id}`).set('If-Match', '"1"')
const inSight = async () =>
  ((await app().get('/api/own')).body as { document: { id: string }; hidden?: boolean }[])
    .filter(({ hidden }) => !hidden)
    .map(({ document }) => document.id)

const pose = ownPoseFrom('deer', { id: 'mine', names: { english: 'Bellows deer', others: [] } })
const setUp = listedSetUp([{ kind: 'seatCushion', count: 2 }], 'mine')

test('an own set-up of a pose, or of a form, that is nowhere is refused by name', async () => {
  expect((await put('setUp', setUp)).body).toMatchObject({ code: 'UNKNOWN_REFERENCE', path: 'poseId' })
  await put('pose', pose).expect(200)
  expect((await put('setUp', { ...setUp, variantId: 'gone' })).body).toMatchObject({
    code: 'UNKNOWN_REFERENCE',
    path: 'variantId',
  })
  await put('setUp', setUp).expect(200)
  expect(await inSight()).toEqual(['mine', 'mine-listed'])
})

test('a pose that goes takes its own set-ups along, and brings them back', async () => {
  await put('pose', pose).expect(200)
  await put('setUp', setUp).expect(200)
  await remove('pose', 'mine').expect(204)
  expect(await inSight()).toEqual([])
  await app().post('/api/own/pose/mine/back').expect(204)
  expect(await inSight()).toEqual(['mine', 'mine-listed'])
})

test('a set-up that a session names is not taken away from it: it is said where', async () => {
  await put('pose', pose).expect(200)
  await put('setUp', setUp).expect(200)
  const session = aSession([aHold('mine', { setUpId: 'mine-listed' })])
  await app().post('/api/sessions').send(session).expect(201)
  expect((await remove('setUp', 'mine-listed')).body).toMatchObject({ code: 'IN_USE' })
  await app()
    .put('/api/sessions/session-1')
    .set('If-Match', '"1"')
    .send(aSession([aHold('mine')]))
    .expect(200)
  await remove('setUp', 'mine-listed').expect(204)
})

test('a set-up that breath work, a rest or a closing names is used too', async () => {
  const kept = { id: 'kept', poseId: 'deer', name: 'Seat by the reeds', extent: 'full' as const, items: setUp.items }
  await put('setUp', kept).expect(200)
  const blocks: readonly Block[] = [
    { ...aBreath('even-breath'), setUpId: 'kept' },
    { kind: 'rest', id: 'rest', s: 60, setUpId: 'kept' },
    aClosing({ setUpId: 'kept' }),
  ]
  for (const [index, block] of blocks.entries()) {
    const id = `session-${String(index)}`
    await app()
      .post('/api/sessions')
      .send(aSession([block], { id }))
      .expect(201)
    expect((await remove('setUp', 'kept')).body).toMatchObject({ code: 'IN_USE' })
    await app().put(`/api/sessions/${id}`).set('If-Match', '"1"').send(aSession([], { id })).expect(200)
  }
  await remove('setUp', 'kept').expect(204)
})

test('a pose is told from what it takes: counts in its document are refused, naming the field', async () => {
  const { body } = await put('pose', { ...pose, props: [] })
  expect(body).toMatchObject({ code: 'DOCUMENT_REFUSED' })
  expect(JSON.stringify(body)).toContain('props')
})
