import type { Transaction } from 'sequelize'
import type { Database } from '#server/db/open'
import { isOwn } from '#server/db/owned'
import { readableDocument } from '#server/features/sessions/migrate-document'

/** The sessions that are held at a place, whosever they are; of others only that there are any. Those in the bin do not keep it. */
export async function placeUses(
  database: Database,
  id: string,
  transaction: Transaction,
): Promise<{ readonly own: readonly { readonly id: string; readonly name: string }[]; readonly others: number }> {
  const rows = await database.all.sessions.findAll({
    attributes: ['id', 'name', 'document', 'ownerId'],
    where: { deletedAt: null },
    order: [['name', 'ASC']],
    transaction,
  })
  const uses = rows.filter(
    ({ document }) => document.includes(JSON.stringify(id)) && readableDocument(document)?.placeId === id,
  )
  const own = uses.filter((row) => isOwn(database, row)).map(({ id: sessionId, name }) => ({ id: sessionId, name }))
  return { own, others: uses.length - own.length }
}
