import {
  copyFileSync,
  mkdirSync,
  mkdtempSync,
  readFileSync,
  readdirSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { Sequelize } from 'sequelize'
import { makeMigrator, migrate, migrations } from '#server/db/migrate'
import type { Migration } from '#server/db/migrate'
import { openDatabase } from '#server/db/open'
import { cannotOpen } from '#server/db/opening'

const clock = { now: () => new Date('2026-03-12T18:00:00Z') }
/** A database as the commit before the migrations 006 and 007 wrote it, with records of classes and an own pose. */
const former = join(import.meta.dirname, 'fixtures', '005.sqlite')
const names = migrations.map(({ name }) => name)

let folder: string
let file: string
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'zovrin-opening-'))
  file = join(folder, 'zovrin.sqlite')
})
afterEach(() => {
  rmSync(folder, { recursive: true })
})

/** What a database that opens holds, counted. */
async function opens(): Promise<Record<string, number>> {
  const { sequelize, models, close } = await openDatabase(file, clock)
  const done = await (await makeMigrator(sequelize)).executed()
  expect(done.map(({ name }) => name)).toEqual(names)
  const counts = {
    sessions: await models.sessions.count(),
    led: await models.ledClasses.count(),
    events: await models.ledEvents.count(),
    own: await models.ownThings.count(),
  }
  await close()
  return counts
}

/** A database in which the statement `at` never comes: the work is cut off before it. */
function cutOff(at: number): Sequelize {
  const sequelize = new Sequelize({ dialect: 'sqlite', storage: file, logging: false })
  const query = sequelize.query.bind(sequelize)
  let asked = 0
  const cut = (...args: Parameters<typeof query>) => {
    asked += 1
    return asked > at ? Promise.reject(new Error('cut off')) : query(...args)
  }
  return Object.assign(sequelize, { query: cut })
}
const nothing = () => Promise.resolve()

describe('a migration that is cut off', () => {
  // All of them, here and there; those that came last, which change yet, at every few.
  test.each([
    ['005.sqlite', 61],
    ['027.sqlite', 5],
  ])('at any statement is done whole at the next start, with everything that was there (%s)', async (name, every) => {
    const written = join(import.meta.dirname, 'fixtures', name)
    copyFileSync(written, file)
    const whole = await opens()
    expect(whole.sessions).toBeGreaterThan(0)
    // More statements than all migrations have.
    for (let at = 2; at < 1000; at += every) {
      copyFileSync(written, file)
      const sequelize = cutOff(at)
      const cut = await migrate(sequelize, file, nothing).then(
        () => false,
        () => true,
      )
      await sequelize.close()
      expect([at, await opens()]).toEqual([at, whole])
      if (!cut) return
    }
    throw new Error('it was never done')
  })

  test('at the first start of all leaves a folder in which Zovrin starts', async () => {
    for (let at = 1; at < 40; at += 12) {
      rmSync(file, { force: true })
      const sequelize = cutOff(at)
      await migrate(sequelize, file, nothing).catch(nothing)
      await sequelize.close()
      expect(await opens()).toEqual({ sessions: 0, led: 0, events: 0, own: 0 })
    }
  })

  /** As the first edition ran them: each statement for itself, none taken back. */
  async function halfDone({ up }: Migration, at: number): Promise<void> {
    const sequelize = cutOff(at)
    await up(sequelize.getQueryInterface()).catch(nothing)
    await sequelize.close()
  }

  /** What came later was never run but whole or not at all. */
  const ofFirstEdition = migrations.filter(({ name }) => name < '008')

  /** Runs the migrations up to one, and tells the tables and indexes there are then. */
  async function tablesAfter(storage: string, to: string): Promise<unknown[]> {
    const sequelize = new Sequelize({ dialect: 'sqlite', storage, logging: false })
    const migrator = await makeMigrator(sequelize)
    for (const name of names.slice(0, names.indexOf(to) + 1)) await migrator.up({ migrations: [name], rerun: 'SKIP' })
    const [tables] = await sequelize.query('SELECT name, sql FROM sqlite_master ORDER BY name')
    await sequelize.close()
    return tables
  }

  test.each(ofFirstEdition.map((migration, at) => [migration.name, migration, names[at - 1]] as const))(
    'by the first edition, which left %s half done, is done to its end',
    async (name, migration, earlier) => {
      const asBefore = join(folder, 'as-before.sqlite')
      if (earlier) await tablesAfter(asBefore, earlier)
      const undisturbed = join(folder, 'undisturbed.sqlite')
      if (earlier) copyFileSync(asBefore, undisturbed)
      const whole = await tablesAfter(undisturbed, name)
      for (let at = 1; at < 16; at += 2) {
        rmSync(file, { force: true })
        // Before the first migration there is no file yet.
        if (earlier) copyFileSync(asBefore, file)
        await halfDone(migration, at)
        expect(await tablesAfter(file, name)).toEqual(whole)
      }
      expect(await opens()).toEqual({ sessions: 0, led: 0, events: 0, own: 0 })
    },
  )

  test('records half lifted by the first edition have their events once', async () => {
    copyFileSync(former, file)
    const whole = await opens()
    for (const at of [14, 20, 24, 28]) {
      copyFileSync(former, file)
      const records = migrations.find(({ name }) => name === '006-class-records')
      if (records) await halfDone(records, at)
      expect([at, await opens()]).toEqual([at, whole])
    }
  })
})

describe('before the first migration that is due', () => {
  const copies = () => readdirSync(folder).filter((name) => name.includes('before'))

  test('a copy is made of the file as it was', async () => {
    copyFileSync(former, file)
    await opens()
    expect(copies()).toEqual(['zovrin-before-006-2026-03-12T180000.sqlite'])
    const copy = new Sequelize({ dialect: 'sqlite', storage: join(folder, String(copies()[0])), logging: false })
    expect((await (await makeMigrator(copy)).executed()).at(-1)?.name).toBe('005-session-shelf')
    expect(await copy.getQueryInterface().select(null, 'ledClasses', {})).toHaveLength(4)
    await copy.close()
  })

  test('none is made of what is new, and none where nothing is due', async () => {
    await opens()
    await opens()
    expect(copies()).toEqual([])
  })

  test('what a copy that was cut off left behind stands in nobody’s way', async () => {
    copyFileSync(former, file)
    writeFileSync(join(folder, 'zovrin-before-006-2026-03-12T180000.sqlite.part'), 'half a copy')
    await opens()
    expect(copies()).toEqual(['zovrin-before-006-2026-03-12T180000.sqlite'])
  })
})

describe('what does not open is told in one sentence with its file, and left as it is', () => {
  const told = async () => {
    const before = statSync(file).isFile() ? readFileSync(file) : undefined
    const error: unknown = await openDatabase(file, clock).catch((failed: unknown) => failed)
    if (before) expect(readFileSync(file)).toEqual(before)
    if (!(error instanceof Error)) throw new Error('it opened')
    expect(error.message).toContain(file)
    expect(error.message).toMatch(/Nothing was changed\.$/)
    expect(error.message).not.toMatch(/SQLITE|undefined/)
    return error.message
  }

  test('something that is no database', async () => {
    writeFileSync(file, 'Thursday, 19:00: deer, sphinx, legs up the wall. '.repeat(200))
    expect(await told()).toContain('is no database of Zovrin')
  })

  test('a database with noise in its middle', async () => {
    const { models, inTransaction, close } = await openDatabase(file, clock)
    const rows = Array.from({ length: 400 }, (_, n) => ({ name: `note ${String(n)}`, value: 'x'.repeat(180) }))
    await inTransaction((transaction) => models.notes.bulkCreate(rows, { transaction }))
    await close()
    const bytes = readFileSync(file)
    bytes.fill(0xa5, bytes.length / 2, bytes.length / 2 + 8192)
    writeFileSync(file, bytes)
    expect(await told()).toContain('is damaged')
  })

  test('a database a newer Zovrin has brought further', async () => {
    await opens()
    const later = new Sequelize({ dialect: 'sqlite', storage: file, logging: false })
    await later.query("INSERT INTO migrations (name) VALUES ('999-from-later')")
    await later.query('PRAGMA journal_mode = DELETE')
    await later.close()
    expect(await told()).toContain('was written by a newer Zovrin: update Zovrin')
  })

  test('a folder where the file should be', async () => {
    mkdirSync(file)
    expect(await told()).toContain('cannot be opened for writing')
  })

  test('a file where the folder should be', async () => {
    writeFileSync(join(folder, 'data'), '')
    file = join(folder, 'data', 'zovrin.sqlite')
    await expect(openDatabase(file, clock)).rejects.toThrow('a file stands where its folder should')
  })

  test.each([
    ['SQLITE_READONLY', 'cannot be opened for writing'],
    ['EACCES', 'cannot be opened for writing'],
    ['SQLITE_FULL', 'There is no room on the disk for'],
    ['SQLITE_IOERR', 'see whether it is full or failing'],
    ['SQLITE_BUSY', 'is in use by another program'],
    ['SQLITE_CORRUPT', 'is damaged'],
  ])('%s has its words', (code, words) => {
    const error = cannotOpen('/data/zovrin.sqlite', Object.assign(new Error(code), { code }))
    expect(error instanceof Error && error.message).toContain(words)
  })

  test('a mistake of ours stays what it is', () => {
    const error = new TypeError('x is not a function')
    expect(cannotOpen('/data/zovrin.sqlite', error)).toBe(error)
  })
})

test('what is kept can be read by whoever runs Zovrin, and by nobody else', async () => {
  file = join(folder, 'data', 'zovrin.sqlite')
  const database = await openDatabase(file, clock)
  const { models, inTransaction } = database
  await inTransaction((transaction) => models.notes.create({ name: 'a', value: '' }, { transaction }))
  const mode = (path: string) => statSync(path).mode & 0o777
  expect(mode(join(folder, 'data'))).toBe(0o700)
  for (const name of readdirSync(join(folder, 'data')))
    expect([name, mode(join(folder, 'data', name))]).toEqual([name, 0o600])
  await database.close()
})

test('a database is brought up a step at a time, and each step can be taken back', async () => {
  const sequelize = new Sequelize({ dialect: 'sqlite', storage: ':memory:', logging: false })
  const migrator = await makeMigrator(sequelize)
  const tables = (): Promise<string[]> => sequelize.getQueryInterface().showAllTables()
  const after: string[][] = [['migrations']]
  for (const name of names) {
    await migrator.up({ to: name })
    after.push((await tables()).toSorted())
  }
  expect(after.at(-1)).toEqual(
    expect.arrayContaining(['sessions', 'sessionHistory', 'people', 'cupboardItems', 'ledClasses']),
  )
  for (const name of names.toReversed()) {
    expect([name, (await tables()).toSorted()]).toEqual([name, after.pop()])
    await migrator.down()
  }
  expect(await tables()).toEqual(['migrations'])
  await sequelize.close()
})
