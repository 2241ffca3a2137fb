import type { Transaction } from 'sequelize'
import { plannedClassSchema } from '#model/planned-class'
import type { KeptPlannedClass, PlannedClass } from '#model/planned-class'
import type { Database } from '#server/db/open'
import { refuseStale } from '#server/features/guards'
import { ProblemError } from '#server/problems'

/** Planned classes as documents; each change is based on a version. */
export function plannedClassStore(database: Database) {
  const { inTransaction } = database
  return {
    list: (): Promise<KeptPlannedClass[]> => list(database),
    /** Saves over the version it was based on, and says the new one; 0 makes it. Throws VERSION_STALE, UNKNOWN_…. */
    put: (planned: PlannedClass, based: number): Promise<number> =>
      inTransaction((transaction) => put(database, planned, based, transaction)),
    remove: (id: string, based: number): Promise<void> =>
      inTransaction((transaction) => remove(database, id, based, transaction)),
  }
}

export type PlannedClassStore = ReturnType<typeof plannedClassStore>

async function list({ models }: Database): Promise<KeptPlannedClass[]> {
  const rows = await models.plannedClasses.findAll({
    order: [
      ['day', 'ASC'],
      ['id', 'ASC'],
    ],
  })
  return rows.map(({ document, version }) => ({ planned: plannedClassSchema.parse(JSON.parse(document)), version }))
}

async function put(
  { models }: Database,
  planned: PlannedClass,
  based: number,
  transaction: Transaction,
): Promise<number> {
  const { id, sessionId, placeId, day, ledClassId } = planned
  const session = await models.sessions.findByPk(sessionId, { transaction })
  if (!session || session.deletedAt) throw new ProblemError('UNKNOWN_SESSION', { id: sessionId })
  if (!(await models.places.findByPk(placeId, { transaction })))
    throw new ProblemError('UNKNOWN_PLACE', { id: placeId })
  const version = based + 1
  const isLed = ledClassId !== undefined
  const columns = { sessionId, placeId, day, isLed, version, document: JSON.stringify(planned) }
  const there = await models.plannedClasses.findByPk(id, { transaction })
  if (!there && based === 0) {
    await models.plannedClasses.create({ id, ...columns }, { transaction })
    return version
  }
  refuseStale('UNKNOWN_PLANNED', id, there, based)
  await models.plannedClasses.update(columns, { where: { id, version: based }, transaction })
  return version
}

async function remove({ models }: Database, id: string, based: number, transaction: Transaction): Promise<void> {
  refuseStale('UNKNOWN_PLANNED', id, await models.plannedClasses.findByPk(id, { transaction }), based)
  await models.plannedClasses.destroy({ where: { id }, transaction })
}
