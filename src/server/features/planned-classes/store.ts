import { Op } from 'sequelize'
import type { Transaction } from 'sequelize'
import { plannedClassSchema } from '#model/planned-class'
import type { KeptPlannedClass, PlannedClass } from '#model/planned-class'
import type { Clock } from '#server/clock'
import type { Database } from '#server/db/open'
import { refuseStale, refuseUnknownPeople, refuseUnknownPlace } from '#server/features/guards'
import { ProblemError } from '#server/problems'
import { today } from './to-come.ts'

/** Planned classes as documents; each change is based on a version. */
export function plannedClassStore(database: Database, clock: Clock) {
  const { inTransaction } = database
  return {
    async list(): Promise<KeptPlannedClass[]> {
      const now = today(clock.now())
      const all = await list(database)
      const marked = all.filter(({ planned }) => withoutOldMarks(planned, now) !== planned)
      if (marked.length > 0) await inTransaction((transaction) => forgetMarks(database, now, transaction))
      return all.map(({ planned, version }) => ({ planned: withoutOldMarks(planned, now), version }))
    },
    /** Saves over the version it was based on, and says the new one; 0 makes it. Throws VERSION_STALE, UNKNOWN_…. */
    put: (planned: PlannedClass, based: number): Promise<number> =>
      inTransaction((transaction) => put(database, withoutOldMarks(planned, today(clock.now())), based, transaction)),
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
  await refuseUnknownPlace(models, placeId, transaction)
  const ids = planned.people.map(({ personId }) => personId)
  await refuseUnknownPeople(models, ids, transaction)
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

/** Whether what was told for its day alone is past: it was led, or its day is over. */
const isOver = ({ day, ledClassId }: Pick<PlannedClass, 'day' | 'ledClassId'>, now: string): boolean =>
  ledClassId !== undefined || day < now

/** "Not today" belongs to the day of the class and goes with it [decisions]. */
function withoutOldMarks(planned: PlannedClass, now: string): PlannedClass {
  if (!isOver(planned, now) || planned.people.every(({ notToday }) => notToday === undefined)) return planned
  return { ...planned, people: planned.people.map(({ notToday: _gone, ...person }) => person) }
}

/** Takes the marks out of the classes whose day went by with nobody looking. */
async function forgetMarks({ models }: Database, now: string, transaction: Transaction): Promise<void> {
  const past = await models.plannedClasses.findAll({
    where: { day: { [Op.lt]: now }, document: { [Op.like]: '%"notToday"%' } },
    transaction,
  })
  for (const { id, document } of past) {
    const planned = withoutOldMarks(plannedClassSchema.parse(JSON.parse(document)), now)
    await models.plannedClasses.update({ document: JSON.stringify(planned) }, { where: { id }, transaction })
  }
}
