import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { gzipSync } from 'node:zlib'
import request from 'supertest'
import { createApp } from '#server/app'
import type { Database } from '#server/db/open'
import { aSession, aTalk } from '#testing/sessions'
import { freshDatabase } from '#testing/fresh-database'

const clock = { now: () => new Date('2026-03-12T18:00:00Z') }
let database: Database
let folder: string
let pages: string

beforeEach(async () => {
  database = await freshDatabase()
  folder = mkdtempSync(join(tmpdir(), 'zovrin-requests-'))
  // As in a home folder: a name that begins with a dot is no reason to hide what lies below it.
  pages = join(folder, '.local', 'dist')
  mkdirSync(join(pages, 'assets'), { recursive: true })
  writeFileSync(join(pages, 'index.html'), '<title>Zovrin</title>')
  writeFileSync(join(pages, 'assets', 'main.js'), 'export {}')
})
afterEach(async () => {
  await database.close()
  rmSync(folder, { recursive: true })
})
const app = () => request(createApp({ database, hosts: [], pages, clock }))
const session = JSON.stringify(aSession([aTalk()]))

/** A problem of the kind, told as one. */
function isProblem(reply: request.Response, status: number, code: string): void {
  expect([reply.status, reply.type, reply.body.code]).toEqual([status, 'application/problem+json', code])
  expect(reply.body).toHaveProperty('path')
  expect(reply.body.detail).toMatch(/^[^{}]{15,}\.$/)
}

describe('an id that can be no id', () => {
  const addresses = [
    '/api/sessions/ID',
    '/api/sessions/ID/history',
    '/api/led-classes/ID',
    '/api/exchange/sessions/ID',
    '/api/own/pose/ID/back',
    '/api/remarks/ID',
    '/api/remarks/session-1/ID',
    '/api/voices/ID',
    '/api/led-classes/class-1/marks/ID',
  ]
  /** Of some addresses nothing is read. */
  const wayOf = (address: string) =>
    address.endsWith('back') ? 'post' : /session-1|class-1/.test(address) ? 'delete' : 'get'
  test.each(['%00', 'a%00b', '%F0%9F', 'x'.repeat(65), 'a%20b', '..%2f..'])('%s is at no address', async (id) => {
    for (const address of addresses) {
      const path = address.replace('ID', id)
      const reply = await app()[wayOf(address)](path)
      isProblem(reply, 404, 'UNKNOWN_ADDRESS')
    }
  })
})

test('what is asked for with a character no text has is told so, in the body or in the address', async () => {
  for (const path of ['/api/led-classes?find=a%00b', '/api/led-classes/drifts?find=%00'])
    isProblem(await app().get(path), 422, 'TEXT_UNREADABLE')
  const heard = app().put('/api/voices/session-1/one?text=a%00b&lengthMs=900').set('Content-Type', 'audio/wav')
  isProblem(await heard.send(Buffer.from('heard')), 422, 'TEXT_UNREADABLE')
})

describe('a body', () => {
  const send = (body: string | Buffer, headers: Record<string, string>) => {
    const sent = app().post('/api/sessions')
    for (const [name, value] of Object.entries(headers)) void sent.set(name, value)
    return sent.serialize((text: unknown) => text as string).send(body as string)
  }
  const json = { 'Content-Type': 'application/json' }

  test.each(['iso-8859-1', 'bogus'])('in %s is told to be in no form that can be read', async (charset) => {
    const reply = await send(session, { 'Content-Type': `application/json; charset=${charset}` })
    isProblem(reply, 415, 'WRONG_ENCODING')
  })

  test.each(['gzip', 'deflate', 'br'])('said to be %s, and is not, is malformed', async (encoding) => {
    isProblem(await send(session, { ...json, 'Content-Encoding': encoding }), 400, 'MALFORMED_JSON')
  })

  test('packed with gzip is read; cut in the middle it is malformed', async () => {
    const packed = gzipSync(session)
    expect((await send(packed, { ...json, 'Content-Encoding': 'gzip' })).status).toBe(201)
    const half = packed.subarray(0, packed.length / 2)
    isProblem(await send(half, { ...json, 'Content-Encoding': 'gzip' }), 400, 'MALFORMED_JSON')
  })

  test('packed in a way nobody knows is told so', async () => {
    isProblem(await send(session, { ...json, 'Content-Encoding': 'lzma' }), 415, 'WRONG_ENCODING')
  })

  test('with half a character or a null character names the field', async () => {
    for (const text of ['\ud800', 'deer\u0000', 'a \udc00 b']) {
      const blocks = [{ ...aTalk(), title: text }]
      const reply = await app().post('/api/sessions').send(aSession(blocks))
      isProblem(reply, 422, 'TEXT_UNREADABLE')
      expect(reply.body.path).toBe('blocks[0].title')
    }
    const whole = aSession([{ ...aTalk(), title: 'śavāsana \ud83e\udd8c' }])
    expect((await app().post('/api/sessions').send(whole)).status).toBe(201)
  })

  test('deeper, longer or fuller than any document of ours is refused before it is read further', async () => {
    const deep = `${'['.repeat(100_000)}${']'.repeat(100_000)}`
    isProblem(await send(`{"name":${deep}}`, json), 422, 'DOCUMENT_TOO_MANIFOLD')
    const wide = { ...aSession(), blocks: Array.from({ length: 20_001 }, () => 0) }
    isProblem(await app().post('/api/sessions').send(wide), 422, 'DOCUMENT_TOO_MANIFOLD')
    const lists = Array.from({ length: 20 }, () => Array.from({ length: 19_000 }, () => 0))
    isProblem(await app().post('/api/exchange').send({ sessions: lists }), 422, 'DOCUMENT_TOO_MANIFOLD')
  })
})

describe('an address', () => {
  test('asked in a way it does not know names those it does', async () => {
    const cases = [
      [() => app().delete('/api/sessions/session-1'), 'GET, HEAD, PUT'],
      [() => app().put('/api/sessions'), 'GET, HEAD, POST'],
      [() => app().patch('/api/led-classes/x/end'), 'PUT'],
      [() => app().get('/api/exchange'), 'POST'],
      [() => app().post('/plan/thursday-slow-hour'), 'GET, HEAD'],
      [() => app().delete('/assets/main.js'), 'GET, HEAD'],
    ] as const
    for (const [ask, allowed] of cases) {
      const reply = await ask()
      isProblem(reply, 405, 'WRONG_METHOD')
      expect(reply.headers['allow']).toBe(allowed)
    }
  })

  test('of the API that is nowhere stays unknown, whatever is asked of it', async () => {
    isProblem(await app().get('/api/nothing'), 404, 'UNKNOWN_ADDRESS')
    isProblem(await app().post('/api/nothing').send({}), 404, 'UNKNOWN_ADDRESS')
  })

  test('of the API is kept by nobody on the way, problems included', async () => {
    for (const path of ['/api/sessions', '/api/led-classes', '/api/own', '/api/places', '/api/sessions/none'])
      expect([path, (await app().get(path)).headers['cache-control']]).toEqual([path, 'no-store'])
  })
})

describe('a page', () => {
  test('opens from a folder below one whose name begins with a dot, and answers HEAD', async () => {
    for (const path of ['/', '/plan', '/plan/thursday-slow-hour']) {
      expect((await app().get(path)).text).toContain('<title>Zovrin</title>')
      const head = await app().head(path)
      expect([head.status, head.type]).toEqual([200, 'text/html'])
    }
  })

  test('asked for in part, or under a condition that does not hold, is told so', async () => {
    isProblem(await app().get('/plan').set('Range', 'bytes=99999999-'), 416, 'WRONG_RANGE')
    isProblem(await app().get('/index.html').set('Range', 'bytes=99999999-'), 416, 'WRONG_RANGE')
    isProblem(await app().get('/').set('If-Match', '"x"'), 412, 'WRONG_CONDITION')
    const long = 'Mon, 01 Jan 1990 00:00:00 GMT'
    isProblem(await app().get('/assets/main.js').set('If-Unmodified-Since', long), 412, 'WRONG_CONDITION')
  })

  test('of a folder is no page of its own', async () => {
    isProblem(await app().get('/assets/none.js'), 404, 'UNKNOWN_ADDRESS')
    const assets = await app().get('/assets')
    expect(assets.status).toBe(200)
    expect(assets.text).toContain('<title>Zovrin</title>')
  })

  test('is shown in no frame', async () => {
    expect((await app().get('/')).headers['x-frame-options']).toBe('DENY')
  })
})

test('a page of an older Zovrin is sent whole to a browser that knows a newer one', async () => {
  const known = 'Wed, 01 Jan 2031 00:00:00 GMT'
  for (const path of ['/', '/plan/any']) {
    const page = await app().get(path).set('If-Modified-Since', known).expect(200)
    expect(page.text).toContain('<title>Zovrin</title>')
    expect(page.headers).not.toHaveProperty('last-modified')
  }
})
