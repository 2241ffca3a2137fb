import { DataTypes } from 'sequelize'
import type { QueryInterface } from 'sequelize'
import type { Migration } from '../migrate.ts'
import { addColumnOnce } from './once.ts'

interface Row {
  readonly id: string
  readonly document: string
}

/**
 * People can be changed: each has a version, and an owner as every table has; what stood in columns of its own is in the
 * document alone. What somebody takes in a planned class is said by kind, where it was the id of a form of the pose.
 */
export const peopleKeptMigration: Migration = {
  name: '014-people-kept',
  async up(query) {
    await addColumnOnce(query, 'people', 'version', { type: DataTypes.INTEGER, allowNull: false, defaultValue: 1 })
    for (const table of ['people', 'classPlans']) await addColumnOnce(query, table, 'ownerId', owner())
    for (const column of ['level', 'statureMm']) await query.removeColumn('people', column)
    await rewrite(query, ({ form, ...taken }) =>
      form === undefined ? taken : { ...taken, takes: { kind: 'variant', variantId: form } },
    )
  },
  async down(query) {
    await rewrite(query, ({ takes, ...taken }) => ({ ...taken, form: takes?.variantId ?? takes?.kind ?? 'rest' }))
    await addColumnOnce(query, 'people', 'level', {
      type: DataTypes.STRING(20),
      allowNull: false,
      defaultValue: 'new',
    })
    await addColumnOnce(query, 'people', 'statureMm', { type: DataTypes.INTEGER, allowNull: true })
    for (const { id, document } of (await query.select(null, 'people', {})) as Row[]) {
      const { level = 'new', statureMm = null } = JSON.parse(document) as { level?: string; statureMm?: number }
      await query.bulkUpdate('people', { level, statureMm }, { id })
    }
    await query.removeColumn('people', 'version')
    for (const table of ['people', 'classPlans']) await query.removeColumn(table, 'ownerId')
  },
}

const owner = () => ({ type: DataTypes.STRING(64), allowNull: false, defaultValue: 'owner' })

interface FormerForm {
  readonly form?: string
  readonly takes?: { readonly kind: string; readonly variantId?: string }
}

async function rewrite(query: QueryInterface, change: (taken: FormerForm) => object): Promise<void> {
  for (const { id, document } of (await query.select(null, 'classPlans', {})) as Row[]) {
    const planned = JSON.parse(document) as { readonly forms: readonly FormerForm[] }
    if (planned.forms.length === 0) continue
    const kept = JSON.stringify({ ...planned, forms: planned.forms.map(change) })
    await query.bulkUpdate('classPlans', { document: kept }, { id })
  }
}
