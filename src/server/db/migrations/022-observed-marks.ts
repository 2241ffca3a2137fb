import { DataTypes } from 'sequelize'
import type { Migration } from '../migrate.ts'

/** What somebody marked who looked on while another device led: beside the record of the class, at its time. */
export const observedMarksMigration: Migration = {
  name: '022-observed-marks',
  async up(query) {
    if (await query.tableExists('observedMarks')) return
    await query.createTable('observedMarks', {
      id: { type: DataTypes.STRING(64), primaryKey: true },
      classId: {
        type: DataTypes.STRING(64),
        allowNull: false,
        references: { model: 'ledClasses', key: 'id' },
        onDelete: 'CASCADE',
      },
      by: { type: DataTypes.STRING(64), allowNull: false },
      name: { type: DataTypes.STRING(120), allowNull: false },
      atMs: { type: DataTypes.INTEGER, allowNull: false },
      text: { type: DataTypes.TEXT, allowNull: false },
    })
  },
  async down(query) {
    await query.dropTable('observedMarks')
  },
}
