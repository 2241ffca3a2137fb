import { DataTypes } from 'sequelize'
import type { Migration } from '../migrate.ts'
import { addIndexOnce } from './once.ts'

/** Sessions as documents with a version, the versions kept of them, and notes about the database itself. */
export const sessionsMigration: Migration = {
  name: '001-sessions',
  async up(query) {
    await query.createTable('sessions', {
      id: { type: DataTypes.STRING(64), primaryKey: true },
      name: { type: DataTypes.STRING(120), allowNull: false },
      practice: { type: DataTypes.STRING(20), allowNull: false },
      lengthS: { type: DataTypes.INTEGER, allowNull: false },
      version: { type: DataTypes.INTEGER, allowNull: false },
      document: { type: DataTypes.TEXT, allowNull: false },
      savedAt: { type: DataTypes.DATE, allowNull: false },
    })
    await query.createTable('sessionHistory', {
      id: { type: DataTypes.INTEGER, primaryKey: true, autoIncrement: true },
      sessionId: {
        type: DataTypes.STRING(64),
        allowNull: false,
        references: { model: 'sessions', key: 'id' },
        onDelete: 'CASCADE',
      },
      version: { type: DataTypes.INTEGER, allowNull: false },
      reason: { type: DataTypes.STRING(20), allowNull: false },
      document: { type: DataTypes.TEXT, allowNull: false },
      keptAt: { type: DataTypes.DATE, allowNull: false },
    })
    await addIndexOnce(query, 'sessionHistory', ['sessionId', 'keptAt'])
    await query.createTable('notes', {
      name: { type: DataTypes.STRING(60), primaryKey: true },
      value: { type: DataTypes.STRING(200), allowNull: false },
    })
  },
  async down(query) {
    await query.dropTable('sessionHistory')
    await query.dropTable('sessions')
    await query.dropTable('notes')
  },
}
