import { DataTypes } from 'sequelize'
import type { QueryInterface } from 'sequelize'
import type { Migration } from '../migrate.ts'
import { addColumnOnce } from './once.ts'

const id = () => ({ type: DataTypes.STRING(64), allowNull: false })
const ofSession = () => ({ references: { model: 'sessions', key: 'id' }, onDelete: 'CASCADE' })

/** Sessions go to colleagues as copies: which is of which, and what they say of it; and the record of a class that was handed over comes back: who led it. */
export const handedOverMigration: Migration = {
  name: '028-handed-over',
  async up(query) {
    await addColumnOnce(query, 'ledClasses', 'ledBy', { type: DataTypes.STRING(120), allowNull: true })
    if (!(await query.tableExists('shownSessions'))) await makeTables(query)
  },
  async down(query) {
    await query.dropTable('remarks')
    await query.dropTable('shownSessions')
    await query.removeColumn('ledClasses', 'ledBy')
  },
}

async function makeTables(query: QueryInterface): Promise<void> {
  await query.createTable('shownSessions', {
    copyId: { ...id(), primaryKey: true, ...ofSession() },
    sessionId: { ...id(), ...ofSession() },
    ownerId: id(),
    toId: id(),
    toName: { type: DataTypes.STRING(120), allowNull: false },
    shownAt: { type: DataTypes.DATE, allowNull: false },
  })
  await query.createTable('remarks', {
    id: { ...id(), primaryKey: true },
    sessionId: { ...id(), ...ofSession() },
    blockId: id(),
    ownerId: id(),
    byId: id(),
    byName: { type: DataTypes.STRING(120), allowNull: false },
    text: { type: DataTypes.TEXT, allowNull: false },
    saidAt: { type: DataTypes.DATE, allowNull: false },
  })
  await query.addIndex('remarks', ['sessionId'])
  await query.addIndex('shownSessions', ['sessionId'])
}
