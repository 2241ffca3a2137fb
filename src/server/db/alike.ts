import { Op } from 'sequelize'
import type { ModelStatic, Model } from 'sequelize'

/** The comparison of words by which capitals are as small letters: SQLite's LIKE is so by itself, PostgreSQL's is not. */
export const alike = (model: ModelStatic<Model>): typeof Op.like | typeof Op.iLike =>
  model.sequelize?.getDialect() === 'postgres' ? Op.iLike : Op.like
