import type { Transaction } from 'sequelize'
import type { Database } from '#server/db/open'
import { readableDocument } from '#server/features/sessions/migrate-document'

/** The sessions that are held at a place; those in the bin do not keep it. */
export async function placeUses(
  { models }: Database,
  id: string,
  transaction: Transaction,
): Promise<{ readonly id: string; readonly name: string }[]> {
  const rows = await models.sessions.findAll({
    attributes: ['id', 'name', 'document'],
    where: { deletedAt: null },
    order: [['name', 'ASC']],
    transaction,
  })
  return rows
    .filter(({ document }) => document.includes(JSON.stringify(id)) && readableDocument(document)?.placeId === id)
    .map(({ id: sessionId, name }) => ({ id: sessionId, name }))
}
