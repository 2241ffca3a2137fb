import request from 'supertest'
import type { KeptTeacher } from '#model/teacher'
import { createApp } from '#server/app'
import type { Database } from '#server/db/open'
import { countedTries } from '#server/features/teachers/counted-tries'
import { teacherStore } from '#server/features/teachers/store'
import { sessionStore } from '#server/features/sessions/store'
import { formerDatabase, freshDatabase } from '#testing/fresh-database'
import { aSession, aTalk } from '#testing/sessions'
import { joined, littleWork, passwordOf, studio } from '#testing/teachers'

let nowMs = Date.UTC(2026, 10, 29, 18)
const clock = { now: () => new Date(nowMs) }
let database: Database
beforeEach(async () => {
  nowMs = Date.UTC(2026, 10, 29, 18)
  database = await freshDatabase()
})
afterEach(() => database.close())

const signIn = (agent: request.Agent, name: string, secret = passwordOf(name)) =>
  agent.post('/api/sign-in').send({ name, secret })
const namesOf = async (agent: request.Agent): Promise<string[]> =>
  ((await agent.get('/api/sessions').expect(200)).body as { name: string }[]).map(({ name }) => name)
const teachersOf = async (agent: request.Agent) => (await agent.get('/api/teachers').expect(200)).body as KeptTeacher[]

describe('with accounts', () => {
  test('a house that has nobody answers nobody, and is begun once, with its code', async () => {
    const app = createApp({ database, hosts: [], clock, teachers: 'accounts', guessWork: littleWork })
    const somebody = request.agent(app)
    expect((await somebody.get('/api/sign-in').expect(200)).body).toEqual({
      ...{ kind: 'accounts', teacher: null, names: [], isNew: true },
    })
    expect((await somebody.get('/api/sessions').expect(401)).body.code).toBe('NOT_SIGNED_IN')
    const begin = (code: string) =>
      somebody.post('/api/sign-in/code').send({ name: 'Mallory', code, secret: 'long enough for one' })
    expect((await begin('AAAA-BBBB-CCCC').expect(401)).body.code).toBe('SIGN_IN_WRONG')
    const code = String(await teacherStore(database, clock, 'accounts').beginning())
    const keeper = request.agent(app)
    await keeper
      .post('/api/sign-in/code')
      .send({ name: 'Kaia', code, secret: passwordOf('Kaia') })
      .expect(200)
    expect(await teachersOf(keeper)).toMatchObject([{ name: 'Kaia', role: 'keeper', isNew: false }])
    expect((await begin(code).expect(401)).body.code).toBe('SIGN_IN_WRONG')
    expect(await teacherStore(database, clock, 'accounts').beginning()).toBeUndefined()
  })

  test('what was there before belongs to whoever begins, and everybody has only what is theirs', async () => {
    await sessionStore(database, clock).create(aSession([aTalk()], { name: 'From before' }))
    const house = await studio(database, clock)
    const noor = await joined(house, 'Noor')
    expect(await namesOf(house.keeper)).toEqual(['From before'])
    expect(await namesOf(noor)).toEqual([])
    await noor
      .post('/api/sessions')
      .send(aSession([aTalk()], { id: 'noors', name: 'Noor’s' }))
      .expect(201)
    expect(await namesOf(noor)).toEqual(['Noor’s'])
    expect(await namesOf(house.keeper)).toEqual(['From before'])
    // The id of a colleague's is taken, and no more is told of it.
    const same = await noor
      .post('/api/sessions')
      .send(aSession([aTalk()]))
      .expect(409)
    expect(same.body.code).toBe('ID_TAKEN')
    expect(JSON.stringify(same.body)).not.toContain('From before')
  })

  test('a code that was given is good once, for a week, and for its own name', async () => {
    const house = await studio(database, clock)
    const { body } = await house.keeper.post('/api/teachers').send({ name: 'Noor', role: 'teacher' }).expect(201)
    const agent = request.agent(house.app)
    const choose = (name: string, secret = passwordOf('Noor')) =>
      agent.post('/api/sign-in/code').send({ name, code: body.code, secret })
    expect((await choose('Noor', 'short').expect(422)).body).toMatchObject({ code: 'SECRET_WEAK', path: 'secret' })
    await choose('Kaia').expect(401)
    await signIn(agent, 'Noor').expect(401)
    // As it is typed by hand.
    await agent
      .post('/api/sign-in/code')
      .send({ name: ' noor ', code: String(body.code).toLowerCase().replaceAll('-', ' '), secret: passwordOf('Noor') })
      .expect(200)
    await choose('Noor').expect(401)
    const late = await house.keeper.post('/api/teachers').send({ name: 'Ole', role: 'teacher' }).expect(201)
    nowMs += 8 * 24 * 3_600_000
    await signIn(house.keeper, 'Kaia').expect(200)
    await agent
      .post('/api/sign-in/code')
      .send({ name: 'Ole', code: late.body.code, secret: passwordOf('Ole') })
      .expect(401)
  })

  test('of two who use a code at the same moment one chooses the password', async () => {
    const house = await studio(database, clock)
    const { body } = await house.keeper.post('/api/teachers').send({ name: 'Noor', role: 'teacher' }).expect(201)
    const secrets = ['the first of the two', 'the second of the two']
    const replies = await Promise.all(
      secrets.map((secret) =>
        request(house.app).post('/api/sign-in/code').send({ name: 'Noor', code: body.code, secret }),
      ),
    )
    expect(replies.map(({ status }) => status).toSorted()).toEqual([200, 401])
    for (const [at, { status }] of replies.entries())
      expect((await request(house.app).post('/api/sign-in').send({ name: 'Noor', secret: secrets[at] })).status).toBe(
        status,
      )
  })

  test('whether it is the name or the password that is wrong is not told, nor by how many tries', async () => {
    const house = await studio(database, clock)
    const agent = request.agent(house.app)
    const tries = async (name: string) => {
      const replies = []
      for (let n = 0; n < 6; n += 1) replies.push(await signIn(agent, name, 'not the password'))
      return replies.map(({ status, body }) => [status, body.code, body.detail])
    }
    const known = await tries('Kaia')
    expect(await tries('Nobody At All')).toEqual(known)
    expect(known.map(([status]) => status)).toEqual([401, 401, 401, 401, 401, 429])
    // Closed is closed for the right one as well, until it is over.
    await signIn(agent, 'Kaia').expect(429)
    nowMs += 5 * 60_000
    await signIn(agent, 'Kaia').expect(200)
  })

  test('an address from which many names are tried is let try no more', async () => {
    const tries = countedTries(database, clock, 'accounts')
    for (let n = 0; n < 50; n += 1) {
      await tries.refuseClosed('Kaia', '10.0.0.7')
      await expect(tries.wrong(`name ${String(n)}`, '10.0.0.7')).rejects.toThrow('SIGN_IN_WRONG')
    }
    await expect(tries.refuseClosed('Kaia', '10.0.0.7')).rejects.toThrow('SIGN_IN_CLOSED')
    await tries.refuseClosed('Kaia', '10.0.0.8')
    nowMs += 15 * 60_000
    await tries.refuseClosed('Kaia', '10.0.0.7')
  })

  test('one is signed in for thirty days after one was heard of last, and until one signs out', async () => {
    const { app, keeper } = await studio(database, clock)
    nowMs += 29 * 24 * 3_600_000
    await keeper.get('/api/sessions').expect(200)
    nowMs += 29 * 24 * 3_600_000
    await keeper.get('/api/sessions').expect(200)
    const kept = keeper.jar.getCookie('zovrin-teacher-0', {
      domain: '127.0.0.1',
      path: '/',
      secure: false,
      script: false,
    } as never)
    await keeper.delete('/api/sign-in').expect(204)
    await keeper.get('/api/sessions').expect(401)
    // Also where somebody kept what the browser was known by.
    await request(app)
      .get('/api/sessions')
      .set('Cookie', `zovrin-teacher-0=${String(kept?.value)}`)
      .expect(401)
    await signIn(keeper, 'Kaia').expect(200)
    nowMs += 31 * 24 * 3_600_000
    await keeper.get('/api/sessions').expect(401)
  })

  test('another password signs out every other browser, and is asked for with the one before', async () => {
    const { app, keeper } = await studio(database, clock)
    const phone = request.agent(app)
    await signIn(phone, 'Kaia').expect(200)
    const change = (secret: string, next: string) => keeper.put('/api/sign-in/secret').send({ secret, next })
    await change('not it at all', 'another long one').expect(401)
    await change(passwordOf('Kaia'), 'short').expect(422)
    await change(passwordOf('Kaia'), 'another long one').expect(204)
    await keeper.get('/api/sessions').expect(200)
    await phone.get('/api/sessions').expect(401)
    await signIn(phone, 'Kaia').expect(401)
    await signIn(phone, 'Kaia', 'another long one').expect(200)
  })

  test('a keeper closes an account and opens it again; what is theirs stays; one keeper stays', async () => {
    const house = await studio(database, clock)
    const noor = await joined(house, 'Noor')
    await noor
      .post('/api/sessions')
      .send(aSession([aTalk()], { id: 'noors', name: 'Noor’s' }))
      .expect(201)
    const [kaia, other] = (await teachersOf(house.keeper)).toSorted((a, b) => a.name.localeCompare(b.name))
    if (!kaia || !other) throw new Error('two teachers')
    const change = (of: KeptTeacher, to: object, version = of.version) =>
      house.keeper
        .put(`/api/teachers/${of.id}`)
        .set('If-Match', `"${String(version)}"`)
        .send({ name: of.name, role: of.role, isClosed: of.isClosed, ...to })
    expect((await change(kaia, { role: 'teacher' }).expect(409)).body.code).toBe('LAST_KEEPER')
    expect((await change(kaia, { isClosed: true }).expect(409)).body.code).toBe('LAST_KEEPER')
    expect((await change(other, { name: 'KAIA' }).expect(409)).body.code).toBe('TEACHER_TAKEN')
    const closed = (await change(other, { isClosed: true }).expect(200)).body as KeptTeacher
    await noor.get('/api/sessions').expect(401)
    await signIn(noor, 'Noor').expect(401)
    expect((await change(other, { isClosed: false }).expect(412)).body.code).toBe('VERSION_STALE')
    await change(closed, { isClosed: false }).expect(200)
    await signIn(noor, 'Noor').expect(200)
    expect(await namesOf(noor)).toEqual(['Noor’s'])
    expect((await noor.post('/api/teachers').send({ name: 'Eve', role: 'keeper' }).expect(403)).body.code).toBe(
      'NOT_KEEPER',
    )
  })

  test('no page of another origin is answered, however it was signed in', async () => {
    const { keeper } = await studio(database, clock)
    const reply = await keeper.post('/api/sessions').set('Origin', 'https://elsewhere.example').send(aSession())
    expect([reply.status, reply.body.code]).toEqual([403, 'WRONG_ORIGIN'])
    const [cookie = ''] = (await signIn(keeper, 'Kaia')).get('Set-Cookie') ?? []
    expect(cookie).toMatch(/HttpOnly/)
    expect(cookie).toMatch(/SameSite=Strict/)
  })
})

describe('on one machine', () => {
  const app = () => createApp({ database, hosts: [], clock, guessWork: littleWork })
  const second = { first: { name: 'Kaia', secret: '4711' }, second: { name: 'Noor', secret: '0815' } }

  test('nobody is asked until there is a second teacher; what is there stays the first one’s', async () => {
    const window = request.agent(app())
    await window
      .post('/api/sessions')
      .send(aSession([aTalk()], { name: 'From before' }))
      .expect(201)
    expect((await window.get('/api/sign-in')).body).toMatchObject({ kind: 'alone', teacher: null })
    const third = { name: 'Ole', role: 'keeper', secret: '2222' }
    expect((await window.post('/api/teachers').send(third).expect(409)).body.code).toBe('NO_TEACHER_YET')
    const weak = { ...second, second: { name: 'Noor', secret: 'abc' } }
    expect((await window.post('/api/teachers/second').send(weak).expect(422)).body.path).toBe('second.secret')
    await window.post('/api/teachers/second').send(second).expect(201)
    expect((await window.get('/api/sign-in')).body).toMatchObject({
      ...{ kind: 'machine', names: ['Kaia', 'Noor'], teacher: { name: 'Kaia', role: 'keeper' } },
    })
    expect(await namesOf(window)).toEqual(['From before'])
    const other = request.agent(app())
    await other.get('/api/sessions').expect(401)
    await signIn(other, 'Noor', '0815').expect(200)
    expect(await namesOf(other)).toEqual([])
    expect((await window.post('/api/teachers/second').send(second).expect(409)).body.code).toBe('TEACHERS_THERE')
  })

  test('a third is added with a PIN, an evening long is one signed in', async () => {
    const window = request.agent(app())
    await window.post('/api/teachers/second').send(second).expect(201)
    const { body } = await window
      .post('/api/teachers')
      .send({ name: 'Ole', role: 'teacher', secret: '2222' })
      .expect(201)
    expect(body.code).toBeUndefined()
    await signIn(window, 'Ole', '2222').expect(200)
    nowMs += 13 * 3_600_000
    await window.get('/api/sessions').expect(401)
  })

  test('a forgotten PIN is chosen anew by a code of the keeper’s', async () => {
    const window = request.agent(app())
    await window.post('/api/teachers/second').send(second).expect(201)
    const noor = (await teachersOf(window)).find(({ name }) => name === 'Noor')
    const { body } = await window.post(`/api/teachers/${String(noor?.id)}/code`).expect(200)
    await window.post('/api/sign-in/code').send({ name: 'Noor', code: body.code, secret: '9999' }).expect(200)
    await signIn(window, 'Noor', '0815').expect(401)
    await signIn(window, 'Noor', '9999').expect(200)
  })
})

test('a house of before has its settings, and all of it is the first teacher’s', async () => {
  const former = await formerDatabase('026.sqlite')
  const house = await studio(former, clock)
  const noor = await joined(house, 'Noor')
  expect(await namesOf(house.keeper)).toEqual(['Anew'])
  expect((await house.keeper.get('/api/settings')).get('ETag')).toBe('"1"')
  expect((await noor.get('/api/settings')).get('ETag')).toBe('"0"')
  for (const path of ['led-classes', 'planned-classes', 'sessions']) {
    expect((await house.keeper.get(`/api/${path}`).expect(200)).body).toHaveLength(1)
    expect((await noor.get(`/api/${path}`).expect(200)).body).toEqual([])
  }
  // What all use.
  for (const path of ['people', 'places', 'own'])
    expect((await noor.get(`/api/${path}`).expect(200)).body).toHaveLength(1)
  await former.close()
})
