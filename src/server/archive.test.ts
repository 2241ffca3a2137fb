import { createHash } from 'node:crypto'
import {
  createWriteStream,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readFileSync,
  readdirSync,
  rmSync,
  utimesSync,
  writeFileSync,
} from 'node:fs'
import { tmpdir } from 'node:os'
import { dirname, join } from 'node:path'
import { pipeline } from 'node:stream/promises'
import fc from 'fast-check'
import request from 'supertest'
import { ZipFile } from 'yazl'
import { ledStart } from '#core/lead'
import { orThrow } from '#core/result'
import { compileTimeline } from '#core/timeline'
import { shippedCatalog } from '#library/shipped'
import type { KeptPlannedClass } from '#model/planned-class'
import { firstTeacherId } from '#model/teacher'
import { archiveKind } from '#server/archive/archive-kind'
import { kept, openRow } from '#server/archive/open-row'
import { createApp } from '#server/app'
import { unpackListed } from '#server/backup/listed-zip'
import type { Database } from '#server/db/open'
import { ownedBy } from '#server/db/owned'
import { seedDemo } from '#server/demo/seed'
import { ledClassStore } from '#server/features/led-classes/store'
import { sessionStore } from '#server/features/sessions/store'
import { soundStore } from '#server/features/sounds/store'
import { voiceStore } from '#server/features/voices/store'
import { freshDatabase } from '#testing/fresh-database'
import { aSession, aTalk } from '#testing/sessions'
import { joined, studio } from '#testing/teachers'

const clock = { now: () => new Date('2026-03-12T18:00:00Z') }
let [folder, elsewhere] = ['', '']
let database: Database
let other: Database
beforeEach(async () => {
  ;[folder, elsewhere] = ['here', 'there'].map((name) => mkdtempSync(join(tmpdir(), `zovrin-${name}-`))) as [
    string,
    string,
  ]
  database = await freshDatabase()
  other = await freshDatabase()
})
afterEach(async () => {
  await Promise.all([database.close(), other.close()])
  for (const one of [folder, elsewhere]) rmSync(one, { recursive: true })
})

const house = (of: Database, its: string) => request(createApp({ database: of, folder: its, hosts: [], clock }))
const here = () => house(database, folder)
const there = () => house(other, elsewhere)

async function saved(of: Pick<ReturnType<typeof here>, 'get'>): Promise<Buffer> {
  const reply = await of
    .get('/api/archive')
    .expect(200)
    .expect('Content-Type', 'application/zip')
    .buffer()
    .parse((response, done) => {
      const parts: Buffer[] = []
      response.on('data', (part: Buffer) => parts.push(part))
      response.on('end', () => {
        done(null, Buffer.concat(parts))
      })
    })
  return reply.body as Buffer
}
const bring = (of: Pick<ReturnType<typeof here>, 'put'>, zip: Buffer | string) =>
  of.put('/api/archive').set('Content-Type', 'application/zip').send(zip)

/** A house with something of everything in it. */
async function fill(): Promise<void> {
  await seedDemo(database, clock)
  const its = ownedBy(database, firstTeacherId)
  await soundStore(its, join(folder, 'sounds')).put(
    { id: 'gong', name: 'Gong', use: 'bell', type: 'audio/wav', bytes: 6, lengthMs: 900 },
    Buffer.from('gong!!'),
  )
  const voice = { id: 'v1', text: 'Soften', lengthMs: 500, type: 'audio/ogg', bytes: 4 } as const
  await voiceStore(its, clock).put('thursday-slow-hour', voice, Buffer.from('OggS'))
  // One class is with a colleague, and one went away as a file.
  await handedTo('next-sunday', { teacherId: 'noor', name: 'Noor', at: '2026-03-12T10:00:00Z', classId: 'theirs' })
  await handedTo('next-tuesday', { name: 'Ole', at: '2026-03-12T10:00:00Z' })
  // What looks like a document and is a note stays a note, to the sign.
  const [led] = await database.models.ledClasses.findAll()
  await database.inTransaction((transaction) =>
    Promise.resolve(led?.update({ note: '[1,  2]', leadsBy: 'gone', leadsName: 'Tablet' }, { transaction })),
  )
}

async function handedTo(id: string, to: object): Promise<void> {
  const row = await database.models.plannedClasses.findByPk(id)
  const document = JSON.stringify({ ...(JSON.parse(row?.document ?? '{}') as object), handedTo: to })
  await database.inTransaction((transaction) => Promise.resolve(row?.update({ document }, { transaction })))
}

const keyOf = ({ kind, id, classId, n, sessionId, version }: Record<string, unknown>): string =>
  JSON.stringify([kind, id, classId, n, sessionId, version])

/** A document without what is of its own house alone: which colleague has it. */
interface Handed {
  readonly handedTo?: { readonly teacherId?: string }
}
function ofAnyHouse(document: Handed): object {
  const { handedTo: to, ...rest } = document
  return to?.teacherId === undefined ? document : rest
}

/** Every row of what is a teacher’s. */
async function rowsOf(of: Database): Promise<Record<string, unknown[]>> {
  const { teachers: _t, signIns: _s, signInTries: _i, pairingCodes: _p, ...others } = of.models
  const { notes: _n, devices: _d, shownSessions: _w, ...models } = others
  const rows: Record<string, unknown[]> = {}
  for (const [name, model] of Object.entries(models)) {
    const all = (await (model as typeof of.models.sessions).findAll()) as unknown as {
      get(): Record<string, unknown>
    }[]
    const isNumbered = ['history', 'ledAsides'].includes(name)
    rows[name] = all
      .map((row): Record<string, unknown> => {
        // Who leads it is of the house; what it teaches is asked anew.
        const { leadsBy: _b, leadsName: _m, leadsUntil: _u, seenTimes: _t, drift: _d, ...values } = row.get()
        const { document, ...columns } = isNumbered ? { ...values, id: 0 } : values
        // In which order a document says what it says is one.
        return typeof document === 'string'
          ? { ...columns, document: ofAnyHouse(JSON.parse(document) as Handed) }
          : columns
      })
      .toSorted((one, another) => (keyOf(one) < keyOf(another) ? -1 : 1))
  }
  return rows
}

test('all that a teacher has goes out as open files, and is in another house what it was', async () => {
  await fill()
  // What one that was killed had laid out an hour and more ago.
  const left = join(folder, 'open-files-left')
  mkdirSync(left)
  utimesSync(left, clock.now().getTime() / 1000, clock.now().getTime() / 1000 - 3601)
  const came = await bring(there(), await saved(here())).expect(200)
  expect(came.body.left).toEqual({})
  expect(came.body.there).toEqual({})
  expect(came.body.brought).toMatchObject({ sessions: 4, people: 14, places: 1, sounds: 1, voices: 1 })
  const [before, after] = [await rowsOf(database), await rowsOf(other)]
  for (const [name, rows] of Object.entries(before)) expect([name, after[name]]).toEqual([name, rows])
  expect(readFileSync(join(elsewhere, 'sounds', 'gong'), 'utf8')).toBe('gong!!')
  expect(
    (await other.models.ledClasses.count({ where: { leadsBy: 'gone' } })) + (await other.models.devices.count()),
  ).toBe(0)

  const planned = (await there().get('/api/planned-classes')).body as KeptPlannedClass[]
  expect(planned.map((one) => [one.planned.id, one.planned.handedTo?.name])).toEqual([
    ['next-sunday', undefined],
    ['next-tuesday', 'Ole'],
    ['next-thursday', undefined],
  ])

  // Once more: all of it is here, and stays as it is.
  await sessionStore(ownedBy(other, firstTeacherId), clock).save(
    aSession([aTalk()], { id: 'sunday-long-rest', name: 'Mine since' }),
    1,
    'saved',
  )
  const again = await bring(there(), await saved(here())).expect(200)
  expect(again.body.brought).toEqual({})
  expect(again.body.there).toMatchObject({ sessions: 4, people: 14 })
  expect((await there().get('/api/sessions/sunday-long-rest')).body.name).toBe('Mine since')
  // What was laid out for it is gone with it.
  for (const one of [folder, elsewhere]) expect(readdirSync(one).filter((name) => name !== 'sounds')).toEqual([])
})

test('the files are what they say: a session is a file of its own, that any program reads', async () => {
  await fill()
  const files = await unpacked(await saved(here()))
  expect(files.get('README.txt')?.toString()).toContain('keep it where only you read it')
  const session = JSON.parse(String(files.get('sessions/thursday-slow-hour.json')))
  expect(session.sessions[0].document.blocks).toHaveLength(9)
  expect(session.voices[0]).toMatchObject({ text: 'Soften', heard: 'voices/v1.ogg' })
  expect(files.get('voices/v1.ogg')?.toString()).toBe('OggS')
  expect(files.get('sounds/gong.wav')?.toString()).toBe('gong!!')
  expect([...files.keys()].filter((name) => name.startsWith('people/'))).toHaveLength(14)
  expect(String(files.get('settings/settings.json') ?? '')).not.toMatch(/secret|hash/i)
})

/** The files of an archive, by their names. */
async function unpacked(zip: Buffer): Promise<Map<string, Buffer>> {
  const into = join(mkdtempSync(join(folder, 'look-')), 'files')
  writeFileSync(`${into}.zip`, zip)
  const { files } = await unpackListed(archiveKind, `${into}.zip`, into)
  const read = new Map(files.map(({ name }) => [name, readFileSync(join(into, name))]))
  rmSync(dirname(into), { recursive: true })
  return read
}

/** An archive of these files, with a list that says so, but for what is said otherwise; `other` takes the place of `name` in all of it. */
async function zipOf(
  files: ReadonlyMap<string, Buffer>,
  change: object = {},
  [name, another]: readonly [string, string] = ['', ''],
): Promise<Buffer> {
  const list = [...files].map(([name, bytes]) => ({
    ...{ name, bytes: bytes.length, sha256: createHash('sha256').update(bytes).digest('hex') },
  }))
  const manifest = {
    format: 'zovrin.archive',
    version: 1,
    madeAt: '2026-03-12T18:00:00.000Z',
    schema: '029-pairing-codes',
    counts: {},
    files: list,
    ...change,
  }
  const zip = new ZipFile()
  zip.addBuffer(Buffer.from(JSON.stringify(manifest)), 'archive.json', { compress: false })
  for (const [called, bytes] of files) zip.addBuffer(bytes, called, { compress: false })
  zip.end()
  const path = join(folder, 'made.zip')
  await pipeline(zip.outputStream, createWriteStream(path))
  const bytes = readFileSync(path)
  rmSync(path)
  return name === '' ? bytes : Buffer.from(bytes.toString('latin1').replaceAll(name, another), 'latin1')
}
const json = (value: unknown): Buffer => Buffer.from(JSON.stringify(value))

test('with several teachers each saves what is theirs, and what is brought in belongs to whoever brings it', async () => {
  const app = createApp({ database, folder, hosts: [], clock, teachers: 'accounts' })
  const all = await studio(database, clock, app)
  const noor = await joined(all, 'Noor')
  const mine = aSession([aTalk()], { id: 'mine', name: 'The keeper’s hour' })
  await all.keeper.post('/api/sessions').send(mine).expect(201)
  await noor
    .post('/api/sessions')
    .send(aSession([aTalk()], { id: 'hers', name: 'Noor’s hour' }))
    .expect(201)
  const files = await unpacked(await saved(noor))
  expect([...files.keys()].filter((name) => name.startsWith('sessions/'))).toEqual(['sessions/hers.json'])
  expect([...files.values()].join('')).not.toContain('The keeper’s hour')
  // A colleague’s is told to be here, and stays theirs.
  const came = await bring(noor, await saved(all.keeper)).expect(200)
  expect(came.body).toMatchObject({ brought: {}, there: { sessions: 1 } })
  expect((await noor.get('/api/sessions')).body).toHaveLength(1)
  await sessionStore(ownedBy(other, firstTeacherId), clock).create(
    aSession([aTalk()], { id: 'third', name: 'From before' }),
  )
  await bring(noor, await saved(there())).expect(200)
  expect((await noor.get('/api/sessions')).body).toHaveLength(2)
  expect((await all.keeper.get('/api/sessions')).body).toHaveLength(1)
})

test('an archive of an earlier form is brought up to this one', async () => {
  await fill()
  const files = await unpacked(await saved(here()))
  // As the schema before teachers and what is handed over has it.
  const owned = new Set(['sessions', 'series', 'longDays', 'ledClasses', 'ownThings', 'sounds'])
  const former = new Map(
    [...files].map(([name, bytes]): [string, Buffer] => {
      if (!name.endsWith('.json')) return [name, bytes]
      const { remarks: _remarks, ...tables } = JSON.parse(bytes.toString()) as Record<string, Record<string, unknown>[]>
      const rows = Object.entries(tables).map(([table, some]) => [
        table,
        some.map(({ ownerId, ledBy: _led, ...row }) => (owned.has(table) ? row : { ...row, ownerId })),
      ])
      return [name, json(Object.fromEntries(rows))]
    }),
  )
  await bring(there(), await zipOf(former, { schema: '026-voices' })).expect(200)
  const [before, after] = [await rowsOf(database), await rowsOf(other)]
  for (const name of ['sessions', 'ledClasses', 'ledEvents', 'people', 'plannedClasses', 'voices'])
    expect([name, after[name]]).toEqual([name, before[name]])
})

describe('what is no whole archive', () => {
  const row = { id: 'gong', name: 'Gong', use: 'bell', type: 'audio/wav', bytes: 6, lengthMs: 900, ownerId: 'first' }
  const voiced = (heard: string) => ({
    sessions: [],
    voices: [
      {
        id: 'v',
        sessionId: 's',
        text: 'x',
        type: 'audio/ogg',
        bytes: 4,
        lengthMs: 1,
        savedAt: '2026-01-01T00:00:00Z',
        heard,
      },
    ],
  })
  test.each([
    [
      'no zip',
      () => Promise.resolve(Buffer.from('a shopping list, and more of it than a zip has at its end')),
      /ends before its end|no open files/,
    ],
    [
      'another zip',
      () => zipOf(new Map([['README.txt', Buffer.from('x')]]), { format: 'other' }),
      /holds no open files/,
    ],
    [
      'a path out of it',
      // No program that makes zips would write it.
      () => zipOf(new Map([['sessions/aa/aa/x.json', json({})]]), {}, ['sessions/aa/aa', 'sessions/../..']),
      /no open files|not what was saved/,
    ],
    ['a newer one', () => zipOf(new Map([['README.txt', Buffer.from('x')]]), { version: 2 }), /newer Zovrin/],
    [
      'a newer schema',
      () => zipOf(new Map([['README.txt', Buffer.from('x')]]), { schema: '099-later' }),
      /newer Zovrin/,
    ],
    [
      'a wrong sum',
      () =>
        zipOf(new Map([['README.txt', Buffer.from('x')]]), {
          files: [{ name: 'README.txt', bytes: 1, sha256: 'a'.repeat(64) }],
        }),
      /not what was saved/,
    ],
    ['no JSON', () => zipOf(new Map([['sessions/a.json', Buffer.from('{')]])), /not what was saved/],
    [
      'a table that is none of its',
      () => zipOf(new Map([['own/a.json', json({ teachers: [{ id: 'x' }] })]])),
      /not what was saved/,
    ],
    [
      'a column that is none',
      () => zipOf(new Map([['sounds/a.json', json({ sounds: [{ ...row, more: 1 }] })]])),
      /not what was saved/,
    ],
    [
      'a value that its column does not keep',
      () => zipOf(new Map([['sounds/a.json', json({ sounds: [{ ...row, bytes: 'six' }] })]])),
      /not what was saved/,
    ],
    [
      'half a character',
      () => zipOf(new Map([['sounds/a.json', Buffer.from(`{"sounds":[{"id":"a\\ud800"}]}`)]])),
      /not what was saved/,
    ],
    [
      'a recording of a file elsewhere',
      () => zipOf(new Map([['sessions/a.json', json(voiced('../../../etc/hostname'))]])),
      /not what was saved/,
    ],
  ])('%s: it is told, and nothing is brought in', async (_what, made, words) => {
    const before = await rowsOf(other)
    const reply = await bring(there(), await made())
    expect([reply.status, reply.body.code]).toEqual([422, 'ARCHIVE_TROUBLE'])
    expect(reply.body.detail).toMatch(words)
    expect(await rowsOf(other)).toEqual(before)
    expect(readdirSync(elsewhere)).toEqual([])
  })

  test('a sound whose name is a path, or that nobody can hear, is left; so is what stands on nothing', async () => {
    const files = new Map([
      ['sounds/a.json', json({ sounds: [{ ...row, id: '../../gong' }] })],
      ['sounds/b.json', json({ sounds: [{ ...row, id: 'unheard' }] })],
      ['sounds/c.json', json({ sounds: [{ ...row, id: 'longer' }] })],
      ['sounds/longer.wav', Buffer.from('longer than it says')],
      [
        'series/s.json',
        json({ series: [{ id: 's', name: 'S', baseId: 'gone', version: 1, document: {}, ownerId: 'first' }] }),
      ],
    ])
    const { body } = await bring(there(), await zipOf(files)).expect(200)
    expect(body).toMatchObject({ brought: {}, left: { sounds: 3, series: 1 } })
    expect(existsSync(join(elsewhere, 'sounds'))).toBe(false)
  })
})

test('what cannot be read is left, and stands in the way of nothing', async () => {
  await fill()
  const files = await unpacked(await saved(here()))
  /** One more of each kind, with nothing in its document that such a thing has. */
  const broken = new Map<string, Buffer>()
  for (const folder_ of [
    'sessions',
    'series',
    'long-days',
    'planned-classes',
    'led-classes',
    'people',
    'places',
    'own',
  ]) {
    const [name, bytes] = [...files].find(([one]) => one.startsWith(`${folder_}/`)) ?? []
    if (!bytes) continue
    const [[table, rows] = ['', []]] = Object.entries(JSON.parse(bytes.toString()) as Record<string, object[]>)
    const [row] = rows
    const its = folder_ === 'places' ? { rooms: [{}], isUsual: false } : { document: { schema: 1 } }
    broken.set(`${folder_}/broken.json`, json({ [table]: [{ ...row, ...its, id: 'broken' }] }))
    expect(name).toBeDefined()
  }
  const came = await bring(there(), await zipOf(new Map([...files, ...broken]))).expect(200)
  expect(came.body.left).toEqual({
    ...{ sessions: 1, series: 1, longDays: 1, people: 1, places: 1, classPlans: 1, ledClasses: 1 },
  })
  for (const path of ['sessions', 'series', 'long-days', 'people', 'places', 'own', 'planned-classes', 'led-classes'])
    await there().get(`/api/${path}`).expect(200)
})

test('a class that runs in the house it comes from is led by nobody in the other', async () => {
  const its = ownedBy(database, firstTeacherId)
  const session = aSession([aTalk()], { id: 'session-1' })
  await sessionStore(its, clock).create(session)
  const startedAtMs = clock.now().getTime() - 60_000
  const start = ledStart(session, orThrow(compileTimeline(session, shippedCatalog)), {
    ...{ id: 'running', people: 6, startedAtMs, promisedEndMs: startedAtMs + 3_600_000 },
    ...{ nameOf: () => 'A talk', sectionNameOf: () => '' },
  })
  await ledClassStore(its, clock).begin(start, { by: 'laptop', name: 'Laptop' })
  await bring(there(), await saved(here())).expect(200)
  expect(await other.models.ledClasses.findAll({ raw: true })).toMatchObject([{ leadsBy: null, leadsName: null }])
})

test('what a column keeps comes back to the sign, whatever it is', () => {
  const value = fc.oneof(fc.string(), fc.integer(), fc.constant(null), fc.json(), fc.boolean())
  fc.assert(
    fc.property(fc.constantFrom('document', 'note', 'visits', 'name'), value, (column, kept0) => {
      const written = JSON.parse(JSON.stringify(openRow({ [column]: kept0 }))) as Record<string, unknown>
      expect(kept(written[column], false)).toEqual(kept0)
    }),
    { numRuns: 100 },
  )
})
