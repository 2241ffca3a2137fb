import { nanoid } from 'nanoid'
import type { Transaction } from 'sequelize'
import { placeSchema } from '#model/place'
import type { KeptPlace, Place } from '#model/place'
import type { CupboardRow, PlaceRow } from '#server/db/models'
import type { Clock } from '#server/clock'
import type { Database } from '#server/db/open'
import { refuseStale } from '#server/features/guards'
import { daysToCome } from '#server/features/planned-classes/to-come'
import { ProblemError } from '#server/problems'
import { classOn } from '#words/dates'
import { ofColleagues } from '#words/teachers'
import { placeUses } from './uses.ts'

/** Places with their rooms, and the cupboard's items as rows; each change is based on a version. */
export function placeStore(database: Database, clock: Clock) {
  const { inTransaction } = database
  return {
    list: (): Promise<KeptPlace[]> => list(database),
    /** Saves over the version it was based on, and says the new one; 0 makes it. Throws VERSION_STALE, UNKNOWN_PLACE. */
    put: (place: Place, based: number): Promise<number> =>
      inTransaction((transaction) => putPlace(database, place, based, transaction)),
    /** Takes away a place that nothing to come names. Throws IN_USE with where. */
    remove: (id: string, based: number): Promise<void> =>
      inTransaction((transaction) => remove({ database, clock }, id, based, transaction)),
  }
}

export type PlaceStore = ReturnType<typeof placeStore>

async function list({ models }: Database): Promise<KeptPlace[]> {
  const rows = await models.places.findAll({
    order: [
      ['name', 'ASC'],
      ['id', 'ASC'],
    ],
  })
  const items = await models.cupboard.findAll({ order: [['id', 'ASC']] })
  return rows.map((row) => ({
    place: readPlace(
      row,
      items.filter(({ placeId }) => placeId === row.id),
    ),
    version: row.version,
  }))
}

/** A place as its row and those of its cupboard have it. Throws where they cannot be read. */
export const readPlace = (
  { id, name, lengthUnit, rooms, isUsual, atCupboard, freeUntil, timeZone, emergency }: PlaceRow,
  items: readonly CupboardRow[],
): Place =>
  placeSchema.parse({
    id,
    name,
    lengthUnit,
    ...(isUsual ? { usual: true } : {}),
    ...(atCupboard === null ? {} : { atCupboard }),
    ...(freeUntil === null ? {} : { freeUntil }),
    ...(timeZone === null ? {} : { timeZone }),
    ...(emergency === null ? {} : { emergency: JSON.parse(emergency) as unknown }),
    rooms: JSON.parse(rooms) as unknown,
    cupboard: items.map((item) => ({
      id: item.id,
      kind: item.kind,
      count: item.count,
      ...(item.sizeMm === null ? {} : { sizeMm: JSON.parse(item.sizeMm) as unknown }),
    })),
  })

/** The same within a transaction. */
export async function putPlace(
  database: Database,
  place: Place,
  based: number,
  transaction: Transaction,
): Promise<number> {
  const { models } = database
  const { id, name, lengthUnit, usual, atCupboard, freeUntil, timeZone, emergency, rooms, cupboard } = place
  const version = based + 1
  const columns = {
    ...{ name, lengthUnit, version },
    rooms: JSON.stringify(rooms),
    isUsual: usual ?? false,
    ...{ atCupboard: atCupboard ?? null, freeUntil: freeUntil ?? null, timeZone: timeZone ?? null },
    emergency: emergency ? JSON.stringify(emergency) : null,
  }
  const there = await models.places.findByPk(id, { transaction })
  if (usual) await models.places.update({ isUsual: false }, { where: { isUsual: true }, transaction })
  if (based === 0 && !there) await models.places.create({ id, ...columns }, { transaction })
  else {
    refuseStale('UNKNOWN_PLACE', id, there, based)
    await models.places.update(columns, { where: { id, version: based }, transaction })
  }
  await models.cupboard.destroy({ where: { placeId: id }, transaction })
  // A copy of another place's cupboard gets ids of its own: nothing names an item.
  const ids = cupboard.map((item) => item.id)
  const taken = new Set((await models.cupboard.findAll({ where: { id: ids }, transaction })).map((row) => row.id))
  await models.cupboard.bulkCreate(
    cupboard.map((item) => ({
      id: taken.has(item.id) ? nanoid() : item.id,
      placeId: id,
      kind: item.kind,
      count: item.count,
      sizeMm: item.sizeMm ? JSON.stringify(item.sizeMm) : null,
    })),
    { transaction },
  )
  return version
}

async function remove(
  { database, clock }: { readonly database: Database; readonly clock: Clock },
  id: string,
  based: number,
  transaction: Transaction,
): Promise<void> {
  const { models } = database
  const there = await models.places.findByPk(id, { transaction })
  refuseStale('UNKNOWN_PLACE', id, there, based)
  const { own: sessions, others } = await placeUses(database, id, transaction)
  const days = await daysToCome(database.all, { placeId: id }, clock, transaction)
  if (sessions.length + others + days.length > 0)
    throw new ProblemError('IN_USE', {
      name: there.name,
      where: [...sessions.map(({ name }) => name), ...ofColleagues(others), ...days.map(classOn)].join(', '),
      sessions,
    })
  await models.cupboard.destroy({ where: { placeId: id }, transaction })
  await models.places.destroy({ where: { id }, transaction })
}
