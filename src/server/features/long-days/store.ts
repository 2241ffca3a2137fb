import type { Transaction } from 'sequelize'
import { longDaySchema, longDaySchemaVersion } from '#model/long-day'
import type { KeptLongDay, LongDay } from '#model/long-day'
import type { Database } from '#server/db/open'
import { refuseStale, refuseUnknownPeople, refuseUnknownPlace } from '#server/features/guards'
import { readKept } from '#server/features/read-kept'
import { ProblemError } from '#server/problems'

/** Long days as documents; each change is based on a version. */
export function longDayStore(database: Database) {
  const { inTransaction } = database
  return {
    list: (): Promise<KeptLongDay[]> => list(database),
    /** Saves over the version it was based on, and says the new one; 0 makes it. Throws VERSION_STALE, UNKNOWN_…. */
    put: (longDay: LongDay, based: number): Promise<number> =>
      inTransaction((transaction) => put(database, longDay, based, transaction)),
    remove: (id: string, based: number): Promise<void> =>
      inTransaction(async (transaction) => {
        const { longDays } = database.models
        refuseStale('UNKNOWN_LONG_DAY', id, await longDays.findByPk(id, { transaction }), based)
        await longDays.destroy({ where: { id }, transaction })
      }),
  }
}

async function list({ models }: Database): Promise<KeptLongDay[]> {
  const order: [string, string][] = [
    ['name', 'ASC'],
    ['id', 'ASC'],
  ]
  const rows = await models.longDays.findAll({ order })
  return rows.map(({ document, version }) => ({
    longDay: readLongDay(document),
    version,
  }))
}

/** Throws SCHEMA_NEWER, DOCUMENT_UNREADABLE. */
export const readLongDay = (stored: string): LongDay =>
  readKept(stored, { kind: 'long day', known: longDaySchemaVersion }, (one) => longDaySchema.safeParse(one))

async function put({ models }: Database, longDay: LongDay, based: number, transaction: Transaction): Promise<number> {
  const { id, name, placeId, people, parts } = longDay
  const there = await models.longDays.findByPk(id, { transaction })
  const before = there && longDaySchema.safeParse(JSON.parse(there.document))
  const known = new Set(before?.success ? before.data.parts.map((part) => part.id) : [])
  for (const [at, part] of parts.entries()) {
    // One that was there stays, also when its session is gone since: nothing that was typed is refused for that.
    if (part.kind === 'break' || known.has(part.id)) continue
    const session = await models.sessions.findByPk(part.sessionId, { transaction })
    if (!session || session.deletedAt)
      throw new ProblemError('UNKNOWN_SESSION', { id: part.sessionId }, { path: `parts[${String(at)}].sessionId` })
  }
  await refuseUnknownPlace(models, placeId, transaction)
  await refuseUnknownPeople(models, people, transaction)
  const version = based + 1
  const columns = { name, version, document: JSON.stringify(longDay) }
  if (!there && based === 0) {
    await models.longDays.create({ id, ...columns }, { transaction })
    return version
  }
  refuseStale('UNKNOWN_LONG_DAY', id, there, based)
  await models.longDays.update(columns, { where: { id, version: based }, transaction })
  return version
}
