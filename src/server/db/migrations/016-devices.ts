import { DataTypes } from 'sequelize'
import type { Migration } from '../migrate.ts'
import { addColumnOnce } from './once.ts'

/**
 * Devices that were let in, by the hash of what they show; which of them leads a class and until when it counts as doing
 * so; and what others told of a class that was no longer theirs.
 */
export const devicesMigration: Migration = {
  name: '016-devices',
  async up(query) {
    if (!(await query.tableExists('devices')))
      await query.createTable('devices', {
        id: { type: DataTypes.STRING(64), primaryKey: true },
        name: { type: DataTypes.STRING(120), allowNull: false },
        kind: { type: DataTypes.STRING(20), allowNull: false },
        tokenHash: { type: DataTypes.STRING(64), allowNull: false, unique: true },
        pairedAt: { type: DataTypes.DATE, allowNull: false },
        seenAt: { type: DataTypes.DATE, allowNull: false },
      })
    await addColumnOnce(query, 'ledClasses', 'leadsBy', { type: DataTypes.STRING(64), allowNull: true })
    await addColumnOnce(query, 'ledClasses', 'leadsName', { type: DataTypes.STRING(120), allowNull: true })
    await addColumnOnce(query, 'ledClasses', 'leadsUntil', { type: DataTypes.DATE, allowNull: true })
    if (!(await query.tableExists('ledAsides')))
      await query.createTable('ledAsides', {
        id: { type: DataTypes.INTEGER, primaryKey: true, autoIncrement: true },
        classId: {
          type: DataTypes.STRING(64),
          allowNull: false,
          references: { model: 'ledClasses', key: 'id' },
          onDelete: 'CASCADE',
        },
        document: { type: DataTypes.TEXT, allowNull: false },
      })
  },
  async down(query) {
    await query.dropTable('ledAsides')
    for (const column of ['leadsUntil', 'leadsName', 'leadsBy']) await query.removeColumn('ledClasses', column)
    await query.dropTable('devices')
  },
}
