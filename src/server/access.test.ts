import { mkdtempSync, readFileSync, rmSync } from 'node:fs'
import type { Server } from 'node:http'
import type { AddressInfo } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type { Readable } from 'node:stream'
import { ledStart } from '#core/lead'
import { orThrow } from '#core/result'
import { compileTimeline } from '#core/timeline'
import { shippedCatalog } from '#library/shipped'
import { mainDoor } from '#server/app'
import type { Database } from '#server/db/open'
import { firstTeacherId } from '#model/teacher'
import { ownedBy } from '#server/db/owned'
import { seedDemo } from '#server/demo/seed'
import { ledClassStore } from '#server/features/led-classes/store'
import { ownStore } from '#server/features/own/store'
import { deviceStore } from '#server/features/room/devices'
import { makeRoom } from '#server/features/room/control'
import { sessionStore } from '#server/features/sessions/store'
import { soundStore } from '#server/features/sounds/store'
import { signInStore } from '#server/features/teachers/sign-in'
import { teacherStore } from '#server/features/teachers/store'
import { voiceStore } from '#server/features/voices/store'
import { makeHouse } from '#server/house'
import { accessTable } from '#testing/access-table'
import { freshDatabase } from '#testing/fresh-database'
import { ownPoseFrom } from '#testing/own-poses'
import { aHold, aSession } from '#testing/sessions'

const clock = { now: () => new Date('2026-11-29T18:00:00Z') }
const rows = Object.entries(accessTable).map(([row, access]) => {
  const [method = '', path = ''] = row.split(' ')
  return { method, path, access }
})

/** Every way of the server, as its source has it: where each router is mounted, and what it answers. */
function waysInSource(): string[] {
  const read = (path: string): string => readFileSync(join(import.meta.dirname, path), 'utf8')
  const house = read('house.ts')
  const files = new Map(
    [...house.matchAll(/import \{([^}]*)\} from '\.\/(features\/[a-z-]+(?:\/[a-z-]+)?\.ts)'/g)].flatMap(
      ([, names = '', file = '']) => names.split(',').map((name) => [name.trim(), file] as const),
    ),
  )
  const mounts = [...house.matchAll(/use\('(\/api\/[a-z-]+)',\s*(\w+)\(/g)].map(([, at = '', maker = '']) => ({
    at,
    maker,
  }))
  const inRouters = mounts.flatMap(({ at, maker }) => {
    const file = files.get(maker)
    if (file === undefined) throw new Error(`where is ${maker}?`)
    const source = read(file)
    const isAlone = mounts.filter((one) => files.get(one.maker) === file && one.maker !== maker).length === 0
    // Of two routers of one file each has what stands from its name to the next one's.
    const own = isAlone
      ? source
      : (source.split(/^(?=export function )/m).find((part) => part.includes(`function ${maker}(`)) ?? '')
    return [...own.matchAll(/router\.(get|post|put|delete)\(\s*'([^']*)'/g)].map(
      ([, method = '', path = '']) => `${method.toUpperCase()} ${at}${path}`,
    )
  })
  const alone = [...house.matchAll(/house\.(get|post)\('(\/api\/[a-z-]+)'/g)].map(
    ([, method = '', path = '']) => `${method.toUpperCase()} ${path}`,
  )
  return [...new Set([...inRouters, ...alone])].toSorted()
}

test('every way of the server stands in the table of who may', () => {
  expect(waysInSource()).toEqual(Object.keys(accessTable).toSorted())
})

let folder: string
let database: Database
let server: Server
let address: string
/** What each role shows: none, one that is over, a colleague, a keeper, and whose everything is. */
let cookies: Readonly<Record<'none' | 'over' | 'colleague' | 'keeper' | 'owner', string>>
/** What of the owner's fills each hole in an address. */
let ids: Readonly<Record<string, string>>
let kept: { readonly version: string; readonly deviceId: string }

const runningStart = () => {
  const session = aSession([aHold('deer')], { id: 'thursday-slow-hour' })
  const startedAtMs = clock.now().getTime() - 60_000
  return ledStart(session, orThrow(compileTimeline(session, shippedCatalog)), {
    ...{ id: 'running', people: 6, startedAtMs, promisedEndMs: startedAtMs + 3_600_000 },
    ...{ nameOf: () => 'Deer', sectionNameOf: () => '' },
  })
}

/** A house with a demo's worth of one teacher's work, a colleague and another keeper. */
async function furnish(): Promise<void> {
  await seedDemo(database, clock)
  const its = ownedBy(database, firstTeacherId)
  const sessions = sessionStore(its, clock)
  const { document } = await sessions.find('thursday-slow-hour')
  await sessions.save({ ...document, purpose: 'What the owner means by it' }, 1, 'version')
  const [former] = await sessions.history('thursday-slow-hour')
  const classes = ledClassStore(its, clock)
  await classes.begin(runningStart(), { by: 'laptop', name: 'Laptop' })
  await classes.keepMark('running', { id: 'm1', by: 'tablet', name: 'Tablet', atMs: 5, text: 'The owner’s mark' })
  await ownStore(its, clock).put({ kind: 'pose', document: ownPoseFrom('deer', { id: 'mine' }) }, 0)
  const voice = { id: 'v1', text: 'Soften', lengthMs: 500, type: 'audio/ogg', bytes: 4 } as const
  await voiceStore(its, clock).put('thursday-slow-hour', voice, Buffer.from('OggS'))
  const gong = { id: 'gong', name: 'Gong', use: 'bell', type: 'audio/ogg', bytes: 4, lengthMs: 500 } as const
  await soundStore(its, join(folder, 'sounds')).put(gong, Buffer.from('OggS'))
  const { device } = await deviceStore(database, clock).add('screen', firstTeacherId)
  kept = { version: String(former?.id), deviceId: device.id }
}

/** Signed in without a password being made up for each. */
async function signedIn(): Promise<void> {
  const teachers = teacherStore(database, clock, 'accounts')
  const signIns = signInStore(database, clock, 'accounts')
  const row = { version: 1, addedAt: clock.now(), secretHash: null, codeHash: null, codeUntil: null, closedAt: null }
  const of = (id: string, role: string) => ({ ...row, id, role, name: id, nameKey: id })
  await database.inTransaction((transaction) =>
    database.models.teachers.bulkCreate([of(firstTeacherId, 'teacher'), of('noor', 'teacher'), of('ole', 'keeper')], {
      transaction,
    }),
  )
  expect((await teachers.list()).map(({ id }) => id)).toEqual(['noor', 'ole', firstTeacherId])
  const cookieOf = async (id: string) => `zovrin-teacher-0=${(await signIns.signInAs(id)).token}`
  const over = await cookieOf('noor')
  await database.inTransaction((transaction) =>
    database.models.signIns.update({ seenAt: new Date(0) }, { where: {}, transaction }),
  )
  cookies = {
    ...{ none: '', over },
    // A sign-in that is over is cleared away with the next one.
    ...{ colleague: await cookieOf('noor'), keeper: await cookieOf('ole'), owner: await cookieOf(firstTeacherId) },
  }
}

beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'zovrin-access-'))
  database = await freshDatabase()
  await furnish()
  await signedIn()
  const devices = deviceStore(database, clock)
  const backups = {
    ...{ isLate: () => false, list: () => Promise.resolve([]), pathOf: () => Promise.reject(new Error('none')) },
    ...{
      make: () => Promise.reject(new Error('none')),
      bring: (file: Readable) => Promise.reject(new Error(String(file))),
    },
    restore: () => Promise.reject(new Error('none')),
    peopleGone: () => Promise.resolve([]),
  }
  const hub = makeHouse({ database, clock }).hub
  const room = makeRoom({
    ...{ devices, hub, clock, folder, port: 0, addresses: () => [] },
    answers: () => () => undefined,
  })
  const house = makeHouse({ database, clock, hub, folder, backups, teachers: 'accounts' }, room)
  server = mainDoor(house, { hosts: [] }).listen(0, '127.0.0.1')
  await new Promise((done) => server.once('listening', done))
  address = `http://127.0.0.1:${String((server.address() as AddressInfo).port)}`
  const list = async (path: string, of: string): Promise<string> => {
    const [first] = (await (await ask('owner', 'GET', path)).json()) as Record<string, { id: string }>[]
    return first?.[of]?.id ?? ''
  }
  ids = {
    ...{ sessions: 'thursday-slow-hour', exchange: 'thursday-slow-hour', voices: 'v1', 'led-classes': 'running' },
    ...{ sounds: 'gong', own: 'mine', room: kept.deviceId, teachers: 'noor' },
    'planned-classes': await list('/api/planned-classes', 'planned'),
    series: await list('/api/series', 'series'),
    'long-days': await list('/api/long-days', 'longDay'),
    places: await list('/api/places', 'place'),
    people: await list('/api/people', 'person'),
  }
})
afterAll(async () => {
  server.closeAllConnections()
  await new Promise((done) => server.close(done))
  await database.close()
  rmSync(folder, { recursive: true })
})

/** An address with the owner's ids in it. */
const filled = (path: string): string =>
  path
    .replace(':sessionId', 'thursday-slow-hour')
    .replace(':version', kept.version)
    .replace(':mark', 'm1')
    .replace(':kind', 'pose')
    .replace(':name', 'a.zip')
    .replace(':id', ids[path.split('/')[2] ?? ''] ?? 'none')
    .replace(/\/$/, '')

async function ask(role: keyof typeof cookies, method: string, path: string, body?: unknown): Promise<Response> {
  const isHeard = method === 'PUT' && /^\/api\/(sounds|voices)\//.test(path)
  const said = new URLSearchParams({ name: 'Gong', use: 'bell', text: 'Soften', lengthMs: '500' })
  if (path.startsWith('/api/sounds')) said.delete('text')
  else said.forEach((_, key) => (['name', 'use'].includes(key) ? said.delete(key) : undefined))
  const isZip = method === 'PUT' && /^\/api\/(backups|archive)$/.test(path)
  const type = isHeard ? 'audio/ogg' : isZip ? 'application/zip' : 'application/json'
  const sent =
    isHeard || isZip ? 'OggS' : method === 'GET' || method === 'DELETE' ? undefined : JSON.stringify(body ?? {})
  return fetch(`${address}${path}${isHeard ? `?${said.toString()}` : ''}`, {
    method,
    headers: {
      Cookie: cookies[role],
      ...(method === 'GET' ? {} : { 'If-Match': '"1"' }),
      ...(sent === undefined ? {} : { 'Content-Type': type }),
    },
    ...(sent === undefined ? {} : { body: sent }),
  })
}

/** What is sent where it has to be something: the owner's own document, changed. */
async function bodyFor(method: string, path: string): Promise<unknown> {
  const at = filled(path)
  const first = async (list: string, of: string) => {
    const all = (await (await ask('owner', 'GET', list)).json()) as Record<string, object>[]
    return { ...all[0]?.[of] }
  }
  const session = { ...((await (await ask('owner', 'GET', '/api/sessions/thursday-slow-hour')).json()) as object) }
  const bodies: Readonly<Record<string, () => unknown>> = {
    'POST /api/sessions': () => session,
    [`PUT ${filled('/api/sessions/:id')}`]: () => ({ ...session, name: 'Taken over' }),
    [`POST ${filled('/api/sessions/:id/history')}`]: () => session,
    [`POST ${filled('/api/sessions/:id/state')}`]: () => ({ deleted: true }),
    [`POST ${filled('/api/voices/:sessionId/taken')}`]: () => ({ texts: ['Soften'] }),
    [`PUT ${filled('/api/planned-classes/:id/handed')}`]: () => ({ to: 'noor', forms: [] }),
    [`POST ${filled('/api/remarks/:sessionId/shown')}`]: () => ({ to: 'noor' }),
    [`PUT ${filled('/api/remarks/:sessionId/:id')}`]: () => ({ blockId: 'b', text: 'Over it' }),
    [`PUT ${filled('/api/planned-classes/:id')}`]: () => first('/api/planned-classes', 'planned'),
    [`PUT ${filled('/api/series/:id')}`]: () => first('/api/series', 'series'),
    [`PUT ${filled('/api/long-days/:id')}`]: () => first('/api/long-days', 'longDay'),
    [`PUT ${filled('/api/led-classes/:id')}`]: runningStart,
    [`POST ${filled('/api/led-classes/:id/events')}`]: () => ({ by: 'x', conductedMs: 9, events: [] }),
    [`PUT ${filled('/api/led-classes/:id/end')}`]: () => ({ endedAt: '2026-11-29T18:10:00Z', left: false, visits: [] }),
    [`PUT ${filled('/api/led-classes/:id/deleted')}`]: () => ({ deleted: true }),
    [`PUT ${filled('/api/led-classes/:id/leads')}`]: () => ({ by: 'thief' }),
    [`PUT ${filled('/api/led-classes/:id/marks/:mark')}`]: () => ({
      id: 'm1',
      by: 'x',
      name: '',
      atMs: 5,
      text: 'mine',
    }),
    [`PUT ${filled('/api/led-classes/:id/note')}`]: () => ({ note: 'theirs' }),
    [`PUT ${filled('/api/led-classes/:id/breath')}`]: () => ({}),
    [`PUT ${filled('/api/led-classes/:id/incident')}`]: () => ({ incident: null }),
    [`PUT ${filled('/api/own/:kind/:id')}`]: () => ownPoseFrom('deer', { id: 'mine' }),
  }
  return bodies[`${method} ${at}`]?.()
}

const isStream = (path: string): boolean => path.endsWith('/stream')
/** What comes of a stream before it is left, or all there is. */
async function textOf(reply: Response, path: string): Promise<string> {
  if (!isStream(path) || !reply.ok) return reply.text()
  const reader = reply.body?.pipeThrough(new TextDecoderStream()).getReader()
  let text = ''
  while (!text.includes('data:')) text += (await reader?.read())?.value ?? 'data:'
  await reader?.cancel()
  return text
}

/** All that the owner reads of what is their own. */
async function ownersView(): Promise<Record<string, string>> {
  const view: Record<string, string> = {}
  for (const { method, path, access } of rows)
    if (method === 'GET' && access === 'own' && !isStream(path) && path !== '/api/screen/time')
      view[path] = await (await ask('owner', 'GET', filled(path))).text()
  return view
}

test.each(rows)(
  '$method $path is answered to nobody who is not known, but what is for all',
  async ({ method, path, access }) => {
    for (const role of ['none', 'over'] as const) {
      const reply = await ask(role, method, filled(path), await bodyFor(method, path))
      const text = await textOf(reply, path)
      if (access === 'all') expect(reply.status === 401 && text.includes('NOT_SIGNED_IN')).toBe(false)
      else expect([reply.status, text]).toEqual([401, expect.stringContaining('NOT_SIGNED_IN')])
    }
  },
)

test('of what is one teacher’s own no colleague and no keeper reads or changes anything', async () => {
  const before = await ownersView()
  expect(before['/api/sessions/:id']).toContain('What the owner means by it')
  expect(before['/api/now/']).toContain('running')
  const names = [
    ...Object.values(before)
      .join('\n')
      .matchAll(/"name":"([^"]{6,})"/g),
  ].map(([, name = '']) => name)
  const shared =
    (await (await ask('owner', 'GET', '/api/people')).text()) +
    (await (await ask('owner', 'GET', '/api/places')).text())
  const shipped = JSON.stringify([...shippedCatalog.poses.values()])
  const telling = [...new Set(names)].filter((name) => !shared.includes(name) && !shipped.includes(name))
  expect(telling).toEqual(expect.arrayContaining(['Thursday slow hour']))
  const leaks: string[] = []
  for (const { method, path, access } of rows) {
    if (access !== 'own') continue
    for (const role of ['colleague', 'keeper'] as const) {
      // The keeper sees the devices of all, and disconnects them.
      if (role === 'keeper' && path.startsWith('/api/room')) continue
      const reply = await ask(role, method, filled(path), await bodyFor(method, path))
      const text = await textOf(reply, path)
      const row = `${role} ${method} ${path}`
      if (reply.status === 401 || reply.status >= 500) leaks.push(`${row}: ${String(reply.status)}`)
      const isRefused = reply.status >= 400
      if (path.includes('/:') && !path.startsWith('/api/room') && !isRefused)
        leaks.push(`${row}: ${String(reply.status)}`)
      for (const name of telling) if (text.includes(name)) leaks.push(`${row} tells “${name}”`)
      if (/owner’s mark|What the owner means/.test(text)) leaks.push(`${row} tells what was written`)
    }
  }
  expect(leaks).toEqual([])
  expect(await ownersView()).toEqual(before)
})

test('what one made every teacher reads, and whoever made it and the keeper change', async () => {
  for (const { method, path, access } of rows) {
    if (access !== 'maker') continue
    const status = async (role: 'colleague' | 'keeper' | 'owner') =>
      (await ask(role, method, filled(path), await bodyFor(method, path))).status
    if (method === 'GET') expect([path, await status('colleague')]).toEqual([path, 200])
    else expect([method, path, await status('colleague')]).toEqual([method, path, 403])
  }
  const pose = await bodyFor('PUT', '/api/own/:kind/:id')
  expect((await ask('keeper', 'PUT', '/api/own/pose/mine', pose)).status).toBe(200)
})

test('what all use every teacher reads and changes', async () => {
  for (const { method, path, access } of rows)
    if (access === 'shared' && method === 'GET')
      for (const role of ['colleague', 'keeper', 'owner'] as const)
        expect([role, path, (await ask(role, method, filled(path))).status]).toEqual([role, path, 200])
  const all = (await (await ask('owner', 'GET', '/api/places')).json()) as { place: { id: string } }[]
  const reply = await ask('colleague', 'PUT', `/api/places/${ids['places'] ?? ''}`, {
    ...all[0]?.place,
    name: 'Their place',
  })
  expect(reply.status).toBe(200)
})

test('what is the keeper’s no teacher does', async () => {
  for (const { method, path, access } of rows) {
    if (access !== 'keeper') continue
    for (const role of ['colleague', 'owner'] as const) {
      const reply = await ask(role, method, filled(path))
      expect([method, path, reply.status, ((await reply.json()) as { code: string }).code]).toEqual([
        method,
        path,
        403,
        'NOT_KEEPER',
      ])
    }
    expect((await ask('keeper', method, filled(path))).status).not.toBe(403)
  }
})
