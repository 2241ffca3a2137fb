import { DataTypes } from 'sequelize'
import type { QueryInterface } from 'sequelize'
import type { Migration } from '../migrate.ts'
import { addColumnOnce } from './once.ts'

interface Row {
  readonly kind: string
  readonly id: string
  readonly document: string
}

/** As the first edition wrote the roll that leaves both sides open, in full. */
const roll = 'roll to one side, or the side you prefer'

/**
 * Own things get the number of their schema, and can be put out of sight while something still names them. In schema 2
 * the roll in a pose's steps out is a token, so that the answer to its side is put in without comparing sentences.
 */
export const ownThingsHiddenMigration: Migration = {
  name: '007-own-things-hidden',
  async up(query) {
    await addColumnOnce(query, 'ownThings', 'schema', { type: DataTypes.INTEGER, allowNull: false, defaultValue: 1 })
    await addColumnOnce(query, 'ownThings', 'hiddenAt', { type: DataTypes.DATE, allowNull: true })
    await rewrite(query, (text) => text.replaceAll(roll, '{roll}'), 2)
  },
  async down(query) {
    await rewrite(query, (text) => text.replaceAll('{roll}', roll), 1)
    await query.removeColumn('ownThings', 'hiddenAt')
    await query.removeColumn('ownThings', 'schema')
  },
}

async function rewrite(query: QueryInterface, change: (step: string) => string, schema: number): Promise<void> {
  const rows = (await query.select(null, 'ownThings', {})) as Row[]
  for (const { kind, id, document } of rows)
    await query.bulkUpdate('ownThings', { document: rewritten(document, change), schema }, { kind, id })
}

/** Only the steps out of a pose, and those an answer gives it, hold the roll. */
function rewritten(document: string, change: (step: string) => string): string {
  const thing = JSON.parse(document) as { comingOut?: string[]; meanings?: { comingOut?: string[] }[] }
  const steps = <T extends { comingOut?: string[] }>(of: T): T =>
    of.comingOut ? { ...of, comingOut: of.comingOut.map(change) } : of
  return JSON.stringify({ ...steps(thing), ...(thing.meanings ? { meanings: thing.meanings.map(steps) } : {}) })
}
