import type { ColumnDescription } from 'sequelize'
import { kept } from './open-row.ts'

/** The largest whole number a column takes in either dialect. */
const mostWhole = 2 ** 31 - 1

/**
 * What a column keeps of a value in an open file. Throws where the value is none of its kind: SQLite itself would keep anything in any
 * column, and PostgreSQL nothing of it.
 */
export function cellOf(value: unknown, { type, allowNull, primaryKey }: ColumnDescription): unknown {
  const cell = kept(value, type === 'DATETIME')
  const isFit = cell === null ? allowNull && !primaryKey : fits(cell, type)
  if (!isFit) throw new Error(`a value that ${type} does not keep`)
  return cell
}

function fits(cell: unknown, type: string): boolean {
  if (type === 'DATETIME') return cell instanceof Date && !Number.isNaN(cell.getTime())
  if (type === 'INTEGER') return Number.isSafeInteger(cell) && Math.abs(Number(cell)) <= mostWhole
  if (type === 'TINYINT(1)') return typeof cell === 'boolean'
  const most = /^VARCHAR\((\d+)\)$/.exec(type)?.[1]
  return typeof cell === 'string' && (most === undefined ? type === 'TEXT' : cell.length <= Number(most))
}
