import type { Request } from 'express'
import type { Transaction } from 'sequelize'
import type { Models } from '#server/db/models'
import type { Database } from '#server/db/open'
import { isOwn } from '#server/db/owned'
import { ProblemError } from '#server/problems'

/** The version a change is based on, from If-Match; throws VERSION_MISSING. */
export function basedOn(request: Pick<Request, 'get'>): number {
  const version = /^"?(\d{1,9})"?$/.exec(request.get('If-Match')?.trim() ?? '')?.[1]
  if (version === undefined) throw new ProblemError('VERSION_MISSING', {})
  return Number(version)
}

/** The address and the document must name the same thing; throws ID_MISMATCH. */
export function sameId(address: string, document: string): void {
  if (address !== document) throw new ProblemError('ID_MISMATCH', { address, document }, { path: 'id' })
}

/** What a change is based on must be there, and be the version that is there; throws what is unknown, or VERSION_STALE. */
export function refuseStale<Row extends { readonly version: number }>(
  unknown: 'UNKNOWN_PLACE' | 'UNKNOWN_PLANNED' | 'UNKNOWN_PERSON' | 'UNKNOWN_SERIES' | 'UNKNOWN_LONG_DAY',
  id: string,
  there: Row | null,
  based: number,
): asserts there is Row {
  if (!there) throw new ProblemError(unknown, { id })
  if (there.version !== based) throw new ProblemError('VERSION_STALE', { based, current: there.version })
}

/** All use it, and it is changed by whoever made it and by the keeper; throws NOT_YOURS where a colleague made it [settled E8]. */
export async function refuseOthers(
  { database, isKeeper }: { readonly database: Database; readonly isKeeper: boolean },
  row: { readonly name: string; readonly ownerId: string } | null,
  transaction: Transaction,
): Promise<void> {
  if (!row || isKeeper || isOwn(database, row)) return
  const maker = await database.all.teachers.findByPk(row.ownerId, { attributes: ['name'], transaction })
  throw new ProblemError('NOT_YOURS', { name: row.name, maker: maker?.name ?? '' })
}

/** A place that is named must be there; throws UNKNOWN_PLACE. */
export async function refuseUnknownPlace(
  models: Models,
  placeId: string | undefined,
  transaction: Transaction,
): Promise<void> {
  if (placeId !== undefined && !(await models.places.findByPk(placeId, { transaction })))
    throw new ProblemError('UNKNOWN_PLACE', { id: placeId }, { path: 'placeId' })
}

/** Everybody who is named must be there; throws UNKNOWN_PERSON. */
export async function refuseUnknownPeople(
  models: Models,
  people: readonly string[],
  transaction: Transaction,
): Promise<void> {
  const ids = [...new Set(people)]
  if ((await models.people.count({ where: { id: ids }, transaction })) < ids.length)
    throw new ProblemError('UNKNOWN_PERSON', {}, { path: 'people' })
}
