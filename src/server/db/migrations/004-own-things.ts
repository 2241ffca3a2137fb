import { DataTypes } from 'sequelize'
import type { Migration } from '../migrate.ts'

/** What the teacher added to the shelf: poses, variants and schools, each a document with a version. */
export const ownThingsMigration: Migration = {
  name: '004-own-things',
  async up(query) {
    await query.createTable('ownThings', {
      kind: { type: DataTypes.STRING(20), primaryKey: true },
      id: { type: DataTypes.STRING(64), primaryKey: true },
      name: { type: DataTypes.STRING(120), allowNull: false },
      version: { type: DataTypes.INTEGER, allowNull: false },
      document: { type: DataTypes.TEXT, allowNull: false },
      savedAt: { type: DataTypes.DATE, allowNull: false },
    })
  },
  async down(query) {
    await query.dropTable('ownThings')
  },
}
