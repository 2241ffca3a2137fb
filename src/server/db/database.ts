import type { Sequelize } from 'sequelize'
import type { Models } from './models.ts'
import type { Notices } from './notices.ts'
import type { Work } from './writes.ts'

/** A database that is open. */
export interface Database {
  readonly sequelize: Sequelize
  readonly models: Models
  /** The teacher whose it is; absent: everybody's. */
  readonly ownerId?: string
  /** What all teachers have, whosever this database is. */
  readonly all: Models
  /** Runs work that reads before it writes, so that nobody writes in between; every write goes through here. */
  inTransaction<T>(work: Work<T>): Promise<T>
  /** Runs work that only reads, and sees all of it as of one instant; nobody's write waits for it. */
  inSnapshot<T>(work: Work<T>): Promise<T>
  /** What was taken away goes from the journal beside the file as well, as far as nobody reads there just now. */
  forgetRemoved(): Promise<void>
  /** What others that share this database tell; absent where nobody can. */
  readonly notices?: Notices
  close(): Promise<void>
}
