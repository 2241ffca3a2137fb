import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import request from 'supertest'
import type { Room } from '#model/device'
import type { SignedIn } from '#model/teacher'
import type { Database } from '#server/db/open'
import { mainDoor } from '#server/app'
import { makeHub } from '#server/features/following/hub'
import { deviceStore } from '#server/features/room/devices'
import { studioRoom } from '#server/features/room/studio'
import { cookieFor } from '#server/features/teachers/door'
import { makeHouse } from '#server/house'
import { formerDatabase, freshDatabase } from '#testing/fresh-database'
import { aSession, aTalk } from '#testing/sessions'
import { joined, littleWork, passwordOf, studio } from '#testing/teachers'
import type { Agent, Studio } from '#testing/teachers'

let nowMs = Date.UTC(2026, 2, 12, 10)
const clock = { now: () => new Date(nowMs) }
let [pages, database] = ['', undefined] as unknown as [string, Database]
let [all, noor] = [] as unknown as [Studio, Agent]
let server: ReturnType<typeof aServer>

/** One of the servers of a studio. */
function aServer() {
  const hub = makeHub(database.notices)
  const devices = deviceStore(database, clock)
  const room = studioRoom({ database, devices, hub, clock, url: 'http://127.0.0.1/' })
  const cookie = cookieFor(undefined, 0)
  const house = makeHouse({ database, clock, hub, teachers: 'accounts', cookie, guessWork: littleWork }, room)
  return mainDoor(house, { hosts: [], pages }, room)
}
beforeEach(async () => {
  nowMs = Date.UTC(2026, 2, 12, 10)
  pages = mkdtempSync(join(tmpdir(), 'zovrin-pages-'))
  for (const name of ['index.html', 'screen.html', 'sw.js']) writeFileSync(join(pages, name), name)
  database = await freshDatabase()
  server = aServer()
  all = await studio(database, clock, server)
  noor = await joined(all, 'Noor')
  await noor
    .post('/api/sessions')
    .send(aSession([aTalk()], { id: 'hers', name: 'Noor’s hour' }))
    .expect(201)
})
afterEach(async () => {
  await database.close()
  rmSync(pages, { recursive: true })
})

const codeFor = async (agent: Agent, kind: string) =>
  ((await agent.post('/api/room/code').send({ kind }).expect(200)).body as Room).code?.code ?? ''
const pair = (device: Agent, code: string) => device.post('/api/pairing').send({ code })
const code = (reply: { body: unknown }) => (reply.body as { code: string }).code
/** A browser that nobody is signed in at. */
const aDevice = (at = server): Agent => request.agent(at)
const letIn = async (kind: 'screen' | 'teacher', at = server): Promise<Agent> => {
  const device = aDevice(at)
  await pair(device, await codeFor(noor, kind)).expect(200)
  return device
}

test('a tablet has what its teacher has, is known as theirs, and keeps no house; signed out there it is let in no more', async () => {
  const tablet = await letIn('teacher')
  expect((await tablet.get('/api/sessions').expect(200)).body).toMatchObject([{ id: 'hers' }])
  expect((await tablet.get('/api/sign-in').expect(200)).body).toMatchObject({
    teacher: { name: 'Noor', role: 'teacher' },
  })
  expect((await tablet.get('/plan/hers').expect(200)).text).toBe('index.html')
  expect((await tablet.get('/sw.js').expect(200)).text).toBe('sw.js')
  await tablet.get('/api/archive').expect(403)
  const { devices } = (await noor.get('/api/room').expect(200)).body as Room
  expect(devices).toMatchObject([{ name: 'Tablet', kind: 'teacher' }])
  expect(((await all.keeper.get('/api/room')).body as Room).devices).toHaveLength(1)
  await tablet.delete('/api/sign-in').expect(204)
  await tablet.get('/api/sessions').expect(401)
  expect(((await noor.get('/api/room')).body as Room).devices).toEqual([])
})

test('a keeper’s tablet is no keeper’s; whoever signs in at a tablet is themselves there', async () => {
  const tablet = aDevice()
  await pair(tablet, await codeFor(all.keeper, 'teacher')).expect(200)
  await tablet.post('/api/teachers').send({ name: 'Ole', role: 'teacher' }).expect(403)
  expect((await tablet.get('/api/sign-in')).body).toMatchObject({ teacher: { role: 'teacher' } })
  await tablet
    .post('/api/sign-in')
    .send({ name: 'Noor', secret: passwordOf('Noor') })
    .expect(200)
  expect((await tablet.get('/api/sessions').expect(200)).body).toMatchObject([{ id: 'hers' }])
})

test('a page that was opened as somebody else at a tablet saves nothing into what is its teacher’s', async () => {
  const tablet = await letIn('teacher')
  const { teacher } = (await tablet.get('/api/sign-in').set('X-Zovrin-Teacher', 'owner').expect(200)).body as SignedIn
  await tablet.get('/api/sessions').set('X-Zovrin-Teacher', 'owner').expect(401)
  await tablet
    .get('/api/sessions')
    .set('X-Zovrin-Teacher', teacher?.id ?? '')
    .expect(200)
})

test('a screen has the screen alone, until it is disconnected', async () => {
  const screen = await letIn('screen')
  await screen.get('/api/screen/time').expect(200)
  expect((await screen.get('/screen').expect(200)).text).toBe('screen.html')
  for (const path of ['/api/sessions', '/api/people', '/api/now', '/api/room', '/api/teachers'])
    expect(code(await screen.get(path).expect(403))).toBe('NOT_FOR_THIS_DEVICE')
  await screen.get('/people').expect(303).expect('Location', '/screen')
  const [device] = ((await noor.get('/api/room')).body as Room).devices
  await all.keeper.delete(`/api/room/devices/${device?.id ?? ''}`).expect(200)
  await screen.get('/api/screen/time').expect(401)
})

test('a code is good for one device and five minutes, at every server of the house', async () => {
  const first = await codeFor(noor, 'screen')
  // Whoever asks for another shows that one alone.
  const second = await codeFor(noor, 'teacher')
  expect(second).not.toBe(first)
  const mine = await codeFor(all.keeper, 'screen')
  expect(((await noor.get('/api/room')).body as Room).code).toMatchObject({ kind: 'teacher', code: second })
  const other = aServer()
  expect(code(await pair(aDevice(other), first).expect(403))).toBe('CODE_WRONG')
  const tablet = aDevice(other)
  await pair(tablet, second).expect(200)
  expect((await tablet.get('/api/sessions')).body).toMatchObject([{ id: 'hers' }])
  expect(code(await pair(aDevice(), second).expect(403))).toBe('CODE_WRONG')
  nowMs += 5 * 60_000
  expect(code(await pair(aDevice(), mine).expect(403))).toBe('CODE_WRONG')
  expect(((await all.keeper.get('/api/room')).body as Room).code).toBeNull()
})

test('after five wrong codes nobody is let in from there for five minutes', async () => {
  const good = await codeFor(noor, 'screen')
  const wrong = good === '000000' ? '000001' : '000000'
  for (let n = 1; n < 5; n += 1) await pair(aDevice(), wrong).expect(403)
  expect(code(await pair(aDevice(), wrong).expect(429))).toBe('PAIRING_CLOSED')
  expect(code(await pair(aDevice(), good).expect(429))).toBe('PAIRING_CLOSED')
  nowMs += 5 * 60_000 + 1
  await pair(aDevice(), await codeFor(noor, 'screen')).expect(200)
})

test('with another password every tablet is out, and the screens stay', async () => {
  const [tablet, screen] = [await letIn('teacher'), await letIn('screen')]
  await noor
    .put('/api/sign-in/secret')
    .send({ secret: passwordOf('Noor'), next: 'the narrow river' })
    .expect(204)
  await tablet.get('/api/sessions').expect(401)
  await screen.get('/api/screen/time').expect(200)
})

test('nothing opens a door of its own, and one that is no code is told as that', async () => {
  await noor.put('/api/room/open').send({ address: '127.0.0.2' }).expect(422)
  expect((await noor.delete('/api/room/open').expect(200)).body).toMatchObject({ open: { url: 'http://127.0.0.1' } })
  await pair(aDevice(), 'abc').expect(422)
  expect((await aDevice().get('/api/pairing').expect(200)).body).toEqual({ fingerprint: '' })
  await aDevice().post('/api/pairing').set('Origin', 'http://elsewhere').send({ code: '000000' }).expect(403)
})

test('a database of before has no codes', async () => {
  const former = await formerDatabase('028.sqlite')
  expect(await former.models.pairingCodes.findAll()).toEqual([])
  expect(await former.models.sessions.count()).toBe(3)
  await former.close()
})
