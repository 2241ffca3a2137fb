import { nanoid } from 'nanoid'
import type { Transaction } from 'sequelize'
import type { HandOver, KeptPlannedClass, PlannedClass } from '#model/planned-class'
import type { Session } from '#model/session'
import type { Clock } from '#server/clock'
import type { PlannedClassRow } from '#server/db/models'
import type { Database } from '#server/db/open'
import { ownedBy } from '#server/db/owned'
import { refuseStale } from '#server/features/guards'
import { columnsOf, plannedIn } from '#server/features/planned-classes/planned-row'
import { migrateDocument } from '#server/features/sessions/migrate-document'
import { sessionStore } from '#server/features/sessions/store'
import { ProblemError } from '#server/problems'
import { takeFrom } from './given-up.ts'

/**
 * Planned classes handed over to a colleague for their day [decisions, Keeping it]: they get a copy of the session, the sheet,
 * the set-ups, the forms and the words, and no reasons; the record comes back to both.
 */
export function handingStore(database: Database, clock: Clock) {
  const { models, all, inTransaction, ownerId } = database

  async function planned(id: string, based: number, transaction: Transaction) {
    const row = await models.plannedClasses.findByPk(id, { transaction })
    refuseStale('UNKNOWN_PLANNED', id, row, based)
    return { row, planned: plannedIn(row.document) }
  }
  return {
    /** Throws UNKNOWN_PLANNED, VERSION_STALE, CLASS_LED, CLASS_HANDED, UNKNOWN_TEACHER. */
    handOver: (id: string, { to, words, forms }: HandOver, based: number): Promise<KeptPlannedClass> =>
      inTransaction(async (transaction) => {
        const at = await planned(id, based, transaction)
        if (at.planned.ledClassId !== undefined) throw new ProblemError('CLASS_LED', {})
        if (at.planned.handedTo) throw new ProblemError('CLASS_HANDED', { name: at.planned.handedTo.name })
        const giver = ownerId === undefined ? null : await all.teachers.findByPk(ownerId, { transaction })
        const colleague = await all.teachers.findByPk(to, { transaction })
        if (!giver || !colleague || colleague.id === giver.id || colleague.closedAt)
          throw new ProblemError('UNKNOWN_TEACHER', {}, { path: 'to' })
        const session = await models.sessions.findByPk(at.planned.sessionId, { transaction })
        if (!session || session.deletedAt) throw new ProblemError('UNKNOWN_SESSION', { id: at.planned.sessionId })
        const its = ownedBy(database, to)
        const copy = copyOf(migrateDocument(session.document))
        await sessionStore(its, clock).create(copy, transaction)
        const said = words === undefined ? {} : { words }
        const handedFrom = { teacherId: giver.id, name: giver.name, classId: id, ...said }
        const theirs: PlannedClass = { ...ofTheDay(at.planned), forms, id: nanoid(), sessionId: copy.id, handedFrom }
        await its.models.plannedClasses.create({ id: theirs.id, ...columnsOf(theirs, 1) }, { transaction })
        const handedTo = {
          teacherId: to,
          name: colleague.name,
          at: clock.now().toISOString(),
          classId: theirs.id,
          ...said,
        }
        return written(at.row, { ...at.planned, handedTo }, transaction)
      }),
    /** Throws UNKNOWN_PLANNED, VERSION_STALE, CLASS_LED. */
    takeBack: (id: string, based: number): Promise<KeptPlannedClass> =>
      inTransaction(async (transaction) => {
        const at = await planned(id, based, transaction)
        if ((await takeFrom(database, at.planned, clock, transaction)) === 'led')
          throw new ProblemError('CLASS_LED', {})
        const { handedTo: _back, ...own } = at.planned
        return written(at.row, own, transaction)
      }),
  }
}

export type HandingStore = ReturnType<typeof handingStore>

async function written(
  row: PlannedClassRow,
  planned: PlannedClass,
  transaction: Transaction,
): Promise<KeptPlannedClass> {
  const version = row.version + 1
  await row.update(columnsOf(planned, version), { transaction })
  return { planned, version }
}

/** The session as a colleague has it: a session of its own. */
function copyOf({ versionOf: _of, ...session }: Session): Session {
  return { ...session, id: nanoid() }
}

/** What of a class goes with it: who comes and what lies there; nothing that was told for this day, nor what is set aside with a reason. */
function ofTheDay({ placeId, roomId, day, startsAt, guests, needs, ...planned }: PlannedClass) {
  const { substitutes, setUps, fetching } = planned
  return {
    ...{ placeId, day, guests, substitutes, setAside: [] },
    people: planned.people.map(({ personId, away }) => (away ? { personId, away } : { personId })),
    ...(roomId === undefined ? {} : { roomId }),
    ...(startsAt === undefined ? {} : { startsAt }),
    ...(needs ? { needs } : {}),
    ...(setUps ? { setUps } : {}),
    ...(fetching ? { fetching } : {}),
  }
}
