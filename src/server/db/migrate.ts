import type { QueryInterface, Sequelize } from 'sequelize'
import type { Umzug } from 'umzug'
import { failureCode } from './failures.ts'
import { sessionsMigration } from './migrations/001-sessions.ts'
import { placesAndPeopleMigration } from './migrations/002-places-and-people.ts'
import { classesMigration } from './migrations/003-classes.ts'
import { ownThingsMigration } from './migrations/004-own-things.ts'
import { sessionShelfMigration } from './migrations/005-session-shelf.ts'
import { classRecordsMigration } from './migrations/006-class-records.ts'
import { ownThingsHiddenMigration } from './migrations/007-own-things-hidden.ts'
import { classVersionsMigration } from './migrations/008-class-versions.ts'
import { ownSetUpsMigration } from './migrations/009-own-set-ups.ts'
import { breathAnswersMigration } from './migrations/010-breath-answers.ts'
import { settingsMigration } from './migrations/011-settings.ts'
import { placesKeptMigration } from './migrations/012-places-kept.ts'
import { plannedClassesMigration } from './migrations/013-planned-classes.ts'
import { peopleKeptMigration } from './migrations/014-people-kept.ts'
import { placesSaidMigration } from './migrations/015-places-said.ts'
import { devicesMigration } from './migrations/016-devices.ts'
import { soundsMigration } from './migrations/017-sounds.ts'
import { seenTimesMigration } from './migrations/018-seen-times.ts'
import { journalFoundMigration } from './migrations/019-journal-found.ts'
import { classDriftMigration } from './migrations/020-class-drift.ts'
import { incidentMigration } from './migrations/021-incident.ts'
import { observedMarksMigration } from './migrations/022-observed-marks.ts'
import { seriesMigration } from './migrations/023-series.ts'
import { placeTimeZoneMigration } from './migrations/024-place-time-zone.ts'
import { longDaysMigration } from './migrations/025-long-days.ts'
import { voicesMigration } from './migrations/026-voices.ts'
import { teachersMigration } from './migrations/027-teachers.ts'
import { handedOverMigration } from './migrations/028-handed-over.ts'
import { pairingCodesMigration } from './migrations/029-pairing-codes.ts'
import { CannotOpen } from './opening.ts'

export interface Migration {
  readonly name: string
  up(query: QueryInterface): Promise<void>
  down(query: QueryInterface): Promise<void>
}

/** In the order in which they run; a released one is never edited. */
export const migrations: readonly Migration[] = [
  sessionsMigration,
  placesAndPeopleMigration,
  classesMigration,
  ownThingsMigration,
  sessionShelfMigration,
  classRecordsMigration,
  ownThingsHiddenMigration,
  classVersionsMigration,
  ownSetUpsMigration,
  breathAnswersMigration,
  settingsMigration,
  placesKeptMigration,
  plannedClassesMigration,
  peopleKeptMigration,
  placesSaidMigration,
  devicesMigration,
  soundsMigration,
  seenTimesMigration,
  journalFoundMigration,
  classDriftMigration,
  incidentMigration,
  observedMarksMigration,
  seriesMigration,
  placeTimeZoneMigration,
  longDaysMigration,
  voicesMigration,
  teachersMigration,
  handedOverMigration,
  pairingCodesMigration,
]

const migrationsTable = 'migrations'

/** What runs them. It brings a command line of its own along, which takes longer to load than all else of a database. */
export async function makeMigrator(sequelize: Sequelize): Promise<Umzug<QueryInterface>> {
  const { SequelizeStorage, Umzug } = await import('umzug')
  return new Umzug({
    migrations: migrations.map(({ name, up, down }) => ({
      name,
      up: ({ context }) => up(context),
      down: ({ context }) => down(context),
    })),
    context: sequelize.getQueryInterface(),
    storage: new SequelizeStorage({ sequelize, tableName: migrationsTable }),
    logger: undefined,
  })
}

/**
 * Brings a database up to the newest migration. Each runs whole, with the note that it did, or not at all; `before` is
 * told the first of them where there is something in the database that it changes. Throws a CannotOpen for one that a
 * newer Zovrin has brought further.
 */
export async function migrate(
  sequelize: Sequelize,
  file: string,
  before: (first: string) => Promise<unknown>,
): Promise<void> {
  const done = await doneIn(sequelize)
  const due = migrations.filter(({ name }) => !done.has(name))
  const [first] = due
  if (!first) return
  if (done.size > 0) await before(first.name)
  const migrator = await makeMigrator(sequelize)
  for (const { name } of due) {
    try {
      await whole(sequelize, () => migrator.up({ migrations: [name] }))
    } catch (error) {
      throw elsewhere.has(failureCode(error) ?? '') ? error : new CannotOpen('not brought up to date', file, error)
    }
  }
}

/** What is no fault of a migration, and has a sentence of its own. */
const elsewhere: ReadonlySet<string> = new Set(['SQLITE_FULL', 'SQLITE_IOERR', 'SQLITE_BUSY'])

/** Statements of the one connection that writes no transaction of its own, as one transaction; both dialects do so with tables. */
async function whole(sequelize: Sequelize, work: () => Promise<unknown>): Promise<void> {
  await sequelize.query(sequelize.getDialect() === 'sqlite' ? 'BEGIN IMMEDIATE' : 'BEGIN')
  try {
    await work()
    await sequelize.query('COMMIT')
  } catch (error) {
    // After some failures SQLite has taken it back by itself already.
    await sequelize.query('ROLLBACK').catch(() => undefined)
    throw error
  }
}

/** The names of the migrations that a database has had. Reads only. */
async function doneIn(sequelize: Sequelize): Promise<ReadonlySet<string>> {
  const query = sequelize.getQueryInterface()
  if (!(await query.tableExists(migrationsTable))) return new Set()
  const rows = (await query.select(null, migrationsTable, {})) as { name: string }[]
  return new Set(rows.map(({ name }) => name))
}

/** Throws a CannotOpen where a database names a migration this Zovrin does not know. Reads only. */
export async function refuseFuture(sequelize: Sequelize, file: string): Promise<void> {
  const known = new Set(migrations.map(({ name }) => name))
  if (![...(await doneIn(sequelize))].every((name) => known.has(name))) throw new CannotOpen('from the future', file)
}
