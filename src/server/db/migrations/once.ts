import type { ModelAttributeColumnOptions, QueryInterface } from 'sequelize'

/**
 * Adds a column that is not there yet. The first edition did not run its migrations whole or not at all: one that was
 * killed in the middle left some of their columns behind, and has to open all the same.
 */
export async function addColumnOnce(
  query: QueryInterface,
  table: string,
  column: string,
  options: ModelAttributeColumnOptions,
): Promise<void> {
  if (!(column in (await query.describeTable(table)))) await query.addColumn(table, column, options)
}

/** Adds an index that is not there yet, for the same reason. */
export async function addIndexOnce(query: QueryInterface, table: string, columns: string[]): Promise<void> {
  const there = (await query.showIndex(table)) as { fields: { attribute: string }[] }[]
  const isThere = there.some(({ fields }) => fields.map(({ attribute }) => attribute).join() === columns.join())
  if (!isThere) await query.addIndex(table, columns)
}
