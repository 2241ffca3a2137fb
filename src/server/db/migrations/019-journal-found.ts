import { DataTypes, QueryTypes } from 'sequelize'
import type { QueryInterface } from 'sequelize'
import type { Migration } from '../migrate.ts'
import { addColumnOnce } from './once.ts'

/** So many records are read at a time: each holds its whole plan. */
const batch = 50

/** A class is found by its practice and its place, and is deleted with a way back. */
export const journalFoundMigration: Migration = {
  name: '019-journal-found',
  async up(query) {
    await addColumnOnce(query, 'ledClasses', 'practice', { type: DataTypes.STRING(40), allowNull: true })
    await addColumnOnce(query, 'ledClasses', 'placeId', { type: DataTypes.STRING(64), allowNull: true })
    await addColumnOnce(query, 'ledClasses', 'deletedAt', { type: DataTypes.DATE, allowNull: true })
    await fill(query)
  },
  async down(query) {
    for (const column of ['deletedAt', 'placeId', 'practice']) await query.removeColumn('ledClasses', column)
  },
}

async function fill({ sequelize }: QueryInterface): Promise<void> {
  for (let from = 0; ; from += batch) {
    const rows = await sequelize.query<{ readonly id: string; readonly document: string }>(
      `SELECT id, document FROM "ledClasses" ORDER BY id LIMIT ${String(batch)} OFFSET ${String(from)}`,
      { type: QueryTypes.SELECT },
    )
    for (const { id, document } of rows)
      await sequelize.query('UPDATE "ledClasses" SET practice = :practice, "placeId" = :placeId WHERE id = :id', {
        replacements: { id, ...foundBy(document) },
      })
    if (rows.length < batch) return
  }
}

/** What cannot be read is found by its name alone. */
function foundBy(text: string): { readonly practice: string | null; readonly placeId: string | null } {
  try {
    const { document, placeId } = JSON.parse(text) as {
      readonly placeId?: string
      readonly document?: { readonly practice?: string; readonly placeId?: string }
    }
    return { practice: document?.practice ?? null, placeId: placeId ?? document?.placeId ?? null }
  } catch {
    return { practice: null, placeId: null }
  }
}
