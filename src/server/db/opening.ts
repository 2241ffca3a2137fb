import { chmodSync, existsSync, mkdirSync, renameSync, rmSync } from 'node:fs'
import { dirname } from 'node:path'
import type { Sequelize } from 'sequelize'
import { QueryTypes } from 'sequelize'
import { stampOf } from '#server/clock'
import type { Clock } from '#server/clock'
import { openingWords } from '#words/opening'
import type { OpeningTrouble } from '#words/opening'
import { failureCode } from './failures.ts'

/** A database that does not open: the message is one sentence with the file and what to do. */
export class CannotOpen extends Error {
  readonly trouble: OpeningTrouble

  constructor(trouble: OpeningTrouble, file: string, cause?: unknown) {
    super(openingWords(trouble, file), { cause })
    this.name = 'CannotOpen'
    this.trouble = trouble
  }
}

const troubles: Readonly<Record<string, OpeningTrouble>> = {
  SQLITE_NOTADB: 'not a database',
  SQLITE_CORRUPT: 'damaged',
  SQLITE_FULL: 'disk full',
  ENOSPC: 'disk full',
  SQLITE_IOERR: 'disk failing',
  SQLITE_BUSY: 'in use',
  SQLITE_READONLY: 'not writable',
  SQLITE_CANTOPEN: 'not writable',
  SQLITE_PERM: 'not writable',
  EACCES: 'not writable',
  EPERM: 'not writable',
  EROFS: 'not writable',
  EEXIST: 'no folder',
  ENOTDIR: 'no folder',
  // What PostgreSQL says, and the way to it.
  ...{ ECONNREFUSED: 'not reached', ENOTFOUND: 'not reached', ETIMEDOUT: 'not reached', EHOSTUNREACH: 'not reached' },
  ...{ '57P03': 'not reached', '53300': 'not reached', '28P01': 'not let in', '28000': 'not let in' },
  ...{ '3D000': 'no such database', '42501': 'not writable', '53100': 'disk full' },
}

/** What went wrong while a database was opened, in a sentence where it is one of the usual troubles. */
export function cannotOpen(file: string, error: unknown): unknown {
  if (error instanceof CannotOpen) return error
  const trouble = troubles[failureCode(error) ?? '']
  return trouble ? new CannotOpen(trouble, file, error) : error
}

/** Only whoever runs Zovrin reads what is in the folder [decisions, privacy]; one that was there is left as it is. */
export function makeFolder(file: string): void {
  mkdirSync(dirname(file), { recursive: true, mode: 0o700 })
}

/** The journal files beside it take their rights from the database itself. */
export const keepPrivate = (file: string): void => {
  chmodSync(file, 0o600)
}

/** Looks whether the file is a whole database, without writing to it. Throws a CannotOpen. */
export async function checkWhole(sequelize: Sequelize, file: string): Promise<void> {
  const [first] = await sequelize.query<Record<string, string>>('PRAGMA quick_check(1)', { type: QueryTypes.SELECT })
  const told = Object.values(first ?? {})[0]
  if (told !== 'ok') throw new CannotOpen('damaged', file, told)
}

/** A copy of a database as it stands, beside it; made whole before it gets its name. Returns where it lies. */
export async function copyBeside(sequelize: Sequelize, file: string, why: string, clock: Clock): Promise<string> {
  const copy = `${file.replace(/\.sqlite$/, '')}-${why}-${stampOf(clock.now())}.sqlite`
  const part = `${copy}.part`
  if (existsSync(part)) rmSync(part)
  try {
    await sequelize.query('VACUUM INTO :part', { replacements: { part } })
    keepPrivate(part)
    renameSync(part, copy)
  } catch (error) {
    rmSync(part, { force: true })
    throw error
  }
  return copy
}
