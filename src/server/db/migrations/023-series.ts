import { DataTypes } from 'sequelize'
import type { Migration } from '../migrate.ts'
import { addIndexOnce } from './once.ts'

/** Series are documents, with a version; the session they grow from is named beside them, since it is asked for. */
export const seriesMigration: Migration = {
  name: '023-series',
  async up(query) {
    if (!(await query.tableExists('series')))
      await query.createTable('series', {
        id: { type: DataTypes.STRING(64), primaryKey: true },
        name: { type: DataTypes.STRING(120), allowNull: false },
        baseId: { type: DataTypes.STRING(64), allowNull: false },
        version: { type: DataTypes.INTEGER, allowNull: false },
        document: { type: DataTypes.TEXT, allowNull: false },
      })
    await addIndexOnce(query, 'series', ['baseId'])
  },
  async down(query) {
    await query.dropTable('series')
  },
}
