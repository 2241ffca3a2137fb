import { Op } from 'sequelize'
import type { Transaction } from 'sequelize'
import { ownKinds, ownSchemaVersion, readOwn } from '#model/own'
import type { OwnDocument, OwnKind, OwnThing } from '#model/own'
import { poseIn, unknownInOwn, withOwn } from '#core/session'
import type { Catalog } from '#core/session'
import { shippedCatalog } from '#library/shipped'
import type { Clock } from '#server/clock'
import type { Database } from '#server/db/open'
import { refuseOthers } from '#server/features/guards'
import { ProblemError } from '#server/problems'
import { placesText, sessionsIn, usesOf } from './uses.ts'
import type { Use } from './uses.ts'

const nameOf = (thing: OwnDocument): string =>
  'names' in thing.document ? thing.document.names.english : thing.document.name

/** What is out of sight and named by nothing goes after as long as sessions keep their history. */
const keepForMs = 90 * 24 * 3_600_000
/** So many stay whatever their age, lest a clock that is set wrong once clears them. */
const hiddenKeptAtLeast = 100

/** What every act on one's own things needs. */
interface At {
  readonly database: Database
  readonly clock: Clock
  readonly isKeeper: boolean
}

/**
 * The own poses, variants, schools, pieces and set-ups of a house, with optimistic locking; none goes while it is used. All
 * teachers read them; each is changed by whoever made it, and by the keeper [settled E8].
 */
export function ownStore(database: Database, clock: Clock, { isKeeper = true } = {}) {
  const at: At = { database, clock, isKeeper }
  const { inTransaction } = database
  return {
    /** All there are, those out of sight included: documents that name them are still read. */
    list: (transaction?: Transaction) => list(database, transaction),
    /** Everything a session may name: shipped and own. */
    catalog: async (transaction?: Transaction): Promise<Catalog> =>
      withOwn(shippedCatalog, await list(database, transaction)),
    /** Saves over the version it was based on; 0 makes it. Refuses to take away a variant that is used. */
    put: (thing: OwnDocument, based: number) => inTransaction((transaction) => put(at, thing, based, transaction)),
    /**
     * Puts something that no session uses out of sight, a pose with its own variants and set-ups. Deleted sessions and kept
     * versions that name it can still be read, and it can be brought back.
     */
    remove: (kind: OwnKind, id: string, based: number) =>
      inTransaction((transaction) => remove(at, { kind, id, based }, transaction)),
    /** Brings back what was put out of sight, a pose with its own variants and set-ups. */
    bringBack: (kind: OwnKind, id: string) => inTransaction((transaction) => bringBack(at, kind, id, transaction)),
  }
}

export type OwnStore = ReturnType<typeof ownStore>

async function list({ models }: Database, transaction?: Transaction): Promise<OwnThing[]> {
  const rows = await models.ownThings.findAll({
    order: [
      ['kind', 'ASC'],
      ['name', 'ASC'],
      ['id', 'ASC'],
    ],
    transaction,
  })
  return rows.flatMap(({ kind, version, document, hiddenAt }) => readThing(kind, version, document, hiddenAt !== null))
}

async function put(at: At, thing: OwnDocument, based: number, transaction: Transaction): Promise<OwnThing> {
  const { database, clock } = at
  const { kind, document } = thing
  const all = await list(database, transaction)
  checkReferences(thing, all)
  const saved: OwnThing = { ...thing, version: based + 1 }
  if (saved.kind === 'pose') await checkVariantsKept(database, saved, all, transaction)
  if (saved.kind === 'variant') await checkPoseKept(database, saved, all, transaction)
  const columns = {
    name: nameOf(thing),
    version: based + 1,
    document: JSON.stringify(document),
    savedAt: clock.now(),
    schema: ownSchemaVersion,
    hiddenAt: null,
  }
  // Asked of the rows: one that cannot be read is there all the same.
  const there = await database.models.ownThings.count({ where: { kind, id: document.id }, transaction })
  if (there > 0) await refuseThingOfOthers(at, kind, document.id, transaction)
  if (based > 0 || there > 0) await guarded(database, { kind, id: document.id, based }, columns, transaction)
  else await database.models.ownThings.create({ ...columns, kind, id: document.id }, { transaction })
  return saved
}

/** A thing as whoever changes it last saw it. */
interface Seen {
  readonly kind: OwnKind
  readonly id: string
  readonly based: number
}

/** Changes a row if it is still at the version it was based on; the database itself looks, whatever it locks. */
async function guarded({ models }: Database, seen: Seen, change: object, transaction: Transaction): Promise<void> {
  const { kind, id, based } = seen
  const [changed] = await models.ownThings.update(change, { where: { kind, id, version: based }, transaction })
  if (changed > 0) return
  const row = await models.ownThings.findOne({ where: { kind, id }, transaction })
  throw row
    ? new ProblemError('VERSION_STALE', { based, current: row.version })
    : new ProblemError('UNKNOWN_OWN', { kind, id })
}

/** Throws NOT_YOURS where a colleague made it. */
async function refuseThingOfOthers(at: At, kind: string, id: string, transaction: Transaction): Promise<void> {
  const attributes = ['name', 'ownerId']
  await refuseOthers(
    at,
    await at.database.models.ownThings.findOne({ attributes, where: { kind, id }, transaction }),
    transaction,
  )
}

async function remove(at: At, seen: Seen, transaction: Transaction): Promise<void> {
  const { database, clock } = at
  const { kind, id } = seen
  await refuseThingOfOthers(at, kind, id, transaction)
  const all = await list(database, transaction)
  const here = all.find((thing) => thing.kind === kind && thing.document.id === id && !thing.hidden)
  if (!here) throw new ProblemError('UNKNOWN_OWN', { kind, id })
  const uses = (await usesOf(database, kind, id, all, transaction)).filter(({ isPast }) => !isPast)
  if (uses.length > 0) throw inUse(nameOf(here), uses)
  const hiddenAt = clock.now()
  await guarded(database, seen, { hiddenAt }, transaction)
  for (const { kind: with_, document } of goesWith(all, kind, id))
    await database.models.ownThings.update({ hiddenAt }, { where: { kind: with_, id: document.id }, transaction })
  await purge(database, new Date(hiddenAt.getTime() - keepForMs), all, transaction)
}

async function bringBack(at: At, kind: OwnKind, id: string, transaction: Transaction): Promise<void> {
  const { database } = at
  const { ownThings } = database.models
  await refuseThingOfOthers(at, kind, id, transaction)
  const all = await list(database, transaction)
  const [brought] = await ownThings.update({ hiddenAt: null }, { where: { kind, id }, transaction })
  if (brought === 0) throw new ProblemError('UNKNOWN_OWN', { kind, id })
  for (const { kind: with_, document } of goesWith(all, kind, id))
    await ownThings.update({ hiddenAt: null }, { where: { kind: with_, id: document.id }, transaction })
}

/** Lets go what has been out of sight since before a day and is named by nothing, past states included. */
async function purge(
  database: Database,
  before: Date,
  all: readonly OwnThing[],
  transaction: Transaction,
): Promise<void> {
  const hidden = await database.models.ownThings.findAll({
    where: { hiddenAt: { [Op.ne]: null } },
    order: [['hiddenAt', 'DESC']],
    offset: hiddenKeptAtLeast,
    transaction,
  })
  const old = hidden.filter(({ hiddenAt }) => hiddenAt !== null && hiddenAt < before)
  for (const row of old) {
    const kind = ownKinds.find((one) => one === row.kind)
    if (kind && (await usesOf(database, kind, row.id, all, transaction)).length === 0)
      await row.destroy({ transaction })
  }
}

async function checkVariantsKept(
  database: Database,
  pose: OwnThing,
  all: readonly OwnThing[],
  transaction: Transaction,
): Promise<void> {
  const { id } = pose.document
  const others = all.filter((thing) => thing.kind !== 'pose' || thing.document.id !== id)
  const kept = new Set(poseIn(withOwn(shippedCatalog, [...others, pose]), id)?.variants.map((variant) => variant.id))
  const lost = (await usesOf(database, 'pose', id, all, transaction)).filter(
    ({ variantId }) => variantId !== undefined && !kept.has(variantId),
  )
  if (lost.length > 0) throw inUse(`The variant ${String(lost[0]?.variantId)}`, lost)
}

/** A variant stays with its pose while a session asks for it there. */
async function checkPoseKept(
  database: Database,
  variant: OwnThing & { kind: 'variant' },
  all: readonly OwnThing[],
  transaction: Transaction,
): Promise<void> {
  const { id, poseId } = variant.document
  const before = all.find((thing) => thing.kind === 'variant' && thing.document.id === id)
  if (before?.kind !== 'variant' || before.document.poseId === poseId) return
  const uses = await usesOf(database, 'variant', id, all, transaction)
  if (uses.length > 0) throw inUse(nameOf(variant), uses)
}

const inUse = (name: string, uses: readonly Use[]) =>
  new ProblemError('IN_USE', { name, where: placesText(uses), sessions: sessionsIn(uses) })

/** The own variants and set-ups of a pose, and the own set-ups of a variant: they go and come back with it. */
const goesWith = (all: readonly OwnThing[], kind: OwnKind, id: string): readonly OwnThing[] =>
  all.filter((thing) => {
    if (thing.kind !== 'variant' && thing.kind !== 'setUp') return false
    if (kind === 'pose') return thing.document.poseId === id
    return kind === 'variant' && thing.kind === 'setUp' && thing.document.variantId === id
  })

function checkReferences(thing: OwnDocument, all: readonly OwnThing[]): void {
  const [missing] = unknownInOwn(thing, withOwn(shippedCatalog, all))
  if (missing) throw new ProblemError('UNKNOWN_REFERENCE', { id: missing.id }, { path: missing.path })
}

/** A kept document as it is read today; none where it cannot be, so that it stands in the way of nothing else. */
export function readThing(kind: string, version: number, document: string, hidden: boolean): OwnThing[] {
  const known = ownKinds.find((one) => one === kind)
  if (!known) return []
  try {
    return [{ ...readOwn(known, JSON.parse(document)), version, ...(hidden ? { hidden } : {}) }]
  } catch {
    return []
  }
}
