import { existsSync } from 'node:fs'
import { copyFile, mkdir, readdir, stat } from 'node:fs/promises'
import { join } from 'node:path'
import { nanoid } from 'nanoid'
import { Op } from 'sequelize'
import type { Model, ModelStatic, Transaction } from 'sequelize'
import type { Archive, ArchiveCame } from '#model/archive'
import { idSchema } from '#model/common'
import type { OwnThing } from '#model/own'
import { withOwn } from '#core/session'
import type { Catalog } from '#core/session'
import { shippedCatalog } from '#library/shipped'
import { unpackListed } from '#server/backup/listed-zip'
import { CannotBackUp } from '#server/backup/trouble'
import type { Clock } from '#server/clock'
import type { Models } from '#server/db/models'
import { openDatabase } from '#server/db/open'
import type { Database } from '#server/db/open'
import { ownStore } from '#server/features/own/store'
import { archiveKind } from './archive-kind.ts'
import { layAtItsSchema } from './at-its-schema.ts'
import { fitted } from './fitted.ts'
import type { OpenRow } from './open-row.ts'
import { unreadableIn } from './readable.ts'
import type { Unreadable } from './readable.ts'
import { shelves } from './shelves.ts'
import type { Shelf } from './shelves.ts'

interface Asked {
  /** What the teacher has to whom it comes. */
  readonly database: Database
  readonly clock: Clock
  /** Where own sounds go; absent: nowhere. */
  readonly sounds?: string
}

/**
 * Brings in what an archive of open files holds and is not here yet, as one change: all of it or nothing. What is here already stays
 * as it is. `beside` is a folder of its own for the work. Throws a CannotBackUp.
 */
export async function takeArchive(asked: Asked, path: string, beside: string): Promise<ArchiveCame> {
  const files = join(beside, 'files')
  const archive = await unpackListed(archiveKind, path, files)
  const from = await openedBeside(archive, files, join(beside, 'archive.sqlite'), asked.clock)
  try {
    const came = {
      brought: new Map<string, number>(),
      there: new Map<string, number>(),
      left: new Map<string, number>(),
    }
    const catalog = await catalogWith(asked, from)
    // Looked at before anything is written: nobody's save waits for that.
    const unreadable = await unreadableIn({ from, clock: asked.clock, catalog })
    const at: At = { ...asked, from, unreadable, files, came }
    await asked.database.inTransaction(async (transaction) => {
      await takePeople(at, transaction)
      for (const shelf of shelves) await takeShelf(at, shelf, transaction)
    })
    const { brought, there, left } = came
    return {
      madeAt: archive.madeAt,
      ...{ brought: Object.fromEntries(brought), there: Object.fromEntries(there), left: Object.fromEntries(left) },
    }
  } finally {
    await from.close()
  }
}

/** All that sessions of it will stand on: what is here, and what comes with them but where another of its id is here. */
async function catalogWith({ database, clock }: Asked, from: Database): Promise<Catalog> {
  const keyOf = ({ kind, document }: OwnThing): string => `${kind} ${document.id}`
  const here = await ownStore(database, clock).list()
  const taken = new Set(here.map(keyOf))
  const coming = await ownStore(from, clock).list()
  return withOwn(shippedCatalog, [...here, ...coming.filter((thing) => !taken.has(keyOf(thing)))])
}

/** The archive as a database of this Zovrin, beside. What it holds may have been written by anybody. */
async function openedBeside(archive: Archive, files: string, file: string, clock: Clock): Promise<Database> {
  await layAtItsSchema(archive, files, file)
  try {
    return await openDatabase(file, clock)
  } catch (error) {
    throw new CannotBackUp('changed', file, error)
  }
}

interface At extends Asked {
  /** The archive as a database. */
  readonly from: Database
  readonly unreadable: Unreadable
  /** Where the files lie that are no JSON. */
  readonly files: string
  readonly came: Readonly<Record<'brought' | 'there' | 'left', Map<string, number>>>
}

const modelOf = (models: Models, key: keyof Models): ModelStatic<Model> => models[key] as unknown as ModelStatic<Model>
const plain = (row: Model): OpenRow => row.get({ plain: true }) as OpenRow
const count = (of: Map<string, number>, table: string): void => void of.set(table, (of.get(table) ?? 0) + 1)

/** Whoever is here already stays as they are here: what they told is not mixed. */
async function takePeople({ database, from, unreadable, came }: At, transaction: Transaction): Promise<void> {
  for (const { id, name, document } of await from.models.people.findAll()) {
    const there = await database.all.people.findByPk(id, { transaction })
    const isNew = !there && !unreadable.has('people', { id })
    if (isNew) await database.models.people.create({ id, name, document, version: 1 }, { transaction })
    count(there ? came.there : isNew ? came.brought : came.left, 'people')
  }
}

async function takeShelf(at: At, shelf: Shelf, transaction: Transaction): Promise<void> {
  const { database, from, unreadable, came } = at
  const source = modelOf(from.models, shelf.model)
  const table = String(source.getTableName())
  const keys = source.primaryKeyAttributes
  for (const row of await source.findAll({ order: keys.map((key): [string, string] => [key, 'ASC']) })) {
    const values = plain(row)
    if (await isThere(database, shelf, values, transaction)) {
      count(came.there, table)
      continue
    }
    const fits = unreadable.has(shelf.model, values)
      ? undefined
      : await fitted(database, shelf.folder, values, transaction)
    if (!fits || !(await soundTaken(at, shelf, values))) {
      count(came.left, table)
      continue
    }
    await modelOf(database.models, shelf.model).create(ofTeacher(database, fits), { transaction })
    for (const part of shelf.parts) await takePart(at, part, values, transaction)
    count(came.brought, table)
  }
}

/** What belongs to a thing that came in. */
async function takePart(
  { database, from, unreadable, came }: At,
  { model, of }: Shelf['parts'][number],
  { id }: OpenRow,
  transaction: Transaction,
): Promise<void> {
  const target = modelOf(database.models, model)
  const table = String(target.getTableName())
  const isCounted = Object.values(target.getAttributes()).some(({ autoIncrement }) => autoIncrement === true)
  for (const row of await modelOf(from.models, model).findAll({ where: { [of]: id }, order: [inOrder(target)] })) {
    const values = plain(row)
    const { id: its, ...rest } = values
    const isTaken =
      !isCounted &&
      its !== undefined &&
      (await modelOf(database.all, model).count({ where: { id: its }, transaction })) > 0
    // Nothing names a thing of a cupboard: it is called anew where its id is taken.
    if ((isTaken && model !== 'cupboard') || unreadable.has(model, values)) {
      count(came.left, table)
      continue
    }
    // A number the database gives by itself is another one here.
    const key = isCounted || its === undefined ? {} : { id: isTaken ? nanoid() : its }
    await target.create(ofTeacher(database, { ...rest, ...key }), { transaction })
    count(came.brought, table)
  }
}

/** As they were written one after another. */
const inOrder = ({ primaryKeyAttributes }: ModelStatic<Model>): [string, string] => [
  primaryKeyAttributes.at(-1) ?? 'id',
  'ASC',
]

/** Whosever it was, it is of whoever brings it in. */
const ofTeacher = ({ ownerId }: Database, row: OpenRow): Record<string, unknown> =>
  'ownerId' in row && ownerId !== undefined ? { ...row, ownerId } : { ...row }

/** Settings are there as soon as anything is set; all else by its id, also where it is a colleague's. */
async function isThere(
  database: Database,
  { model, folder }: Shelf,
  row: OpenRow,
  transaction: Transaction,
): Promise<boolean> {
  if (folder === 'settings') return (await database.models.settings.count({ transaction })) > 0
  const all = modelOf(database.all, model)
  const where = { [Op.and]: all.primaryKeyAttributes.map((key) => ({ [key]: row[key] })) }
  return (await all.count({ where, transaction })) > 0
}

/** A sound comes with what is heard of it, or not at all; what it is called may be no path. */
async function soundTaken({ sounds, files }: At, { folder }: Shelf, { id, bytes }: OpenRow): Promise<boolean> {
  if (folder !== 'sounds') return true
  if (!idSchema.safeParse(id).success) return false
  const here = join(files, 'sounds')
  const name = (existsSync(here) ? await readdir(here) : []).find(
    (one) => one.startsWith(`${String(id)}.`) && !one.endsWith('.json'),
  )
  if (sounds === undefined || name === undefined || (await stat(join(here, name))).size !== bytes) return false
  await mkdir(sounds, { recursive: true })
  await copyFile(join(here, name), join(sounds, String(id)))
  return true
}
