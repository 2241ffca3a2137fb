import { DataTypes } from 'sequelize'
import type { Migration } from '../migrate.ts'
import { addIndexOnce } from './once.ts'

/**
 * Planned and led classes. A led class keeps its own full copy, so it names its session without a
 * foreign key: removing a session never touches what was led.
 */
export const classesMigration: Migration = {
  name: '003-classes',
  async up(query) {
    await query.createTable('plannedClasses', {
      id: { type: DataTypes.STRING(64), primaryKey: true },
      sessionId: {
        type: DataTypes.STRING(64),
        allowNull: false,
        references: { model: 'sessions', key: 'id' },
        onDelete: 'CASCADE',
      },
      placeId: {
        type: DataTypes.STRING(64),
        allowNull: false,
        references: { model: 'places', key: 'id' },
        onDelete: 'CASCADE',
      },
      startsAt: { type: DataTypes.DATE, allowNull: true },
    })
    await query.createTable('plannedClassPeople', {
      plannedClassId: {
        type: DataTypes.STRING(64),
        primaryKey: true,
        references: { model: 'plannedClasses', key: 'id' },
        onDelete: 'CASCADE',
      },
      personId: {
        type: DataTypes.STRING(64),
        primaryKey: true,
        references: { model: 'people', key: 'id' },
        onDelete: 'CASCADE',
      },
    })
    await query.createTable('ledClasses', {
      id: { type: DataTypes.STRING(64), primaryKey: true },
      sessionId: { type: DataTypes.STRING(64), allowNull: false },
      startedAt: { type: DataTypes.DATE, allowNull: false },
      endedAt: { type: DataTypes.DATE, allowNull: true },
      people: { type: DataTypes.INTEGER, allowNull: false },
      name: { type: DataTypes.STRING(120), allowNull: false },
      plannedS: { type: DataTypes.INTEGER, allowNull: false },
      ledS: { type: DataTypes.INTEGER, allowNull: false },
      document: { type: DataTypes.TEXT, allowNull: false },
    })
    await addIndexOnce(query, 'ledClasses', ['startedAt'])
  },
  async down(query) {
    await query.dropTable('ledClasses')
    await query.dropTable('plannedClassPeople')
    await query.dropTable('plannedClasses')
  },
}
