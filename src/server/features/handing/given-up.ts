import type { Transaction } from 'sequelize'
import type { PlannedClass } from '#model/planned-class'
import type { Clock } from '#server/clock'
import type { Database } from '#server/db/open'
import { columnsOf, plannedIn } from '#server/features/planned-classes/planned-row'

/** Takes a class that was handed over from the colleague, with the session they had for it unless they changed it; says whether they have led it. */
export async function takeFrom(
  { all }: Database,
  { handedTo }: PlannedClass,
  clock: Clock,
  transaction: Transaction,
): Promise<'led' | 'taken'> {
  const row = handedTo?.classId !== undefined && (await all.plannedClasses.findByPk(handedTo.classId, { transaction }))
  if (!row) return 'taken'
  if (row.isLed) return 'led'
  await row.destroy({ transaction })
  const session = await all.sessions.findByPk(row.sessionId, { transaction })
  if (session?.version === 1) await session.update({ deletedAt: clock.now() }, { transaction })
  return 'taken'
}

/** A planned class goes: what was handed over with it is nobody's any more, and whose it was has it back. */
export async function givenUp(
  database: Database,
  planned: PlannedClass,
  clock: Clock,
  transaction: Transaction,
): Promise<void> {
  await takeFrom(database, planned, clock, transaction)
  const { handedFrom, ledClassId } = planned
  const { plannedClasses } = database.all
  const whose =
    handedFrom?.teacherId !== undefined && (await plannedClasses.findByPk(handedFrom.classId, { transaction }))
  if (!whose || ledClassId !== undefined) return
  const { handedTo: _gone, ...back } = plannedIn(whose.document)
  await whose.update(columnsOf(back, whose.version + 1), { transaction })
}
