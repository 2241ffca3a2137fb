import { DataTypes } from 'sequelize'
import type { Migration } from '../migrate.ts'

/** Sentences of sessions in the teacher's voice: small enough to lie in the database, and so be copied and taken back with it. */
export const voicesMigration: Migration = {
  name: '026-voices',
  async up(query) {
    if (await query.tableExists('voices')) return
    await query.createTable('voices', {
      id: { type: DataTypes.STRING(64), primaryKey: true },
      sessionId: { type: DataTypes.STRING(64), allowNull: false },
      text: { type: DataTypes.TEXT, allowNull: false },
      type: { type: DataTypes.STRING(40), allowNull: false },
      bytes: { type: DataTypes.INTEGER, allowNull: false },
      lengthMs: { type: DataTypes.INTEGER, allowNull: false },
      savedAt: { type: DataTypes.DATE, allowNull: false },
      heard: {
        type: query.sequelize.getDialect() === 'sqlite' ? DataTypes.BLOB('medium') : DataTypes.BLOB,
        allowNull: false,
      },
    })
    await query.addIndex('voices', ['sessionId'], { name: 'voices_of_session' })
  },
  async down(query) {
    await query.dropTable('voices')
  },
}
