import { readFileSync, readdirSync, readlinkSync, mkdtempSync, rmSync, statSync, writeFileSync } from 'node:fs'
import { request as ask } from 'node:https'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type { Room } from '#model/device'
import { bellowsHouse, bellowsPeople } from '#server/demo/bellows-house'
import { openDatabase } from '#server/db/open'
import { certificateFor } from '#server/features/room/certificate'
import { peopleStore } from '#server/features/people/store'
import { placeStore } from '#server/features/places/store'
import { startServer } from '#server/start'
import type { Running } from '#server/start'

let [folder, running]: [string, Running | undefined] = ['', undefined]
let nowMs = Date.UTC(2026, 10, 29, 18)
const clock = { now: () => new Date(nowMs) }
/** On one machine the room's address is its loopback's other name, so that nothing of it is on a network. */
const address = '127.0.0.2'

beforeEach(async () => {
  folder = mkdtempSync(join(tmpdir(), 'zovrin-room-'))
  writeFileSync(join(folder, 'index.html'), 'the application')
  writeFileSync(join(folder, 'screen.html'), 'the door')
  writeFileSync(join(folder, 'sw.js'), '// a shell')
  const file = join(folder, 'zovrin.sqlite')
  const database = await openDatabase(file)
  await placeStore(database, clock).put(bellowsHouse, 0)
  const [person] = bellowsPeople(clock.now())
  if (person) await peopleStore(database).put(person, 0)
  await database.close()
  const room = { addresses: () => [address], port: 0 }
  const config = { host: '127.0.0.1', port: 0, portIsFixed: true, dataFolder: folder, room }
  running = await startServer(config, file, folder, clock)
})
afterEach(async () => {
  await running?.stop()
  rmSync(folder, { recursive: true })
})

interface Answer {
  readonly status: number
  readonly text: string
  readonly cookie: string | undefined
  readonly location: string | undefined
}
interface Asked {
  readonly method?: string
  readonly headers?: Readonly<Record<string, string>>
  readonly body?: object
}

/** Asks the listener of this machine, as the teacher's page does. */
async function main<T>(
  path: string,
  { method = 'GET', headers = {}, body }: Asked = {},
): Promise<{ status: number; body: T }> {
  const reply = await fetch(`${running?.address ?? ''}${path}`, {
    ...{ method, headers: { ...(body ? { 'Content-Type': 'application/json' } : {}), ...headers } },
    ...(body ? { body: JSON.stringify(body) } : {}),
  })
  return { status: reply.status, body: (await reply.json().catch(() => null)) as T }
}

/** Asks the room, whose certificate nobody but the teacher vouches for. */
const room = (url: string, path: string, { method = 'GET', headers = {}, body }: Asked = {}): Promise<Answer> =>
  new Promise((done, fail) => {
    const sent = body ? JSON.stringify(body) : ''
    const json = body ? { 'Content-Type': 'application/json', 'Content-Length': String(sent.length) } : {}
    const asked = ask(
      `${url}${path}`,
      { method, rejectUnauthorized: false, headers: { ...json, ...headers } },
      (reply) => {
        let text = ''
        reply.on('data', (part: Buffer) => (text += part.toString()))
        reply.on('end', () => {
          const cookie = reply.headers['set-cookie']?.[0]
          done({ status: reply.statusCode ?? 0, text, cookie, location: reply.headers.location })
        })
      },
    )
    asked.on('error', fail)
    asked.end(sent)
  })

const open = async () => (await main<Room>('api/room/open', { method: 'PUT', body: { address } })).body
const codeFor = async (kind: string) =>
  (await main<Room>('api/room/code', { method: 'POST', body: { kind } })).body.code?.code ?? ''
const pair = (url: string, code: string, headers = {}) =>
  room(url, '/api/pairing', { method: 'POST', body: { code }, headers })

/** Lets a device in, and gives what it shows from then on. */
async function letIn(kind: 'screen' | 'teacher') {
  const url = (await open()).open?.url ?? ''
  const { cookie = '' } = await pair(url, await codeFor(kind))
  return { url, headers: { Cookie: cookie.split(';')[0] ?? '' } }
}

/** The sockets this process listens at, from the kernel's own list. */
function listening(): string[] {
  const inodes = new Set(
    readdirSync('/proc/self/fd').flatMap((fd) => {
      try {
        return /socket:\[(\d+)\]/.exec(readlinkSync(`/proc/self/fd/${fd}`))?.[1] ?? []
      } catch {
        return []
      }
    }),
  )
  const hex = (at: string) =>
    [...at.matchAll(/../g)]
      .map(([pair]) => parseInt(pair, 16))
      .reverse()
      .join('.')
  return ['/proc/net/tcp', '/proc/net/tcp6'].flatMap((list) =>
    readFileSync(list, 'utf8')
      .split('\n')
      .map((line) => line.trim().split(/\s+/))
      .filter(([, , , state, , , , , , inode = '']) => state === '0A' && inodes.has(inode))
      .map(([, local = '']) => hex(local.split(':')[0] ?? '')),
  )
}

test('closed, nothing listens but this machine’s own address; open, the one that was chosen; closed again, as before', async () => {
  expect(listening()).toEqual(['127.0.0.1'])
  const { open: opened } = await open()
  expect(listening().sort()).toEqual(['127.0.0.1', address])
  expect(opened?.url).toMatch(new RegExp(`^https://${address.replaceAll('.', '\\.')}:\\d+$`))
  expect((await main('api/room/open', { method: 'DELETE' })).body).toMatchObject({ open: null })
  expect((await main<Room>('api/room')).body.open).toBeNull()
  expect(listening()).toEqual(['127.0.0.1'])
  // Opened twice at once there is still one.
  await Promise.all([open(), open()])
  expect(listening().sort()).toEqual(['127.0.0.1', address])
})

test('an address this machine does not have is not opened', async () => {
  const refused = await main('api/room/open', { method: 'PUT', body: { address: '203.0.113.7' } })
  expect(refused).toMatchObject({ status: 422, body: { code: 'ROOM_UNREACHABLE' } })
})

test('whoever is not let in has the pairing page and nothing else', async () => {
  const url = (await open()).open?.url ?? ''
  expect((await room(url, '/pair')).text).toBe('the door')
  expect(await room(url, '/people')).toMatchObject({ status: 303, location: '/pair' })
  for (const path of ['/api/people', '/api/sessions', '/api/screen/stream', '/api/now', '/api/room', '/api/health'])
    expect(await room(url, path)).toMatchObject({ status: 401 })
})

test('a screen has the screen, and reaches no route with a person in it; a teacher’s device has all', async () => {
  const screen = await letIn('screen')
  const asScreen = (path: string) => room(screen.url, path, { headers: screen.headers })
  expect((await asScreen('/screen')).text).toBe('the door')
  expect((await asScreen('/api/screen/time')).status).toBe(200)
  expect(await asScreen('/plan/thursday')).toMatchObject({ status: 303, location: '/screen' })
  for (const path of [
    'people',
    'planned-classes',
    'series',
    'long-days',
    'sessions',
    'led-classes',
    'own',
    'places',
    'settings',
    'now',
    'room',
    'exchange',
  ])
    expect(JSON.parse((await asScreen(`/api/${path}`)).text)).toMatchObject({
      code: 'NOT_FOR_THIS_DEVICE',
      status: 403,
    })

  const code = await codeFor('teacher')
  const { cookie = '' } = await pair(screen.url, code)
  const headers = { Cookie: cookie.split(';')[0] ?? '' }
  expect((await room(screen.url, '/api/people', { headers })).status).toBe(200)
  expect((await room(screen.url, '/', { headers })).text).toBe('the application')
  // No shell is kept behind a certificate that the browser was told to take.
  expect((await room(screen.url, '/sw.js', { headers })).status).toBe(303)
})

test('the cookie is for TLS, this host and no script, and is of no use at the other listener', async () => {
  const url = (await open()).open?.url ?? ''
  const { cookie = '' } = await pair(url, await codeFor('teacher'))
  expect(cookie).toMatch(
    /^__Host-zovrin-device=[\w-]{43}; Max-Age=\d+; Path=\/; Expires=.+; HttpOnly; Secure; SameSite=Strict$/,
  )
  const stolen = await main('api/people', { headers: { Cookie: cookie.split(';')[0] ?? '' } })
  expect(stolen).toMatchObject({ status: 403, body: { code: 'WRONG_LISTENER' } })
  // Nor is what is kept of it: only its hash.
  const database = await openDatabase(join(folder, 'zovrin.sqlite'))
  const [row] = await database.models.devices.findAll()
  expect(cookie).not.toContain(row?.tokenHash ?? 'none')
  await database.close()
})

test('wrong codes, used ones and old ones let nobody in; after five wrong ones nobody gets in for five minutes', async () => {
  const url = (await open()).open?.url ?? ''
  const told = async (code: string) => JSON.parse((await pair(url, code)).text) as { code: string }
  const code = await codeFor('screen')
  expect(await told('12345')).toMatchObject({ code: 'DOCUMENT_REFUSED' })
  expect((await pair(url, code.replace(/^.../, '$& '))).status).toBe(200)
  expect(await told(code)).toMatchObject({ code: 'CODE_OVER' })
  const old = await codeFor('screen')
  nowMs += 300_000
  expect(await told(old)).toMatchObject({ code: 'CODE_OVER' })
  const right = await codeFor('screen')
  const wrong = String((Number(right) + 1) % 1_000_000).padStart(6, '0')
  for (let n = 0; n < 4; n += 1) expect(await told(wrong)).toMatchObject({ code: 'CODE_WRONG' })
  expect(await told(wrong)).toMatchObject({ code: 'PAIRING_CLOSED' })
  expect(await told(right)).toMatchObject({ code: 'PAIRING_CLOSED' })
  expect((await main<Room>('api/room')).body).toMatchObject({ code: null, devices: [{ name: 'Screen' }] })
  nowMs += 300_000
  expect((await pair(url, await codeFor('screen'))).status).toBe(200)
})

test('another Host and another Origin are refused there too', async () => {
  const { url, headers } = await letIn('teacher')
  const code = async (more: Record<string, string>) =>
    JSON.parse((await room(url, '/api/people', { headers: { ...headers, ...more } })).text) as { code?: string }
  expect(await code({ Host: 'evil.example' })).toMatchObject({ code: 'WRONG_HOST' })
  expect(await code({ Origin: 'https://evil.example' })).toMatchObject({ code: 'WRONG_ORIGIN' })
  expect(await code({ Origin: url.replace('https', 'http') })).toMatchObject({ code: 'WRONG_ORIGIN' })
  expect((await code({ Origin: url })).code).toBeUndefined()
  expect(await pair(url, '123456', { Origin: 'https://evil.example' })).toMatchObject({ status: 403 })
  // And the room's host is none at the listener of this machine.
  const there = new URL(url).host
  const reply = await fetch(`${running?.address ?? ''}api/health`, { headers: { Origin: `https://${there}` } })
  expect(reply.status).toBe(403)
})

test('a device that is disconnected is let in no more; one that is kept is after the room was closed', async () => {
  const { url, headers } = await letIn('screen')
  const [device] = (await main<Room>('api/room')).body.devices
  await main('api/room/open', { method: 'DELETE' })
  const again = (await open()).open?.url ?? url
  expect((await room(again, '/api/screen/time', { headers })).status).toBe(200)
  const left = await main<Room>(`api/room/devices/${device?.id ?? ''}`, { method: 'DELETE' })
  expect(left.body.devices).toEqual([])
  expect((await room(again, '/api/screen/time', { headers })).status).toBe(401)
  expect(await main(`api/room/devices/${device?.id ?? ''}`, { method: 'DELETE' })).toMatchObject({ status: 404 })
})

test('the certificate stays the same, its key readable by its owner alone, and is made anew for another address or near its end', async () => {
  const first = await certificateFor(address, folder, clock.now())
  expect((await certificateFor(address, folder, clock.now())).fingerprint).toBe(first.fingerprint)
  expect((await open()).open?.fingerprint).toBe(first.fingerprint)
  expect(first.fingerprint).toMatch(/^([0-9A-F]{2}:){31}[0-9A-F]{2}$/)
  expect(statSync(join(folder, 'room-key.pem')).mode & 0o77).toBe(0)
  const later = new Date(nowMs + 392 * 24 * 3_600_000)
  const anew = await certificateFor(address, folder, later)
  expect(anew.fingerprint).not.toBe(first.fingerprint)
  expect((await certificateFor('192.168.7.20', folder, later)).fingerprint).not.toBe(anew.fingerprint)
  writeFileSync(join(folder, 'room-certificate.pem'), 'torn')
  expect((await certificateFor(address, folder, later)).cert).toContain('BEGIN CERTIFICATE')
})
