/** Whether a database is named by the address of a PostgreSQL server, and not by a file. */
export const isPostgres = (where: string): boolean => /^postgres(?:ql)?:\/\//i.test(where)

/** The address as it may be shown: without the name and the password it is entered with. */
export function shownAddress(where: string): string {
  if (!isPostgres(where)) return where
  try {
    const { host, pathname } = new URL(where)
    return `postgres://${host}${pathname}`
  } catch {
    return 'postgres://…'
  }
}
