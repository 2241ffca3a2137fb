import { DataTypes } from 'sequelize'
import type { Migration } from '../migrate.ts'
import { addIndexOnce } from './once.ts'

/** Places with their rooms, the cupboard's items as rows, and people. */
export const placesAndPeopleMigration: Migration = {
  name: '002-places-and-people',
  async up(query) {
    await query.createTable('places', {
      id: { type: DataTypes.STRING(64), primaryKey: true },
      name: { type: DataTypes.STRING(120), allowNull: false },
      lengthUnit: { type: DataTypes.STRING(2), allowNull: false },
      rooms: { type: DataTypes.TEXT, allowNull: false },
    })
    await query.createTable('cupboardItems', {
      id: { type: DataTypes.STRING(64), primaryKey: true },
      placeId: {
        type: DataTypes.STRING(64),
        allowNull: false,
        references: { model: 'places', key: 'id' },
        onDelete: 'CASCADE',
      },
      kind: { type: DataTypes.STRING(40), allowNull: false },
      count: { type: DataTypes.INTEGER, allowNull: false },
      sizeMm: { type: DataTypes.TEXT, allowNull: true },
    })
    await addIndexOnce(query, 'cupboardItems', ['placeId'])
    await query.createTable('people', {
      id: { type: DataTypes.STRING(64), primaryKey: true },
      name: { type: DataTypes.STRING(120), allowNull: false },
      level: { type: DataTypes.STRING(20), allowNull: false },
      statureMm: { type: DataTypes.INTEGER, allowNull: true },
      document: { type: DataTypes.TEXT, allowNull: false },
    })
  },
  async down(query) {
    await query.dropTable('people')
    await query.dropTable('cupboardItems')
    await query.dropTable('places')
  },
}
