import { types } from 'node:util'
import { UniqueConstraintError } from 'sequelize'

/** What the driver of the database, or the file system, says went wrong; undefined for errors of any other kind. */
export function failureCode(error: unknown): string | undefined {
  if (!types.isNativeError(error)) return undefined
  const told = 'original' in error ? error.original : error
  return types.isNativeError(told) && 'code' in told && typeof told.code === 'string' ? told.code : undefined
}

/** The disk, or what may be used of it, is full: nothing was written, and it works again when there is room. */
export const isDiskFull = (error: unknown): boolean =>
  ['SQLITE_FULL', '53100', 'ENOSPC', 'EDQUOT'].includes(failureCode(error) ?? '')

/** The id a new thing would have had, where another one has it already: one of a colleague's, or of a moment ago. */
export function takenId(error: unknown): string | undefined {
  if (!(error instanceof UniqueConstraintError)) return undefined
  const [first] = error.errors
  return first?.path === 'id' && typeof first.value === 'string' ? first.value : ''
}

/**
 * What may be written to a log of an error: its kind and where it happened. Messages of the database can hold what a
 * teacher wrote, and its errors carry the whole statement.
 */
export function loggable(error: unknown): { readonly name: string; readonly code?: string; readonly at: string[] } {
  if (!types.isNativeError(error)) return { name: typeof error, at: [] }
  const code = failureCode(error)
  const at = (error.stack ?? '').split('\n').filter((line) => /^\s+at /.test(line))
  const own = code === undefined && !('sql' in error) && !('errors' in error)
  return { name: own ? `${error.name}: ${error.message}` : error.name, ...(code === undefined ? {} : { code }), at }
}
