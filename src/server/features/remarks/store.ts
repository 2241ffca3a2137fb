import type { Transaction } from 'sequelize'
import type { Remark, Remarks, RemarkSent } from '#model/remark'
import type { Clock } from '#server/clock'
import type { RemarkRow, ShownSessionRow } from '#server/db/models'
import type { Database } from '#server/db/open'
import { bothOf, shown } from '#server/features/handing/show'
import { ProblemError } from '#server/problems'
import { markedName } from '#words/text'

/** What colleagues say beside the blocks of a session: they have a copy of it, and what they say there stands at the original. */
export function remarkStore(database: Database, clock: Clock) {
  const { models, all, inTransaction, ownerId = '' } = database
  const { refuseUnknown, originalOf } = looking(database)
  return {
    /** Throws UNKNOWN_SESSION. */
    async of(sessionId: string): Promise<Remarks> {
      await refuseUnknown(sessionId)
      const order: [string, string][] = [
        ['saidAt', 'ASC'],
        ['id', 'ASC'],
      ]
      const on = await models.remarks.findAll({ where: { sessionId }, order })
      const to = await models.shownSessions.findAll({ where: { sessionId }, order: [['toName', 'ASC']] })
      const original = await originalOf(sessionId)
      const whose = original && (await all.teachers.findByPk(original.ownerId))
      const said =
        original && (await all.remarks.findAll({ where: { sessionId: original.sessionId, byId: ownerId }, order }))
      return {
        on: on.map(remarkOf),
        shownTo: [...new Set(to.map(({ toName }) => toName))],
        of: whose && said ? { whose: whose.name, said: said.map(remarkOf) } : null,
      }
    },
    /** Gives a colleague a copy to look at. Throws UNKNOWN_SESSION, UNKNOWN_TEACHER. */
    show: (sessionId: string, to: string): Promise<unknown> =>
      inTransaction(async (transaction) => {
        const both = await bothOf(database, to, transaction)
        const name = (of: string): string => markedName(of, ` (${both.giver.name}’s)`)
        await shown(database, sessionId, both, { clock, name }, transaction)
      }),
    /** Says something of the session this one is the copy of. Throws UNKNOWN_SESSION, ID_TAKEN. */
    put: (copyId: string, id: string, { blockId, text }: RemarkSent): Promise<Remark> =>
      inTransaction(async (transaction) => {
        await refuseUnknown(copyId, transaction)
        const original = await originalOf(copyId, transaction)
        const by = original && (await all.teachers.findByPk(ownerId, { transaction }))
        if (!original || !by) throw new ProblemError('UNKNOWN_SESSION', { id: copyId })
        const { sessionId, ownerId: whose } = original
        const there = await all.remarks.findByPk(id, { transaction })
        if (there && (there.byId !== ownerId || there.sessionId !== sessionId))
          throw new ProblemError('ID_TAKEN', { id })
        const columns = { sessionId, blockId, text, ownerId: whose, byId: by.id, byName: by.name, saidAt: clock.now() }
        const row = there
          ? await there.update(columns, { transaction })
          : await all.remarks.create({ id, ...columns }, { transaction })
        return remarkOf(row)
      }),
    /** Whoever said it takes it back; whose session it is has done with it. Throws UNKNOWN_SESSION, UNKNOWN_REMARK. */
    remove: (sessionId: string, id: string): Promise<void> =>
      inTransaction(async (transaction) => {
        await refuseUnknown(sessionId, transaction)
        const original = await originalOf(sessionId, transaction)
        const row = await all.remarks.findByPk(id, { transaction })
        const isOn = row?.sessionId === sessionId && row.ownerId === ownerId
        const isSaid = row?.sessionId === original?.sessionId && row?.byId === ownerId
        if (!row || !(isOn || isSaid)) throw new ProblemError('UNKNOWN_REMARK', { id })
        await row.destroy({ transaction })
      }),
  }
}

/** Which sessions are this teacher's, and of whose they are copies. */
function looking({ models, all, ownerId = '' }: Database) {
  return {
    async refuseUnknown(sessionId: string, transaction?: Transaction): Promise<void> {
      if (!(await models.sessions.findByPk(sessionId, { transaction })))
        throw new ProblemError('UNKNOWN_SESSION', { id: sessionId })
    },
    /** Of which session of a colleague's this is the copy. */
    async originalOf(copyId: string, transaction?: Transaction): Promise<ShownSessionRow | null> {
      const row = await all.shownSessions.findByPk(copyId, { transaction })
      return row?.toId === ownerId ? row : null
    },
  }
}

export type RemarkStore = ReturnType<typeof remarkStore>

const remarkOf = ({ id, blockId, text, byName, saidAt }: RemarkRow): Remark => ({
  ...{ id, blockId, text, by: byName, at: saidAt.toISOString() },
})
