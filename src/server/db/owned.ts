import type { Model, ModelStatic, Sequelize } from 'sequelize'
import type { Database } from './database.ts'
import type { Models } from './models.ts'

/** What is one teacher's own; all else is shared, or goes with one of these. */
const ownedModels = [
  ...(['sessions', 'series', 'longDays', 'ledClasses', 'plannedClasses', 'devices', 'settings'] as const),
  ...(['shownSessions', 'remarks'] as const),
]
/** What all use: whoever made it is written down with it. */
const madeModels = ['people', 'ownThings', 'sounds'] as const

/** Classes of models through which one teacher writes. */
const writers = new WeakMap<object, string>()

/**
 * The database as one teacher has it: of what is one's own nothing else is found, counted, changed or taken away, and what is
 * made is theirs. `all` stays what everybody has, for what must be looked at across teachers.
 */
export function ownedBy(database: Database, ownerId: string): Database {
  const owned = Object.fromEntries(
    Object.entries(database.all).map(([key, model]: [string, ModelStatic<Model>]) => [
      key,
      ofOwner(key, model, ownerId),
    ]),
  ) as unknown as Models
  return { ...database, models: owned, ownerId }
}

function ofOwner(key: string, model: ModelStatic<Model>, ownerId: string): ModelStatic<Model> {
  const isOwned = (ownedModels as readonly string[]).includes(key)
  if (!isOwned && !(madeModels as readonly string[]).includes(key)) return model
  const its = isOwned ? model.scope({ where: { ownerId } }) : model.unscoped()
  writers.set(its, ownerId)
  return its
}

/** Whether a row is of the teacher whose database it is asked for. */
export const isOwn = ({ ownerId }: Pick<Database, 'ownerId'>, row: { readonly ownerId: string }): boolean =>
  ownerId === undefined || row.ownerId === ownerId

/** What is made through one teacher's models is theirs. */
export function writeOwners(sequelize: Sequelize): void {
  const mark = (row: Model): void => {
    const ownerId = writers.get(row.constructor)
    if (ownerId !== undefined) row.set('ownerId', ownerId)
  }
  sequelize.addHook('beforeCreate', mark)
  sequelize.addHook('beforeBulkCreate', (rows) => {
    rows.forEach(mark)
  })
}
