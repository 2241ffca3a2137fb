import type { QueryInterface, Sequelize } from 'sequelize'
import { SequelizeStorage, Umzug } from 'umzug'
import { sessionsMigration } from './migrations/001-sessions.ts'
import { placesAndPeopleMigration } from './migrations/002-places-and-people.ts'
import { classesMigration } from './migrations/003-classes.ts'
import { ownThingsMigration } from './migrations/004-own-things.ts'
import { sessionShelfMigration } from './migrations/005-session-shelf.ts'
import { classRecordsMigration } from './migrations/006-class-records.ts'
import { ownThingsHiddenMigration } from './migrations/007-own-things-hidden.ts'

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
]

export function makeMigrator(sequelize: Sequelize): Umzug<QueryInterface> {
  return new Umzug({
    migrations: migrations.map(({ name, up, down }) => ({
      name,
      up: ({ context }) => up(context),
      down: ({ context }) => down(context),
    })),
    context: sequelize.getQueryInterface(),
    storage: new SequelizeStorage({ sequelize, tableName: 'migrations' }),
    logger: undefined,
  })
}
