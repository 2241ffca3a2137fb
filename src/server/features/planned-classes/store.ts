import { Op } from 'sequelize'
import type { Transaction } from 'sequelize'
import type { KeptPlannedClass, PlannedClass } from '#model/planned-class'
import type { Clock } from '#server/clock'
import type { Database } from '#server/db/open'
import { refuseStale, refuseUnknownPeople, refuseUnknownPlace } from '#server/features/guards'
import { comesBack } from '#server/features/handing/comes-back'
import { givenUp } from '#server/features/handing/given-up'
import { ProblemError } from '#server/problems'
import { columnsOf, plannedIn } from './planned-row.ts'
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
    /** What was handed over with it is taken from the colleague; one that was a colleague's goes back to them. */
    remove: (id: string, based: number): Promise<void> =>
      inTransaction((transaction) => remove({ database, clock }, id, based, transaction)),
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
  return rows.map(({ document, version }) => ({ planned: plannedIn(document), version }))
}

/** As it was sent, handed over as it is here: that is not for a window to say. */
function withHanded(sent: PlannedClass, there: PlannedClass | undefined): PlannedClass {
  const { handedTo, handedFrom } = there ?? {}
  const { handedTo: _to, handedFrom: _from, ...planned } = sent
  return { ...planned, ...(handedTo ? { handedTo } : {}), ...(handedFrom ? { handedFrom } : {}) }
}

async function put(
  database: Database,
  planned: PlannedClass,
  based: number,
  transaction: Transaction,
): Promise<number> {
  const { models } = database
  const { id, sessionId, placeId, ledClassId } = planned
  const session = await models.sessions.findByPk(sessionId, { transaction })
  if (!session || session.deletedAt) throw new ProblemError('UNKNOWN_SESSION', { id: sessionId })
  await refuseUnknownPlace(models, placeId, transaction)
  const ids = planned.people.map(({ personId }) => personId)
  await refuseUnknownPeople(models, ids, transaction)
  const version = based + 1
  const there = await models.plannedClasses.findByPk(id, { transaction })
  const columns = columnsOf(withHanded(planned, there ? plannedIn(there.document) : undefined), version)
  if (!there && based === 0) {
    await models.plannedClasses.create({ id, ...columns }, { transaction })
    return version
  }
  refuseStale('UNKNOWN_PLANNED', id, there, based)
  await models.plannedClasses.update(columns, { where: { id, version: based }, transaction })
  // It may be told only now which class of a colleague's a record is of.
  if (ledClassId !== undefined) await comesBack(database, ledClassId, transaction)
  return version
}

async function remove(
  { database, clock }: { readonly database: Database; readonly clock: Clock },
  id: string,
  based: number,
  transaction: Transaction,
): Promise<void> {
  const { models } = database
  const there = await models.plannedClasses.findByPk(id, { transaction })
  refuseStale('UNKNOWN_PLANNED', id, there, based)
  await givenUp(database, plannedIn(there.document), clock, transaction)
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
    const planned = withoutOldMarks(plannedIn(document), now)
    await models.plannedClasses.update({ document: JSON.stringify(planned) }, { where: { id }, transaction })
  }
}
