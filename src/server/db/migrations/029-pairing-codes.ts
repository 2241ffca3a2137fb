import { DataTypes } from 'sequelize'
import type { Migration } from '../migrate.ts'

/** Where teachers have accounts each lets their own devices in: the codes that are shown, for all servers of the house to know. */
export const pairingCodesMigration: Migration = {
  name: '029-pairing-codes',
  async up(query) {
    if (await query.tableExists('pairingCodes')) return
    await query.createTable('pairingCodes', {
      ownerId: { type: DataTypes.STRING(64), primaryKey: true },
      kind: { type: DataTypes.STRING(20), allowNull: false },
      digits: { type: DataTypes.STRING(6), allowNull: false, unique: true },
      until: { type: DataTypes.DATE, allowNull: false },
    })
  },
  down: (query) => query.dropTable('pairingCodes'),
}
