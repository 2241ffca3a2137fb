import { mkdtempSync, readFileSync, readdirSync, readlinkSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { openDatabase } from '#server/db/open'
import type { Database } from '#server/db/open'
import { peopleStore } from '#server/features/people/store'
import { sessionStore } from '#server/features/sessions/store'
import { freshDatabase } from '#testing/fresh-database'
import { aSession } from '#testing/sessions'

const clock = { now: () => new Date('2026-03-12T18:00:00Z') }
let folder: string
let database: Database
beforeEach(async () => {
  folder = mkdtempSync(join(tmpdir(), 'zovrin-sqlite-'))
  database = await freshDatabase(join(folder, 'zovrin.sqlite'))
})
afterEach(async () => {
  await database.close()
  rmSync(folder, { recursive: true })
})

/** Whether an open descriptor is of this test's database; one that was closed while it was asked about is not. */
function isOfDatabase(descriptor: string): boolean {
  try {
    return readlinkSync(join('/proc/self/fd', descriptor)).startsWith(folder)
  } catch {
    return false
  }
}

test('a commit that fails leaves no descriptor open', async () => {
  const { sequelize, models, inTransaction } = database
  // Those of this database alone: what runs beside the test opens and closes others.
  const open = () => readdirSync('/proc/self/fd').filter(isOfDatabase).length
  // The reference is looked at when all is committed, so that the commit itself fails.
  const fail = () =>
    inTransaction(async (transaction) => {
      await sequelize.query('PRAGMA defer_foreign_keys = ON', { transaction })
      const row = { sessionId: 'nowhere', version: 1, reason: 'saved', document: '{}', keptAt: clock.now() }
      await models.history.create(row, { transaction })
    })
  const warn = jest.spyOn(console, 'warn').mockImplementation(() => undefined)
  await expect(fail()).rejects.toThrow()
  const before = open()
  expect(before).toBeGreaterThan(0)
  for (let times = 0; times < 20; times += 1) await expect(fail()).rejects.toThrow()
  expect(open()).toBeLessThanOrEqual(before)
  warn.mockRestore()
  expect(await models.history.count()).toBe(0)
  await sessionStore(database, clock).create(aSession())
})

test('closed, a database is one file: no journal is left beside it, however much was written at once', async () => {
  const sessions = sessionStore(database, clock)
  const fifty = Array.from({ length: 50 }, (_, index) => aSession([], { id: `session-${String(index)}` }))
  await Promise.all(fifty.map((session) => sessions.create(session)))
  await database.close()
  expect(readdirSync(folder)).toEqual(['zovrin.sqlite'])
  database = await openDatabase(join(folder, 'zovrin.sqlite'))
  expect(await database.models.sessions.count()).toBe(50)
})

test('of somebody who is deleted nothing is left in the file or its journal', async () => {
  const people = peopleStore(database)
  await people.put(
    { id: 'k3Qw81', name: 'Ilka Morgenroth', conditions: [], consents: [], note: 'Sings in Vesterby' },
    0,
  )
  await people.remove('k3Qw81', 1)
  const left = readdirSync(folder).filter((file) =>
    /Morgenroth|Vesterby|k3Qw81/.test(readFileSync(join(folder, file)).toString('latin1')),
  )
  expect(left).toEqual([])
})
