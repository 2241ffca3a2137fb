import {
  copyFileSync,
  createWriteStream,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readFileSync,
  readdirSync,
  rmSync,
  statSync,
  truncateSync,
  writeFileSync,
} from 'node:fs'
import disk from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { pipeline } from 'node:stream/promises'
import { ZipFile } from 'yazl'
import type { Backup } from '#model/backup'
import { backUpWhereDue } from '#server/backup/daily'
import { backupsBeside, newestWhole } from '#server/backup/kept-backups'
import { makeBackup } from '#server/backup/make-backup'
import { checkBackup, readBackup } from '#server/backup/read-backup'
import { restoreBackup } from '#server/backup/restore-backup'
import { withOffer } from '#server/backup/offer'
import { CannotBackUp } from '#server/backup/trouble'
import { prepareDemo } from '#server/demo/seed'
import { holdDatabase } from '#server/db/hold'
import { migrations } from '#server/db/migrate'
import { openDatabase } from '#server/db/open'
import { sessionStore } from '#server/features/sessions/store'
import { soundStore } from '#server/features/sounds/store'
import { startServer } from '#server/start'
import { aHold, aSession } from '#testing/sessions'

const fixtures = join(import.meta.dirname, '../db/fixtures')
let [folder, now] = ['', new Date('2026-03-12T18:00:00Z')]
const clock = { now: () => now }
const kept = () => ({ folder, file: join(folder, 'zovrin.sqlite') })
beforeEach(() => {
  now = new Date('2026-03-12T18:00:00Z')
  folder = mkdtempSync(join(tmpdir(), 'zovrin-backup-'))
})
afterEach(() => {
  rmSync(folder, { recursive: true })
})

const gong = { id: 'gong', name: 'Gong', use: 'bell', type: 'audio/wav', bytes: 6, lengthMs: 900 } as const
/** A house with these sessions in it, and a sound of one's own. */
async function aHouse(...ids: readonly string[]): Promise<void> {
  const database = await openDatabase(kept().file, clock)
  for (const id of ids)
    await sessionStore(database, clock).create(aSession([aHold('deer')], { id, name: `Session ${id}` }))
  await soundStore(database, join(folder, 'sounds')).put(gong, Buffer.from('gong!!'))
  await database.close()
}
/** The sessions that are there now, and the sounds. */
async function inHouse(): Promise<{ sessions: string[]; sounds: string[] }> {
  const database = await openDatabase(kept().file, clock)
  const sessions = (await sessionStore(database, clock).list()).map(({ id }) => id).toSorted()
  await database.close()
  const sounds = join(folder, 'sounds')
  return { sessions, sounds: existsSync(sounds) ? readdirSync(sounds) : [] }
}
/** Spoils some pages of the database. */
function damage(file = kept().file): void {
  const bytes = readFileSync(file)
  bytes.fill(0x5a, 4096, 4096 * 6)
  writeFileSync(file, bytes)
}
const troubleOf = async (work: Promise<unknown>): Promise<string> => {
  const error = await work.then(
    () => undefined,
    (one: unknown) => one,
  )
  return error instanceof CannotBackUp ? error.trouble : String(error)
}

test('a backup is one file with all that is there, made while others write; it says what is in it', async () => {
  await aHouse('one')
  const database = await openDatabase(kept().file, clock)
  const writes = ['two', 'three', 'four'].map((id) => sessionStore(database, clock).create(aSession([], { id })))
  const [{ path, backup }] = await Promise.all([makeBackup(kept(), 'asked', clock), ...writes])
  await database.close()
  expect(path).toBe(join(folder, 'backups', 'zovrin-asked-2026-03-12T180000.zip'))
  expect(statSync(path).mode & 0o077).toBe(0)
  expect(backup).toMatchObject({ why: 'asked', madeAt: '2026-03-12T18:00:00.000Z', counts: { sounds: 1 } })
  expect(backup.counts['sessions']).toBeGreaterThanOrEqual(1)
  expect(backup.files.map(({ name }) => name)).toEqual(['zovrin.sqlite', 'sounds/gong'])
  expect(await readBackup(path)).toEqual(backup)
  expect(await checkBackup(path)).toEqual(backup)
  expect(readdirSync(join(folder, 'backups'))).toHaveLength(1)
})

test('restoring puts all of it back, and keeps what there was first', async () => {
  await aHouse('one')
  const { path } = await makeBackup(kept(), 'asked', clock)
  rmSync(join(folder, 'sounds'), { recursive: true })
  await aHouse('two')
  now = new Date('2026-03-13T18:00:00Z')
  const { before, damaged } = await restoreBackup(path, kept(), clock)
  expect(await inHouse()).toEqual({ sessions: ['one'], sounds: ['gong'] })
  expect(damaged).toBeUndefined()
  expect(before?.backup).toMatchObject({ why: 'beforeRestore', counts: { sessions: 2 } })
  const again = await restoreBackup(before?.path ?? '', kept(), clock)
  expect((await inHouse()).sessions).toEqual(['one', 'two'])
  // What is kept in the same second takes nothing away of what was.
  expect(await checkBackup(before?.path ?? '')).toMatchObject({ counts: { sessions: 2 } })
  expect(await checkBackup(again.before?.path ?? '')).toMatchObject({ counts: { sessions: 1 } })
  expect(readdirSync(folder).filter((name) => name.startsWith('restoring'))).toEqual([])
})

const formers = readdirSync(fixtures).filter((name) => name.endsWith('.sqlite'))
test('a database of each former version of the schema is there to be tried', () => {
  // The first three migrations came together, and what the last one makes is no former version.
  const versions = migrations.map(({ name }) => name.slice(0, 3)).slice(2, -1)
  expect(versions.filter((version) => !formers.some((name) => name.startsWith(version)))).toEqual([])
})

test.each(formers)(
  'a backup of the database as %s has it restores, and is brought up to date when it is opened',
  async (fixture) => {
    copyFileSync(join(fixtures, fixture), kept().file)
    const { path, backup } = await makeBackup(kept(), 'asked', clock)
    expect(backup.schema <= fixture.replace('.sqlite', '-zzz')).toBe(true)
    rmSync(kept().file)
    await restoreBackup(path, kept(), clock)
    const database = await openDatabase(kept().file, clock)
    expect(await database.models.sessions.count()).toBe(backup.counts['sessions'])
    await database.close()
  },
)

describe('what is no whole backup', () => {
  /** Changes a copy of a backup of a house, and tells what comes of restoring it; the house is as it was. */
  async function restored(change: (path: string) => unknown): Promise<string> {
    if (!existsSync(kept().file)) await aHouse('one')
    const { path } = await makeBackup(kept(), 'asked', clock, join(folder, 'copy.zip'))
    await change(path)
    const trouble = await troubleOf(restoreBackup(path, kept(), clock))
    expect(await inHouse()).toEqual({ sessions: ['one'], sounds: ['gong'] })
    expect(readdirSync(folder).filter((name) => /restoring|damaged|before/.test(name))).toEqual([])
    return trouble
  }
  const flip = (at: number) => (path: string) => {
    const bytes = readFileSync(path)
    const place = Math.floor(bytes.length * at)
    bytes.writeUInt8(bytes.readUInt8(place) ^ 0x55, place)
    writeFileSync(path, bytes)
  }
  async function zipped(path: string, entries: Readonly<Record<string, Buffer>>): Promise<void> {
    const zip = new ZipFile()
    for (const [name, bytes] of Object.entries(entries)) zip.addBuffer(bytes, name)
    zip.end()
    await pipeline(zip.outputStream, createWriteStream(path))
  }
  const listed = (list: Partial<Backup>): Buffer => Buffer.from(JSON.stringify(list))

  test('is refused, and nothing is changed: cut off at any place, changed, of another kind, not there', async () => {
    for (const share of [0, 0.2, 0.9, 0.995])
      expect(
        await restored((path) => {
          truncateSync(path, Math.floor(statSync(path).size * share))
        }),
      ).toBe('cut off')
    for (const share of [0.3, 0.5, 0.6]) expect(await restored(flip(share))).toBe('changed')
    expect(
      await restored((path) => {
        writeFileSync(path, 'a shopping list, longer than the end of a zip would be by itself')
      }),
    ).toBe('cut off')
    expect(
      await restored((path) => {
        rmSync(path)
      }),
    ).toBe('not readable')
    expect(await restored((path) => zipped(path, { 'other.txt': Buffer.from('x') }))).toBe('not a backup')
    expect(await restored((path) => zipped(path, { 'backup.json': listed({}) }))).toBe('not a backup')
    expect(
      await restored((path) =>
        zipped(path, { 'backup.json': Buffer.from(JSON.stringify({ format: 'zovrin.backup', version: 2 })) }),
      ),
    ).toBe('from the future')
  })

  test('is refused as well where the disk takes long to make a folder: no error is left to nobody', async () => {
    const make = disk.mkdir
    const slowly = async (...given: Parameters<typeof make>) => {
      await new Promise((done) => setTimeout(done, 100))
      return make(...given)
    }
    const slow = jest.spyOn(disk, 'mkdir').mockImplementation(slowly as typeof make)
    for (const share of [0.3, 0.5, 0.6]) expect(await restored(flip(share))).toBe('changed')
    expect(slow).toHaveBeenCalled()
    slow.mockRestore()
  })

  test('with more in it than its list says, or a database that is none, is refused as well', async () => {
    await aHouse('one')
    const { path, backup } = await makeBackup(kept(), 'asked', clock)
    const list = (change: Partial<Backup>) => listed({ ...backup, ...change })
    const [database] = backup.files
    if (!database) throw new Error('a backup has a database')
    const into = join(folder, 'made.zip')
    const trouble = async (entries: Readonly<Record<string, Buffer>>): Promise<string> => {
      await zipped(into, entries)
      return troubleOf(restoreBackup(into, kept(), clock))
    }
    const none = Buffer.from('no database at all')
    const sha256 = 'a'.repeat(64)
    expect(await trouble({ 'backup.json': list({}), 'zovrin.sqlite': none })).toBe('changed')
    expect(
      await trouble({
        'backup.json': list({ files: [{ ...database, bytes: none.length, sha256 }] }),
        'zovrin.sqlite': none,
      }),
    ).toBe('changed')
    expect(
      await trouble({ 'backup.json': list({ files: [database] }), 'zovrin.sqlite': none, 'sounds/more': none }),
    ).toBe('changed')
    const elsewhere = { name: 'sounds/../../elsewhere', bytes: none.length, sha256 } as const
    expect(await trouble({ 'backup.json': list({ files: [database, elsewhere] }), 'zovrin.sqlite': none })).toBe(
      'not a backup',
    )
    expect(await inHouse()).toEqual({ sessions: ['one'], sounds: ['gong'] })
    expect(await checkBackup(path)).toEqual(backup)
  })
})

describe('the backup of the day', () => {
  const dayMs = 24 * 3_600_000
  const names = async () =>
    (await backupsBeside(kept())).map(({ path }) => path.replace(/.*-(\w+)-(\d{4}-..-..)T.*/, '$1 $2'))

  test('is made once a day; those made by themselves stay two weeks, what was asked for stays', async () => {
    await aHouse('one')
    await makeBackup(kept(), 'asked', clock)
    for (let day = 1; day <= 20; day += 1) {
      now = new Date(now.getTime() + dayMs)
      expect(await backUpWhereDue(kept(), clock)).toBeUndefined()
      now = new Date(now.getTime() + 60_000)
      expect(await backUpWhereDue(kept(), clock)).toBeUndefined()
    }
    const all = await names()
    expect(all[0]).toBe('daily 2026-04-01')
    expect(all.at(-1)).toBe('asked 2026-03-12')
    expect(all.filter((name) => name.startsWith('daily'))).toHaveLength(14)
  })

  test('that could not be made is told, and leaves what is there', async () => {
    await aHouse('one')
    expect(await backUpWhereDue(kept(), clock)).toBeUndefined()
    now = new Date(now.getTime() + 2 * dayMs)
    damage()
    expect(await backUpWhereDue(kept(), clock)).toBeInstanceOf(Error)
    expect(await names()).toEqual(['daily 2026-03-12'])
    expect(readdirSync(join(folder, 'backups'))).toHaveLength(1)
  })

  test('clears away what one that was killed left half made, once it is nobody’s any more', async () => {
    await aHouse('one')
    mkdirSync(join(folder, 'backups'))
    mkdirSync(join(folder, 'restoring-old'))
    const left = ['backups/a.zip-x.part', 'backups/a.zip-x.copy', 'backups/x.coming', 'restoring-old/zovrin.sqlite']
    for (const name of left) writeFileSync(join(folder, name), 'half')
    // By the clock of the machine they are of just now: they may be in the making.
    now = new Date()
    expect(await backUpWhereDue(kept(), clock)).toBeUndefined()
    expect(left.every((name) => existsSync(join(folder, name)))).toBe(true)
    now = new Date(now.getTime() + 2 * dayMs)
    expect(await backUpWhereDue(kept(), clock)).toBeUndefined()
    expect(left.filter((name) => existsSync(join(folder, name)))).toEqual([])
    expect(await names()).toHaveLength(2)
  })

  test('two are made at once without one standing in the way of the other', async () => {
    await aHouse('one')
    const made = await Promise.all([1, 2, 3].map(() => makeBackup(kept(), 'asked', clock)))
    expect(await checkBackup(made[0]?.path ?? '')).toMatchObject({ counts: { sessions: 1 } })
    expect(readdirSync(join(folder, 'backups'))).toHaveLength(1)
  })

  test('another database in the same folder has its own, and what else lies there is none', async () => {
    await aHouse('one')
    mkdirSync(join(folder, 'backups'))
    for (const name of ['demo-daily-2026-03-12T100000.zip', 'notes.txt', 'zovrin-daily-yesterday.zip'])
      writeFileSync(join(folder, 'backups', name), '')
    expect(await backupsBeside(kept())).toEqual([])
  })
})

describe('a database that is damaged', () => {
  test('is told at the start with the newest whole backup, and left as it is', async () => {
    await aHouse('one')
    const { path } = await makeBackup(kept(), 'daily', clock)
    now = new Date('2026-03-13T18:00:00Z')
    const newer = await makeBackup(kept(), 'daily', clock)
    truncateSync(newer.path, 900)
    damage()
    const stands = readFileSync(kept().file)
    const config = { host: '127.0.0.1', port: 0, portIsFixed: true, dataFolder: folder }
    await expect(startServer(config, kept().file, undefined, clock)).rejects.toThrow(
      new RegExp(`is damaged.*holds 1 session, 1 own sound.*npm run restore -- ${path}`),
    )
    expect(readFileSync(kept().file).equals(stands)).toBe(true)
    expect((await newestWhole(kept()))?.path).toBe(path)
    // Whoever restores it keeps the damaged one, with its sounds.
    const { damaged, before } = await restoreBackup(path, kept(), clock)
    expect(before).toBeUndefined()
    expect(readFileSync(damaged ?? '').equals(stands)).toBe(true)
    expect(await inHouse()).toEqual({ sessions: ['one'], sounds: ['gong'] })
  })

  test('is told as well where it is the demo’s, with how that is put back', async () => {
    const home = join(folder, 'Kaia’s data')
    const { file } = await prepareDemo(home, clock)
    const { path } = await makeBackup({ file, folder: home }, 'daily', clock)
    damage(file)
    await expect(prepareDemo(home, clock)).rejects.toThrow(
      new RegExp(`is damaged.*holds 4 sessions.*npm run restore -- "${path}" --demo$`),
    )
  })

  test('makes no backup that would be taken for a whole one', async () => {
    await aHouse('one')
    damage()
    await expect(makeBackup(kept(), 'daily', clock)).rejects.toThrow(/is damaged/)
    expect(await backupsBeside(kept())).toEqual([])
  })

  test('without any backup is told so; other troubles are told as they are', async () => {
    writeFileSync(kept().file, 'no database '.repeat(100))
    const error = await openDatabase(kept().file, clock).catch((one: unknown) => one)
    expect(String(await withOffer(error, kept()))).toContain('No whole backup lies beside it.')
    const other = new Error('something else')
    expect(await withOffer(other, kept())).toBe(other)
  })
})

test('a second Zovrin on the same database says so and stops; where the first is gone it starts', async () => {
  const config = { host: '127.0.0.1', port: 0, portIsFixed: true, dataFolder: folder }
  const first = await startServer(config, kept().file, undefined, clock)
  await expect(startServer(config, kept().file, undefined, clock)).rejects.toThrow(/is open in another Zovrin/)
  expect((await fetch(`${first.address}api/health`)).status).toBe(200)
  // Another database of the same folder is another one.
  const beside = await startServer(config, join(folder, 'demo.sqlite'), undefined, clock)
  await beside.stop()
  await first.stop()
  const again = await startServer(config, kept().file, undefined, clock)
  await again.stop()
  const letGo = await holdDatabase(kept().file)
  await letGo()
})
