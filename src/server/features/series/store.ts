import type { Transaction } from 'sequelize'
import { seriesSchema, seriesSchemaVersion } from '#model/series'
import type { KeptSeries, Series } from '#model/series'
import type { Database } from '#server/db/open'
import { refuseStale, refuseUnknownPeople, refuseUnknownPlace } from '#server/features/guards'
import { readKept } from '#server/features/read-kept'
import { ProblemError } from '#server/problems'

/** Series as documents; each change is based on a version. */
export function seriesStore(database: Database) {
  const { inTransaction } = database
  return {
    list: (): Promise<KeptSeries[]> => list(database),
    /** Saves over the version it was based on, and says the new one; 0 makes it. Throws VERSION_STALE, UNKNOWN_…. */
    put: (series: Series, based: number): Promise<number> =>
      inTransaction((transaction) => put(database, series, based, transaction)),
    remove: (id: string, based: number): Promise<void> =>
      inTransaction(async (transaction) => {
        const { series } = database.models
        refuseStale('UNKNOWN_SERIES', id, await series.findByPk(id, { transaction }), based)
        await series.destroy({ where: { id }, transaction })
      }),
  }
}

async function list({ models }: Database): Promise<KeptSeries[]> {
  const order: [string, string][] = [
    ['name', 'ASC'],
    ['id', 'ASC'],
  ]
  const rows = await models.series.findAll({ order })
  return rows.map(({ document, version }) => ({
    series: readSeries(document),
    version,
  }))
}

/** Throws SCHEMA_NEWER, DOCUMENT_UNREADABLE. */
export const readSeries = (stored: string): Series =>
  readKept(stored, { kind: 'series', known: seriesSchemaVersion }, (one) => seriesSchema.safeParse(one))

async function put({ models }: Database, series: Series, based: number, transaction: Transaction): Promise<number> {
  const { id, name, baseId, placeId, people } = series
  const base = await models.sessions.findByPk(baseId, { transaction })
  if (!base || base.deletedAt) throw new ProblemError('UNKNOWN_SESSION', { id: baseId }, { path: 'baseId' })
  await refuseUnknownPlace(models, placeId, transaction)
  await refuseUnknownPeople(models, people, transaction)
  const version = based + 1
  const columns = { name, baseId, version, document: JSON.stringify(series) }
  const there = await models.series.findByPk(id, { transaction })
  if (!there && based === 0) {
    await models.series.create({ id, ...columns }, { transaction })
    return version
  }
  refuseStale('UNKNOWN_SERIES', id, there, based)
  await models.series.update(columns, { where: { id, version: based }, transaction })
  return version
}
