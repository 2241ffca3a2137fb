import { nanoid } from 'nanoid'
import type { Transaction } from 'sequelize'
import type { HandOver, KeptPlannedClass, PlannedClass } from '#model/planned-class'
import type { Clock } from '#server/clock'
import type { PlannedClassRow } from '#server/db/models'
import type { Database } from '#server/db/open'
import { ownedBy } from '#server/db/owned'
import { refuseStale } from '#server/features/guards'
import { columnsOf, plannedIn } from '#server/features/planned-classes/planned-row'
import { ProblemError } from '#server/problems'
import { takeFrom } from './given-up.ts'
import { bothOf, shown } from './show.ts'

/**
 * Planned classes handed over to a colleague for their day [decisions, Keeping it]: they get a copy of the session, the sheet,
 * the set-ups, the forms and the words, and no reasons; the record comes back to both.
 */
export function handingStore(database: Database, clock: Clock) {
  const { models, inTransaction } = database

  async function planned(id: string, based: number, transaction: Transaction) {
    const row = await models.plannedClasses.findByPk(id, { transaction })
    refuseStale('UNKNOWN_PLANNED', id, row, based)
    return { row, planned: plannedIn(row.document) }
  }
  return {
    /** Throws UNKNOWN_PLANNED, VERSION_STALE, CLASS_LED, CLASS_HANDED, UNKNOWN_TEACHER, UNKNOWN_SESSION. */
    handOver: (id: string, { to, words, forms }: HandOver, based: number): Promise<KeptPlannedClass> =>
      inTransaction(async (transaction) => {
        const at = await planned(id, based, transaction)
        if (at.planned.ledClassId !== undefined) throw new ProblemError('CLASS_LED', {})
        if (at.planned.handedTo) throw new ProblemError('CLASS_HANDED', { name: at.planned.handedTo.name })
        const both = await bothOf(database, to, transaction)
        const { giver, colleague } = both
        const copy = await shown(database, at.planned.sessionId, both, { clock }, transaction)
        const said = words === undefined ? {} : { words }
        const handedFrom = { teacherId: giver.id, name: giver.name, classId: id, ...said }
        const theirs: PlannedClass = { ...ofTheDay(at.planned), forms, id: nanoid(), sessionId: copy.id, handedFrom }
        await ownedBy(database, to).models.plannedClasses.create(
          { id: theirs.id, ...columnsOf(theirs, 1) },
          { transaction },
        )
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

/** Over what was there, as its next version. */
export async function written(
  row: PlannedClassRow,
  planned: PlannedClass,
  transaction: Transaction,
): Promise<KeptPlannedClass> {
  const version = row.version + 1
  await row.update(columnsOf(planned, version), { transaction })
  return { planned, version }
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
