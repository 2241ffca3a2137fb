import { nanoid } from 'nanoid'
import type { Transaction } from 'sequelize'
import type { Session } from '#model/session'
import type { Clock } from '#server/clock'
import type { TeacherRow } from '#server/db/models'
import type { Database } from '#server/db/open'
import { ownedBy } from '#server/db/owned'
import { migrateDocument } from '#server/features/sessions/migrate-document'
import { sessionStore } from '#server/features/sessions/store'
import { ProblemError } from '#server/problems'

/** Whoever gives something to a colleague, and the colleague. Throws UNKNOWN_TEACHER. */
export async function bothOf(
  { all, ownerId }: Database,
  to: string,
  transaction: Transaction,
): Promise<{ readonly giver: TeacherRow; readonly colleague: TeacherRow }> {
  const giver = ownerId === undefined ? null : await all.teachers.findByPk(ownerId, { transaction })
  const colleague = await all.teachers.findByPk(to, { transaction })
  if (!giver || !colleague || colleague.id === giver.id || colleague.closedAt)
    throw new ProblemError('UNKNOWN_TEACHER', {}, { path: 'to' })
  return { giver, colleague }
}

/** Gives a colleague a copy of a session, and keeps whose it is, so that what they say of it comes back. Throws UNKNOWN_SESSION. */
export async function shown(
  database: Database,
  sessionId: string,
  { giver, colleague }: Awaited<ReturnType<typeof bothOf>>,
  { clock, name }: { readonly clock: Clock; readonly name?: (name: string) => string },
  transaction: Transaction,
): Promise<Session> {
  const { models, all } = database
  const row = await models.sessions.findByPk(sessionId, { transaction })
  if (!row || row.deletedAt) throw new ProblemError('UNKNOWN_SESSION', { id: sessionId })
  const { versionOf: _of, ...session } = migrateDocument(row.document)
  const copy: Session = { ...session, id: nanoid(), name: name?.(session.name) ?? session.name }
  await sessionStore(ownedBy(database, colleague.id), clock).create(copy, transaction)
  const columns = { sessionId, ownerId: giver.id, toId: colleague.id, toName: colleague.name, shownAt: clock.now() }
  await all.shownSessions.create({ copyId: copy.id, ...columns }, { transaction })
  return copy
}
